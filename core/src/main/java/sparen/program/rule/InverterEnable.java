package sparen.program.rule;

import java.util.List;
import sparen.logic.Condition;
import sparen.logic.SwitchLogic;
import sparen.logic.Way;
import sparen.program.Level;
import sparen.program.Rule;
import sparen.program.Sentence;
import sparen.program.Surroundings;
import sparen.quantity.Bounds;
import sparen.site.DailySpan;

/**
 * Enable signal of an inverter: within its hours and while the voltage carries it.
 *
 * @param sensePoint id of the point whose reading decides
 * @param offVolts disabled at or below, whole bank (V), 0 to 1000
 * @param offDelaySeconds for so long (s), 0 to 86,400
 * @param onVolts enabled at or above (V), 0 to 1000
 * @param onDelaySeconds for so long (s), 0 to 86,400
 * @param hours in which it may run at all, by the clock of the device
 */
public record InverterEnable(
        String sensePoint,
        double offVolts,
        double offDelaySeconds,
        double onVolts,
        double onDelaySeconds,
        DailySpan hours)
        implements Rule {
    static final RuleKind KIND = new RuleKind(
            "inverterEnable",
            InverterEnable.class,
            Purpose.PROTECT_BATTERY,
            "inverter enable",
            around -> Usual.bySensePoint(
                    around,
                    point -> new InverterEnable(
                            point,
                            Usual.lvd(around.site()),
                            30,
                            Usual.lvr(around.site()),
                            60,
                            DailySpan.daily(6, 23))));

    public InverterEnable {
        Bounds.id("sensePoint", sensePoint);
        Bounds.within("offVolts", offVolts, 0, 1000);
        Bounds.within("offDelaySeconds", offDelaySeconds, 0, 86_400);
        Bounds.within("onVolts", onVolts, 0, 1000);
        Bounds.within("onDelaySeconds", onDelaySeconds, 0, 86_400);
        Bounds.present("hours", hours);
    }

    @Override
    public SwitchLogic compile(Surroundings around) {
        Condition inHours = RuleConditions.within(around, hours);
        return SwitchLogic.startsOff(
                List.of(RuleConditions.above(around, sensePoint, "enable", onVolts, onDelaySeconds)
                        .andOnlyIf(inHours, "in its hours")),
                List.of(
                        RuleConditions.below(around, sensePoint, "disable", offVolts, offDelaySeconds),
                        Way.when(RuleConditions.not(inHours), 0, "its hours are over")));
    }

    @Override
    public Sentence sentence(Surroundings around) {
        return Sentence.start("Enables from ")
                .hours("hours", hours)
                .then(" when ")
                .sensePoint("sensePoint", sensePoint, around.site())
                .then(" stays at or above ")
                .volts("onVolts", "enable", onVolts)
                .then(" for ")
                .seconds("onDelaySeconds", "enable delay", onDelaySeconds)
                .then(", disables at or below ")
                .volts("offVolts", "disable", offVolts)
                .then(" for ")
                .seconds("offDelaySeconds", "disable delay", offDelaySeconds)
                .then(".");
    }

    @Override
    public List<Level> levels() {
        return List.of(
                Level.volts("offVolts", "disable", Level.Role.DISCONNECT, offVolts, sensePoint),
                Level.volts("onVolts", "enable", Level.Role.RECONNECT, onVolts, sensePoint));
    }

    @Override
    public boolean goesByClock() {
        return true;
    }
}
