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
 * V     = U(h) + Σ v + (R0 + Rempty(h)) I           while discharged
 * V     = U(h) + Σ v + R0 I + P B / (P + B)         while charged, see {@link NearFull}
 * </pre>
 *
 * <p>The state of charge is what is in both wells, counted down from full in parts of the stated capacity: 1 − (1 − c h − (1 − c) b) / s,
 * with s the share of all charge that a discharge at the stated rate takes at 25 °C.
 */
public final class BatteryCircuit {
    private final BatteryModel model;
    private final boolean gasses;
    private final double selfDischarge;
    private final RestCurve curve;
    private final Wells wells;
    private final double[] available;
    private final Rebound rebound;
    private final double[] electromotiveForce = Series.zero();
    private final double[] resistance = Series.zero();
    private final double[] openCircuit = Series.zero();
    private final double[] gas = Series.zero();
    private final double[] scratch = Series.zero();
    private final double[] flow = Series.zero();
    private final Overvoltage overvoltage;

    private double ohmicOhms;
    private double fullOhms;
    private double emptyOhms;
    private double celsius = Standard.BATTERY_CELSIUS;

    private boolean charging;
    private boolean full;
    private boolean varies;
    private boolean bends;
    private double inverseGasGap;
    private double inverseOhmsGap;

    /** A battery at a state of charge (fraction, 0 to 1). */
    public BatteryCircuit(BatteryModel model, double stateOfCharge) {
        this.model = model;
        gasses = model.gasMargin() > 0;
        overvoltage = new Overvoltage(model.nearFull());
        selfDischarge = model.selfDischargeAmperes();
        curve = new RestCurve(model.statesOfCharge(), model.openCircuitVolts());
        wells = new Wells(model, curve, stateOfCharge);
        available = wells.available;
        rebound = new Rebound(model);
        setCelsius(celsius);
    }

    /**
     * Takes the battery's temperature (°C) from now on.
     *
     * @return energy (J) that its store gained thereby from its surroundings
     */
    public double setCelsius(double newCelsius) {
        celsius = newCelsius;
        double factor = model.resistanceFactor(celsius);
        ohmicOhms = model.ohmicOhms() * factor;
        fullOhms = model.nearFull().ohms() * model.nearFullFactor(celsius);
        overvoltage.setCelsius(celsius);
        emptyOhms = model.emptyOhms() * factor;
        double gained = rebound.takeFactor(factor);
        wells.setCelsius(celsius);
        double warmer = curve.shift(model.voltsPerKelvin() * (celsius - Standard.BATTERY_CELSIUS));
        return warmer * filled() * model.capacityCoulombs() + gained;
    }

    /** Its parameters. */
    public BatteryModel model() {
        return model;
    }

    /** Its temperature (°C). */
    public double celsius() {
        return celsius;
    }

