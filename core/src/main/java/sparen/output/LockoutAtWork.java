package sparen.output;

import java.util.Arrays;
import java.util.Optional;
import sparen.logic.Signal;
import sparen.program.Lockout;
import sparen.program.Sentence;
import sparen.result.Event;

/** The lockout of an output in one run: counts trips in a moving time, makes it wait, and keeps it open. */
final class LockoutAtWork {
    /** The sun's upper edge is at the horizon with its centre here (°); almanac convention. */
    private static final double SUNRISE_DEGREES = -0.833;

    private final Lockout lockout;
    private final double[] trips;
    private int count;
    private int inARow;
    private double waitsUntil = Double.NEGATIVE_INFINITY;
    private boolean locked;
    private boolean sawNight;
    private Optional<Event.Change> news = Optional.empty();

    LockoutAtWork(Lockout lockout) {
        this.lockout = lockout;
        trips = new double[lockout.trips()];
        Arrays.fill(trips, Double.NEGATIVE_INFINITY);
    }

    /** Counts a trip at an instant (s) and says what follows from it. */
    String trip(double seconds) {
        double before = count == 0 ? Double.NEGATIVE_INFINITY : trips[(count - 1) % trips.length];
        inARow = seconds - before <= lockout.withinSeconds() ? inARow + 1 : 1;
        trips[count % trips.length] = seconds;
        count++;
        double oldest = trips[count % trips.length];
        if (count >= trips.length && seconds - oldest <= lockout.withinSeconds()) {
            locked = true;
            news = Optional.of(Event.Change.LOCKED_OUT);
            sawNight = false;
            waitsUntil = lockout.release() == Lockout.Release.TIME
                    ? seconds + lockout.waitSeconds()
                    : Double.POSITIVE_INFINITY;
            return "; locked out after " + trips.length + " trips";
        }
        double wait = lockout.firstWaitSeconds() * StrictMath.pow(lockout.growthFactor(), inARow - 1.0);
        waitsUntil = seconds + wait;
        return wait > 0 ? OutputAtWork.waits(wait) : "";
    }

    /** What has become of it since it was last asked. */
    Optional<Event.Change> takeNews() {
        Optional<Event.Change> taken = news;
        news = Optional.empty();
        return taken;
    }

    /** What has just ended, in words. */
    String over() {
        return news.isPresent() ? "the lockout is over" : "its wait after a trip is over";
    }

    /** Until when it keeps the output open, in words; empty where it does not. */
    String holds(double seconds) {
        if (!locked) {
            return seconds < waitsUntil
                    ? "waits " + Sentence.duration(Math.ceil(waitsUntil - seconds)) + " more after a trip"
                    : "";
        }
        return switch (lockout.release()) {
            case TIME -> "locked out for " + Sentence.duration(Math.ceil(waitsUntil - seconds)) + " more";
            case DAWN -> "locked out until dawn";
            case HAND -> "locked out until it is reset by hand";
        };
    }

    /** Whether the output may close at an instant (s). */
    boolean lets(double seconds) {
        return !locked && seconds >= waitsUntil;
    }

    /** Looks whether the lockout ends; whether it, or a wait, has just ended. */
    boolean settle(double seconds, double[] signals) {
        if (locked && lockout.release() == Lockout.Release.DAWN) {
            boolean up = signals[Signal.SUN_ALTITUDE_DEGREES] >= SUNRISE_DEGREES;
            if (up && sawNight) {
                waitsUntil = seconds;
            }
            sawNight |= !up;
        }
        if (seconds < waitsUntil || waitsUntil == Double.NEGATIVE_INFINITY) {
            return false;
        }
        if (locked) {
            Arrays.fill(trips, Double.NEGATIVE_INFINITY);
            count = 0;
            locked = false;
            news = Optional.of(Event.Change.LET_GO);
        }
        waitsUntil = Double.NEGATIVE_INFINITY;
        return true;
    }

    /** When its wait ends (s). */
    double dueSeconds(double seconds) {
        return waitsUntil > seconds ? waitsUntil : Double.POSITIVE_INFINITY;
    }

    void narrow(double[] signals, double[] low, double[] high) {
        if (locked && lockout.release() == Lockout.Release.DAWN) {
            int sun = Signal.SUN_ALTITUDE_DEGREES;
            if (signals[sun] >= SUNRISE_DEGREES) {
                low[sun] = Math.max(low[sun], SUNRISE_DEGREES);
            } else {
                high[sun] = Math.min(high[sun], Math.nextDown(SUNRISE_DEGREES));
            }
        }
    }
}
