package sparen.question;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import sparen.logbook.Upkeep;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import sparen.revision.StartingPoint;

/**
 * A site that begins.
 *
 * @param start what is known of it
 * @param today the day, at the site
 */
public record StartRequest(StartingPoint start, LocalDate today) {
    public StartRequest {
        Bounds.present("start", start);
        Bounds.present("today", today);
    }

    /**
     * A site with a complete program.
     *
     * @param due what is to be done there, the next first
     */
    public record StartedSite(Plan plan, List<Upkeep> due) {}

    /** The site. */
    public StartedSite started() {
        Plan plan = start.plan();
        return new StartedSite(plan, Upkeep.of(plan, Map.of(), Map.of(), today));
    }
}
