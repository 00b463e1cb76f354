package sparen.program.rule;

import sparen.logic.Condition;
import sparen.logic.SwitchLogic;
import sparen.program.ChargeStage;
import sparen.program.Rule;
import sparen.program.Sentence;
import sparen.program.Surroundings;
import sparen.quantity.Bounds;

/**
 * Signals that charging is finished: a charger has reached float, or stopped, until the next cycle begins.
 *
 * @param charger id of the charger whose stage decides
 * @param delaySeconds after so long in it (s), 0 to 86,400
 */
public record ChargingFinishedSignal(String charger, double delaySeconds) implements Rule {
    static final RuleKind KIND = new RuleKind(
            "chargingFinishedSignal",
            ChargingFinishedSignal.class,
            Purpose.TELL_SOMEONE,
            "charging finished",
            around -> Usual.byCharger(around, charger -> new ChargingFinishedSignal(charger, 60)));

    public ChargingFinishedSignal {
        Bounds.id("charger", charger);
        Bounds.within("delaySeconds", delaySeconds, 0, 86_400);
    }

    @Override
    public SwitchLogic compile(Surroundings around) {
        int stage = around.stage(charger);
        Condition finished = RuleConditions.any(
                RuleConditions.inStage(stage, ChargeStage.FLOAT), RuleConditions.inStage(stage, ChargeStage.OFF));
        return SwitchLogic.follows(finished, delaySeconds, 0, "charging is finished", "a new cycle has begun");
    }

    @Override
    public Sentence sentence(Surroundings around) {
        return Sentence.start("Signals when ")
                .charger("charger", charger, around.site())
                .then(" has finished charging for ")
                .seconds("delaySeconds", "delay", delaySeconds)
                .then(".");
    }
}
