package sparen.program;

import sparen.quantity.Bounds;

/**
 * The clock of the device that decides.
 *
 * @param offsetSeconds ahead of the true local time at the start (s), −86,400 to 86,400
 * @param driftSecondsPerDay gains so much a day (s/d), −3600 to 3600
 * @param lostAtPowerDown whether it begins at midnight when its supply comes back
 */
public record DeviceClock(double offsetSeconds, double driftSecondsPerDay, boolean lostAtPowerDown) {
    public DeviceClock {
        Bounds.within("offsetSeconds", offsetSeconds, -86_400, 86_400);
        Bounds.within("driftSecondsPerDay", driftSecondsPerDay, -3600, 3600);
    }

    /** How it is said. */
    public Sentence sentence() {
        return Sentence.start("Its clock is ")
                .number("offsetSeconds", "clock offset", offsetSeconds, "s", 10, 600, -86_400, 86_400)
                .then(" ahead and gains ")
                .number("driftSecondsPerDay", "clock drift", driftSecondsPerDay, "s/d", 1, 10, -3600, 3600)
                .then(lostAtPowerDown ? "; it begins at midnight when its supply comes back." : "; it keeps the time.");
    }
}
