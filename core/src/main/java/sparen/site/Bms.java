package sparen.site;

import java.util.Optional;
import sparen.quantity.Bounds;

/**
 * A battery management system: it guards one battery with a charge path and a discharge path that it opens each on its own. Voltages
 * are of the whole battery.
 *
 * @param highVolts at or above this the charge path opens (V), 0 to 1000
 * @param highReleaseVolts at or below this it closes again (V), 0 to highVolts
 * @param lowVolts at or below this the discharge path opens (V), 0 to highVolts
 * @param lowReleaseVolts at or above this it closes again (V), lowVolts to highVolts
 * @param voltageDelaySeconds for how long, all four (s), 0 to 3600
 * @param chargeAmperes above this the charge path opens (A), above 0 to 10,000
 * @param dischargeAmperes above this the discharge path opens (A), above 0 to 10,000
 * @param currentDelaySeconds how long an over-current is borne (s), 0 to 600
 * @param currentReleaseSeconds after which it is tried again (s), 1 to 86,400
 * @param chargeColdCelsius below this no charging (°C), −60 to 60
 * @param chargeHotCelsius above this no charging (°C), chargeColdCelsius to 100
 * @param dischargeColdCelsius below this no discharging (°C), −60 to 60
 * @param dischargeHotCelsius above this no discharging (°C), dischargeColdCelsius to 100
 * @param wakeUpVolts once the discharge path has opened on low voltage the whole battery sleeps until a charger shows it this voltage
 *     (V), 0 to 1000; absent where it wakes by itself
 * @param requestedVolts charge voltage it asks for over its data line (V), 0 to 1000; absent where it does not talk
 * @param requestedAmperes charge current it asks for (A), above 0 to 10,000; absent where it does not talk
 * @param keepAliveSeconds when nothing has talked to it for so long it opens both paths and sleeps (s), 10 to 86,400; absent where it does
 *     not mind
 * @param idleWatts its own draw from the battery (W), 0 to 100
 */
public record Bms(
        double highVolts,
        double highReleaseVolts,
        double lowVolts,
        double lowReleaseVolts,
        double voltageDelaySeconds,
        double chargeAmperes,
        double dischargeAmperes,
        double currentDelaySeconds,
        double currentReleaseSeconds,
        double chargeColdCelsius,
        double chargeHotCelsius,
        double dischargeColdCelsius,
        double dischargeHotCelsius,
        Optional<Double> wakeUpVolts,
        Optional<Double> requestedVolts,
        Optional<Double> requestedAmperes,
        Optional<Double> keepAliveSeconds,
        double idleWatts)
        implements BmsWith {
    public Bms {
        Bounds.within("highVolts", highVolts, 0, 1000);
        Bounds.within("highReleaseVolts", highReleaseVolts, 0, highVolts);
        Bounds.within("lowVolts", lowVolts, 0, highVolts);
        Bounds.within("lowReleaseVolts", lowReleaseVolts, lowVolts, highVolts);
        Bounds.within("voltageDelaySeconds", voltageDelaySeconds, 0, 3600);
        Bounds.above("chargeAmperes", chargeAmperes, 0, 10_000);
        Bounds.above("dischargeAmperes", dischargeAmperes, 0, 10_000);
        Bounds.within("currentDelaySeconds", currentDelaySeconds, 0, 600);
        Bounds.within("currentReleaseSeconds", currentReleaseSeconds, 1, 86_400);
        Bounds.within("chargeColdCelsius", chargeColdCelsius, -60, 60);
        Bounds.within("chargeHotCelsius", chargeHotCelsius, chargeColdCelsius, 100);
        Bounds.within("dischargeColdCelsius", dischargeColdCelsius, -60, 60);
        Bounds.within("dischargeHotCelsius", dischargeHotCelsius, dischargeColdCelsius, 100);
        wakeUpVolts = Bounds.orEmpty(wakeUpVolts);
        requestedVolts = Bounds.orEmpty(requestedVolts);
        requestedAmperes = Bounds.orEmpty(requestedAmperes);
        wakeUpVolts.ifPresent(volts -> Bounds.within("wakeUpVolts", volts, 0, 1000));
        requestedVolts.ifPresent(volts -> Bounds.within("requestedVolts", volts, 0, 1000));
        requestedAmperes.ifPresent(amperes -> Bounds.above("requestedAmperes", amperes, 0, 10_000));
        keepAliveSeconds = Bounds.optional("keepAliveSeconds", keepAliveSeconds, 10, 86_400);
        Bounds.within("idleWatts", idleWatts, 0, 100);
    }
}
