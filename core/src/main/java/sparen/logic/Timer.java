package sparen.logic;

/** Counts how long a condition has held without a break. Working state of one run. */
public final class Timer {
    private final double delaySeconds;
    private double dueSeconds = Double.POSITIVE_INFINITY;

    /** @param delaySeconds how long the condition must hold (s), 0 or more */
    public Timer(double delaySeconds) {
        this.delaySeconds = delaySeconds;
    }

    /** Tells the timer whether its condition holds at an instant (s): starts it, lets it run or resets it. */
    public void observe(double seconds, boolean holds) {
        if (!holds) {
            reset();
        } else if (dueSeconds == Double.POSITIVE_INFINITY) {
            dueSeconds = seconds + delaySeconds;
        }
    }

    /** Forgets what it has counted. */
    public void reset() {
        dueSeconds = Double.POSITIVE_INFINITY;
    }

    /** The instant (s) at which it will have run out, infinite while it does not run. */
    public double dueSeconds() {
        return dueSeconds;
    }

    /** Whether it has run out at this instant (s). */
    public boolean isDue(double seconds) {
        return seconds >= dueSeconds;
    }
}
