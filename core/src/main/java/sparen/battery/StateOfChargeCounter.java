package sparen.battery;

import sparen.logic.Timer;
import sparen.quantity.Standard;
import sparen.site.BatteryMonitor;

/**
 * A battery monitor at work in one run: counts the current through its shunt, sets itself to full, and reports in steps at its
 * samples. Its count is the truth's shadow: wrong by capacity, efficiency, offset, drift and what passes the shunt.
 */
public final class StateOfChargeCounter {
    private final BatteryMonitor monitor;
    private final double configuredCoulombs;
    private final Timer full;
    private double count;
    private double reported;
    private boolean wasFull;
    private double lastFullSeconds = Double.NaN;

    /** @param startCount what it shows at the start (fraction) */
    public StateOfChargeCounter(BatteryMonitor monitor, double startCount) {
        this.monitor = monitor;
        configuredCoulombs = monitor.configuredAmpereHours() * 3600;
        full = new Timer(monitor.fullSeconds());
        count = startCount;
        reported = rounded(count);
    }

    /** The charge its count gains in a second at a current through its shunt (fraction/s). */
    public double ratePerSecond(double amperes) {
        double read = amperes + monitor.offsetAmperes();
        double counted = read > 0 ? read * monitor.chargeEfficiency() : read;
        return counted / configuredCoulombs + monitor.driftPerDay() / Standard.DAY;
    }

    /**
     * Takes a step into its count.
     *
     * @param coulombs through the shunt during it (C, charging positive), of one sign
     * @param seconds its length (s)
     */
    public void add(double coulombs, double seconds) {
        double read = coulombs + monitor.offsetAmperes() * seconds;
        double counted = read > 0 ? read * monitor.chargeEfficiency() : read;
        count += counted / configuredCoulombs + monitor.driftPerDay() / Standard.DAY * seconds;
        count = Math.min(1, Math.max(0, count));
    }

    /**
     * Looks whether the battery counts as full.
     *
     * @return whether it has just set itself to full
     */
    public boolean settle(double seconds, double volts, double amperes) {
        full.observe(seconds, isFull(volts, amperes));
        if (full.isDue(seconds) && !wasFull) {
            wasFull = true;
            count = 1;
            lastFullSeconds = seconds;
            return true;
        }
        wasFull &= isFull(volts, amperes);
        return false;
    }

    private boolean isFull(double volts, double amperes) {
        return volts >= monitor.fullVolts() && amperes >= 0 && amperes <= monitor.fullAmperes();
    }

    /** Reports what it has counted, at a sample. */
    public void sample() {
        reported = rounded(count);
    }

    private double rounded(double fraction) {
        double step = monitor.stepPercent() / 100;
        return Math.rint(fraction / step) * step;
    }

    /** The next sample at or after an instant (s). */
    public double nextSample(double seconds) {
        return Math.ceil(seconds / monitor.sampleSeconds() - 1e-9) * monitor.sampleSeconds();
    }

    /** The lowest count (fraction) that is reported as it is reported now. */
    public double lowestCount() {
        return reported - monitor.stepPercent() / 200;
    }

    /** The highest such count. */
    public double highestCount() {
        return reported + monitor.stepPercent() / 200;
    }

    /** The lowest count (fraction) that is reported as no less than a level (fraction). */
    public double lowestCount(double level) {
        double step = monitor.stepPercent() / 100;
        double steps = Math.ceil(level / step);
        // The report itself is compared, to its last digit.
        steps += steps * step < level ? 1 : (steps - 1) * step >= level ? -1 : 0;
        return (steps - 0.5) * step;
    }

    /** The highest count (fraction) that is reported as no more than a level (fraction). */
    public double highestCount(double level) {
        double step = monitor.stepPercent() / 100;
        double steps = Math.floor(level / step);
        steps -= steps * step > level ? 1 : (steps + 1) * step <= level ? -1 : 0;
        return (steps + 0.5) * step;
    }

    /** When its full condition is met (s). */
    public double dueSeconds() {
        return wasFull ? Double.POSITIVE_INFINITY : full.dueSeconds();
    }

    /** What it reports (fraction). */
    public double reported() {
        return reported;
    }

    /** Its count before rounding (fraction). */
    public double count() {
        return count;
    }

    /** When it last set itself to full (s), NaN for never. */
    public double lastFullSeconds() {
        return lastFullSeconds;
    }

    /** How it is set. */
    public BatteryMonitor settings() {
        return monitor;
    }
}
