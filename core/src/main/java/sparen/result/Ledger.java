package sparen.result;

import java.util.List;
import java.util.Map;
import sparen.quantity.Bounds;

/**
 * Where the energy came from and went, over a run, a month or a day. All in joules, none negative save what is stored.
 *
 * @param arrayJoules what the arrays had at their maximum power point
 * @param acArrayJoules what the arrays on the AC side could have given to it
 * @param sourceJoules what sources of given current and direct-current generators brought
 * @param generatorJoules taken from a generator
 * @param importJoules taken from a feeder
 * @param storedIncreaseJoules by how much the energy in the batteries grew; negative when it fell
 * @param servedJoules taken by each load, by id, at its terminals; loads that take surplus only are not among them
 * @param divertedJoules taken by each load that takes surplus only, by id
 * @param exportJoules given back to a feeder
 * @param idleJoules drawn by devices for themselves: chargers, converters, inverter, BMS, heater
 * @param coilJoules drawn by coils of outputs
 * @param batteryLossJoules heat and gas in the batteries
 * @param cableLossJoules heat in cables
 * @param conversionLossJoules lost in controllers, converters, inverter and charger
 * @param curtailedJoules not taken from arrays because the voltage was regulated
 * @param clippedJoules not taken from arrays because of a current limit
 * @param unservedJoules wanted by each load, by id, and not served; no part of the balance
 * @param flows which source fed what
 * @param cost paid for import less got for export, in the currency of the prices
 */
public record Ledger(
        double arrayJoules,
        double acArrayJoules,
        double sourceJoules,
        double generatorJoules,
        double importJoules,
        double storedIncreaseJoules,
        Map<String, Double> servedJoules,
        Map<String, Double> divertedJoules,
        double exportJoules,
        double idleJoules,
        double coilJoules,
        double batteryLossJoules,
        double cableLossJoules,
        double conversionLossJoules,
        double curtailedJoules,
        double clippedJoules,
        Map<String, Double> unservedJoules,
        Flows flows,
        double cost) {
    public Ledger {
        servedJoules = Bounds.ordered(servedJoules);
        divertedJoules = Bounds.ordered(divertedJoules);
        unservedJoules = Bounds.ordered(unservedJoules);
    }

    /**
     * Which source fed what, where several mixed. Sun serves loads first, then charging, then diversion, then export; other
     * direct-current sources next; then the battery, which never charges itself; a generator after that, a feeder last.
     *
     * @param joules a row a source in the order of {@link Source}, a column a use in the order of {@link Use} (J)
     */
    public record Flows(List<List<Double>> joules) {
        public Flows {
            joules = joules.stream().map(List::copyOf).toList();
        }

        /** Where energy comes from. */
        public enum Source {
            SUN,
            DIRECT_CURRENT,
            BATTERY,
            GENERATOR,
            FEEDER
        }

        /** Where it goes. Losses on the way and own draw count with the loads. */
        public enum Use {
            LOADS,
            CHARGING,
            DIVERSION,
            EXPORT
        }

        /** Energy (J) from one source to one use. */
        public double joules(Source source, Use use) {
            return joules.get(source.ordinal()).get(use.ordinal());
        }
    }

    /** All loads together. */
    public double totalServedJoules() {
        return sum(servedJoules);
    }

    /** All surplus loads together. */
    public double totalDivertedJoules() {
        return sum(divertedJoules);
    }

    /** All loads together. */
    public double totalUnservedJoules() {
        return sum(unservedJoules);
    }

    private static double sum(Map<String, Double> joules) {
        return joules.values().stream().mapToDouble(Double::doubleValue).sum();
    }

    /** What the sun could have given beyond loads and battery: diverted from it, curtailed and clipped (J). */
    public double surplusJoules() {
        return flows.joules(Flows.Source.SUN, Flows.Use.DIVERSION) + curtailedJoules + clippedJoules;
    }

    /** What came in, the store left aside (J). */
    public double inputJoules() {
        return arrayJoules + acArrayJoules + sourceJoules + generatorJoules + importJoules;
    }

    /** What came in less all that is accounted for, as a share of what went through. Zero but for rounding. */
    public double closingError() {
        double accounted = totalServedJoules()
                + totalDivertedJoules()
                + exportJoules
                + idleJoules
                + coilJoules
                + batteryLossJoules
                + cableLossJoules
                + conversionLossJoules
                + curtailedJoules
                + clippedJoules
                + storedIncreaseJoules;
        double throughput = inputJoules() + Math.abs(storedIncreaseJoules) + totalServedJoules();
        return throughput == 0 ? 0 : (inputJoules() - accounted) / throughput;
    }
}
