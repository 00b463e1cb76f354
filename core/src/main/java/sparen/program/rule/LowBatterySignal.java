package sparen.program.rule;

import java.util.List;
import sparen.logic.SwitchLogic;
import sparen.program.Level;
import sparen.program.Rule;
import sparen.program.Sentence;
import sparen.program.Surroundings;
import sparen.quantity.Bounds;

/**
 * Low-voltage warning: closes a signalling contact on low voltage. It tells, it never switches a load.
 *
 * @param sensePoint id of the point whose reading decides
 * @param warningVolts low-voltage warning, whole bank (V), 0 to 1000
 * @param warningDelaySeconds how long the reading must stay at or below it (s), 0 to 86,400
 * @param clearsVolts where the warning ends (V), 0 to 1000
 * @param clearsDelaySeconds how long the reading must stay at or above that (s), 0 to 86,400
 */
public record LowBatterySignal(
        String sensePoint,
        double warningVolts,
        double warningDelaySeconds,
        double clearsVolts,
        double clearsDelaySeconds)
        implements Rule {
    static final RuleKind KIND = new RuleKind(
            "lowBatterySignal",
            LowBatterySignal.class,
            Purpose.TELL_SOMEONE,
            "low-battery signal",
            around -> Usual.bySensePoint(
                    around,
                    point -> new LowBatterySignal(
                            point, Usual.warning(around.site()), 60, Usual.lvr(around.site()), 600)));

    public LowBatterySignal {
        Bounds.id("sensePoint", sensePoint);
        Bounds.within("warningVolts", warningVolts, 0, 1000);
        Bounds.within("warningDelaySeconds", warningDelaySeconds, 0, 86_400);
        Bounds.within("clearsVolts", clearsVolts, 0, 1000);
        Bounds.within("clearsDelaySeconds", clearsDelaySeconds, 0, 86_400);
    }

    @Override
    public SwitchLogic compile(Surroundings around) {
        return SwitchLogic.startsOff(
                List.of(RuleConditions.below(around, sensePoint, "warning", warningVolts, warningDelaySeconds)),
                List.of(RuleConditions.above(around, sensePoint, "warning clears", clearsVolts, clearsDelaySeconds)));
    }

    @Override
    public Sentence sentence(Surroundings around) {
        return Sentence.start("Signals low battery when ")
                .sensePoint("sensePoint", sensePoint, around.site())
                .then(" stays at or below ")
                .volts("warningVolts", "warning", warningVolts)
                .then(" for ")
                .seconds("warningDelaySeconds", "warning delay", warningDelaySeconds)
                .then(", clears at or above ")
                .volts("clearsVolts", "warning clears", clearsVolts)
                .then(" for ")
                .seconds("clearsDelaySeconds", "clearing delay", clearsDelaySeconds)
                .then(".");
    }

    @Override
    public List<Level> levels() {
        return List.of(
                Level.volts("warningVolts", "warning", Level.Role.WARNING, warningVolts, sensePoint),
                Level.volts("clearsVolts", "warning clears", Level.Role.CLEARS, clearsVolts, sensePoint));
    }
}
