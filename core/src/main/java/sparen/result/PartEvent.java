package sparen.result;

import java.util.List;

/**
 * What happened to a part, to be reported with its instant.
 *
 * @param subject id of the part; empty for the bus
 * @param facts what became of it and why
 */
public record PartEvent(Event.Kind kind, String subject, List<Fact> facts) {
    /** What happened by one fact. */
    public PartEvent(Event.Kind kind, String subject, Fact fact) {
        this(kind, subject, List.of(fact));
    }

    /** Whether this became of the part. */
    public boolean has(Change change) {
        for (int i = 0; i < facts.size(); i++) {
            if (facts.get(i).change() == change) {
                return true;
            }
        }
        return false;
    }
}
