package sparen.program.rule;

import java.util.List;
import sparen.logic.SwitchLogic;
import sparen.logic.Way;
import sparen.program.Level;
import sparen.program.Rule;
import sparen.program.Sentence;
import sparen.program.Surroundings;
import sparen.quantity.Bounds;

/**
 * Load disconnect by state of charge, with a voltage that opens it too: a monitor can be wrong.
 *
 * @param monitor id of the monitor whose report decides
 * @param offPercent opens at or below (%), 0 to 100
 * @param offDelaySeconds for so long (s), 0 to 86,400
 * @param onPercent closes at or above (%), 0 to 100
 * @param onDelaySeconds for so long (s), 0 to 86,400
 * @param backstopSensePoint id of the point whose reading opens it as well
 * @param backstopVolts at or below, whole bank (V), 0 to 1000; 0 refuses the backstop
 * @param backstopDelaySeconds for so long (s), 0 to 86,400
 */
public record SocDisconnect(
        String monitor,
        double offPercent,
        double offDelaySeconds,
        double onPercent,
        double onDelaySeconds,
        String backstopSensePoint,
        double backstopVolts,
        double backstopDelaySeconds)
        implements Rule {
    static final RuleKind KIND = new RuleKind(
            "socDisconnect",
            SocDisconnect.class,
            Purpose.PROTECT_BATTERY,
            "load disconnect by state of charge",
            around -> Usual.bySensePoint(around, point -> Usual.byMonitor(
                            around,
                            monitor -> new SocDisconnect(monitor, 25, 60, 45, 300, point, Usual.lvd(around.site()), 20))
                    .orElse(null)));

    public SocDisconnect {
        Bounds.id("monitor", monitor);
        Bounds.within("offPercent", offPercent, 0, 100);
        Bounds.within("offDelaySeconds", offDelaySeconds, 0, 86_400);
        Bounds.within("onPercent", onPercent, 0, 100);
        Bounds.within("onDelaySeconds", onDelaySeconds, 0, 86_400);
        Bounds.id("backstopSensePoint", backstopSensePoint);
        Bounds.within("backstopVolts", backstopVolts, 0, 1000);
        Bounds.within("backstopDelaySeconds", backstopDelaySeconds, 0, 86_400);
    }

    @Override
    public SwitchLogic compile(Surroundings around) {
        Way backstop =
                RuleConditions.below(around, backstopSensePoint, "backstop", backstopVolts, backstopDelaySeconds);
        return SwitchLogic.startsOn(
                List.of(RuleConditions.report(around, monitor, true, "", onPercent, onDelaySeconds)
                        .andOnlyIf(RuleConditions.not(backstop.when()), "")),
                List.of(RuleConditions.report(around, monitor, false, "", offPercent, offDelaySeconds), backstop));
    }

    @Override
    public Sentence sentence(Surroundings around) {
        return Sentence.start("Opens when ")
                .monitor("monitor", monitor, around.site())
                .then(" reports at or below ")
                .percent("offPercent", "SoC disconnect", offPercent)
                .then(" for ")
                .seconds("offDelaySeconds", "disconnect delay", offDelaySeconds)
                .then(" or ")
                .sensePoint("backstopSensePoint", backstopSensePoint, around.site())
                .then(" stays at or below ")
                .volts("backstopVolts", "voltage backstop", backstopVolts)
                .then(" for ")
                .seconds("backstopDelaySeconds", "backstop delay", backstopDelaySeconds)
                .then(", closes at or above ")
                .percent("onPercent", "SoC reconnect", onPercent)
                .then(" for ")
                .seconds("onDelaySeconds", "reconnect delay", onDelaySeconds)
                .then(".");
    }

    @Override
    public List<Level> levels() {
        return List.of(
                Level.percent("offPercent", "SoC disconnect", Level.Role.DISCONNECT_SOC, offPercent),
                Level.percent("onPercent", "SoC reconnect", Level.Role.RECONNECT_SOC, onPercent),
                Level.volts(
                        "backstopVolts", "voltage backstop", Level.Role.DISCONNECT, backstopVolts, backstopSensePoint));
    }
}
