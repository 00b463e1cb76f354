package sparen.power;

import sparen.battery.BatteryMinute;

/**
 * One direct-current bus over a minute in which the sources of given power are steady: the voltage at which all currents meet at its
 * beginning, in its middle and at its end. Whatever follows the voltage alone is one {@link BusCurve}; the sources are added to it as
 * polynomials about the voltage at the beginning, from which a minute does not lead far; the batteries are voltages behind resistances.
 */
public final class BusMinute {
    /** The nodes in time. */
    public static final int START = BatteryMinute.START;

    /** See {@link #START}. */
    public static final int MIDDLE = BatteryMinute.MIDDLE;

    /** See {@link #START}. */
    public static final int END = BatteryMinute.END;

    private static final int NODES = 3;
    private static final int MOST_SWEEPS = 8;
    private static final int MOST_BENDS = 12;
    /** A battery's tangent stands for its bent voltage where it leaves out no more than this (A). */
    private static final double STRAIGHT_AMPERES = 1e-9;
    /** So much of a rebound may rest on a current that is not yet the final one (V). */
    private static final double SETTLED_VOLTS = 1e-8;
    /** The part of a change of current at the end that comes back to the middle (fraction of the resistance), at most; judgement. */
    private static final double COMES_BACK = 0.1;
    /** A minute leads no further from the voltage it begins at (fraction), or its polynomials leave out too much. */
    private static final double REACH = 0.003;

    private final BatteryMinute[] batteries;
    private final double mainOhms;
    private int sources;
    private final double[] ohms;
    private final double[] given;
    private final boolean[] isPower;
    private final BusCurve curve = new BusCurve();
    private final double[] total = new double[BusCurve.ORDER + 1];
    private final double[][] own;
    private final double[] volts = new double[NODES];
    private final double[] nodeVolts = new double[NODES];
    private final double[] amperes = new double[NODES];
    private final double[][] batteryAmperes;
    private double centre;

    /**
     * @param batteries behind the main cable
     * @param mainOhms of it, out and back (Ω)
     * @param sources how many there are at most that are steady only for a minute
     */
    public BusMinute(BatteryMinute[] batteries, double mainOhms, int sources) {
        this.batteries = batteries;
        this.mainOhms = mainOhms;
        ohms = new double[sources];
        given = new double[sources];
        isPower = new boolean[sources];
        own = new double[sources][BusCurve.ORDER + 1];
        batteryAmperes = new double[NODES][batteries.length];
    }

    /** What follows the voltage alone. */
    public BusCurve curve() {
        return curve;
    }

    /** Takes how many sources there are. */
    public void begin(int steadySources) {
        sources = steadySources;
    }

    /** A source gives a power (W) at the far end of its cable (Ω). */
    public void givePower(int source, double watts, double cableOhms) {
        isPower[source] = true;
        given[source] = watts;
        ohms[source] = cableOhms;
    }

    /** A source pushes a current (A) through its cable (Ω). */
    public void giveCurrent(int source, double current, double cableOhms) {
        isPower[source] = false;
        given[source] = current;
        ohms[source] = cableOhms;
    }

    /**
     * Solves all of it.
     *
     * @param near a voltage of the bus that it is near (V)
     * @return false where there is no solution that the polynomials reach
     */
    public boolean solve(double near) {
        centre = near;
        curve.about(near, total);
        for (int i = 0; i < sources; i++) {
            addSource(i);
        }
        for (BatteryMinute battery : batteries) {
            battery.begin();
        }
        if (!meet(START)) {
            return false;
        }
        begin();
        for (int sweep = 0; sweep < MOST_SWEEPS; sweep++) {
            if (!stand(MIDDLE) || !stand(END)) {
                return false;
            }
            double unsettled = 0;
            for (int i = 0; i < batteries.length; i++) {
                double moved = batteries[i].takes(batteryAmperes[MIDDLE][i], batteryAmperes[END][i]);
                unsettled = moved > unsettled ? moved : unsettled;
            }
            if (unsettled * COMES_BACK <= SETTLED_VOLTS) {
                return true;
            }
        }
        return false;
    }

    /** Adds a source to the polynomial: coefficients of J (V + R J) = P, where each follows from those before. */
    private void addSource(int i) {
        double[] one = own[i];
        if (!isPower[i]) {
            java.util.Arrays.fill(one, 0);
            one[0] = given[i];
            total[0] += given[i];
            return;
        }
        double r = ohms[i];
        double root = Math.sqrt(centre * centre + 4 * r * given[i]);
        double current = 2 * given[i] / (centre + root);
        double inverse = -1 / root;
        double first = current * inverse;
        double leaning = 1 + 2 * r * first;
        double second = first * (1 + r * first) * inverse;
        double third = second * leaning * inverse;
        double fourth = (third * leaning + r * second * second) * inverse;
        one[0] = current;
        one[1] = first;
        one[2] = second;
        one[3] = third;
        one[4] = fourth;
        for (int k = 0; k < one.length; k++) {
            total[k] += one[k];
        }
    }

