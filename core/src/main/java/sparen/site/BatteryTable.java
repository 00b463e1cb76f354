package sparen.site;

import java.util.List;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

/**
 * A battery given by measurement: open-circuit voltage against state of charge, and its resistances, for the whole bank.
 *
 * @param statesOfCharge rising, first 0 and last 1 (fraction); 2 to 200 of them
 * @param openCircuitVolts the voltage at rest at each of them (V), 0 to 1000; all equal for a constant source
 * @param ohmicOhms resistance that acts at once (Ω), 1e-6 to 100
 * @param rcPairs rebound elements, 0 to 3
 */
public record BatteryTable(
        List<Double> statesOfCharge, List<Double> openCircuitVolts, double ohmicOhms, List<RcPair> rcPairs) {
    public BatteryTable {
        statesOfCharge = List.copyOf(Bounds.present("statesOfCharge", statesOfCharge));
        openCircuitVolts = List.copyOf(Bounds.present("openCircuitVolts", openCircuitVolts));
        rcPairs = List.copyOf(Bounds.present("rcPairs", rcPairs));
        Bounds.within("ohmicOhms", ohmicOhms, 1e-6, 100);
        Bounds.within("statesOfCharge", statesOfCharge.size(), "entries", 2, 200);
        Bounds.within("rcPairs", rcPairs.size(), "pairs", 0, 3);
        if (openCircuitVolts.size() != statesOfCharge.size()) {
            throw new InvalidQuantity(
                    "openCircuitVolts",
                    openCircuitVolts.size() + " voltages for " + statesOfCharge.size() + " states of charge");
        }
        Bounds.within("statesOfCharge", statesOfCharge.get(0), 0, 0);
        Bounds.within("statesOfCharge", statesOfCharge.get(statesOfCharge.size() - 1), 1, 1);
        for (int i = 0; i < statesOfCharge.size(); i++) {
            Bounds.within("openCircuitVolts", openCircuitVolts.get(i), 0, 1000);
            if (i > 0) {
                Bounds.above("statesOfCharge", statesOfCharge.get(i), statesOfCharge.get(i - 1), 1);
                Bounds.within("openCircuitVolts", openCircuitVolts.get(i), openCircuitVolts.get(i - 1), 1000);
            }
        }
    }
}
