package sparen.study;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Optional;
import sparen.quantity.Bounds;
import sparen.simulation.Request;

/**
 * Something that somebody does by hand in a run: presses a button that a rule waits for, or resets a lockout.
 *
 * @param request as rules call it; that of a lockout is {@link sparen.program.Lockout#resetOf}
 * @param on the day, by the site's calendar
 * @param minuteOfDay by the site's clock (min since midnight), 0 to 1439
 * @param minutes after which it is withdrawn (min), 0.1 to 10,080
 */
public record ByHand(String request, LocalDate on, int minuteOfDay, double minutes) {
    /** So many are done in one run at most. */
    public static final int MOST = 100;

    private static final int MINUTES_OF_AN_HOUR = 60;

    public ByHand {
        Bounds.id("request", request);
        Bounds.present("on", on);
        Bounds.within("minuteOfDay", minuteOfDay, "min", 0, 1439);
        Bounds.within("minutes", minutes, 0.1, 10_080);
    }

    /** As the engine takes it, in a run that begins at an instant; none where it is withdrawn before that. */
    Optional<Request> in(Instant start, ZoneId zone) {
        Instant at = on.atTime(minuteOfDay / MINUTES_OF_AN_HOUR, minuteOfDay % MINUTES_OF_AN_HOUR)
                .atZone(zone)
                .toInstant();
        double from = (at.toEpochMilli() - start.toEpochMilli()) / 1000.0;
        double to = from + minutes * MINUTES_OF_AN_HOUR;
        return to <= 0 ? Optional.empty() : Optional.of(new Request(request, Math.max(0, from), to));
    }
}
