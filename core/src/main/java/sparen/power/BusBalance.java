package sparen.power;

import java.util.Arrays;
import sparen.battery.BatteryCircuit;
import sparen.series.Series;

/**
 * One direct-current bus: branches that push current into it or draw from it, each behind its own cable, and the batteries behind the
 * main cable. Solves for the bus voltage and carries it through the step as a series.
 *
 * <p>Branch current J is positive into the bus; at the branch's far end the voltage is V + R J. A power branch has J (V + R J) = P
 * (P negative for a load), a linear branch J = a + a′t − g V. The batteries join at a node N, each takes I = (N − E) / (R + its
 * cable), with a lead-acid battery near full as a straight line about its solution; V = N + Rmain Σ I.
 */
public final class BusBalance {
    private static final int MOST_ITERATIONS = 60;
    private static final int MOST_BENDS = 20;
    private static final double SOLVED_AMPERES = 1e-11;
    /** A last change of this share of the voltage leaves an error of its square (Newton). */
    private static final double SOLVED_SHARE = 1e-8;

    private final BatteryNode batteries;
    private final double mainOhms;
    private final int size;
    private final double[] cableOhms;
    private final boolean[] isPower;
    private final double[] power;
    private final double[] offset;
    private final double[] offsetSlope;
    private final double[] conductance;
    private final int[] active;
    private final boolean[] isActive;
    private final double[] nothing = Series.zero();
    private int activeCount;
    private final double[] inversePivot;
    private final double[] answer;
    private final double[][] current;
    private final double[][] farVolts;
    private final double[] busVolts = Series.zero();
    private final double[] nodeVolts = Series.zero();
    private final double[] batteryCurrent = Series.zero();
    private double mainFactor;
    private double stiffness;
    private double inverseAnswer;
    private int order;

    /**
     * @param batteries behind the main cable
     * @param mainOhms resistance of the main cable, out and back (Ω)
     * @param cableOhms resistance of each branch's cable, out and back (Ω)
     */
    public BusBalance(BatteryBranch[] batteries, double mainOhms, double[] cableOhms) {
        this.batteries = new BatteryNode(batteries, mainOhms);
        this.mainOhms = mainOhms;
        this.cableOhms = cableOhms.clone();
        size = cableOhms.length;
        isPower = new boolean[size];
        power = new double[size];
        offset = new double[size];
        offsetSlope = new double[size];
        conductance = new double[size];
        active = new int[size];
        isActive = new boolean[size];
        inversePivot = new double[size];
        answer = new double[size];
        current = new double[size][Series.ORDER + 1];
        farVolts = new double[size][Series.ORDER + 1];
    }

    /** A bus with one battery that joins it without a cable of its own. */
    public BusBalance(BatteryCircuit battery, double mainOhms, double[] cableOhms) {
        this(new BatteryBranch[] {new BatteryBranch(battery, 0)}, mainOhms, cableOhms);
    }

    /** The branch's far end takes (negative) or gives (positive) constant power (W). */
    public void setPower(int branch, double watts) {
        isPower[branch] = true;
        power[branch] = watts;
    }

    /** The branch is a resistance (Ω) at the end of its cable. */
    public void setResistance(int branch, double ohms) {
        setLinear(branch, 0, 0, 1 / (ohms + cableOhms[branch]));
    }

    /** The branch pushes a current (A), changing at a steady rate (A/s), whatever the voltage. */
    public void setCurrent(int branch, double amperes, double amperesPerSecond) {
        setLinear(branch, amperes, amperesPerSecond, 0);
    }

    /** The branch takes nothing at a bus voltage (V) and so much more with each volt above it (S). */
    public void setProportional(int branch, double volts, double siemens) {
        setLinear(branch, siemens * volts, 0, siemens);
    }

    /** The branch holds its far end at a voltage (V); its cable must not be without resistance. */
    public void setHeld(int branch, double volts) {
        setLinear(branch, volts / cableOhms[branch], 0, 1 / cableOhms[branch]);
    }

    /** The branch carries nothing. */
    public void setOpen(int branch) {
        setLinear(branch, 0, 0, 0);
    }

    private void setLinear(int branch, double amperes, double amperesPerSecond, double siemens) {
        isPower[branch] = false;
        offset[branch] = amperes;
        offsetSlope[branch] = amperesPerSecond;
        conductance[branch] = siemens;
    }