    private boolean stand(int at) {
        for (BatteryMinute battery : batteries) {
            battery.stand(at);
        }
        if (!meet(at)) {
            return false;
        }
        for (int i = 0; i < batteries.length; i++) {
            batteries[i].flow(at, batteryAmperes[at][i]);
        }
        return true;
    }

    /** Finds the voltage at which all currents meet as the batteries stand, straight lines about the currents they are near. */
    private boolean meet(int at) {
        for (int round = 0; round < MOST_BENDS; round++) {
            double taking = 0;
            double pushing = 0;
            for (BatteryMinute battery : batteries) {
                taking += battery.siemens();
                pushing += battery.siemens() * battery.emf();
            }
            place(at, meeting(taking, pushing));
            double bent = 0;
            for (int i = 0; i < batteries.length; i++) {
                batteryAmperes[at][i] = batteries[i].amperes(nodeVolts[at]);
                bent += batteries[i].bend(batteryAmperes[at][i]);
            }
            if (bent <= STRAIGHT_AMPERES) {
                return Math.abs(volts[at] - centre) <= REACH * centre;
            }
        }
        return false;
    }

    /** Where the polynomial of all currents meets the straight line of all batteries (V from its centre): a small step beyond the tangent. */
    private double meeting(double taking, double pushing) {
        double more = 1 + taking * mainOhms;
        double inverse = -1 / (more * total[1] - taking);
        double tangent = (more * total[0] - taking * centre + pushing) * inverse;
        double second = more * total[2] * inverse;
        double third = more * total[3] * inverse;
        double t = tangent + tangent * tangent * (second + third * tangent);
        t = tangent + t * t * (second + t * (third + t * more * total[4] * inverse));
        return tangent + t * t * (second + t * (third + t * more * total[4] * inverse));
    }

    private void place(int at, double t) {
        double flowing = total[0] + t * (total[1] + t * (total[2] + t * (total[3] + t * total[4])));
        volts[at] = centre + t;
        amperes[at] = flowing;
        nodeVolts[at] = centre + t - mainOhms * flowing;
    }

    /** Lets all batteries begin with the currents that were found. */
    private void begin() {
        double t = volts[START] - centre;
        double answer = total[1] + t * (2 * total[2] + t * (3 * total[3] + t * 4 * total[4]));
        double taking = 0;
        double drifting = 0;
        for (int i = 0; i < batteries.length; i++) {
            double drift = batteries[i].flow(batteryAmperes[START][i]);
            taking += batteries[i].siemens();
            drifting += batteries[i].siemens() * drift;
        }
        double share = 1 - mainOhms * answer;
        double rising = drifting / (taking * share - answer);
        for (BatteryMinute battery : batteries) {
            battery.move(rising * share);
        }
    }

    /** Voltage of the bus at a node in time (V). */
    public double volts(int at) {
        return volts[at];
    }

    /** Voltage where the batteries join (V). */
    public double nodeVolts(int at) {
        return nodeVolts[at];
    }

    /** Current into all batteries (A). */
    public double amperes(int at) {
        return amperes[at];
    }

    /** Current into a battery (A). */
    public double batteryAmperes(int at, int battery) {
        return batteryAmperes[at][battery];
    }

    /** Current of a source (A). */
    public double sourceAmperes(int at, int source) {
        double[] c = own[source];
        double t = volts[at] - centre;
        return c[0] + t * (c[1] + t * (c[2] + t * (c[3] + t * c[4])));
    }

    /** Energy a source gave at the far end of its cable (J). */
    public double sourceJoules(int source) {
        if (isPower[source]) {
            return given[source] * BatteryMinute.SECONDS;
        }
        double far = ohms[source] * given[source];
        return given[source] * sum(volts[START] + far, volts[MIDDLE] + far, volts[END] + far);
    }

    /** Energy into all batteries at their terminals (J). */
    public double terminalJoules() {
        double joules = 0;
        for (int i = 0; i < batteries.length; i++) {
            joules += sum(terminalWatts(START, i), terminalWatts(MIDDLE, i), terminalWatts(END, i));
        }
        return joules;
    }

    private double terminalWatts(int at, int battery) {
        double current = batteryAmperes[at][battery];
        return current * (nodeVolts[at] - batteries[battery].cableOhms() * current);
    }

    /** Energy lost in all cables (J). */
    public double cableJoules() {
        return sum(cableWatts(START), cableWatts(MIDDLE), cableWatts(END));
    }

    private double cableWatts(int at) {
        double watts = curve.cableWatts(volts[at]) + mainOhms * amperes[at] * amperes[at];
        for (int i = 0; i < sources; i++) {
            double current = sourceAmperes(at, i);
            watts += ohms[i] * current * current;
        }
        for (int i = 0; i < batteries.length; i++) {
            double current = batteryAmperes[at][i];
            watts += batteries[i].cableOhms() * current * current;
        }
        return watts;
    }

    /** Simpson's rule over the minute. */
    public static double sum(double atStart, double atMiddle, double atEnd) {
        return (atStart + 4 * atMiddle + atEnd) * (BatteryMinute.SECONDS / 6);
    }
}
