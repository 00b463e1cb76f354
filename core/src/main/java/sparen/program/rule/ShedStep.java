package sparen.program.rule;

import java.util.List;
import sparen.logic.SwitchLogic;
import sparen.program.Level;
import sparen.program.Rule;
import sparen.program.Sentence;
import sparen.program.Surroundings;
import sparen.quantity.Bounds;

/**
 * One step of a shed ladder: a load that goes at its own level, and comes back in its turn, so long after a more important one.
 *
 * @param sensePoint id of the point whose reading decides
 * @param offVolts opens at or below, whole bank (V), 0 to 1000
 * @param offDelaySeconds for so long (s), 0 to 86,400
 * @param onVolts closes at or above (V), 0 to 1000
 * @param after id of the output that must be closed before
 * @param staggerSeconds and for how long both must have held (s), 0 to 86,400
 */
public record ShedStep(
        String sensePoint, double offVolts, double offDelaySeconds, double onVolts, String after, double staggerSeconds)
        implements Rule {
    static final RuleKind KIND = new RuleKind(
            "shedStep",
            ShedStep.class,
            Purpose.PROTECT_BATTERY,
            "step of a shed ladder",
            around -> Usual.bySensePoint(around, point -> around.anotherOutput()
                    .map(other ->
                            new ShedStep(point, Usual.warning(around.site()), 10, Usual.lvr(around.site()), other, 60))
                    .orElse(null)));

    public ShedStep {
        Bounds.id("sensePoint", sensePoint);
        Bounds.within("offVolts", offVolts, 0, 1000);
        Bounds.within("offDelaySeconds", offDelaySeconds, 0, 86_400);
        Bounds.within("onVolts", onVolts, 0, 1000);
        Bounds.id("after", after);
        Bounds.within("staggerSeconds", staggerSeconds, 0, 86_400);
    }

    @Override
    public SwitchLogic compile(Surroundings around) {
        return SwitchLogic.startsOn(
                List.of(RuleConditions.above(around, sensePoint, "reconnect", onVolts, staggerSeconds)
                        .andOnlyIf(RuleConditions.isOne(around.contact(after)), "after " + around.outputName(after))),
                List.of(RuleConditions.below(around, sensePoint, "shed level", offVolts, offDelaySeconds)));
    }

    @Override
    public Sentence sentence(Surroundings around) {
        return Sentence.start("Sheds when ")
                .sensePoint("sensePoint", sensePoint, around.site())
                .then(" stays at or below ")
                .volts("offVolts", "shed level", offVolts)
                .then(" for ")
                .seconds("offDelaySeconds", "shed delay", offDelaySeconds)
                .then(", comes back at or above ")
                .volts("onVolts", "reconnect", onVolts)
                .then(" when ")
                .output("after", after, around)
                .then(" has been closed for ")
                .seconds("staggerSeconds", "stagger", staggerSeconds)
                .then(".");
    }

    @Override
    public List<Level> levels() {
        return List.of(
                Level.volts("offVolts", "shed level", Level.Role.SHED, offVolts, sensePoint),
                Level.volts("onVolts", "reconnect", Level.Role.RECONNECT, onVolts, sensePoint));
    }
}
