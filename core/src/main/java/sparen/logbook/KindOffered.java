package sparen.logbook;

import java.util.List;
import java.util.Optional;
import sparen.program.Plan;

/**
 * A kind of entry, as it is offered at a site.
 *
 * @param words what a person reads
 * @param usualDays after which it is usual to be due again (d); absent where it is not
 */
public record KindOffered(
        EntryKind kind,
        String words,
        EntryKind.About about,
        String cellUnit,
        List<EntryKind.EntryNumber> numbers,
        Optional<Integer> usualDays) {
    /** All kinds, for the site of a plan. */
    public static List<KindOffered> of(Plan plan) {
        return List.of(EntryKind.values()).stream()
                .map(kind -> new KindOffered(
                        kind, kind.words(), kind.about(), kind.cellUnit(), kind.numbers(), kind.usualDays(plan)))
                .toList();
    }
}
