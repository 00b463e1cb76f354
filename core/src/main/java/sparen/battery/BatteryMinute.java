package sparen.battery;

/**
 * A battery over one minute in which its current is smooth, as a cubic of time through the current and its slope at the beginning, the
 * current in the middle and the one at the end. Rebound voltages and wells answer such a current exactly, {@link CubicLag}; the equations
 * are those of {@link BatteryCircuit}. Who solves the bus asks for the battery as a voltage behind a resistance at the beginning, in the
 * middle and at the end, and says what flows there.
 */
public final class BatteryMinute {
    /** How long it is (s). */
    public static final double SECONDS = 60;

    /** The instants looked at: the beginning, where the state is known, the middle and the end. */
    public static final int START = 0;

    /** See {@link #START}. */
    public static final int MIDDLE = 1;

    /** See {@link #START}. */
    public static final int END = 2;

    private static final int INSTANTS = 3;

    private final BatteryCircuit circuit;
    private final Wells wells;
    private final double cableOhms;
    private final double[] pairVolts;
    private final double[] pairPerSecond;
    private final double[] pairOhms;
    private final double[][] pairKept = new double[INSTANTS][];
    private final double[][][] pairSeconds = new double[INSTANTS][][];
    private final double[] pairBase = new double[INSTANTS];
    private final double[][] pairAnswer = new double[INSTANTS][CubicLag.POWERS];
    private final double[] wellKept = new double[INSTANTS];
    private final double[] wellBase = new double[INSTANTS];
    private final double[][] wellAnswer = new double[INSTANTS][CubicLag.POWERS];
    private final double[][] filledAnswer = new double[INSTANTS][CubicLag.POWERS];
    private final double[] lag = new double[CubicLag.POWERS];
    private double exchange = Double.NaN;

    private boolean gassing;
    private boolean varies;
    private boolean bends;
    private boolean charging;
    private double base;
    private double slope;
    private double self;
    private double ohmic;
    private double extra;
    private double margin;
    private double bendProduct;
    private double mostVolts;
    private double mostOhms;

    private double available;
    private double bound;
    private double filled;
    private double gas;
    private double gasAtMiddle;
    private double gasAtEnd;

    private double ohms;
    private double emf;
    private double withOhms;
    private double emfUnbent;
    private double bendOhms;
    private double siemens;

    private double drift;
    private double beginning;
    private double rise;
    private double middle;
    private double end;
    private double settledMiddle;
    private double settledEnd;
    private double square;
    private double cube;
    private final double[] stored = new double[CubicLag.POWERS];
    private final double[] availableAt = new double[INSTANTS];
    private final double[] filledAt = new double[INSTANTS];

    /**
     * @param circuit the battery
     * @param cableOhms of its own cable to where the batteries join (Ω)
     */
    public BatteryMinute(BatteryCircuit circuit, double cableOhms) {
        this.circuit = circuit;
        this.cableOhms = cableOhms;
        wells = circuit.wells;
        int pairs = circuit.rcOhms.length;
        pairVolts = new double[pairs];
        pairPerSecond = circuit.rcPerSecond;
        pairOhms = circuit.rcOhms;
        for (int node = MIDDLE; node <= END; node++) {
            pairKept[node] = new double[pairs];
            pairSeconds[node] = new double[pairs][CubicLag.POWERS];
            for (int i = 0; i < pairs; i++) {
                pairKept[node][i] = CubicLag.kept(pairPerSecond[i], SECONDS * node / END);
                CubicLag.answers(pairPerSecond[i], SECONDS * node / END, SECONDS, pairSeconds[node][i]);
            }
            CubicLag.answers(0, SECONDS * node / END, SECONDS, filledAnswer[node]);
            for (int k = 0; k < CubicLag.POWERS; k++) {
                filledAnswer[node][k] /= wells.coulombs();
            }
        }
    }

    /** Takes state and parameters of the battery as it stands at the beginning of a step that has begun, with a current (A). */
    public void take(double amperes) {
        charging = circuit.isCharging();
        gassing = charging && circuit.gasses();
        bends = circuit.bends();
        varies = circuit.varies();
        ohmic = circuit.ohmicOhms();
        extra = circuit.extraOhms() * circuit.extraMargin();
        margin = circuit.extraMargin();
        bendProduct = bends ? extra : 0;
        mostVolts = circuit.mostOvervolts();
        mostOhms = circuit.model().nearFull().mostOhms();
        self = circuit.isEmpty() ? 0 : circuit.model().selfDischargeAmperes();
        base = wells.restAtEmpty();
        slope = wells.restSlope();
        available = wells.available[0];
        bound = wells.boundFilled();
        circuit.readPairs(pairVolts);
        end = amperes;
        for (int node = MIDDLE; node <= END; node++) {
            for (int k = 0; k < CubicLag.POWERS; k++) {
                double sum = 0;
                for (int i = 0; i < pairVolts.length; i++) {
                    sum += pairOhms[i] * pairPerSecond[i] * pairSeconds[node][i][k];
                }
                pairAnswer[node][k] = sum;
            }
        }
        takeWells();
    }

