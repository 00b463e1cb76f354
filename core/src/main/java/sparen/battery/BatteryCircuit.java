package sparen.battery;

import java.util.Arrays;
import sparen.quantity.Standard;
import sparen.series.Series;
import sparen.series.Stay;

/**
 * One battery, or several that are alike and go together, at work in one run: its state, and that state's series inside the present
 * step. The bus solves for the current; here it becomes charge, rebound voltages and electromotive force, one coefficient after the
 * other.
 *
 * <p>Charge h at hand and b bound (each as a fraction of its own well), RC voltages v, current I (A, charging positive), wells c and
 * 1 − c of the capacity Q, exchange k, gassing share g(h) while charging:
 *
 * <pre>
 * dh/dt = ((1 − g) I − Iself) / (c Q) + k (1 − c) (b − h)
 * db/dt = −k c (b − h)
 * dv/dt = (I R − v) / τ
 * V     = U(h) + Σ v + (R0 + Rfull(h) or Rempty(h)) I
 * </pre>
 */
public final class BatteryCircuit {
    /** Nothing is left to give below this (fraction). */
    private static final double EMPTY = 1e-9;

    private final BatteryModel model;
    private final boolean hasWells;
    private final boolean gasses;
    private final double availableShare;
    private final double perCoulomb;
    private final double selfDischarge;
    private final double[] rcPerSecond;
    private final double[] knots;
    private final double[] volts;
    private final double[] available = Series.zero();
    private final double[] bound = Series.zero();
    private final double[] charge;
    private final double[][] rcVolts;
    private final double[] electromotiveForce = Series.zero();
    private final double[] resistance = Series.zero();
    private final double[] openCircuit = Series.zero();
    private final double[] gas = Series.zero();
    private final double[] scratch = Series.zero();
    private final double[] flow = Series.zero();

    private double ohmicOhms;
    private double fullOhms;
    private double emptyOhms;
    private final double[] rcOhms;
    private double exchange;
    private double shiftVolts;
    private double celsius = Standard.BATTERY_CELSIUS;

    private int segment;
    private int boundSegment;
    private boolean charging;
    private boolean full;
    private boolean varies;
    private double slope;
    private double boundSlope;
    private double inverseGasGap;
    private double inverseOhmsGap;

    /** A battery at a state of charge (fraction, 0 to 1). */
    public BatteryCircuit(BatteryModel model, double stateOfCharge) {
        this.model = model;
        hasWells = model.availableShare() < 1;
        gasses = model.gasMargin() > 0;
        availableShare = model.availableShare();
        perCoulomb = 1 / (availableShare * model.capacityCoulombs());
        selfDischarge = model.selfDischargeAmperes();
        rcPerSecond = new double[model.rcSeconds().length];
        for (int i = 0; i < rcPerSecond.length; i++) {
            rcPerSecond[i] = 1 / model.rcSeconds()[i];
        }
        knots = model.statesOfCharge();
        volts = model.openCircuitVolts();
        rcOhms = model.rcOhms().clone();
        rcVolts = new double[rcOhms.length][];
        for (int i = 0; i < rcVolts.length; i++) {
            rcVolts[i] = Series.zero();
            rcVolts[i][0] = model.rcStartVolts()[i];
        }
        available[0] = stateOfCharge;
        bound[0] = stateOfCharge;
        charge = hasWells ? Series.zero() : available;
        charge[0] = stateOfCharge;
        setCelsius(celsius);
    }

    /**
     * Takes the battery's temperature (°C) from now on.
     *
     * @return energy (J) that its store gained thereby from its surroundings
     */
    public double setCelsius(double newCelsius) {
        double before = shiftVolts;
        celsius = newCelsius;
        double factor = model.resistanceFactor(celsius);
        ohmicOhms = model.ohmicOhms() * factor;
        fullOhms = model.fullOhms() * factor;
        emptyOhms = model.emptyOhms() * factor;
        double rebound = 0;
        for (int i = 0; i < rcOhms.length; i++) {
            double old = rcOhms[i];
            rcOhms[i] = model.rcOhms()[i] * factor;
            // The time constant stays, so the capacitance changes with the resistance and with it the energy at the
            // same voltage.
            rebound += model.rcSeconds()[i] * rcVolts[i][0] * rcVolts[i][0] / 2 * (1 / rcOhms[i] - 1 / old);
        }
        exchange = model.exchangePerSecond() * model.exchangeFactor(celsius);
        shiftVolts = model.voltsPerKelvin() * (celsius - Standard.BATTERY_CELSIUS);
        return (shiftVolts - before) * charge[0] * model.capacityCoulombs() + rebound;
    }

