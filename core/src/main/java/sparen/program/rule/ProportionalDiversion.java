package sparen.program.rule;

import java.util.List;
import java.util.Optional;
import sparen.logic.Signal;
import sparen.logic.SwitchLogic;
import sparen.program.Level;
import sparen.program.Rule;
import sparen.program.Sentence;
import sparen.program.Surroundings;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

/**
 * Proportional diversion: pulses a resistive load on the main bus so that its mean current grows from nothing at one voltage to all it
 * takes at another. The contact counts as closed while it pulses.
 *
 * <p>Mean current between the two: (V − start) / (full − start) × full / R; a straight line, as pulse width against voltage is in a
 * proportional driver (definition).
 *
 * @param startVolts begins to pulse at the load's terminals (V), 0 to 1000
 * @param fullVolts is on all the time at or above (V), 0 to 1000
 */
public record ProportionalDiversion(double startVolts, double fullVolts) implements Rule {
    static final RuleKind KIND = new RuleKind(
            "proportionalDiversion",
            ProportionalDiversion.class,
            Purpose.USE_SURPLUS,
            "proportional diversion",
            around -> Optional.of(new ProportionalDiversion(
                    Usual.diversionOn(around.site()), Usual.diversionOn(around.site()) + 0.4)));

    /** So far below its start the driver goes to rest (V); judgement, no source. */
    public static final double REST_VOLTS = 0.02;

    public ProportionalDiversion {
        Bounds.within("startVolts", startVolts, 0, 1000);
        Bounds.within("fullVolts", fullVolts, 0, 1000);
        if (fullVolts <= startVolts) {
            throw new InvalidQuantity(
                    "fullVolts",
                    Bounds.number(fullVolts) + " V must be above the start, " + Bounds.number(startVolts) + " V");
        }
    }

    @Override
    public SwitchLogic compile(Surroundings around) {
        double rest = startVolts - REST_VOLTS;
        return SwitchLogic.startsOff(
                List.of(RuleConditions.signal(Signal.BUS_VOLTS, "bus", true, startVolts, "V", 0)),
                List.of(RuleConditions.signal(Signal.BUS_VOLTS, "bus", false, rest, "V", 0)));
    }

    @Override
    public Sentence sentence(Surroundings around) {
        return Sentence.start("Pulses its load from ")
                .volts("startVolts", "start", startVolts)
                .then(", the more the higher the bus, to all the time at ")
                .volts("fullVolts", "full", fullVolts)
                .then(".");
    }

    @Override
    public List<Level> levels() {
        return List.of(Level.volts("startVolts", "diversion start", Level.Role.SURPLUS_ON, startVolts, null));
    }
}
