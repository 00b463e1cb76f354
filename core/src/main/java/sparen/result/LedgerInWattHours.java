package sparen.result;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * An energy ledger as people read it: in watt-hours (Wh). Components as in {@link Ledger}.
 *
 * @param surplus what the sun could have given beyond loads and battery (Wh)
 * @param flows a row a source in the order of {@link Ledger.Flows.Source}, a column a use in the order of {@link Ledger.Flows.Use} (Wh)
 * @param closingError what came in less all that is accounted for, as a share of throughput
 */
public record LedgerInWattHours(
        double array,
        double acArray,
        double source,
        double generator,
        double imported,
        double storedIncrease,
        double served,
        Map<String, Double> servedByLoad,
        double diverted,
        Map<String, Double> divertedByLoad,
        double exported,
        double idle,
        double coils,
        double batteryLoss,
        double cableLoss,
        double conversionLoss,
        double curtailed,
        double clipped,
        double surplus,
        double unserved,
        Map<String, Double> unservedByLoad,
        List<List<Double>> flows,
        double cost,
        double closingError) {
    private static final double JOULES = 3600;

    /** The same ledger in watt-hours. */
    public static LedgerInWattHours of(Ledger ledger) {
        return new LedgerInWattHours(
                ledger.arrayJoules() / JOULES,
                ledger.acArrayJoules() / JOULES,
                ledger.sourceJoules() / JOULES,
                ledger.generatorJoules() / JOULES,
                ledger.importJoules() / JOULES,
                ledger.storedIncreaseJoules() / JOULES,
                ledger.totalServedJoules() / JOULES,
                each(ledger.servedJoules()),
                ledger.totalDivertedJoules() / JOULES,
                each(ledger.divertedJoules()),
                ledger.exportJoules() / JOULES,
                ledger.idleJoules() / JOULES,
                ledger.coilJoules() / JOULES,
                ledger.batteryLossJoules() / JOULES,
                ledger.cableLossJoules() / JOULES,
                ledger.conversionLossJoules() / JOULES,
                ledger.curtailedJoules() / JOULES,
                ledger.clippedJoules() / JOULES,
                ledger.surplusJoules() / JOULES,
                ledger.totalUnservedJoules() / JOULES,
                each(ledger.unservedJoules()),
                ledger.flows().joules().stream()
                        .map(row -> row.stream().map(joules -> joules / JOULES).toList())
                        .toList(),
                ledger.cost(),
                ledger.closingError());
    }

    private static Map<String, Double> each(Map<String, Double> joules) {
        Map<String, Double> wattHours = new TreeMap<>();
        joules.forEach((id, value) -> wattHours.put(id, value / JOULES));
        return wattHours;
    }
}