    private void takeWells() {
        if (wells.exchange() == exchange) {
            return;
        }
        exchange = wells.exchange();
        double share = wells.share();
        for (int node = MIDDLE; node <= END; node++) {
            wellKept[node] = wells.isBound() ? CubicLag.kept(exchange, SECONDS * node / END) : 0;
            CubicLag.answers(exchange, SECONDS * node / END, SECONDS, lag);
            for (int k = 0; k < CubicLag.POWERS; k++) {
                double led = wells.isBound() ? (1 - share) / share * lag[k] / wells.coulombs() : 0;
                wellAnswer[node][k] = filledAnswer[node][k] + led;
            }
        }
    }

    /** Whether the battery stands as the minutes can follow it: it is not charged beyond full. */
    public boolean canFollow() {
        return !circuit.isOverfull();
    }

    /** Gives the state back to the battery. */
    public void giveBack() {
        wells.set(available, bound);
        circuit.writePairs(pairVolts);
    }

    /** Begins a minute: from now on it answers as it stands at the beginning. */
    public void begin() {
        double share = wells.share();
        double apart = bound - available;
        filled = wells.isBound() ? share * available + (1 - share) * bound : available;
        gas = gassing ? circuit.model().gasMargin() / (1 + circuit.model().gasMargin() - available) : 0;
        gasAtMiddle = gas;
        gasAtEnd = gas;
        double volts = 0;
        for (double pair : pairVolts) {
            volts += pair;
        }
        for (int node = MIDDLE; node <= END; node++) {
            double kept = 0;
            for (int i = 0; i < pairVolts.length; i++) {
                kept += pairKept[node][i] * pairVolts[i];
            }
            pairBase[node] = kept;
            wellBase[node] = filled - (1 - share) * wellKept[node] * apart;
        }
        emf = base + slope * available + volts;
        stand(available, 0, end);
    }

    /** Takes its resistances at a charge at hand (fraction), with another in series (Ω) by which its own answer counts. */
    private void stand(double at, double answering, double near) {
        ohms = varies ? ohmic + extra / (margin + (charging ? 1 - at : at)) : ohmic;
        withOhms = ohms + answering + cableOhms;
        if (bends) {
            bendOhms = bendProduct / (1 + margin - at);
            emfUnbent = emf;
            straighten(near);
        } else {
            siemens = 1 / withOhms;
        }
    }

    /** Takes the tangent of its bent voltage about a current (A). */
    private void straighten(double amperes) {
        double most = mostVolts + mostOhms * amperes;
        double rising = bendOhms * amperes;
        double inverse = 1 / (rising + most);
        double volts = rising * most * inverse;
        double slope = (bendOhms * most * most + mostOhms * rising * rising) * inverse * inverse;
        siemens = 1 / (withOhms + slope);
        emf = emfUnbent + volts - slope * amperes;
    }

    /**
     * Bends its voltage to a current (A) that was found.
     *
     * @return by how much the current was wrong on the line before (A), nearly
     */
    public double bend(double amperes) {
        if (!bends) {
            return 0;
        }
        double before = siemens;
        double at = emf + amperes / before;
        straighten(amperes > 0 ? amperes : 0);
        return Math.abs((at - emf) * siemens - amperes);
    }

    /** The current (A, charging positive) at a voltage where the batteries join (V), on the line it stands on. */
    public double amperes(double nodeVolts) {
        return (nodeVolts - emf) * siemens;
    }

    /** What its current changes by with each volt on that line (S). */
    public double siemens() {
        return siemens;
    }

    /** The voltage at which it takes no current on that line (V). */
    public double emf() {
        return emf;
    }

    /**
     * Takes the current at the beginning (A).
     *
     * @return how its voltage moves by itself at this current (V/s)
     */
    public double flow(double amperes) {
        beginning = amperes;
        double storing = (1 - gas) * amperes - self;
        double share = wells.share();
        double filling = storing / (share * wells.coulombs()) + exchange * (1 - share) * (bound - available);
        stored[0] = storing;
        drift = slope * filling;
        for (int i = 0; i < pairVolts.length; i++) {
            drift += (amperes * pairOhms[i] - pairVolts[i]) * pairPerSecond[i];
        }
        if (varies) {
            double over = (ohms - ohmic) / (margin + (charging ? 1 - available : available));
            drift += (charging ? over : -over) * filling * amperes;
        } else if (bends) {
            double most = mostVolts + mostOhms * amperes;
            double part = most / (bendOhms * amperes + most);
            drift += part * part * amperes * bendOhms / (1 + margin - available) * filling;
        }
        stored[1] = gassing ? -gas / (1 + circuit.model().gasMargin() - available) * filling * amperes : 0;
        return drift;
    }

