package sparen.program.rule;

import java.util.List;
import sparen.logic.SwitchLogic;
import sparen.program.Rule;
import sparen.program.Sentence;
import sparen.program.Surroundings;
import sparen.quantity.Bounds;

/**
 * Opens the array side when the arrays' voltage goes too high, and holds it open; sensed on the array side, so it sees the open
 * voltage while open.
 *
 * @param controller id of the controller whose arrays are watched
 * @param openVolts opens at or above (V), 0 to 2000
 * @param closeVolts closes at or below (V), 0 to 2000
 * @param holdSeconds stays open so long at least (s), 0 to 86,400
 */
public record ArrayOverVoltage(String controller, double openVolts, double closeVolts, double holdSeconds)
        implements Rule {
    static final RuleKind KIND = new RuleKind(
            "arrayOverVoltage",
            ArrayOverVoltage.class,
            Purpose.SAFE_CHARGING,
            "array over-voltage opening",
            around -> Usual.byArrays(around, controller -> new ArrayOverVoltage(controller, 145, 135, 600)));

    public ArrayOverVoltage {
        Bounds.id("controller", controller);
        Bounds.within("openVolts", openVolts, 0, 2000);
        Bounds.within("closeVolts", closeVolts, 0, 2000);
        Bounds.within("holdSeconds", holdSeconds, 0, 86_400);
    }

    @Override
    public SwitchLogic compile(Surroundings around) {
        int signal = around.arrayVolts(controller);
        return SwitchLogic.startsOn(
                        List.of(RuleConditions.signal(signal, "array", false, closeVolts, "V", 0)),
                        List.of(RuleConditions.signal(signal, "array", true, openVolts, "V", 0)))
                .offAtLeast(holdSeconds);
    }

    @Override
    public Sentence sentence(Surroundings around) {
        return Sentence.start("Opens when the arrays of ")
                .controller("controller", controller, around.site())
                .then(" are at or above ")
                .number("openVolts", "array over-voltage", openVolts, "V", 1, 5, 0, 2000)
                .then(", stays open ")
                .seconds("holdSeconds", "hold", holdSeconds)
                .then(" at least, closes at or below ")
                .number("closeVolts", "array release", closeVolts, "V", 1, 5, 0, 2000)
                .then(".");
    }
}
