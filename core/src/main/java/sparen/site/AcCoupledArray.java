package sparen.site;

import sparen.quantity.Bounds;

/**
 * An array on the AC side with an inverter of its own. Off-grid the site's inverter raises its frequency to curtail it.
 *
 * @param array id of the array
 * @param inverter id of the inverter whose AC side it is on
 * @param maximumWatts of its inverter (W), above 0 to 100,000
 * @param efficiency of its inverter (fraction), 0.5 to 1
 */
public record AcCoupledArray(String array, String inverter, double maximumWatts, double efficiency) {
    public AcCoupledArray {
        Bounds.id("array", array);
        Bounds.id("inverter", inverter);
        Bounds.above("maximumWatts", maximumWatts, 0, 100_000);
        Bounds.within("efficiency", efficiency, 0.5, 1);
    }
}
