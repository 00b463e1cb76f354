package sparen.program;

/**
 * A quantity of a plan by what a person calls it: what a rule reads, what a knob at the bench imposes.
 *
 * @param id in words joined by underscores, as in scripts and texts that have variables
 * @param name what a person reads
 * @param kind what it is a quantity of
 * @param unit as it is shown; empty for yes and no, months, stages
 * @param shownTimes how much of the shown unit one of its own is: 100 for a charge (fraction) that is shown in %, else 1
 * @param least that a knob goes down to, in its own unit
 * @param most that a knob goes up to
 * @param step of a knob
 * @param rest where it stands before anybody has turned a knob
 */
public record NamedSignal(
        String id,
        String name,
        Kind kind,
        String unit,
        double shownTimes,
        double least,
        double most,
        double step,
        double rest) {
    /** What signals are quantities of. */
    public enum Kind {
        /** At a place of the circuit (V). */
        VOLTAGE,
        /** Of an array (V). */
        ARRAY_VOLTAGE,
        /** That a charger regulates to (V). */
        REGULATION,
        /** The true state of charge (fraction); a live bench takes it at its start only. */
        TRUE_CHARGE,
        /** As a monitor reports it (fraction). */
        CHARGE,
        /** Height (°) or light (W/m²) of the sun. */
        SUN,
        /** The true hour of the day (h); a live bench takes it at its start only. */
        HOUR,
        /** By the own clock of an output's device (h). */
        DEVICE_HOUR,
        /** Month or day of the week. */
        CALENDAR,
        /** Of battery or air (°C). */
        TEMPERATURE,
        /** Net into the batteries (A). */
        CURRENT,
        /** Of a load, by its own knob (W). */
        LOAD_POWER,
        /** Of what else there is (W). */
        POWER,
        /** A source or a talk that is there or not: 1 or 0. */
        PRESENT,
        /** Something out of order: 1 or 0. */
        FAULT,
        /** Of charging, by its rank in {@link ChargeStage}. */
        STAGE,
        /** Made by hand or by another device: 1 or 0. */
        REQUEST,
        /** Of an output: 1 while closed. No knob imposes it. */
        CONTACT
    }
}
