package sparen.power;

/** Between which readings nothing of a charger's stages can have changed since it last looked. */
final class Quiet {
    private double due = Double.NEGATIVE_INFINITY;
    private double low;
    private double high;
    private boolean held;
    private boolean dark;
    private boolean awaitsTail;
    private boolean belowTail;

    /**
     * Takes how it stands.
     *
     * @param dueSeconds when a timer of its stages is due (s)
     * @param holds whether it holds its voltage
     * @param noSource whether it has nothing to charge from
     */
    void begin(double dueSeconds, boolean holds, boolean noSource) {
        due = dueSeconds;
        held = holds;
        dark = noSource;
        awaitsTail = false;
        low = Double.NEGATIVE_INFINITY;
        high = Double.POSITIVE_INFINITY;
    }

    /** It waits for a current and is at or below it, or not yet. */
    void awaitTail(boolean below) {
        awaitsTail = true;
        belowTail = below;
    }

    /** It looks whether the voltage falls to a level (V), or whether it has risen above it. */
    void awaitLevel(double volts, double level) {
        if (volts <= level) {
            narrow(Double.NEGATIVE_INFINITY, level);
        } else {
            narrow(Math.nextUp(level), Double.POSITIVE_INFINITY);
        }
    }

    /** It has to look below and above these (V) too. */
    void narrow(double lowest, double highest) {
        low = Math.max(low, lowest);
        high = Math.min(high, highest);
    }

    boolean isBefore(double seconds) {
        return seconds < due;
    }

    boolean holds(double volts, boolean holdsVoltage, boolean noSource) {
        return volts >= low && volts <= high && holdsVoltage == held && noSource == dark;
    }

    boolean holdsTail(double amperes, double level) {
        return !awaitsTail || amperes <= level == belowTail;
    }

    double lowestVolts() {
        return low;
    }

    double highestVolts() {
        return high;
    }
}
