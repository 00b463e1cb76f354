package sparen.program.rule;

import sparen.logic.Condition;
import sparen.logic.SwitchLogic;
import sparen.program.Rule;
import sparen.program.Sentence;
import sparen.program.Surroundings;
import sparen.quantity.Bounds;

/**
 * Relay logic: follows another output's contact, or its opposite (interlock, inversion), with a delay each way.
 *
 * @param output id of the other output
 * @param inverted closed while that is open
 * @param onDelaySeconds closes so long after (s), 0 to 86,400
 * @param offDelaySeconds opens so long after (s), 0 to 86,400
 */
public record FollowsOutput(String output, boolean inverted, double onDelaySeconds, double offDelaySeconds)
        implements Rule {
    static final RuleKind KIND = new RuleKind(
            "followsOutput",
            FollowsOutput.class,
            Purpose.BY_HAND,
            "follows another output",
            around -> around.anotherOutput().map(other -> new FollowsOutput(other, false, 0, 0)));

    public FollowsOutput {
        Bounds.id("output", output);
        Bounds.within("onDelaySeconds", onDelaySeconds, 0, 86_400);
        Bounds.within("offDelaySeconds", offDelaySeconds, 0, 86_400);
    }

    @Override
    public SwitchLogic compile(Surroundings around) {
        Condition closed = RuleConditions.isOne(around.contact(output));
        String name = around.outputName(output);
        return SwitchLogic.follows(
                inverted ? RuleConditions.not(closed) : closed,
                onDelaySeconds,
                offDelaySeconds,
                name + (inverted ? " is open" : " is closed"),
                name + (inverted ? " is closed" : " is open"));
    }

    @Override
    public Sentence sentence(Surroundings around) {
        return Sentence.start("Closes ")
                .seconds("onDelaySeconds", "on delay", onDelaySeconds)
                .then(" after ")
                .output("output", output, around)
                .then(inverted ? " has opened, opens " : " has closed, opens ")
                .seconds("offDelaySeconds", "off delay", offDelaySeconds)
                .then(inverted ? " after it has closed." : " after it has opened.");
    }
}
