package sparen.site;

import java.util.Optional;
import sparen.quantity.Bounds;

/**
 * What stands around the battery: its temperature follows the air's by a first-order lag, raised by its own losses and a heater.
 *
 * @param lagSeconds time constant of battery and cabinet (s), 60 to 5e6; 60 for none
 * @param kelvinPerWatt rise above the air for each watt of loss or heat in it (K/W), 0 to 20
 * @param startCelsius where a simulation starts (°C), −60 to 80; absent for the air's mean of the first day
 * @param heater keeps it from freezing
 */
public record Enclosure(
        double lagSeconds, double kelvinPerWatt, Optional<Double> startCelsius, Optional<CabinetHeater> heater) {
    /** So short a lag (s) is none. */
    public static final double NO_LAG_SECONDS = 60;

    /** A cabinet about which nothing is known: half a day's lag, losses without effect. Judgement, no source. */
    public static final Enclosure UNKNOWN = new Enclosure(43_200, 0, Optional.empty(), Optional.empty());

    public Enclosure {
        Bounds.within("lagSeconds", lagSeconds, NO_LAG_SECONDS, 5e6);
        Bounds.within("kelvinPerWatt", kelvinPerWatt, 0, 20);
        startCelsius = Bounds.orEmpty(startCelsius);
        startCelsius.ifPresent(celsius -> Bounds.within("startCelsius", celsius, -60, 80));
        heater = Bounds.orEmpty(heater);
    }

    /**
     * A battery heater on the main bus with its own thermostat.
     *
     * @param watts its draw (W), above 0 to 5000
     * @param onCelsius at or below this it heats (°C), −50 to 50
     * @param offCelsius at or above this it stops (°C), onCelsius to 60
     */
    public record CabinetHeater(double watts, double onCelsius, double offCelsius) {
        public CabinetHeater {
            Bounds.above("watts", watts, 0, 5000);
            Bounds.within("onCelsius", onCelsius, -50, 50);
            Bounds.within("offCelsius", offCelsius, onCelsius, 60);
        }
    }
}