    /** Its temperature (°C). */
    public double celsius() {
        return celsius;
    }

    /** Prepares a step: finds the segment of the open-circuit curve, and takes the current's expected sign. */
    public void begin(boolean expectCharging) {
        charging = expectCharging;
        full = charging && available[0] >= 1 && !gasses;
        findSegment();
        slope = segmentSlope(segment);
        openCircuit[0] = volts[segment] + shiftVolts + slope * (available[0] - knots[segment]);
        double sum = openCircuit[0];
        for (double[] v : rcVolts) {
            sum += v[0];
        }
        electromotiveForce[0] = sum;
        double extra = charging ? fullOhms : emptyOhms;
        varies = extra != 0;
        if (varies) {
            double margin = charging ? model.fullMargin() : model.emptyMargin();
            inverseOhmsGap = 1 / (margin + (charging ? 1 - available[0] : available[0]));
            resistance[0] = ohmicOhms + extra * margin * inverseOhmsGap;
        } else {
            Arrays.fill(resistance, 0);
            resistance[0] = ohmicOhms;
        }
        if (charging && gasses) {
            inverseGasGap = 1 / (1 + model.gasMargin() - available[0]);
            gas[0] = model.gasMargin() * inverseGasGap;
        }
    }

    /**
     * Extends all series by one coefficient.
     *
     * @param current series of the battery current (A), known up to coefficient k
     * @param k the last known coefficient; k + 1 is made
     */
    public void extend(double[] current, int k) {
        double stored = current[k];
        if (full) {
            stored = 0;
        } else if (charging && gasses) {
            stored -= gas[0] * current[k] + Series.innerProduct(gas, current, k) + (k > 0 ? gas[k] * current[0] : 0);
        }
        double share = availableShare;
        double part = Series.INVERSE[k + 1];
        if (k == 0) {
            stored -= available[0] > EMPTY ? selfDischarge : 0;
        }
        double rise = stored * perCoulomb;
        if (hasWells) {
            double difference = exchange * (bound[k] - available[k]);
            rise += (1 - share) * difference;
            bound[k + 1] = -share * difference * part;
            available[k + 1] = rise * part;
            charge[k + 1] = share * available[k + 1] + (1 - share) * bound[k + 1];
        } else {
            available[k + 1] = rise * part;
        }
        double sum = slope * available[k + 1];
        openCircuit[k + 1] = sum;
        for (int i = 0; i < rcVolts.length; i++) {
            double[] v = rcVolts[i];
            v[k + 1] = (current[k] * rcOhms[i] - v[k]) * rcPerSecond[i] * part;
            sum += v[k + 1];
        }
        electromotiveForce[k + 1] = sum;
        if (varies) {
            resistance[k + 1] = resistanceTerm(k + 1);
        }
        if (charging && gasses) {
            gas[k + 1] = (available[k + 1] * gas[0] + Series.innerProduct(available, gas, k + 1)) * inverseGasGap;
        }
    }

    /** Coefficient k of the resistance near full or empty, by the recurrence of the quotient a / (b ± h). */
    private double resistanceTerm(int k) {
        double sum = available[k] * (resistance[0] - ohmicOhms) + Series.innerProduct(available, resistance, k);
        return charging ? sum * inverseOhmsGap : -sum * inverseOhmsGap;
    }

    /** Takes the state at the end of a step (s) as the new start; coefficients count up to an order. */
    public void advance(int order, double seconds) {
        available[0] = full ? 1 : Math.min(1, Math.max(0, Series.at(available, order, seconds)));
        if (hasWells) {
            double share = model.availableShare();
            bound[0] = Math.min(1, Math.max(0, Series.at(bound, order, seconds)));
            charge[0] = share * available[0] + (1 - share) * bound[0];
        }
        for (double[] v : rcVolts) {
            v[0] = Series.at(v, order, seconds);
        }
    }

    private void findSegment() {
        segment = segmentOf(segment, available[0], charging);
        slope = segmentSlope(segment);
        if (hasWells) {
            boundSegment = segmentOf(boundSegment, bound[0], available[0] > bound[0]);
            boundSlope = segmentSlope(boundSegment);
        }
    }

