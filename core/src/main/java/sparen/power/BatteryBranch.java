package sparen.power;

import java.util.Arrays;
import sparen.battery.BatteryCircuit;
import sparen.series.Series;
import sparen.series.Stay;

/** One battery on the bus, behind a cable of its own, with a path for charging and one for discharging. */
public final class BatteryBranch {
    /** So little is neither charging nor discharging (A): rounding must not turn a battery about. */
    private static final double NO_AMPERES = 1e-9;
    /** A straight line this near the current (share of it, and A) stands for its bent voltage: chargers compare to ten times as much. */
    private static final double STRAIGHT = 1e-12;

    private final BatteryCircuit circuit;
    private final double cableOhms;
    private final double[] current = Series.zero();
    private final double[] terminalVolts = Series.zero();
    private final double[] difference = Series.zero();
    private boolean mayCharge = true;
    private boolean mayDischarge = true;
    private boolean expectCharging;
    private boolean blocked;
    private double siemens;
    private double straightVolts;
    private double lastAmperes;
    private double known;

    /**
     * @param circuit the battery
     * @param cableOhms of its own cable to where the batteries join (Ω, 0 or more)
     */
    public BatteryBranch(BatteryCircuit circuit, double cableOhms) {
        this.circuit = circuit;
        this.cableOhms = cableOhms;
    }

    /** Opens or closes its paths. */
    public void setPaths(boolean charge, boolean discharge) {
        mayCharge = charge;
        mayDischarge = discharge;
    }

    /** Begins a step in the direction its current had last. */
    void begin() {
        if (current[0] != 0) {
            expectCharging = current[0] > 0;
        }
        beginCircuit();
    }

    private void beginCircuit() {
        circuit.begin(expectCharging);
        if (circuit.bends()) {
            circuit.bendAt(lastAmperes);
        }
        straighten();
        blocked = expectCharging ? !mayCharge : !mayDischarge;
    }

    /** Takes the straight line about the current it was last bent at. */
    void straighten() {
        siemens = 1 / (circuit.differentialOhms() + cableOhms);
        straightVolts = circuit.straightVolts();
    }

    /** Whether it carries current in the balance that is being solved. */
    boolean takesPart() {
        return !blocked;
    }

    double siemens() {
        return siemens;
    }

    /** Whether it takes part and its voltage is no straight line of its current. */
    boolean isBent() {
        return !blocked && circuit.bends();
    }

    /** The current (A) it takes at a voltage behind its own and another cable (V, Ω); its voltage is bent there. */
    double amperes(double volts, double moreOhms) {
        double amperes = circuit.amperes(volts - circuit.electromotiveForce()[0], cableOhms + moreOhms);
        circuit.bendAt(amperes);
        return amperes;
    }

    /** What that current changes by with each volt (S). */
    double siemensBehind(double moreOhms) {
        return 1 / (circuit.differentialOhms() + cableOhms + moreOhms);
    }

    /** The voltage (V) at which it would take no current, as far as it is a straight line. */
    double straightVolts() {
        return straightVolts;
    }

    /**
     * Looks whether the solved voltage where the batteries join (V) is one at which the straight line stands for the battery, and takes
     * a better one where it is not.
     *
     * @return whether it took a better one
     */
    boolean bends(double nodeVolts) {
        if (!isBent()) {
            return false;
        }
        double amperes = circuit.amperes(nodeVolts - circuit.electromotiveForce()[0], cableOhms);
        double straight = (nodeVolts - straightVolts) * siemens;
        if (Math.abs(amperes - straight) <= STRAIGHT * (1 + Math.abs(amperes))) {
            return false;
        }
        circuit.bendAt(amperes);
        straighten();
        return true;
    }

    /**
     * Looks at the solved voltage where the batteries join (V) and turns if its current goes, or would go, the other way.
     *
     * @return whether it turned
     */
    boolean turns(double nodeVolts) {
        double drive = nodeVolts - circuit.electromotiveForce()[0];
        if (Math.abs(drive) * siemens <= NO_AMPERES || drive > 0 == expectCharging) {
            return false;
        }
        boolean wasBlocked = blocked;
        expectCharging = !expectCharging;
        beginCircuit();
        return !(wasBlocked && blocked);
    }

