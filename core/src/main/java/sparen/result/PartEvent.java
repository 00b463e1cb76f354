package sparen.result;

import java.util.List;

/**
 * What happened to a part, to be reported with its instant.
 *
 * @param subject id of the part; empty for the bus
 * @param changes what became of it
 * @param reason in words
 */
public record PartEvent(Event.Kind kind, String subject, List<Event.Change> changes, String reason) {
    /** What happened where nothing lasting became of the part. */
    public PartEvent(Event.Kind kind, String subject, String reason) {
        this(kind, subject, List.of(), reason);
    }
}