    private int segmentOf(int from, double value, boolean rising) {
        int found = from;
        int last = knots.length - 2;
        while (found < last && (value > knots[found + 1] || rising && value == knots[found + 1])) {
            found++;
        }
        while (found > 0 && (value < knots[found] || !rising && value == knots[found])) {
            found--;
        }
        return found;
    }

    private double segmentSlope(int i) {
        return (volts[i + 1] - volts[i]) / (knots[i + 1] - knots[i]);
    }

    /** Says within which bounds it stays on the piece of its model it is on. */
    public void watch(Stay stay) {
        stay.within(available, knots[segment], full ? 1 : knots[segment + 1]);
        if (hasWells) {
            stay.within(bound, knots[boundSegment], knots[boundSegment + 1]);
        }
    }

    /** Whether nothing is left to give: the well at hand is empty. */
    public boolean isEmpty() {
        return available[0] <= EMPTY;
    }

    /** State of charge (fraction) as a series: of all charge, at hand and bound. */
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

    /** Resistance that a steady current sees in the end, as it is now (Ω). */
    public double settledOhms() {
        double sum = resistance[0];
        for (double ohms : rcOhms) {
            sum += ohms;
        }
        return sum;
    }

    /** Energy (J) lost in it over a step (s) with this current and this voltage at its terminals. */
    public double lostJoules(double[] current, double[] terminalVolts, int order, double seconds) {
        for (int k = 0; k <= order; k++) {
            scratch[k] = terminalVolts[k] - electromotiveForce[k];
        }
        double lost = Series.integralOfProduct(scratch, current, order, seconds);
        for (int i = 0; i < rcVolts.length; i++) {
            lost += Series.integralOfProduct(rcVolts[i], rcVolts[i], order, seconds) / rcOhms[i];
        }
        if (full) {
            lost += Series.integralOfProduct(openCircuit, current, order, seconds);
        } else if (charging && gasses) {
            multiply(gas, current, order, flow);
            lost += Series.integralOfProduct(openCircuit, flow, order, seconds);
        }
        if (model.selfDischargeAmperes() > 0 && available[0] > EMPTY) {
            lost += model.selfDischargeAmperes() * Series.integral(openCircuit, order, seconds);
        }
        if (hasWells) {
            lost += exchangeJoules(order, seconds);
        }
        return lost;
    }

    /** Charge that flows from one well to the other does so down a difference of voltage. */
    private double exchangeJoules(int order, double seconds) {
        double share = model.availableShare();
        double coulombs = exchange * share * (1 - share) * model.capacityCoulombs();
        scratch[0] = volts[boundSegment] + shiftVolts + boundSlope * (bound[0] - knots[boundSegment]) - openCircuit[0];
        flow[0] = coulombs * (bound[0] - available[0]);
        for (int k = 1; k <= order; k++) {
            scratch[k] = boundSlope * bound[k] - openCircuit[k];
            flow[k] = coulombs * (bound[k] - available[k]);
        }
        return Series.integralOfProduct(scratch, flow, order, seconds);
    }

    private static void multiply(double[] a, double[] b, int order, double[] product) {
        product[0] = a[0] * b[0];
        for (int k = 1; k <= order; k++) {
            product[k] = a[0] * b[k] + a[k] * b[0] + Series.innerProduct(a, b, k);
        }
    }

    /** Energy (J) stored now, against empty and at rest: in both wells and in the rebound elements. */
    public double storedJoules() {
        double share = model.availableShare();
        double joules = share * wellJoules(available[0]) + (1 - share) * wellJoules(bound[0]);
        for (int i = 0; i < rcVolts.length; i++) {
            double farads = model.rcSeconds()[i] / rcOhms[i];
            joules += farads * rcVolts[i][0] * rcVolts[i][0] / 2;
        }
        return joules;
    }

    private double wellJoules(double filled) {
        double joules = 0;
        for (int i = 0; i + 1 < knots.length && knots[i] < filled; i++) {
            double to = Math.min(knots[i + 1], filled);
            double mean = volts[i] + shiftVolts + segmentSlope(i) * (to - knots[i]) / 2;
            joules += mean * (to - knots[i]) * model.capacityCoulombs();
        }
        return joules;
    }
}
