package sparen.question;

import java.util.Optional;
import sparen.quantity.Bounds;

/**
 * A look into a run that is kept.
 *
 * @param id by which it was kept
 * @param from since its start (s)
 * @param to since its start (s)
 * @param count how many buckets of the tape, or how many events at most; the number of the event whose chain is wanted
 * @param subject id of the only one whose events are wanted; absent for all
 * @param skip how many events are left out first; absent for none
 */
public record RunLook(String id, double from, double to, int count, Optional<String> subject, Optional<Integer> skip) {
    public RunLook {
        Bounds.present("id", id);
        subject = Bounds.orEmpty(subject);
        skip = Bounds.orEmpty(skip);
    }
}
