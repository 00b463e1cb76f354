package sparen.program.rule;

import java.util.Optional;
import sparen.logic.Signal;
import sparen.logic.SwitchLogic;
import sparen.program.Rule;
import sparen.program.Sentence;
import sparen.program.Surroundings;
import sparen.quantity.Bounds;

/**
 * Signals a fault: loads lost, a BMS path or fuse open, the batteries' line silent, or a generator that gave up.
 *
 * @param delaySeconds after so long (s), 0 to 86,400
 * @param holdSeconds signals so long at least (s), 0 to 86,400
 */
public record FaultSignal(double delaySeconds, double holdSeconds) implements Rule {
    static final RuleKind KIND = new RuleKind(
            "faultSignal",
            FaultSignal.class,
            Purpose.TELL_SOMEONE,
            "fault",
            around -> Optional.of(new FaultSignal(10, 60)));

    public FaultSignal {
        Bounds.within("delaySeconds", delaySeconds, 0, 86_400);
        Bounds.within("holdSeconds", holdSeconds, 0, 86_400);
    }

    @Override
    public SwitchLogic compile(Surroundings around) {
        return SwitchLogic.follows(RuleConditions.isOne(Signal.FAULT), delaySeconds, 0, "a fault", "no fault any more")
                .onAtLeast(holdSeconds);
    }

    @Override
    public Sentence sentence(Surroundings around) {
        return Sentence.start("Signals a fault that has lasted ")
                .seconds("delaySeconds", "fault delay", delaySeconds)
                .then(", for ")
                .seconds("holdSeconds", "hold", holdSeconds)
                .then(" at least.");
    }
}
