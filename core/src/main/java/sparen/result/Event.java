package sparen.result;

import java.util.List;

/**
 * Something that happened, and why.
 *
 * @param seconds since the start of the run (s)
 * @param kind what happened
 * @param subject id of the output or controller, empty for the bus
 * @param facts what became of the subject and why, with limits and readings
 * @param reason the facts in words
 * @param batteryVolts true voltage at the battery terminals just before (V)
 * @param stateOfCharge true state of charge (fraction)
 */
public record Event(
        double seconds,
        Kind kind,
        String subject,
        List<Fact> facts,
        String reason,
        double batteryVolts,
        double stateOfCharge) {
    public Event {
        facts = List.copyOf(facts);
    }

    /** An event with its facts put into words. */
    public static Event of(
            double seconds, Kind kind, String subject, List<Fact> facts, double batteryVolts, double stateOfCharge) {
        return new Event(seconds, kind, subject, facts, Fact.words(facts), batteryVolts, stateOfCharge);
    }

    /** Whether this became of its subject. */
    public boolean has(Change change) {
        return facts.stream().anyMatch(fact -> fact.change() == change);
    }

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
        RECOVERED,
        /** A battery's BMS opened or closed a path. */
        PATH,
        /** Something that can destroy equipment: a live array without a battery. */
        HAZARD,
        /** A fuse or breaker in a conductor opened for good. */
        FUSE,
        /** A converter stopped or started. */
        CONVERTER,
        /** A generator of direct current was braked, or let go. */
        BRAKE,
        /** The inverter stopped, started, transferred, searched or warned. */
        AC,
        /** A generator changed its state. */
        GENERATOR,
        /** A feeder came or went. */
        FEEDER,
        /** The thermostat of a tank moved. */
        TANK,
        /** A device's clock lost the time and began at midnight. */
        CLOCK,
        /** An output is locked out, or let go. */
        LOCKOUT,
        /** A battery monitor set itself to full. */
        SYNCHRONISED
    }
}
