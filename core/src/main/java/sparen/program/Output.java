package sparen.program;

import java.util.List;
import java.util.Optional;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

/**
 * A relay, auxiliary output or load terminal. Its contact follows mode and protection; a test force goes past both.
 *
 * @param id its name in references
 * @param name what the crew calls it
 * @param loads ids of what is behind its contact: loads, or a controller, converter or inverter by its enable or supply, or a
 *     generator by its start signal; none for a signalling contact
 * @param mode off, on, or by the rule below
 * @param automatic the rule of a mode by rule; kept while the mode is off or on
 * @param protection guard that opens the contact whatever the mode
 * @param testForce temporary force past mode and protection
 * @param supply id of the converter or inverter that feeds the device which decides; absent for the main bus
 * @param withoutPower contact position while that supply is gone; absent for open
 * @param coilWatts what its coil or driver draws from the main bus while the contact is away from rest (W), 0 to 200
 * @param rest contact position with the coil idle; absent for open
 * @param lockout what becomes of it when its protection keeps opening it
 * @param contact physical facts of its contact
 * @param clock of the device that decides; absent for one that is always right
 * @param side where it acts at a charge controller or an inverter; absent for its enable input
 */
public record Output(
        String id,
        String name,
        List<String> loads,
        Mode mode,
        Optional<Rule> automatic,
        Optional<Rule> protection,
        TestForce testForce,
        Optional<String> supply,
        Optional<Position> withoutPower,
        Optional<Double> coilWatts,
        Optional<Position> rest,
        Optional<Lockout> lockout,
        Optional<Contact> contact,
        Optional<DeviceClock> clock,
        Optional<Side> side)
        implements OutputWith {
    /** Where a contact acts at a charge controller or an inverter. */
    public enum Side {
        /** At an input that permits it. */
        ENABLE,
        /** In the line from its arrays. */
        ARRAY,
        /** In the line to the battery: opening it under a live array can destroy the controller. */
        BATTERY,
        /** At the input of an inverter that permits its charger alone: the loads stay fed. */
        CHARGE
    }

    /** Positions of a contact. */
    public enum Position {
        OPEN,
        CLOSED
    }

    public Output {
        Bounds.id("id", id);
        Bounds.name("name", name);
        loads = List.copyOf(Bounds.present("loads", loads));
        Bounds.unique("loads", loads);
        Bounds.present("mode", mode);
        Bounds.present("testForce", testForce);
        automatic = Bounds.orEmpty(automatic);
        protection = Bounds.orEmpty(protection);
        supply = Bounds.orEmpty(supply);
        withoutPower = Bounds.orEmpty(withoutPower);
        coilWatts = Bounds.optional("coilWatts", coilWatts, 0, 200);
        rest = Bounds.orEmpty(rest);
        lockout = Bounds.orEmpty(lockout);
        contact = Bounds.orEmpty(contact);
        clock = Bounds.orEmpty(clock);
        side = Bounds.orEmpty(side);
        if (mode == Mode.BY_RULE && automatic.isEmpty()) {
            throw new InvalidQuantity("mode", "BY_RULE needs an automatic rule; this output has none");
        }
    }

    /** An output of a device on the main bus whose coil draws nothing and whose contact rests open. */
    public Output(
            String id,
            String name,
            List<String> loads,
            Mode mode,
            Optional<Rule> automatic,
            Optional<Rule> protection,
            TestForce testForce) {
        this(
                id,
                name,
                loads,
                mode,
                automatic,
                protection,
                testForce,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    /** Whether its coil is active for a contact in this position. */
    public boolean coilIsActive(boolean closed) {
        return closed == (rest.orElse(Position.OPEN) == Position.OPEN);
    }
}
