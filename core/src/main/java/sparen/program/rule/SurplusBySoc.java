package sparen.program.rule;

import java.util.List;
import sparen.logic.SwitchLogic;
import sparen.program.Level;
import sparen.program.Rule;
import sparen.program.Sentence;
import sparen.program.Surroundings;
import sparen.quantity.Bounds;

/**
 * Surplus load by state of charge: closes when a monitor reports a full battery, opens well before it is needed.
 *
 * @param monitor id of the monitor whose report decides
 * @param onPercent closes at or above (%), 0 to 100; 95 is usual
 * @param onDelaySeconds for so long (s), 0 to 86,400
 * @param offPercent opens at or below (%), 0 to 100; 90 is usual
 * @param offDelaySeconds for so long (s), 0 to 86,400
 */
public record SurplusBySoc(
        String monitor, double onPercent, double onDelaySeconds, double offPercent, double offDelaySeconds)
        implements Rule {
    static final RuleKind KIND = new RuleKind(
            "surplusBySoc",
            SurplusBySoc.class,
            Purpose.USE_SURPLUS,
            "surplus load by state of charge",
            around -> Usual.byMonitor(around, monitor -> new SurplusBySoc(monitor, 95, 300, 90, 60)));

    public SurplusBySoc {
        Bounds.id("monitor", monitor);
        Bounds.within("onPercent", onPercent, 0, 100);
        Bounds.within("onDelaySeconds", onDelaySeconds, 0, 86_400);
        Bounds.within("offPercent", offPercent, 0, 100);
        Bounds.within("offDelaySeconds", offDelaySeconds, 0, 86_400);
    }

    @Override
    public SwitchLogic compile(Surroundings around) {
        return SwitchLogic.startsOff(
                List.of(RuleConditions.report(around, monitor, true, "", onPercent, onDelaySeconds)),
                List.of(RuleConditions.report(around, monitor, false, "", offPercent, offDelaySeconds)));
    }

    @Override
    public Sentence sentence(Surroundings around) {
        return Sentence.start("Closes when ")
                .monitor("monitor", monitor, around.site())
                .then(" reports at or above ")
                .percent("onPercent", "surplus on", onPercent)
                .then(" for ")
                .seconds("onDelaySeconds", "on delay", onDelaySeconds)
                .then(", opens at or below ")
                .percent("offPercent", "surplus off", offPercent)
                .then(" for ")
                .seconds("offDelaySeconds", "off delay", offDelaySeconds)
                .then(".");
    }

    @Override
    public List<Level> levels() {
        return List.of(
                Level.percent("onPercent", "surplus on", Level.Role.SURPLUS_ON_SOC, onPercent),
                Level.percent("offPercent", "surplus off", Level.Role.SURPLUS_OFF_SOC, offPercent));
    }
}
