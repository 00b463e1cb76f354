package sparen.output;

import java.util.Arrays;
import java.util.BitSet;
import java.util.Optional;
import sparen.logic.Signal;
import sparen.program.Lockout;
import sparen.program.Sentence;
import sparen.program.Surroundings;
import sparen.result.Change;
import sparen.result.Fact;

/** The lockout of an output in one run: counts trips in a moving time, makes it wait, and keeps it open. */
final class LockoutAtWork {
    /** The sun's upper edge is at the horizon with its centre here (°); almanac convention. */
    private static final double SUNRISE_DEGREES = -0.833;

    private final Lockout lockout;
    private final int reset;
    private final double[] trips;
    private int count;
    private int inARow;
    private double waitsUntil = Double.NEGATIVE_INFINITY;
    private boolean locked;
    private boolean sawNight;
    private Optional<Change> news = Optional.empty();

    /** That of an output, given what its rules can name. */
    LockoutAtWork(Lockout lockout, String output, Surroundings around) {
        this.lockout = lockout;
        reset = lockout.release() == Lockout.Release.HAND ? around.request(Lockout.resetOf(output)) : -1;
        trips = new double[lockout.trips()];
        Arrays.fill(trips, Double.NEGATIVE_INFINITY);
    }

    /** Counts a trip at an instant (s); what follows from it. */
    Optional<Fact> trip(double seconds) {
        double before = count == 0 ? Double.NEGATIVE_INFINITY : trips[(count - 1) % trips.length];
        inARow = seconds - before <= lockout.withinSeconds() ? inARow + 1 : 1;
        trips[count % trips.length] = seconds;
        count++;
        double oldest = trips[count % trips.length];
        if (count >= trips.length && seconds - oldest <= lockout.withinSeconds()) {
            locked = true;
            news = Optional.of(Change.LOCKED_OUT);
            sawNight = false;
            waitsUntil = lockout.release() == Lockout.Release.TIME
                    ? seconds + lockout.waitSeconds()
                    : Double.POSITIVE_INFINITY;
            return Optional.of(Fact.of(Change.TRIPPED_OUT, trips.length));
        }
        double wait = lockout.firstWaitSeconds() * StrictMath.pow(lockout.growthFactor(), inARow - 1.0);
        waitsUntil = seconds + wait;
        return wait > 0 ? Optional.of(Fact.of(Change.WAITS, Sentence.duration(Math.round(wait)))) : Optional.empty();
    }

    /** What has become of it since it was last asked. */
    Optional<Change> takeNews() {
        Optional<Change> taken = news;
        news = Optional.empty();
        return taken;
    }

    /** What has just ended. */
    Fact over() {
        return Fact.of(news.isPresent() ? Change.LET_GO : Change.WAIT_OVER);
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
        if (locked && reset >= 0 && signals[reset] > 0.5) {
            waitsUntil = seconds;
        }
        if (seconds < waitsUntil || waitsUntil == Double.NEGATIVE_INFINITY) {
            return false;
        }
        if (locked) {
            Arrays.fill(trips, Double.NEGATIVE_INFINITY);
            count = 0;
            locked = false;
            news = Optional.of(Change.LET_GO);
        }
        waitsUntil = Double.NEGATIVE_INFINITY;
        return true;
    }

    /** When its wait ends (s). */
    double dueSeconds(double seconds) {
        return waitsUntil > seconds ? waitsUntil : Double.POSITIVE_INFINITY;
    }

    /** Adds the signal that lets it go. */
    void addSignals(BitSet into) {
        if (lockout.release() != Lockout.Release.TIME) {
            into.set(reset >= 0 ? reset : Signal.SUN_ALTITUDE_DEGREES);
        }
    }

    void narrow(double[] signals, double[] low, double[] high) {
        if (locked && reset >= 0) {
            high[reset] = Math.min(high[reset], 0.5);
        }
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
