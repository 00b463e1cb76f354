package sparen.program;

import sparen.logic.SwitchLogic;
import sparen.quantity.Bounds;
import sparen.site.Site;

/**
 * Load disconnect by voltage: opens on low voltage, closes when it has recovered.
 *
 * @param sensePoint id of the point whose reading decides
 * @param lvdVolts low-voltage disconnect, whole bank (V), 0 to 1000
 * @param lvdDelaySeconds how long the reading must stay at or below it (s), 0 to 86,400
 * @param lvrVolts low-voltage reconnect, whole bank (V), 0 to 1000
 * @param lvrDelaySeconds how long the reading must stay at or above it (s), 0 to 86,400
 */
public record VoltageDisconnect(
        String sensePoint, double lvdVolts, double lvdDelaySeconds, double lvrVolts, double lvrDelaySeconds)
        implements Rule {
    public VoltageDisconnect {
        Bounds.id("sensePoint", sensePoint);
        Bounds.within("lvdVolts", lvdVolts, "V", 0, 1000);
        Bounds.within("lvdDelaySeconds", lvdDelaySeconds, "s", 0, 86_400);
        Bounds.within("lvrVolts", lvrVolts, "V", 0, 1000);
        Bounds.within("lvrDelaySeconds", lvrDelaySeconds, "s", 0, 86_400);
    }

    @Override
    public SwitchLogic compile(Site site) {
        return new SwitchLogic(
                SensedVolts.atOrAbove(site, sensePoint, lvrVolts),
                lvrDelaySeconds,
                SensedVolts.atOrBelow(site, sensePoint, lvdVolts),
                lvdDelaySeconds,
                true);
    }

    @Override
    public Sentence sentence(Site site) {
        return Sentence.start("Opens when ")
                .sensePoint("sensePoint", sensePoint, site)
                .then(" stays at or below ")
                .volts("lvdVolts", "LVD", lvdVolts)
                .then(" for ")
                .seconds("lvdDelaySeconds", "LVD delay", lvdDelaySeconds)
                .then(", closes at or above ")
                .volts("lvrVolts", "LVR", lvrVolts)
                .then(" for ")
                .seconds("lvrDelaySeconds", "LVR delay", lvrDelaySeconds)
                .then(".");
    }

    @Override
    public String reason(Site site, boolean on, double[] signals) {
        return on
                ? SensedVolts.reason(site, sensePoint, signals, "at or above", "LVR", lvrVolts, lvrDelaySeconds)
                : SensedVolts.reason(site, sensePoint, signals, "at or below", "LVD", lvdVolts, lvdDelaySeconds);
    }
}
