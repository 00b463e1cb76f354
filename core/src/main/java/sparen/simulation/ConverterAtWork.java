package sparen.simulation;

import java.util.Locale;
import sparen.site.Converter;

/** A DC converter with its secondary bus in one run. */
final class ConverterAtWork {
    private static final double RETRY_SECONDS = 10;

    final Converter converter;
    boolean enabled = true;
    private boolean lowInput;
    private double retryAt = Double.NEGATIVE_INFINITY;
    private double outputWatts;
    private double now;

    ConverterAtWork(Converter converter) {
        this.converter = converter;
    }

    /** Takes what its loads want (W, at its output). */
    void demand(double watts) {
        outputWatts = watts;
    }

    /**
     * Looks at its input (V) at an instant (s).
     *
     * @return the reason when it stopped or started, null when it did not
     */
    String settle(double seconds, double busVolts) {
        now = seconds;
        boolean low = lowInput ? busVolts < converter.restartInputVolts() : busVolts <= converter.lowestInputVolts();
        if (low != lowInput) {
            lowInput = low;
            return String.format(Locale.ROOT, low ? "stops: input %.2f V" : "starts again: input %.2f V", busVolts);
        }
        if (retryAt > Double.NEGATIVE_INFINITY && now >= retryAt) {
            retryAt = Double.NEGATIVE_INFINITY;
            return "tries again after an overload";
        }
        double amperes = outputWatts / converter.outputVolts();
        if (isAlive() && amperes > converter.maximumAmperes()) {
            retryAt = now + RETRY_SECONDS;
            return String.format(
                    Locale.ROOT,
                    "overload: %.1f A wanted of %.1f A; off for 10 s",
                    amperes,
                    converter.maximumAmperes());
        }
        return null;
    }

    boolean isAlive() {
        return enabled && !lowInput && retryAt == Double.NEGATIVE_INFINITY;
    }

    double inputWatts() {
        return isAlive() ? converter.idleWatts() + outputWatts / converter.efficiency() : 0;
    }

    double outputWatts() {
        return isAlive() ? outputWatts : 0;
    }

    double dueSeconds() {
        return retryAt > Double.NEGATIVE_INFINITY ? retryAt : Double.POSITIVE_INFINITY;
    }

    /** The input voltage at which its state changes next (V); it is watched from the side it is on. */
    double watchedVolts() {
        return lowInput ? converter.restartInputVolts() : converter.lowestInputVolts();
    }

    boolean isLow() {
        return lowInput;
    }
}
