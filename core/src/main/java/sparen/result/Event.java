package sparen.result;

import java.util.List;

/**
 * Something that happened, and why.
 *
 * @param seconds since the start of the run (s)
 * @param kind what happened
 * @param subject id of the output or controller, empty for the bus
 * @param changes what became of the subject, where that is more than its kind says; in the order it came about
 * @param reason in words: which threshold, which sense point, which timer, what was read
 * @param batteryVolts true voltage at the battery terminals just before (V)
 * @param stateOfCharge true state of charge (fraction)
 */
public record Event(
        double seconds,
        Kind kind,
        String subject,
        List<Change> changes,
        String reason,
        double batteryVolts,
        double stateOfCharge) {
    public Event {
        changes = List.copyOf(changes);
    }

    /** Whether this became of its subject. */
    public boolean has(Change change) {
        return changes.contains(change);
    }

    /** What can become of a part. */
    public enum Change {
        /** A BMS opened the path for charging: from now on its battery takes nothing. */
        CHARGE_PATH_OPENED,
        CHARGE_PATH_CLOSED,
        /** A BMS opened the path for discharging: from now on its battery gives nothing. */
        DISCHARGE_PATH_OPENED,
        DISCHARGE_PATH_CLOSED,
        /** A BMS waits for a charger to wake it. */
        FELL_ASLEEP,
        /** A generator has been called. */
        STARTING,
        /** A start failed; the next is awaited. */
        START_FAILED,
        RUNNING,
        /** It runs on unloaded. */
        COOLING,
        STOPPED,
        /** All its starts failed: it waits for a hand. */
        GAVE_UP,
        /** A feeder is there again. */
        CAME,
        /** A feeder is gone. */
        WENT,
        /** An output stays open from now on, after so many trips. */
        LOCKED_OUT,
        /** An output may close again. */
        LET_GO
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