    /** Takes how the voltage where the batteries join moves at the beginning (V/s), and from it a first guess of what will flow. */
    public void move(double voltsPerSecond) {
        rise = siemens * (voltsPerSecond - drift) * SECONDS;
        stored[1] = stored[1] * SECONDS + (1 - gas) * rise;
        middle = beginning + rise / 2;
        end = beginning + rise;
        settledMiddle = middle;
        settledEnd = end;
    }

    /** Takes what flows at a node (A). */
    public void flow(int node, double amperes) {
        if (node == MIDDLE) {
            middle = amperes;
        } else {
            end = amperes;
        }
    }

    /** Stands as it will at a node, given what is known of the current so far. */
    public void stand(int node) {
        curve();
        double[] well = wellAnswer[node];
        double[] pair = pairAnswer[node];
        double at =
                wellBase[node] + stored[0] * well[0] + stored[1] * well[1] + stored[2] * well[2] + stored[3] * well[3];
        availableAt[node] = at;
        double flowing = node == MIDDLE ? middle : end;
        double kept = 1;
        if (gassing) {
            double share = circuit.model().gasMargin() / (1 + circuit.model().gasMargin() - at);
            kept = 1 - share;
            if (node == MIDDLE) {
                gasAtMiddle = share;
            } else {
                gasAtEnd = share;
            }
        }
        double second = pair[2] + slope * kept * well[2];
        double third = pair[3] + slope * kept * well[3];
        double answering = node == MIDDLE ? 8 * (second - third) : 2 * third - second;
        double volts = base
                + slope * at
                + pairBase[node]
                + beginning * pair[0]
                + rise * pair[1]
                + square * pair[2]
                + cube * pair[3];
        emf = volts - answering * flowing;
        stand(at, answering, flowing);
    }

    private void curve() {
        double half = middle - beginning - rise / 2;
        double whole = end - beginning - rise;
        square = 8 * half - whole;
        cube = 2 * whole - 8 * half;
        if (gassing) {
            half = (1 - gasAtMiddle) * middle - self - stored[0] - stored[1] / 2;
            whole = (1 - gasAtEnd) * end - self - stored[0] - stored[1];
            stored[2] = 8 * half - whole;
            stored[3] = 2 * whole - 8 * half;
        } else {
            stored[2] = square;
            stored[3] = cube;
        }
    }

    /**
     * Takes the currents that were found in the middle and at the end (A).
     *
     * @return by how much more its rebound would be at them than at those before (V), at most
     */
    public double takes(double atMiddle, double atEnd) {
        double moved = Math.max(Math.abs(atMiddle - settledMiddle), Math.abs(atEnd - settledEnd));
        settledMiddle = atMiddle;
        settledEnd = atEnd;
        return moved * (pairAnswer[END][0] + slope * wellAnswer[END][0]);
    }

    /** How far (V) its rebound may be from what a current gives of which the cubic is not all. */
    public double doubt() {
        return Math.abs(cube) * pairAnswer[END][0];
    }

    /** All of the minute is known: its charge at the nodes. */
    public void look() {
        curve();
        for (int node = MIDDLE; node <= END; node++) {
            double[] well = wellAnswer[node];
            double[] full = filledAnswer[node];
            availableAt[node] = wellBase[node]
                    + stored[0] * well[0]
                    + stored[1] * well[1]
                    + stored[2] * well[2]
                    + stored[3] * well[3];
            filledAt[node] =
                    filled + stored[0] * full[0] + stored[1] * full[1] + stored[2] * full[2] + stored[3] * full[3];
        }
    }

    /** Takes the end of the minute as the new beginning. */
    public void advance() {
        double[] pair;
        for (int i = 0; i < pairVolts.length; i++) {
            pair = pairSeconds[END][i];
            pairVolts[i] = pairKept[END][i] * pairVolts[i]
                    + pairOhms[i]
                            * pairPerSecond[i]
                            * (beginning * pair[0] + rise * pair[1] + square * pair[2] + cube * pair[3]);
        }
        available = availableAt[END];
        double share = wells.share();
        bound = wells.isBound() ? (filledAt[END] - share * available) / (1 - share) : available;
    }

    /** Charge at hand (fraction) at an instant. */
    public double available(int instant) {
        return instant == START ? available : availableAt[instant];
    }

    /** Charge in the bound well (fraction) at an instant. */
    public double bound(int instant) {
        if (instant == START || !wells.isBound()) {
            return instant == START ? bound : availableAt[instant];
        }
        double share = wells.share();
        return (filledAt[instant] - share * availableAt[instant]) / (1 - share);
    }

    /** State of charge (fraction) at an instant. */
    public double charge(int instant) {
        return circuit.model().stateOfCharge(instant == START ? filled : filledAt[instant]);
    }

    /** Of its own cable (Ω). */
    public double cableOhms() {
        return cableOhms;
    }

    /** The battery. */
    public BatteryCircuit circuit() {
        return circuit;
    }
}
