package sparen.simulation;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import sparen.power.ChargeRegulator;
import sparen.series.Series;

/** Adds up a {@link Ledger} step by step, and the mean powers of each step for the trace. */
final class LedgerMeter {
    private final Circuit circuit;
    private final double startStoredJoules;
    private final double[] served;
    private final double[] unserved;
    private final double[] scratch = Series.zero();
    private final double[] stepWatts = new double[5];
    private double array;
    private double source;
    private double idle;
    private double batteryLoss;
    private double cableLoss;
    private double conversionLoss;
    private double curtailed;
    private double clipped;

    LedgerMeter(Circuit circuit) {
        this.circuit = circuit;
        startStoredJoules = circuit.battery.storedJoules();
        served = new double[circuit.connected.length];
        unserved = new double[circuit.connected.length];
    }

    /**
     * Takes a step (s) into the sums.
     *
     * @param wished for each load whether it is wanted
     * @return mean powers over the step in the trace's order (W); reused by the next call
     */
    double[] add(double step, boolean[] wished) {
        double usedBefore = addLoads(step, wished);
        double thrownAway = addControllers(step);
        source += circuit.sourceJoules(step);
        idle += circuit.idleJoules(step);
        cableLoss += circuit.bus.cableJoules(step);
        int order = circuit.bus.order();
        double[] volts = circuit.bus.batteryVolts();
        double[] amperes = circuit.bus.batteryCurrent();
        batteryLoss += circuit.battery.lostJoules(amperes, volts, order, step, scratch);
        double battery = Series.integralOfProduct(volts, amperes, order, step);
        stepWatts[0] = usedBefore / step;
        stepWatts[1] = Math.max(0, battery) / step;
        stepWatts[2] = Math.max(0, -battery) / step;
        stepWatts[3] = thrownAway / step;
        return stepWatts;
    }

    private double addLoads(double step, boolean[] wished) {
        double used = 0;
        double missing = 0;
        for (int i = 0; i < served.length; i++) {
            if (circuit.isServed(i)) {
                double joules = circuit.loadJoules(i, step);
                served[i] += joules;
                used += joules;
            } else if (wished[i]) {
                double joules = circuit.wantedWatts(i) * step;
                unserved[i] += joules;
                missing += joules;
            }
        }
        stepWatts[4] = missing / step;
        return used;
    }

    private double addControllers(double step) {
        double thrownAway = 0;
        for (int i = 0; i < circuit.regulators.size(); i++) {
            double output = circuit.controllerJoules(i, step);
            double taken = output / circuit.site.controllers().get(i).efficiency();
            double had = circuit.arrayJoules(i, step);
            double left = Math.max(0, had - taken);
            array += had;
            conversionLoss += taken - output;
            thrownAway += left;
            if (circuit.regulators.get(i).limit() == ChargeRegulator.Limit.CURRENT) {
                clipped += left;
            } else {
                curtailed += left;
            }
        }
        return thrownAway;
    }

    Ledger ledger() {
        return new Ledger(
                array,
                source,
                circuit.battery.storedJoules() - startStoredJoules,
                byLoad(served),
                idle,
                batteryLoss,
                cableLoss,
                conversionLoss,
                curtailed,
                clipped,
                byLoad(unserved));
    }

    private Map<String, Double> byLoad(double[] joules) {
        List<String> ids = circuit.loadIds();
        Map<String, Double> map = new HashMap<>();
        for (int i = 0; i < joules.length; i++) {
            map.put(ids.get(i), joules[i]);
        }
        return map;
    }
}
