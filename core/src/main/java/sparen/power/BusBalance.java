package sparen.power;

import java.util.Arrays;
import sparen.battery.BatteryCircuit;
import sparen.series.Series;

/**
 * One direct-current bus: branches that push current into it or draw from it, each behind its own cable, and the battery behind the
 * main cable. Solves for the bus voltage and carries it through the step as a series.
 *
 * <p>Branch current J is positive into the bus; at the branch's far end the voltage is V + R J. A power branch has J (V + R J) = P
 * (P negative for a load), a linear branch J = a + a′t − g V. The battery takes I = (V − E) / (R0 + Rmain).
 */
public final class BusBalance {
    private static final int MOST_ITERATIONS = 60;
    private static final double SOLVED_AMPERES = 1e-11;

    private final BatteryCircuit battery;
    private final double mainOhms;
    private final int size;
    private final double[] cableOhms;
    private final boolean[] isPower;
    private final double[] power;
    private final double[] offset;
    private final double[] offsetSlope;
    private final double[] conductance;
    private final double[][] current;
    private final double[][] farVolts;
    private final double[] busVolts = Series.zero();
    private final double[] batteryCurrent = Series.zero();
    private final double[] batteryVolts = Series.zero();

    /**
     * @param battery the battery behind the main cable
     * @param mainOhms resistance of the main cable, out and back (Ω)
     * @param cableOhms resistance of each branch's cable, out and back (Ω)
     */
    public BusBalance(BatteryCircuit battery, double mainOhms, double[] cableOhms) {
        this.battery = battery;
        this.mainOhms = mainOhms;
        this.cableOhms = cableOhms.clone();
        size = cableOhms.length;
        isPower = new boolean[size];
        power = new double[size];
        offset = new double[size];
        offsetSlope = new double[size];
        conductance = new double[size];
        current = new double[size][Series.ORDER + 1];
        farVolts = new double[size][Series.ORDER + 1];
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
     * Solves the balance at the start of a step.
     *
     * @return false when there is no solution: a voltage collapse
     */
    public boolean solve() {
        boolean expectCharging = batteryCurrent[0] >= 0;
        battery.begin(expectCharging);
        if (!solveFor()) {
            return false;
        }
        if (batteryCurrent[0] > 0 != expectCharging && batteryCurrent[0] != 0) {
            battery.begin(!expectCharging);
            return solveFor();
        }
        return true;
    }

    private boolean solveFor() {
        double emf = battery.electromotiveForce()[0];
        double series = 1 / (battery.resistance()[0] + mainOhms);
        double volts = busVolts[0] > 0 ? Math.max(busVolts[0], emf) : emf;
        for (int i = 0; i < MOST_ITERATIONS; i++) {
            double mismatch = (emf - volts) * series;
            double slope = -series;
            for (int b = 0; b < size; b++) {
                if (isPower[b]) {
                    double root = volts * volts + 4 * cableOhms[b] * power[b];
                    if (root < 0) {
                        return false;
                    }
                    double j = 2 * power[b] / (volts + Math.sqrt(root));
                    mismatch += j;
                    slope -= j / (volts + 2 * cableOhms[b] * j);
                } else {
                    mismatch += offset[b] - conductance[b] * volts;
                    slope -= conductance[b];
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
            if (Math.abs(mismatch) <= SOLVED_AMPERES || Math.abs(change) <= 4 * Math.ulp(volts)) {
                place(volts, emf, series);
                return true;
            }
        }
        return false;
    }

    private void place(double volts, double emf, double series) {
        busVolts[0] = volts;
        double sum = 0;
        for (int b = 0; b < size; b++) {
            double j = isPower[b]
                    ? 2 * power[b] / (volts + Math.sqrt(volts * volts + 4 * cableOhms[b] * power[b]))
                    : offset[b] - conductance[b] * volts;
            current[b][0] = j;
            farVolts[b][0] = volts + cableOhms[b] * j;
            sum += j;
        }
        // The battery takes the sum, not (volts - emf) × series: so charge is conserved to the last digit.
        batteryCurrent[0] = sum;
        batteryVolts[0] = emf + battery.resistance()[0] * sum;
        assert Math.abs((volts - emf) * series - sum) < 1e-6;
    }

    /** Carries all series of the solved balance to full order. */
    public void expand() {
        for (int k = 1; k <= Series.ORDER; k++) {
            battery.extend(batteryCurrent, k - 1);
            expandTo(k);
        }
    }

    private void expandTo(int k) {
        double[] ohms = battery.resistance();
        double total = ohms[0] + mainOhms;
        double known = 0;
        for (int j = 1; j <= k; j++) {
            known += ohms[j] * batteryCurrent[k - j];
        }
        double right = (battery.electromotiveForce()[k] + known) / total;
        double left = 1 / total;
        for (int b = 0; b < size; b++) {
            if (isPower[b]) {
                double pivot = farVolts[b][0] + cableOhms[b] * current[b][0];
                current[b][k] = Series.innerProduct(current[b], farVolts[b], k) / pivot;
                right -= current[b][k];
                left += current[b][0] / pivot;
            } else {
                right += k == 1 ? offsetSlope[b] : 0;
                left += conductance[b];
            }
        }
        double volts = right / left;
        busVolts[k] = volts;
        double sum = 0;
        for (int b = 0; b < size; b++) {
            double j;
            if (isPower[b]) {
                double pivot = farVolts[b][0] + cableOhms[b] * current[b][0];
                j = -current[b][k] - current[b][0] / pivot * volts;
            } else {
                j = (k == 1 ? offsetSlope[b] : 0) - conductance[b] * volts;
            }
            current[b][k] = j;
            farVolts[b][k] = volts + cableOhms[b] * j;
            sum += j;
        }
        batteryCurrent[k] = sum;
        batteryVolts[k] = battery.electromotiveForce()[k] + known + ohms[0] * sum;
    }


    /** Energy (J) lost in all cables over a step (s). */
    public double cableJoules(double seconds) {
        double lost = mainOhms * Series.integralOfProduct(batteryCurrent, batteryCurrent, seconds);
        for (int b = 0; b < size; b++) {
            if (cableOhms[b] > 0 && current[b][0] != 0) {
                lost += cableOhms[b] * Series.integralOfProduct(current[b], current[b], seconds);
            }
        }
        return lost;
    }

    /** Energy (J) a branch gives (positive) or takes (negative) at its far end over a step (s). */
    public double branchJoules(int branch, double seconds) {
        return isPower[branch]
                ? power[branch] * seconds
                : Series.integralOfProduct(current[branch], farVolts[branch], seconds);
    }

    /** Voltage at the bus (V) as a series. */
    public double[] busVolts() {
        return busVolts;
    }

    /** Voltage at the battery terminals (V) as a series. */
    public double[] batteryVolts() {
        return batteryVolts;
    }

    /** Battery current (A, charging positive) as a series. */
    public double[] batteryCurrent() {
        return batteryCurrent;
    }

    /** Current of a branch (A, into the bus positive) as a series. */
    public double[] current(int branch) {
        return current[branch];
    }

    /** Voltage at the far end of a branch (V) as a series. */
    public double[] farVolts(int branch) {
        return farVolts[branch];
    }
}
