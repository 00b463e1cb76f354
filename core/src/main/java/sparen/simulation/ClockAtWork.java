package sparen.simulation;

import java.time.Duration;
import sparen.program.DeviceClock;
import sparen.quantity.Standard;

/** The clock of a device in one run: what hour it shows, and when that leaves an interval. */
final class ClockAtWork {
    /** Room before and after the run (s): a clock may be a day off either way, and drift. */
    private static final double ROOM_SECONDS = 3 * Standard.DAY;

    private final DeviceClock clock;
    private final LocalClock local;
    private double shift;

    ClockAtWork(DeviceClock clock, Scenario scenario) {
        this.clock = clock;
        double drifts = Math.abs(clock.driftSecondsPerDay()) * scenario.durationSeconds() / Standard.DAY;
        local = new LocalClock(
                scenario.start().minus(Duration.ofSeconds((long) ROOM_SECONDS)),
                scenario.durationSeconds() + drifts + 2 * ROOM_SECONDS,
                scenario.plan().site().location().zone());
        shift = clock.offsetSeconds() + ROOM_SECONDS;
    }

    private double shown(double seconds) {
        return seconds * (1 + clock.driftSecondsPerDay() / Standard.DAY) + shift;
    }

    /** The hour it shows at an instant (s). */
    double hour(double seconds) {
        double shown = shown(seconds);
        local.moveTo(shown);
        return local.hour(shown);
    }

    /** The next instant (s) at which the hour it shows leaves an interval. */
    double nextExit(double seconds, double low, double high) {
        double shown = shown(seconds);
        local.moveTo(shown);
        double exit = local.nextHourExit(shown, low, high);
        return exit == Double.POSITIVE_INFINITY
                ? exit
                : seconds + (exit - shown) / (1 + clock.driftSecondsPerDay() / Standard.DAY);
    }

    /**
     * Its supply has come back.
     *
     * @return whether it has lost the time and begins at midnight
     */
    boolean revive(double seconds) {
        if (clock.lostAtPowerDown()) {
            shift -= hour(seconds) * 3600;
        }
        return clock.lostAtPowerDown();
    }
}
