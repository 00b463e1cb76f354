package sparen.simulation;

import sparen.result.Change;
import sparen.result.Fact;
import sparen.series.Stay;
import sparen.site.Converter;

/** A DC converter with its secondary bus in one run. */
final class ConverterAtWork implements Part {
    private static final double RETRY_SECONDS = 10;
    private static final double LONGEST_RETRY_SECONDS = 900;
    private static final double GOOD_RUN_SECONDS = 600;
    /** It does not start again before this after a low input (s); judgement, no source. */
    private static final double LEAST_OFF_SECONDS = 1;

    final Converter converter;
    boolean enabled = true;
    private boolean lowInput;
    private double retryAt = Double.NEGATIVE_INFINITY;
    private double outputWatts;
    private double now;
    private double offUntil = Double.NEGATIVE_INFINITY;
    private double retrySeconds = RETRY_SECONDS;
    private double startedAt;

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
     * @return why, when it stopped or started; null when it did not
     */
    Fact settle(double seconds, double busVolts) {
        now = seconds;
        boolean low = lowInput
                ? now < offUntil || busVolts < converter.restartInputVolts()
                : busVolts <= converter.lowestInputVolts();
        if (low != lowInput) {
            lowInput = low;
            offUntil = low ? now + LEAST_OFF_SECONDS : Double.NEGATIVE_INFINITY;
            return low
                    ? Fact.of(Change.INPUT_LOW, converter.lowestInputVolts(), busVolts)
                    : Fact.of(Change.INPUT_BACK, converter.restartInputVolts(), busVolts);
        }
        if (retryAt > Double.NEGATIVE_INFINITY && now >= retryAt) {
            retryAt = Double.NEGATIVE_INFINITY;
            startedAt = now;
            return Fact.of(Change.TRIES_AGAIN);
        }
        double amperes = outputWatts / converter.outputVolts();
        if (isAlive() && amperes > converter.maximumAmperes()) {
            return giveUp(amperes);
        }
        return null;
    }

    /** Off, each time for twice as long as the last, until it has run well for a while. */
    private Fact giveUp(double amperes) {
        retrySeconds = now - startedAt > GOOD_RUN_SECONDS
                ? RETRY_SECONDS
                : Math.min(LONGEST_RETRY_SECONDS, retrySeconds * (startedAt == 0 ? 1 : 2));
        retryAt = now + retrySeconds;
        return Fact.of(Change.OVERLOAD, converter.maximumAmperes(), amperes, retrySeconds);
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

    @Override
    public double dueSeconds() {
        double due = offUntil > now ? offUntil : Double.POSITIVE_INFINITY;
        return retryAt > Double.NEGATIVE_INFINITY ? Math.min(due, retryAt) : due;
    }

    /** The input voltage at which its state changes next is watched from the side it is on, once it may change. */
    @Override
    public void watch(Stay stay, Circuit circuit) {
        double[] volts = circuit.bus.busVolts();
        if (offUntil > now) {
            return;
        }
        if (lowInput) {
            stay.within(volts, Double.NEGATIVE_INFINITY, Math.nextDown(converter.restartInputVolts()));
        } else {
            stay.within(volts, Math.nextUp(converter.lowestInputVolts()), Double.POSITIVE_INFINITY);
        }
    }
}
