package sparen.app.plan;

import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * What is told of a revision without its plan.
 *
 * @param number from 0, as found
 * @param parent the revision it was made from, absent for the first
 * @param note what was changed or why; may be empty
 * @param author full name
 * @param savedAt when
 * @param name given to find it again; absent for none
 * @param changes what differs from its parent, in sentences
 */
public record Revision(
        int number,
        Optional<Integer> parent,
        String note,
        String author,
        Instant savedAt,
        Optional<String> name,
        List<String> changes) {}
