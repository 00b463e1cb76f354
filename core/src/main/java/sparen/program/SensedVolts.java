package sparen.program;

import java.util.Locale;
import sparen.logic.Condition;
import sparen.quantity.Bounds;
import sparen.site.SensePoint;
import sparen.site.Site;

/** Turns "the device reads" at a sense point into a condition on the true voltage there. */
final class SensedVolts {
    private SensedVolts() {}

    /** True when the reading is at or below a threshold (V). */
    static Condition atOrBelow(Site site, String sensePoint, double volts) {
        SensePoint point = site.sensePoint(sensePoint);
        return new Condition.AtOrBelow(SiteSignals.voltage(site, point), volts - point.offsetVolts());
    }

    /** True when the reading is at or above a threshold (V). */
    static Condition atOrAbove(Site site, String sensePoint, double volts) {
        SensePoint point = site.sensePoint(sensePoint);
        return new Condition.AtOrAbove(SiteSignals.voltage(site, point), volts - point.offsetVolts());
    }

    /** What was read at a sense point, what it was compared with and for how long. */
    static String reason(
            Site site,
            String sensePoint,
            double[] signals,
            String comparison,
            String term,
            double volts,
            double seconds) {
        SensePoint point = site.sensePoint(sensePoint);
        double reading = signals[SiteSignals.voltage(site, point)] + point.offsetVolts();
        String held = seconds > 0 ? " for " + Sentence.duration(seconds) : "";
        return String.format(
                Locale.ROOT,
                "%s %s %s %s V%s; it reads %.3f V",
                point.name(),
                comparison,
                term,
                Bounds.number(volts),
                held,
                reading);
    }
}
