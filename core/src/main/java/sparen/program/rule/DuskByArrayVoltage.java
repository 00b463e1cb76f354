package sparen.program.rule;

import java.util.List;
import sparen.logic.SwitchLogic;
import sparen.program.Rule;
import sparen.program.Sentence;
import sparen.program.Surroundings;
import sparen.quantity.Bounds;

/**
 * A light from dusk to dawn by the voltage of the arrays, which falls with the light.
 *
 * @param controller id of the controller whose arrays tell
 * @param duskVolts night begins at or below (V), 0 to 2000; some 8 V for each 12 V panel is usual
 * @param duskDelaySeconds for so long (s), 0 to 7200; 1 to 10 min is usual
 * @param dawnVolts night ends at or above (V), 0 to 2000
 * @param dawnDelaySeconds for so long (s), 0 to 7200
 */
public record DuskByArrayVoltage(
        String controller, double duskVolts, double duskDelaySeconds, double dawnVolts, double dawnDelaySeconds)
        implements Rule {
    static final RuleKind KIND = new RuleKind(
            "duskByArrayVoltage",
            DuskByArrayVoltage.class,
            Purpose.LIGHT_AND_TIME,
            "dusk by array voltage",
            around -> Usual.byArrays(
                    around,
                    controller -> new DuskByArrayVoltage(
                            controller,
                            Math.round(8 * around.site().nominalVolts() / 12),
                            300,
                            Math.round(10 * around.site().nominalVolts() / 12),
                            300)));

    public DuskByArrayVoltage {
        Bounds.id("controller", controller);
        Bounds.within("duskVolts", duskVolts, 0, 2000);
        Bounds.within("dawnVolts", dawnVolts, 0, 2000);
        Bounds.within("duskDelaySeconds", duskDelaySeconds, 0, 7200);
        Bounds.within("dawnDelaySeconds", dawnDelaySeconds, 0, 7200);
    }

    @Override
    public SwitchLogic compile(Surroundings around) {
        int signal = around.arrayVolts(controller);
        return SwitchLogic.startsOff(
                List.of(RuleConditions.signal(signal, "dusk: array", false, duskVolts, "V", duskDelaySeconds)),
                List.of(RuleConditions.signal(signal, "dawn: array", true, dawnVolts, "V", dawnDelaySeconds)));
    }

    @Override
    public Sentence sentence(Surroundings around) {
        return Sentence.start("Closes when the arrays of ")
                .controller("controller", controller, around.site())
                .then(" have been at or below ")
                .number("duskVolts", "dusk", duskVolts, "V", 0.5, 2, 0, 2000)
                .then(" for ")
                .seconds("duskDelaySeconds", "dusk delay", duskDelaySeconds, 7200)
                .then(", opens at or above ")
                .number("dawnVolts", "dawn", dawnVolts, "V", 0.5, 2, 0, 2000)
                .then(" for ")
                .seconds("dawnDelaySeconds", "dawn delay", dawnDelaySeconds, 7200)
                .then(".");
    }
}
