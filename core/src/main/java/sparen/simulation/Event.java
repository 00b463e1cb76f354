package sparen.simulation;

/**
 * Something that happened, and why.
 *
 * @param seconds since the start of the run (s)
 * @param kind what happened
 * @param subject id of the output or controller, empty for the bus
 * @param reason in words: which threshold, which sense point, which timer, what was read
 * @param batteryVolts true voltage at the battery terminals just before (V)
 * @param stateOfCharge true state of charge (fraction)
 */
public record Event(
        double seconds, Kind kind, String subject, String reason, double batteryVolts, double stateOfCharge) {
    /** The kinds of event. */
    public enum Kind {
        /** An output's contact opened. */
        OPENED,
        /** An output's contact closed. */
        CLOSED,
        /** An output switched so often within a second that it is chattering. */
        CHATTER,
        /** A controller went to another stage. */
        STAGE,
        /** The battery is empty: every load is lost. */
        EMPTY,
        /** The battery cannot carry the loads at any voltage: every load is lost. */
        COLLAPSE,
        /** After either of these the loads are fed again. */
        RECOVERED
    }
}
