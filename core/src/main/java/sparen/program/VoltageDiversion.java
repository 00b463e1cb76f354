package sparen.program;

import sparen.logic.SwitchLogic;
import sparen.quantity.Bounds;
import sparen.site.Site;

/**
 * Diversion by relay at an absolute voltage; also ventilation by gassing voltage, with a minimum run.
 *
 * @param sensePoint id of the point whose reading decides
 * @param onVolts closes at or above, whole bank (V), 0 to 1000
 * @param onDelaySeconds for so long (s), 0 to 86,400
 * @param offVolts opens at or below (V), 0 to 1000
 * @param offDelaySeconds for so long (s), 0 to 86,400
 * @param minimumRunSeconds stays closed so long at least (s), 0 to 86,400
 */
public record VoltageDiversion(
        String sensePoint,
        double onVolts,
        double onDelaySeconds,
        double offVolts,
        double offDelaySeconds,
        double minimumRunSeconds)
        implements Rule {
    public VoltageDiversion {
        Bounds.id("sensePoint", sensePoint);
        Bounds.within("onVolts", onVolts, "V", 0, 1000);
        Bounds.within("onDelaySeconds", onDelaySeconds, "s", 0, 86_400);
        Bounds.within("offVolts", offVolts, "V", 0, 1000);
        Bounds.within("offDelaySeconds", offDelaySeconds, "s", 0, 86_400);
        Bounds.within("minimumRunSeconds", minimumRunSeconds, "s", 0, 86_400);
    }

    @Override
    public SwitchLogic compile(Site site) {
        return new SwitchLogic(
                SensedVolts.atOrAbove(site, sensePoint, onVolts),
                onDelaySeconds,
                SensedVolts.atOrBelow(site, sensePoint, offVolts),
                offDelaySeconds,
                false,
                minimumRunSeconds);
    }

    @Override
    public Sentence sentence(Site site) {
        return Sentence.start("Closes when ")
                .sensePoint("sensePoint", sensePoint, site)
                .then(" stays at or above ")
                .volts("onVolts", "diversion on", onVolts)
                .then(" for ")
                .seconds("onDelaySeconds", "on delay", onDelaySeconds)
                .then(", opens at or below ")
                .volts("offVolts", "diversion off", offVolts)
                .then(" for ")
                .seconds("offDelaySeconds", "off delay", offDelaySeconds)
                .then("; runs ")
                .seconds("minimumRunSeconds", "minimum run", minimumRunSeconds)
                .then(" at least.");
    }

    @Override
    public String reason(Site site, boolean on, double[] signals) {
        return on
                ? SensedVolts.reason(site, sensePoint, signals, "at or above", "diversion on", onVolts, onDelaySeconds)
                : SensedVolts.reason(
                        site, sensePoint, signals, "at or below", "diversion off", offVolts, offDelaySeconds);
    }
}