    /** Prepares a step, and takes the current's expected sign. */
    public void begin(boolean expectCharging) {
        charging = expectCharging;
        full = charging && available[0] >= 1 && !gasses;
        openCircuit[0] = wells.begin(charging);
        electromotiveForce[0] = rebound.onTop(openCircuit[0]);
        bends = charging && overvoltage.isBounded();
        double extra = charging ? fullOhms : emptyOhms;
        double margin = charging ? model.nearFull().margin() : model.emptyMargin();
        varies = !bends && extra != 0;
        if (bends) {
            overvoltage.begin(fullOhms * margin, 1 / (1 + margin - available[0]));
        }
        if (varies) {
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
        if (k == 0) {
            stored -= isEmpty() ? 0 : selfDischarge;
        }
        openCircuit[k + 1] = wells.extend(stored, k);
        electromotiveForce[k + 1] = rebound.extend(current, k, openCircuit[k + 1]);
        if (varies) {
            resistance[k + 1] = resistanceTerm(k + 1);
        } else if (bends) {
            overvoltage.extend(available, k + 1);
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
        wells.advance(order, seconds, full);
        rebound.advance(order, seconds);
    }

    /** How full all of it is (fraction). */
    public double filled() {
        return wells.filled();
    }

    /** Says within which bounds it stays on the piece of its model it is on. */
    public void watch(Stay stay) {
        wells.watch(stay, full);
    }

    /** Whether nothing is left to give: the well at hand is empty. */
    public boolean isEmpty() {
        return wells.isEmpty();
    }

    /** State of charge (fraction) as a series: of all charge, at hand and bound. */
    public double[] charge() {
        return wells.charge;
    }

    /** Open-circuit voltage plus rebound voltages (V) as a series. */
    public double[] electromotiveForce() {
        return electromotiveForce;
    }

    /**
     * The current (A) it takes behind a cable.
     *
     * @param driveVolts beyond its electromotive force (V); in the direction it has begun in
     * @param cableOhms of that cable (Ω)
     */
    public double amperes(double driveVolts, double cableOhms) {
        double ohms = resistance[0] + cableOhms;
        return bends ? overvoltage.amperes(driveVolts, ohms) : driveVolts / ohms;
    }

    /** Whether its voltage is no straight line of its current, so that a solution has to be found by steps. */
    public boolean bends() {
        return bends;
    }

    /** Takes a current (A) as the one about which its voltage is taken as a straight line. */
    public void bendAt(double amperes) {
        overvoltage.bendAt(Math.max(0, amperes));
    }

    /** What the voltage rises by with each ampere that is added at once, at the current it is taken at (Ω). */
    public double differentialOhms() {
        return bends ? resistance[0] + overvoltage.differentialOhms() : resistance[0];
    }

    /** Where that straight line has its voltage at no current (V). */
    public double straightVolts() {
        return bends ? electromotiveForce[0] + overvoltage.straightVolts() : electromotiveForce[0];
    }

    /** Its voltage (V) at a current (A), the one it is taken at. */
    public double volts(double amperes) {
        double volts = electromotiveForce[0] + resistance[0] * amperes;
        return bends ? volts + overvoltage.volts() : volts;
    }

    /**
     * Coefficient k of its voltage without the part that is the coefficient k of the current times the differential resistance.
     *
     * @param current series of the battery current (A), known up to coefficient k − 1
     */
    public double knownVolts(double[] current, int k) {
        return electromotiveForce[k]
                + (bends
                        ? overvoltage.known(current, k)
                        : Series.innerProduct(resistance, current, k) + resistance[k] * current[0]);
    }

    /** Takes coefficient k of the current (A). */
    public void take(double amperes, int k) {
        if (bends) {
            overvoltage.take(amperes, k);
        }
    }

    /** Resistance that a steady current sees in the end, as it is now (Ω). */
    public double settledOhms() {
        return rebound.settled(differentialOhms());
    }

    /** The share of the current that makes gas at the start of the step; 0 while it is not charged. */
    public double gasShare() {
        return charging && gasses ? gas[0] : 0;
    }

    /** Energy (J) lost in it over a step (s) with this current and this voltage at its terminals. */
    public double lostJoules(double[] current, double[] terminalVolts, int order, double seconds) {
        for (int k = 0; k <= order; k++) {
            scratch[k] = terminalVolts[k] - electromotiveForce[k];
        }
        double lost = Series.integralOfProduct(scratch, current, order, seconds);
        lost = rebound.lost(lost, order, seconds);
        if (full) {
            lost += Series.integralOfProduct(openCircuit, current, order, seconds);
        } else if (charging && gasses) {
            multiply(gas, current, order, flow);
            lost += Series.integralOfProduct(openCircuit, flow, order, seconds);
        }
        if (selfDischarge > 0 && !isEmpty()) {
            lost += selfDischarge * Series.integral(openCircuit, order, seconds);
        }
        return lost + wells.lostJoules(openCircuit, order, seconds);
    }

    private static void multiply(double[] a, double[] b, int order, double[] product) {
        product[0] = a[0] * b[0];
        for (int k = 1; k <= order; k++) {
            product[k] = a[0] * b[k] + a[k] * b[0] + Series.innerProduct(a, b, k);
        }
    }

    /** Energy (J) stored now, against empty and at rest: in both wells and in the rebound elements. */
    public double storedJoules() {
        return rebound.stored(wells.storedJoules());
    }
}
