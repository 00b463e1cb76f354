package sparen.power;

/** How long a charger has held its voltage in a stage: a cloud pauses the time or starts it anew. */
final class HeldTime {
    private final boolean startsAnew;
    private double before;
    private double since = Double.NaN;

    HeldTime(boolean startsAnew) {
        this.startsAnew = startsAnew;
    }

    void reset() {
        before = 0;
        since = Double.NaN;
    }

    /** Takes whether the voltage is held at an instant (s), in a stage in which that counts. */
    void observe(double seconds, boolean held) {
        boolean counting = !Double.isNaN(since);
        if (held && !counting) {
            since = seconds;
        } else if (counting && !held) {
            before = startsAnew ? 0 : before + seconds - since;
            since = Double.NaN;
        }
    }

    /** When it will have been held for so long (s), infinite while it is not held. */
    double dueSeconds(double wanted) {
        return Double.isNaN(since) ? Double.POSITIVE_INFINITY : since + wanted - before;
    }
}
