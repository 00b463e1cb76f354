package sparen.simulation;

import java.util.List;

/**
 * What happened to a part, to be reported with its instant.
 *
 * @param subject id of the part; empty for the bus
 * @param changes what became of it
 * @param reason in words
 */
record PartEvent(Event.Kind kind, String subject, List<Event.Change> changes, String reason) {
    PartEvent(Event.Kind kind, String subject, String reason) {
        this(kind, subject, List.of(), reason);
    }
}
