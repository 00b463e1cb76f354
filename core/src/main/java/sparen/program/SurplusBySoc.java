package sparen.program;

import java.util.Locale;
import sparen.logic.Condition;
import sparen.logic.SwitchLogic;
import sparen.quantity.Bounds;
import sparen.site.Site;

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
    /** Half of the finest step a monitor reports in: a reported 95 % is not missed for its binary fraction. */
    private static final double SLACK = 1e-6;

    public SurplusBySoc {
        Bounds.id("monitor", monitor);
        Bounds.within("onPercent", onPercent, "%", 0, 100);
        Bounds.within("onDelaySeconds", onDelaySeconds, "s", 0, 86_400);
        Bounds.within("offPercent", offPercent, "%", 0, 100);
        Bounds.within("offDelaySeconds", offDelaySeconds, "s", 0, 86_400);
    }

    @Override
    public SwitchLogic compile(Site site) {
        int signal = SiteSignals.reportedCharge(site, monitor);
        return new SwitchLogic(
                new Condition.AtOrAbove(signal, onPercent / 100 - SLACK),
                onDelaySeconds,
                new Condition.AtOrBelow(signal, offPercent / 100 + SLACK),
                offDelaySeconds,
                false);
    }

    @Override
    public Sentence sentence(Site site) {
        return Sentence.start("Closes when ")
                .monitor("monitor", monitor, site)
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
    public String reason(Site site, boolean on, double[] signals) {
        return reportedReason(site, monitor, signals, on ? "at or above" : "at or below", on ? onPercent : offPercent);
    }

    /** What a monitor reported, and what it was compared with. */
    static String reportedReason(Site site, String monitor, double[] signals, String comparison, double percent) {
        return String.format(
                Locale.ROOT,
                "%s reports %s %s %%; it shows %.1f %%",
                site.monitor(monitor).name(),
                comparison,
                Bounds.number(percent),
                100 * signals[SiteSignals.reportedCharge(site, monitor)]);
    }
}