    /** Expects its current the other way from now on. */
    void turnRound() {
        expectCharging = !expectCharging;
        beginCircuit();
    }

    /** Expects to be discharged; whether it had expected otherwise and may. */
    boolean expectDischarge() {
        if (!expectCharging || !mayDischarge) {
            return false;
        }
        turnRound();
        return true;
    }

    /**
     * Takes the solved balance.
     *
     * @param nodeVolts where the batteries join (V)
     * @param alone the whole current (A) where no other battery takes part, else NaN: so charge is conserved to the last digit
     */
    void place(double nodeVolts, double alone) {
        double shared = Double.isNaN(alone) ? (nodeVolts - straightVolts) * siemens : alone;
        current[0] = blocked ? 0 : shared;
        if (circuit.bends()) {
            circuit.bendAt(current[0]);
        }
        terminalVolts[0] = circuit.volts(current[0]);
    }

    /** Extends the battery's state to order k and returns the current it would push at a node voltage of 0 (A, negative sense). */
    double extend(int k) {
        circuit.extend(current, k - 1);
        if (blocked) {
            return 0;
        }
        known = circuit.knownVolts(current, k);
        return known * siemens;
    }

    void finish(int k, double nodeVolts, double alone) {
        if (blocked) {
            current[k] = 0;
            terminalVolts[k] = circuit.electromotiveForce()[k];
            return;
        }
        current[k] = Double.isNaN(alone) ? (nodeVolts - known) * siemens : alone;
        circuit.take(current[k], k);
        terminalVolts[k] = known + circuit.differentialOhms() * current[k];
    }

    void advance(int order, double seconds) {
        if (circuit.bends()) {
            lastAmperes = Series.at(current, order, seconds);
        }
        circuit.advance(order, seconds);
    }

    /**
     * Lets it stand for a step without a bus: only what goes on inside goes on.
     *
     * @param toOrder up to which order the series are made
     */
    public void rest(int toOrder) {
        expectCharging = false;
        circuit.begin(false);
        blocked = true;
        Arrays.fill(current, 0);
        terminalVolts[0] = circuit.electromotiveForce()[0];
        for (int k = 1; k <= toOrder; k++) {
            circuit.extend(current, k - 1);
            terminalVolts[k] = circuit.electromotiveForce()[k];
        }
    }

    /**
     * Says within which bounds the battery stays on the piece of its model it is on, and its current keeps its direction.
     *
     * @param nodeVolts series of the voltage where the batteries join
     */
    public void watch(Stay stay, double[] nodeVolts) {
        circuit.watch(stay);
        double[] signed = blocked ? drive(nodeVolts, stay.order()) : current;
        double slack = blocked ? NO_AMPERES / siemens : NO_AMPERES;
        stay.within(
                signed,
                expectCharging ? -slack : Double.NEGATIVE_INFINITY,
                expectCharging ? Double.POSITIVE_INFINITY : slack);
    }

    private double[] drive(double[] nodeVolts, int order) {
        for (int k = 0; k <= order; k++) {
            difference[k] = nodeVolts[k] - circuit.electromotiveForce()[k];
        }
        return difference;
    }

    /** How much of its current makes gas at the start of the step (A). */
    public double gasAmperes() {
        return circuit.gasShare() * current[0];
    }

    double cableJoules(int order, double seconds) {
        return cableOhms == 0 || blocked ? 0 : cableOhms * Series.integralOfProduct(current, current, order, seconds);
    }

    /** Energy (J) lost in the battery over a step (s). */
    public double lostJoules(int order, double seconds) {
        return circuit.lostJoules(current, terminalVolts, order, seconds);
    }

    /** The battery. */
    public BatteryCircuit circuit() {
        return circuit;
    }

    /** Its current (A, charging positive) as a series. */
    public double[] current() {
        return current;
    }

    /** Voltage at its own terminals (V) as a series. */
    public double[] terminalVolts() {
        return terminalVolts;
    }
}
