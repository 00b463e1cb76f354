package sparen.document;

import java.util.Map;
import java.util.TreeMap;
import sparen.simulation.Ledger;

/**
 * An energy ledger as people read it: in watt-hours (Wh). Components as in {@link Ledger}.
 *
 * @param closingError what came in less all that is accounted for, as a share of throughput
 */
public record LedgerInWattHours(
        double array,
        double source,
        double storedIncrease,
        double served,
        Map<String, Double> servedByLoad,
        double idle,
        double batteryLoss,
        double cableLoss,
        double conversionLoss,
        double curtailed,
        double clipped,
        double unserved,
        Map<String, Double> unservedByLoad,
        double closingError) {
    private static final double JOULES = 3600;

    /** The same ledger in watt-hours. */
    public static LedgerInWattHours of(Ledger ledger) {
        return new LedgerInWattHours(
                ledger.arrayJoules() / JOULES,
                ledger.sourceJoules() / JOULES,
                ledger.storedIncreaseJoules() / JOULES,
                ledger.totalServedJoules() / JOULES,
                each(ledger.servedJoules()),
                ledger.idleJoules() / JOULES,
                ledger.batteryLossJoules() / JOULES,
                ledger.cableLossJoules() / JOULES,
                ledger.conversionLossJoules() / JOULES,
                ledger.curtailedJoules() / JOULES,
                ledger.clippedJoules() / JOULES,
                ledger.totalUnservedJoules() / JOULES,
                each(ledger.unservedJoules()),
                ledger.closingError());
    }

    private static Map<String, Double> each(Map<String, Double> joules) {
        Map<String, Double> wattHours = new TreeMap<>();
        joules.forEach((id, value) -> wattHours.put(id, value / JOULES));
        return wattHours;
    }
}