    /**
     * Solves the balance at the start of a step. A battery whose path is open for the way its current would go takes no part.
     *
     * @return false when there is no solution: a voltage collapse, or no battery that takes part
     */
    public boolean solve() {
        listActive();
        batteries.begin();
        boolean triedOtherWay = false;
        boolean turnedToLoad = false;
        for (int round = 0; round < 4 * batteries.size() + MOST_BENDS; round++) {
            batteries.gather();
            if (batteries.isDead() && !triedOtherWay) {
                triedOtherWay = true;
                batteries.turnRound();
                batteries.gather();
            }
            if (batteries.isDead()) {
                return false;
            }
            if (!solveFor()) {
                // The resistance against charging may be all that stands in the way of a load: try to discharge.
                if (!turnedToLoad && batteries.turnToDischarge()) {
                    turnedToLoad = true;
                    continue;
                }
                return false;
            }
            if (!batteries.changes(nodeVolts[0])) {
                return true;
            }
        }
        batteries.gather();
        return solveFor();
    }

    /** Whether there is a battery through which the bus has a voltage at all. */
    public boolean hasBattery() {
        return !batteries.isDead();
    }

    /** Branches that carry nothing are left out of all sums. */
    private void listActive() {
        activeCount = 0;
        for (int b = 0; b < size; b++) {
            isActive[b] = isPower[b] ? power[b] != 0 : offset[b] != 0 || offsetSlope[b] != 0 || conductance[b] != 0;
            if (isActive[b]) {
                active[activeCount++] = b;
            }
        }
    }

    /** From the last voltage on; where that leads nowhere, from above, whence the upper solution is always reached. */
    private boolean solveFor() {
        return busVolts[0] > 0 && solveFrom(busVolts[0]) || solveFrom(Math.max(busVolts[0], batteries.emf()));
    }

    private boolean solveFrom(double guess) {
        double volts = guess;
        for (int iteration = 0; iteration < MOST_ITERATIONS; iteration++) {
            double mismatch = batteries.amperes(volts);
            double slope = batteries.slope();
            for (int i = 0; i < activeCount; i++) {
                int b = active[i];
                if (!isPower[b]) {
                    mismatch += offset[b] - conductance[b] * volts;
                    slope -= conductance[b];
                } else if (cableOhms[b] == 0) {
                    double j = power[b] / volts;
                    mismatch += j;
                    slope -= j / volts;
                } else {
                    double root = volts * volts + 4 * cableOhms[b] * power[b];
                    if (root < 0) {
                        return false;
                    }
                    double twice = Math.sqrt(root);
                    double j = 2 * power[b] / (volts + twice);
                    mismatch += j;
                    // dJ/dV = −J / (V + 2 R J), and V + 2 R J is the root.
                    slope -= j / twice;
                }
            }
            if (!(slope < 0)) {
                return false;
            }
            double change = mismatch / slope;
            volts -= change;
            if (!(volts > 0)) {
                return false;
            }
            if (Math.abs(mismatch) <= SOLVED_AMPERES || Math.abs(change) <= SOLVED_SHARE * volts) {
                place(volts);
                return true;
            }
        }
        return false;
    }

    private void place(double volts) {
        busVolts[0] = volts;
        double sum = 0;
        for (int i = 0; i < activeCount; i++) {
            int b = active[i];
            double j = !isPower[b]
                    ? offset[b] - conductance[b] * volts
                    : cableOhms[b] == 0
                            ? power[b] / volts
                            : 2 * power[b] / (volts + Math.sqrt(volts * volts + 4 * cableOhms[b] * power[b]));
            current[b][0] = j;
            farVolts[b][0] = volts + cableOhms[b] * j;
            sum += j;
        }
        batteryCurrent[0] = sum;
        nodeVolts[0] = batteries.place(volts, sum);
    }

    /**
     * Carries all series of the solved balance through a step: to the low order where that is enough, to the middle one, else to the full.
     *
     * @param seconds the step they must be good for (s)
     * @param negligibleVolts where the last term of the low order is below this nothing more is needed (V)
     */
    public void expand(double seconds, double negligibleVolts) {
        prepare();
        expandTo(1, Series.LOW_ORDER);
        if (term(order, seconds) > negligibleVolts) {
            expandTo(Series.LOW_ORDER + 1, Series.MIDDLE_ORDER);
            if (term(order, seconds) > negligibleVolts) {
                expandTo(Series.MIDDLE_ORDER + 1, Series.ORDER);
            }
        }
    }

