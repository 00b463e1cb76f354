package sparen.battery;

import sparen.series.Series;
import sparen.series.Stay;

/** A battery that is given the currents that were recorded, and answers with its voltage: what its model makes of them. */
public final class FollowedBattery {
    /** Steps are no longer (s): several of the shortest time constants of a rebound, which {@link Series#ORDER} powers follow. */
    private static final double LONGEST_STEP = 300;

    /** A piece of a curve is passed by no more than what flows in this time (s). */
    private static final double SHORTEST_STEP = 30;

    private final BatteryCircuit circuit;
    private final Stay stay = new Stay();
    private final double[] amperes = Series.zero();

    /** A battery at rest at a state of charge (fraction, 0 to 1). */
    public FollowedBattery(BatteryModel model, double stateOfCharge) {
        circuit = new BatteryCircuit(model, stateOfCharge);
    }

    /** Takes its temperature from now on (°C). */
    public void setCelsius(double celsius) {
        circuit.setCelsius(celsius);
    }

    /** Its voltage (V) while a current flows into it (A). */
    public double volts(double into) {
        begin(into);
        return circuit.volts(into);
    }

    /** Its state of charge (fraction). */
    public double stateOfCharge() {
        return circuit.charge()[0];
    }

    /** Lets a current flow into it (A) for a time (s). */
    public void goOn(double into, double seconds) {
        double left = seconds;
        while (left > 0) {
            double step = Math.min(left, LONGEST_STEP);
            begin(into);
            for (int k = 0; k < Series.ORDER; k++) {
                circuit.extend(amperes, k);
            }
            stay.begin(Series.ORDER, step);
            circuit.watch(stay);
            step = Math.min(step, Math.max(SHORTEST_STEP, stay.exitSeconds()));
            circuit.advance(Series.ORDER, step);
            left -= step;
        }
    }

    private void begin(double into) {
        circuit.begin(into > 0);
        if (circuit.bends()) {
            circuit.bendAt(into);
        }
        amperes[0] = into;
    }
}
