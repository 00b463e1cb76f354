package sparen.site;

import java.util.Optional;
import sparen.quantity.Bounds;

/**
 * An array on the AC side with an inverter of its own. Off-grid the site's inverter raises its frequency to curtail it.
 *
 * @param array id of the array
 * @param inverter id of the inverter whose AC side it is on
 * @param maximumWatts of its inverter (W), above 0 to 100,000
 * @param efficiency of its inverter (fraction), 0.5 to 1
 * @param meter a second one, at its inverter, for a meter of the feeder that does not see it; absent for none
 */
public record AcCoupledArray(
        String array, String inverter, double maximumWatts, double efficiency, Optional<ArrayMeter> meter) {
    /**
     * A meter that tells the site's inverter what an array on its AC side brings.
     *
     * @param reversed whether it is in the wrong way round, and reads what is brought as what is drawn
     */
    public record ArrayMeter(boolean reversed) {}

    public AcCoupledArray {
        Bounds.id("array", array);
        Bounds.id("inverter", inverter);
        Bounds.above("maximumWatts", maximumWatts, 0, 100_000);
        Bounds.within("efficiency", efficiency, 0.5, 1);
        meter = Bounds.orEmpty(meter);
    }

    /** One without a meter of its own. */
    public AcCoupledArray(String array, String inverter, double maximumWatts, double efficiency) {
        this(array, inverter, maximumWatts, efficiency, Optional.empty());
    }
}