    private void expandTo(int from, int to) {
        order = to;
        for (int k = from; k <= to; k++) {
            expandTo(k);
        }
    }

    private double term(int k, double seconds) {
        return Series.term(busVolts, k, seconds) + Series.term(batteryCurrent, k, seconds) * stiffness;
    }

    /** What is the same for all orders: how each branch, and all together, answer to the bus voltage. */
    private void prepare() {
        stiffness = 1 / batteries.conductance() + mainOhms;
        mainFactor = 1 / (1 + mainOhms * batteries.conductance());
        double sum = batteries.conductance() * mainFactor;
        for (int i = 0; i < activeCount; i++) {
            int b = active[i];
            if (isPower[b]) {
                inversePivot[b] = 1 / (farVolts[b][0] + cableOhms[b] * current[b][0]);
                answer[b] = current[b][0] * inversePivot[b];
            } else {
                answer[b] = conductance[b];
            }
            sum += answer[b];
        }
        inverseAnswer = 1 / sum;
    }

    private void expandTo(int k) {
        double known = batteries.extend(k);
        double right = known * mainFactor;
        for (int i = 0; i < activeCount; i++) {
            int b = active[i];
            double own = 0;
            if (isPower[b]) {
                own = -Series.innerProduct(current[b], farVolts[b], k) * inversePivot[b];
            } else if (k == 1) {
                own = offsetSlope[b];
            }
            current[b][k] = own;
            right += own;
        }
        double volts = right * inverseAnswer;
        busVolts[k] = volts;
        double sum = 0;
        for (int i = 0; i < activeCount; i++) {
            int b = active[i];
            double j = current[b][k] - answer[b] * volts;
            current[b][k] = j;
            farVolts[b][k] = volts + cableOhms[b] * j;
            sum += j;
        }
        batteryCurrent[k] = sum;
        nodeVolts[k] = (sum + known) / batteries.conductance();
        batteries.finish(k, nodeVolts[k], sum);
    }

    /** Takes the end of a step (s) as the first guess for the next solution. */
    public void advance(double seconds) {
        busVolts[0] = Series.at(busVolts, order, seconds);
        batteries.advance(order, seconds);
    }

    /** There is no bus for a step: no voltage and no current, to full order. */
    public void rest() {
        order = Series.ORDER;
        Arrays.fill(busVolts, 0);
        Arrays.fill(nodeVolts, 0);
        Arrays.fill(batteryCurrent, 0);
        for (int i = 0; i < activeCount; i++) {
            isActive[active[i]] = false;
        }
        activeCount = 0;
    }

    /** Up to which order the series count. */
    public int order() {
        return order;
    }

    /** Resistance of batteries and main cable that acts at once (Ω). */
    public double stiffness() {
        return stiffness;
    }

    /** Energy (J) lost in all cables over a step (s). */
    public double cableJoules(double seconds) {
        double lost =
                mainOhms == 0 ? 0 : mainOhms * Series.integralOfProduct(batteryCurrent, batteryCurrent, order, seconds);
        for (int i = 0; i < activeCount; i++) {
            int b = active[i];
            if (cableOhms[b] > 0) {
                lost += cableOhms[b] * Series.integralOfProduct(current[b], current[b], order, seconds);
            }
        }
        return lost + batteries.cableJoules(order, seconds);
    }

    /** Energy (J) a branch gives (positive) or takes (negative) at its far end over a step (s). */
    public double branchJoules(int branch, double seconds) {
        if (!isActive[branch]) {
            return 0;
        }
        return isPower[branch]
                ? power[branch] * seconds
                : Series.integralOfProduct(current[branch], farVolts[branch], order, seconds);
    }

    /** Voltage at the bus (V) as a series. */
    public double[] busVolts() {
        return busVolts;
    }

    /** Voltage where the batteries join, before the main cable (V), as a series. */
    public double[] batteryVolts() {
        return nodeVolts;
    }

    /** Current of all batteries together (A, charging positive) as a series. */
    public double[] batteryCurrent() {
        return batteryCurrent;
    }

    /** Current of a branch (A, into the bus positive) as a series. */
    public double[] current(int branch) {
        return isActive[branch] ? current[branch] : nothing;
    }

    /** Voltage at the far end of a branch (V) as a series. */
    public double[] farVolts(int branch) {
        return isActive[branch] ? farVolts[branch] : busVolts;
    }
}
