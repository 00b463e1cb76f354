package sparen.battery;

import java.util.Arrays;
import sparen.series.Series;

/**
 * The battery at work in one run: its state, and that state's series inside the present step. The bus solves for the current;
 * here it becomes charge, rebound voltages and electromotive force, one coefficient after the other.
 *
 * <p>State of charge s, RC voltages v, current I (A, charging positive): ds/dt = η I / C, dv/dt = (I R − v) / τ, and at the
 * terminals V = U(s) + Σ v + (R0 + Rfull(s)) I. At s = 1 charging current only makes gas and heat: s stands still.
 */
public final class BatteryCircuit {
    private final BatteryModel model;
    private final double[] charge = Series.zero();
    private final double[][] rcVolts;
    private final double[] electromotiveForce = Series.zero();
    private final double[] resistance = Series.zero();
    private final double[] openCircuit = Series.zero();

    private int segment;
    private boolean charging;
    private boolean full;
    private double slope;

    /** A battery at a state of charge (fraction, 0 to 1). */
    public BatteryCircuit(BatteryModel model, double stateOfCharge) {
        this.model = model;
        rcVolts = new double[model.rcOhms().length][];
        for (int i = 0; i < rcVolts.length; i++) {
            rcVolts[i] = Series.zero();
            rcVolts[i][0] = model.rcStartVolts()[i];
        }
        charge[0] = stateOfCharge;
        segment = 0;
    }

    /** Prepares a step: finds the segment of the open-circuit curve, and takes the current's expected sign. */
    public void begin(boolean expectCharging) {
        charging = expectCharging;
        full = charging && charge[0] >= 1;
        findSegment();
        slope = segmentSlope();
        Arrays.fill(openCircuit, 0);
        openCircuit[0] = model.openCircuitVolts()[segment] + slope * (charge[0] - model.statesOfCharge()[segment]);
        double sum = openCircuit[0];
        for (double[] v : rcVolts) {
            sum += v[0];
        }
        electromotiveForce[0] = sum;
        Arrays.fill(resistance, 0);
        resistance[0] = model.ohmicOhms() + fullOhms(0);
    }

    /**
     * Extends all series by one coefficient.
     *
     * @param current series of the battery current (A), known up to coefficient k
     * @param k the last known coefficient; k + 1 is made
     */
    public void extend(double[] current, int k) {
        double efficiency = charging ? model.chargeEfficiency() : 1;
        charge[k + 1] = full ? 0 : efficiency * current[k] / (model.capacityCoulombs() * (k + 1));
        double sum = slope * charge[k + 1];
        openCircuit[k + 1] = sum;
        for (int i = 0; i < rcVolts.length; i++) {
            double[] v = rcVolts[i];
            v[k + 1] = (current[k] * model.rcOhms()[i] - v[k]) / (model.rcSeconds()[i] * (k + 1));
            sum += v[k + 1];
        }
        electromotiveForce[k + 1] = sum;
        resistance[k + 1] = fullOhms(k + 1);
    }

    /** Takes the state at the end of a step (s) as the new start; coefficients count up to an order. */
    public void advance(int order, double seconds) {
        charge[0] = full ? 1 : Math.min(1, Math.max(0, Series.at(charge, order, seconds)));
        for (double[] v : rcVolts) {
            v[0] = Series.at(v, order, seconds);
        }
    }

    /** Coefficient k of the charging resistance near full, by the recurrence of the quotient a / (b − s). */
    private double fullOhms(int k) {
        if (!charging || model.fullOhms() == 0) {
            return 0;
        }
        double gap = 1 + model.fullMargin() - charge[0];
        if (k == 0) {
            return model.fullOhms() * model.fullMargin() / gap;
        }
        double sum = charge[k] * (resistance[0] - model.ohmicOhms()) + Series.innerProduct(charge, resistance, k);
        return sum / gap;
    }

    private void findSegment() {
        double[] knots = model.statesOfCharge();
        int last = knots.length - 2;
        while (segment < last && (charge[0] > knots[segment + 1] || charging && charge[0] == knots[segment + 1])) {
            segment++;
        }
        while (segment > 0 && (charge[0] < knots[segment] || !charging && charge[0] == knots[segment])) {
            segment--;
        }
    }

    private double segmentSlope() {
        double[] knots = model.statesOfCharge();
        double[] volts = model.openCircuitVolts();
        return (volts[segment + 1] - volts[segment]) / (knots[segment + 1] - knots[segment]);
    }

    /** Lower end of the present segment of the open-circuit curve (fraction). */
    public double segmentStart() {
        return model.statesOfCharge()[segment];
    }

    /** Upper end of the present segment (fraction). */
    public double segmentEnd() {
        return model.statesOfCharge()[segment + 1];
    }

    /** Whether the step was begun for charging current. */
    public boolean isCharging() {
        return charging;
    }

    /** Whether it takes no more charge. */
    public boolean isFull() {
        return full;
    }

    /** State of charge (fraction) as a series. */
    public double[] charge() {
        return charge;
    }

    /** Open-circuit voltage plus rebound voltages (V) as a series. */
    public double[] electromotiveForce() {
        return electromotiveForce;
    }

    /** Resistance that acts at once (Ω) as a series. */
    public double[] resistance() {
        return resistance;
    }

    /** Energy (J) lost in it over a step (s) with this current and this voltage at its terminals. */
    public double lostJoules(double[] current, double[] terminalVolts, int order, double seconds, double[] scratch) {
        for (int k = 0; k <= order; k++) {
            scratch[k] = terminalVolts[k] - electromotiveForce[k];
        }
        double lost = Series.integralOfProduct(scratch, current, order, seconds);
        for (int i = 0; i < rcVolts.length; i++) {
            lost += Series.integralOfProduct(rcVolts[i], rcVolts[i], order, seconds) / model.rcOhms()[i];
        }
        if (charging && (full || model.chargeEfficiency() < 1)) {
            double notStored = full ? 1 : 1 - model.chargeEfficiency();
            lost += notStored * Series.integralOfProduct(openCircuit, current, order, seconds);
        }
        return lost;
    }

    /** Energy (J) stored now, against empty and at rest: in charge and in the rebound elements. */
    public double storedJoules() {
        double[] knots = model.statesOfCharge();
        double[] volts = model.openCircuitVolts();
        double joules = 0;
        for (int i = 0; i + 1 < knots.length && knots[i] < charge[0]; i++) {
            double to = Math.min(knots[i + 1], charge[0]);
            double slope = (volts[i + 1] - volts[i]) / (knots[i + 1] - knots[i]);
            double mean = volts[i] + slope * (to - knots[i]) / 2;
            joules += mean * (to - knots[i]) * model.capacityCoulombs();
        }
        for (int i = 0; i < rcVolts.length; i++) {
            double farads = model.rcSeconds()[i] / model.rcOhms()[i];
            joules += farads * rcVolts[i][0] * rcVolts[i][0] / 2;
        }
        return joules;
    }
}
