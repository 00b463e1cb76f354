package sparen.question;

import java.util.List;
import java.util.Optional;
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
 * @param due as it was before the new ones
 */
public record LogRequest(Plan plan, List<LogEntry> entries, List<Upkeep> due) {
    public LogRequest {
        Bounds.present("plan", plan);
        entries = Bounds.orNone(entries);
        due = Bounds.orNone(due);
        entries.forEach(entry -> entry.mustFit(plan));
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
