package sparen.question;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import sparen.logbook.EntrySays;
import sparen.logbook.LogEntry;
import sparen.logbook.Upkeep;
import sparen.program.Plan;
import sparen.quantity.Bounds;

/**
 * A log into which more was written since.
 *
 * @param plan of the site
 * @param entries all that count, also those that are not new
 * @param fresh ids of those that are new: what they are about has to be in the plan
 * @param due as it was before the new ones
 */
public record LogRequest(Plan plan, List<LogEntry> entries, List<UUID> fresh, List<Upkeep> due) {
    public LogRequest {
        Bounds.present("plan", plan);
        entries = Bounds.orNone(entries);
        due = Bounds.orNone(due);
        List<UUID> mustFit = Bounds.orNone(fresh);
        fresh = mustFit;
        entries.stream().filter(entry -> mustFit.contains(entry.id())).forEach(entry -> entry.mustFit(plan));
    }

    /**
     * What the log says now.
     *
     * @param says of each entry, in their order
     * @param due what is to be done, the next first
     */
    public record LogSays(List<EntrySaid> says, List<Upkeep> due) {}

    /**
     * What an entry says.
     *
     * @param offsetVolts by what a device reads above a meter (V); absent for other entries
     */
    public record EntrySaid(EntrySays says, Optional<Double> offsetVolts) {}

    /** What it says. */
    public LogSays says() {
        return new LogSays(
                entries.stream()
                        .map(entry -> new EntrySaid(EntrySays.of(entry), EntrySays.offsetVolts(entry)))
                        .toList(),
                Upkeep.after(due, entries, plan.site().location().zone()));
    }
}
