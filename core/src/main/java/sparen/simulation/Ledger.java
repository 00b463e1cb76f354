package sparen.simulation;

import java.util.Map;

/**
 * Where the energy came from and went, over a whole run. All in joules, none negative save what is stored.
 *
 * @param arrayJoules what the arrays had at their maximum power point
 * @param sourceJoules what sources of given current brought
 * @param storedIncreaseJoules by how much the energy in the battery grew; negative when it fell
 * @param servedJoules taken by each load, by id, at its terminals
 * @param idleJoules drawn by controllers for themselves
 * @param batteryLossJoules heat and gas in the battery
 * @param cableLossJoules heat in cables
 * @param conversionLossJoules lost in controllers
 * @param curtailedJoules not taken from the arrays because the voltage was regulated
 * @param clippedJoules not taken from the arrays because of a current limit
 * @param unservedJoules wanted by each load, by id, and not served; no part of the balance
 */
public record Ledger(
        double arrayJoules,
        double sourceJoules,
        double storedIncreaseJoules,
        Map<String, Double> servedJoules,
        double idleJoules,
        double batteryLossJoules,
        double cableLossJoules,
        double conversionLossJoules,
        double curtailedJoules,
        double clippedJoules,
        Map<String, Double> unservedJoules) {
    public Ledger {
        servedJoules = Map.copyOf(servedJoules);
        unservedJoules = Map.copyOf(unservedJoules);
    }

    /** All loads together. */
    public double totalServedJoules() {
        return servedJoules.values().stream().mapToDouble(Double::doubleValue).sum();
    }

    /** All loads together. */
    public double totalUnservedJoules() {
        return unservedJoules.values().stream().mapToDouble(Double::doubleValue).sum();
    }

    /** What came in less all that is accounted for, as a share of what went through. Zero but for rounding. */
    public double closingError() {
        double accounted = totalServedJoules()
                + idleJoules
                + batteryLossJoules
                + cableLossJoules
                + conversionLossJoules
                + curtailedJoules
                + clippedJoules
                + storedIncreaseJoules;
        double throughput = arrayJoules + sourceJoules + Math.abs(storedIncreaseJoules) + totalServedJoules();
        return throughput == 0 ? 0 : (arrayJoules + sourceJoules - accounted) / throughput;
    }
}
