package sparen.program.rule;

import java.util.List;
import sparen.logic.SwitchLogic;
import sparen.program.Rule;
import sparen.program.Sentence;
import sparen.program.Surroundings;
import sparen.quantity.Bounds;

/**
 * Diversion relative to the regulation level a charger has at present: it follows stage and temperature.
 *
 * @param sensePoint id of the point whose reading decides
 * @param charger id of the charger whose level it goes by
 * @param onOffsetVolts closes at or above the level plus this (V), −20 to 20
 * @param onDelaySeconds for so long (s), 0 to 86,400
 * @param offOffsetVolts opens at or below the level plus this (V), −20 to 20
 * @param offDelaySeconds for so long (s), 0 to 86,400
 * @param minimumRunSeconds stays closed so long at least (s), 0 to 86,400
 */
public record RelativeDiversion(
        String sensePoint,
        String charger,
        double onOffsetVolts,
        double onDelaySeconds,
        double offOffsetVolts,
        double offDelaySeconds,
        double minimumRunSeconds)
        implements Rule {
    static final RuleKind KIND = new RuleKind(
            "relativeDiversion",
            RelativeDiversion.class,
            Purpose.USE_SURPLUS,
            "diversion relative to the regulation level",
            around -> Usual.bySensePoint(around, point -> Usual.byCharger(
                            around, charger -> new RelativeDiversion(point, charger, -0.1, 60, -0.8, 30, 120))
                    .orElse(null)));

    public RelativeDiversion {
        Bounds.id("sensePoint", sensePoint);
        Bounds.id("charger", charger);
        Bounds.within("onOffsetVolts", onOffsetVolts, -20, 20);
        Bounds.within("onDelaySeconds", onDelaySeconds, 0, 86_400);
        Bounds.within("offOffsetVolts", offOffsetVolts, -20, 20);
        Bounds.within("offDelaySeconds", offDelaySeconds, 0, 86_400);
        Bounds.within("minimumRunSeconds", minimumRunSeconds, 0, 86_400);
    }

    @Override
    public SwitchLogic compile(Surroundings around) {
        return SwitchLogic.startsOff(
                        List.of(RuleConditions.relative(
                                around, sensePoint, charger, true, "diversion on", onOffsetVolts, onDelaySeconds)),
                        List.of(RuleConditions.relative(
                                around, sensePoint, charger, false, "diversion off", offOffsetVolts, offDelaySeconds)))
                .onAtLeast(minimumRunSeconds);
    }

    @Override
    public Sentence sentence(Surroundings around) {
        return Sentence.start("Closes when ")
                .sensePoint("sensePoint", sensePoint, around.site())
                .then(" stays at or above ")
                .number("onOffsetVolts", "on, from regulation", onOffsetVolts, "V", 0.05, 0.5, -20, 20)
                .then(" from what ")
                .charger("charger", charger, around.site())
                .then(" regulates to at present for ")
                .seconds("onDelaySeconds", "on delay", onDelaySeconds)
                .then(", opens at or below ")
                .number("offOffsetVolts", "off, from regulation", offOffsetVolts, "V", 0.05, 0.5, -20, 20)
                .then(" from it for ")
                .seconds("offDelaySeconds", "off delay", offDelaySeconds)
                .then("; runs ")
                .seconds("minimumRunSeconds", "minimum run", minimumRunSeconds)
                .then(" at least.");
    }
}
