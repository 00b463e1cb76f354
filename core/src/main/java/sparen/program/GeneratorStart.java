package sparen.program;

import java.util.ArrayList;
import java.util.List;
import sparen.logic.Condition;
import sparen.logic.Signal;
import sparen.logic.SwitchLogic;
import sparen.quantity.Bounds;
import sparen.site.Site;

/**
 * Calls a generator by state of charge, not in its quiet hours.
 *
 * @param monitor id of the monitor whose report decides
 * @param startPercent calls at or below (%), 0 to 100
 * @param startDelaySeconds for so long (s), 0 to 86,400
 * @param stopPercent lets it go at or above (%), 0 to 100
 * @param stopDelaySeconds for so long; also after quiet hours have begun (s), 0 to 86,400
 * @param minimumRunSeconds called so long at least (s), 0 to 86,400
 * @param quietFromHour quiet from this hour, local time (h), 0 to 24
 * @param quietToHour to this; the same hour for none (h), 0 to 24
 * @param quietMonths in which that holds, 1 to 12; none stands for all
 */
public record GeneratorStart(
        String monitor,
        double startPercent,
        double startDelaySeconds,
        double stopPercent,
        double stopDelaySeconds,
        double minimumRunSeconds,
        double quietFromHour,
        double quietToHour,
        List<Integer> quietMonths)
        implements Rule {
    private static final double SLACK = 1e-6;

    public GeneratorStart {
        Bounds.id("monitor", monitor);
        Bounds.within("startPercent", startPercent, "%", 0, 100);
        Bounds.within("startDelaySeconds", startDelaySeconds, "s", 0, 86_400);
        Bounds.within("stopPercent", stopPercent, "%", 0, 100);
        Bounds.within("stopDelaySeconds", stopDelaySeconds, "s", 0, 86_400);
        Bounds.within("minimumRunSeconds", minimumRunSeconds, "s", 0, 86_400);
        Bounds.within("quietFromHour", quietFromHour, "h", 0, 24);
        Bounds.within("quietToHour", quietToHour, "h", 0, 24);
        quietMonths = Bounds.orNone(quietMonths);
        for (int month : quietMonths) {
            Bounds.within("quietMonths", month, "", 1, 12);
        }
    }

    @Override
    public SwitchLogic compile(Site site) {
        int signal = SiteSignals.reportedCharge(site, monitor);
        Condition low = new Condition.AtOrBelow(signal, startPercent / 100 + SLACK);
        Condition high = new Condition.AtOrAbove(signal, stopPercent / 100 - SLACK);
        boolean neverQuiet = quietFromHour == quietToHour;
        return new SwitchLogic(
                neverQuiet ? low : new Condition.AllOf(List.of(low, new Condition.Not(quiet()))),
                startDelaySeconds,
                neverQuiet ? high : new Condition.AnyOf(List.of(high, quiet())),
                stopDelaySeconds,
                false,
                minimumRunSeconds);
    }

    private Condition quiet() {
        Condition from = new Condition.AtOrAbove(Signal.LOCAL_HOUR, quietFromHour);
        Condition to = new Condition.Not(new Condition.AtOrAbove(Signal.LOCAL_HOUR, quietToHour));
        Condition hours = quietFromHour < quietToHour
                ? new Condition.AllOf(List.of(from, to))
                : new Condition.AnyOf(List.of(from, to));
        if (quietMonths.isEmpty()) {
            return hours;
        }
        List<Condition> months = new ArrayList<>();
        for (int month : quietMonths) {
            months.add(new Condition.AllOf(List.of(
                    new Condition.AtOrAbove(Signal.LOCAL_MONTH, month),
                    new Condition.AtOrBelow(Signal.LOCAL_MONTH, month))));
        }
        return new Condition.AllOf(List.of(hours, new Condition.AnyOf(months)));
    }

    @Override
    public Sentence sentence(Site site) {
        Sentence said = Sentence.start("Calls the generator when ")
                .monitor("monitor", monitor, site)
                .then(" reports at or below ")
                .percent("startPercent", "start", startPercent)
                .then(" for ")
                .seconds("startDelaySeconds", "start delay", startDelaySeconds)
                .then(", lets it go at or above ")
                .percent("stopPercent", "stop", stopPercent)
                .then(" for ")
                .seconds("stopDelaySeconds", "stop delay", stopDelaySeconds)
                .then("; runs ")
                .seconds("minimumRunSeconds", "minimum run", minimumRunSeconds)
                .then(" at least; quiet from ")
                .number("quietFromHour", "quiet from", quietFromHour, "h", 0.5, 1, 0, 24)
                .then(" to ")
                .number("quietToHour", "quiet to", quietToHour, "h", 0.5, 1, 0, 24);
        String months = quietMonths.isEmpty() ? "" : " in the months " + quietMonths;
        return said.then(months + ".");
    }

    @Override
    public String reason(Site site, boolean on, double[] signals) {
        boolean byHours = !on && signals[SiteSignals.reportedCharge(site, monitor)] < stopPercent / 100 - SLACK;
        return byHours
                ? "quiet hours from " + Bounds.number(quietFromHour) + " h"
                : SurplusBySoc.reportedReason(
                        site, monitor, signals, on ? "at or below" : "at or above", on ? startPercent : stopPercent);
    }
}
