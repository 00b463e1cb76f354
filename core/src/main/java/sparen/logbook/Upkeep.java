package sparen.logbook;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import sparen.program.Plan;

/**
 * Something that is due again and again.
 *
 * @param kind what is done
 * @param everyDays how often (d)
 * @param isUsual whether that is the usual, which nobody has said
 * @param last when it was done last; absent where it never was
 * @param due when it is due next
 */
public record Upkeep(EntryKind kind, int everyDays, boolean isUsual, Optional<LocalDate> last, LocalDate due) {
    /** The longest between two times (d): ten years. */
    public static final int MOST_DAYS = 3660;

    /**
     * What is due at a site, the next first.
     *
     * @param said how often somebody has said (d); 0 for never
     * @param last when each was done last
     * @param since from when on what was never done counts: when the site was handed over, or begun
     */
    public static List<Upkeep> of(
            Plan plan, Map<EntryKind, Integer> said, Map<EntryKind, LocalDate> last, LocalDate since) {
        List<Upkeep> all = new ArrayList<>();
        for (EntryKind kind : EntryKind.values()) {
            Optional<Integer> days = Optional.ofNullable(said.get(kind)).or(() -> kind.usualDays(plan));
            days.filter(every -> every > 0).ifPresent(every -> {
                Optional<LocalDate> done = Optional.ofNullable(last.get(kind));
                all.add(new Upkeep(
                        kind,
                        every,
                        !said.containsKey(kind),
                        done,
                        done.orElse(since).plusDays(every)));
            });
        }
        return inOrder(all);
    }

    /**
     * What is due once more was done.
     *
     * @param due before that
     * @param entries all that count; also those from before
     * @param zone of the site
     */
    public static List<Upkeep> after(List<Upkeep> due, List<LogEntry> entries, ZoneId zone) {
        return inOrder(due.stream()
                .map(one -> entries.stream()
                        .filter(entry -> entry.kind() == one.kind)
                        .map(entry -> entry.at().atZone(zone).toLocalDate())
                        .max(Comparator.naturalOrder())
                        .filter(done -> one.last.map(done::isAfter).orElse(true))
                        .map(one::done)
                        .orElse(one))
                .toList());
    }

    private Upkeep done(LocalDate day) {
        return new Upkeep(kind, everyDays, isUsual, Optional.of(day), day.plusDays(everyDays));
    }

    private static List<Upkeep> inOrder(List<Upkeep> all) {
        return all.stream()
                .sorted(Comparator.comparing(Upkeep::due).thenComparing(Upkeep::kind))
                .toList();
    }
}
