package sparen.program.rule;

import java.util.List;
import sparen.logic.Condition;
import sparen.logic.Signal;
import sparen.logic.SwitchLogic;
import sparen.program.Level;
import sparen.program.Rule;
import sparen.program.Sentence;
import sparen.program.Surroundings;
import sparen.quantity.Bounds;

/**
 * Hard cut-off: opens at once, below the delayed disconnect, and closes only when the battery has recovered <em>and</em> is being
 * charged, so that rebound alone never brings the load back.
 *
 * @param sensePoint id of the point whose reading decides
 * @param cutOffVolts opens at once at or below, whole bank (V), 0 to 1000
 * @param reconnectVolts closes at or above (V), 0 to 1000,
 * @param reconnectAmperes with a net charging current of this at least (A), 0 to 10,000,
 * @param reconnectDelaySeconds for so long (s), 0 to 86,400
 */
public record HardCutOff(
        String sensePoint,
        double cutOffVolts,
        double reconnectVolts,
        double reconnectAmperes,
        double reconnectDelaySeconds)
        implements Rule {
    static final RuleKind KIND = new RuleKind(
            "hardCutOff",
            HardCutOff.class,
            Purpose.PROTECT_BATTERY,
            "hard cut-off",
            around -> Usual.bySensePoint(
                    around,
                    point -> new HardCutOff(point, Usual.hardCutOff(around.site()), Usual.lvr(around.site()), 1, 300)));

    public HardCutOff {
        Bounds.id("sensePoint", sensePoint);
        Bounds.within("cutOffVolts", cutOffVolts, 0, 1000);
        Bounds.within("reconnectVolts", reconnectVolts, 0, 1000);
        Bounds.within("reconnectAmperes", reconnectAmperes, 0, 10_000);
        Bounds.within("reconnectDelaySeconds", reconnectDelaySeconds, 0, 86_400);
    }

    @Override
    public SwitchLogic compile(Surroundings around) {
        Condition charged = new Condition.AtOrAbove(Signal.BATTERY_AMPERES, reconnectAmperes);
        return SwitchLogic.startsOn(
                List.of(RuleConditions.above(around, sensePoint, "reconnect", reconnectVolts, reconnectDelaySeconds)
                        .andOnlyIf(charged, "while the battery is charged")),
                List.of(RuleConditions.below(around, sensePoint, "hard cut-off", cutOffVolts, 0)));
    }

    @Override
    public Sentence sentence(Surroundings around) {
        return Sentence.start("Opens at once when ")
                .sensePoint("sensePoint", sensePoint, around.site())
                .then(" is at or below ")
                .volts("cutOffVolts", "hard cut-off", cutOffVolts)
                .then(", closes at or above ")
                .volts("reconnectVolts", "reconnect", reconnectVolts)
                .then(" with at least ")
                .amperes("reconnectAmperes", "charging current", reconnectAmperes)
                .then(" going into the battery for ")
                .seconds("reconnectDelaySeconds", "reconnect delay", reconnectDelaySeconds)
                .then(".");
    }

    @Override
    public List<Level> levels() {
        return List.of(
                Level.volts("cutOffVolts", "hard cut-off", Level.Role.CUT_OFF, cutOffVolts, sensePoint),
                Level.volts("reconnectVolts", "reconnect", Level.Role.RECONNECT, reconnectVolts, sensePoint));
    }
}
