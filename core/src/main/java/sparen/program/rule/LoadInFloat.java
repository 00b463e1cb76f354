package sparen.program.rule;

import java.util.List;
import sparen.logic.Condition;
import sparen.logic.SwitchLogic;
import sparen.logic.Way;
import sparen.program.ChargeStage;
import sparen.program.Rule;
import sparen.program.Sentence;
import sparen.program.Surroundings;
import sparen.quantity.Bounds;

/**
 * Useful load in float: closes when a charger has been in float for some time, opens when it leaves it or the voltage is pulled down.
 *
 * @param charger id of the charger whose stage decides
 * @param onDelaySeconds closes after so long in float (s), 0 to 86,400
 * @param sensePoint id of the point that may open it
 * @param offVolts at or below, whole bank (V), 0 to 1000
 * @param offDelaySeconds for so long (s), 0 to 86,400
 */
public record LoadInFloat(
        String charger, double onDelaySeconds, String sensePoint, double offVolts, double offDelaySeconds)
        implements Rule {
    static final RuleKind KIND = new RuleKind(
            "loadInFloat",
            LoadInFloat.class,
            Purpose.USE_SURPLUS,
            "useful load in float",
            around -> Usual.bySensePoint(around, point -> Usual.byCharger(
                            around,
                            charger -> new LoadInFloat(charger, 600, point, Usual.diversionOff(around.site()), 60))
                    .orElse(null)));

    public LoadInFloat {
        Bounds.id("charger", charger);
        Bounds.within("onDelaySeconds", onDelaySeconds, 0, 86_400);
        Bounds.id("sensePoint", sensePoint);
        Bounds.within("offVolts", offVolts, 0, 1000);
        Bounds.within("offDelaySeconds", offDelaySeconds, 0, 86_400);
    }

    @Override
    public SwitchLogic compile(Surroundings around) {
        Condition inFloat = RuleConditions.inStage(around.stage(charger), ChargeStage.FLOAT);
        Way low = RuleConditions.below(around, sensePoint, "off", offVolts, offDelaySeconds);
        return SwitchLogic.startsOff(
                List.of(Way.when(inFloat, onDelaySeconds, "in float for " + Sentence.duration(onDelaySeconds))
                        .andOnlyIf(RuleConditions.not(low.when()), "")),
                List.of(Way.when(RuleConditions.not(inFloat), 0, "float has ended"), low));
    }

    @Override
    public Sentence sentence(Surroundings around) {
        return Sentence.start("Closes when ")
                .charger("charger", charger, around.site())
                .then(" has been in float for ")
                .seconds("onDelaySeconds", "on delay", onDelaySeconds)
                .then(", opens when it leaves float, or when ")
                .sensePoint("sensePoint", sensePoint, around.site())
                .then(" stays at or below ")
                .volts("offVolts", "off", offVolts)
                .then(" for ")
                .seconds("offDelaySeconds", "off delay", offDelaySeconds)
                .then(".");
    }
}
