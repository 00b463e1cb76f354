package sparen.battery;

import sparen.series.Series;
import sparen.series.Stay;

/** What is in a battery's two wells, and its series inside the present step: h at hand and b bound, each a fraction of its own well. */
final class Wells {
    /** Nothing is left to give below this (fraction). */
    private static final double EMPTY = 1e-9;
    /** The wells are level within this (fraction): which of them fills the other then does not matter. */
    private static final double LEVEL = 1e-9;
    /** From so much on the other fills: less than what ends a step, or a step that rounding ends a hair short of it would repeat for ever. */
    private static final double TURNED = LEVEL / 2;

    final double[] available = Series.zero();
    private final double[] bound = Series.zero();
    /** State of charge: of both wells, counted down from full in parts of what is stated. */
    final double[] charge;

    private final KineticWells kind;
    private final RestCurve curve;
    private final boolean isBound;
    private final double share;
    private final double coulombs;
    private final double perCoulomb;
    private final double inverseStated;
    private final double[] lead = Series.zero();
    private final double[] fall = Series.zero();
    private double followsPerSecond;
    private double fillsPerSecond;
    private double exchange;
    private boolean follows = true;
    private int piece;
    private int boundPiece;
    private double slope;
    private double boundSlope;

    Wells(BatteryModel model, RestCurve curve, double stateOfCharge) {
        kind = model.wells();
        this.curve = curve;
        isBound = kind.hasBoundWell();
        share = kind.availableShare();
        coulombs = model.capacityCoulombs();
        perCoulomb = 1 / (share * coulombs);
        inverseStated = 1 / model.statedShare();
        available[0] = model.filled(stateOfCharge);
        bound[0] = available[0];
        charge = isBound ? Series.zero() : available;
        charge[0] = stateOfCharge;
    }

    void setCelsius(double celsius) {
        followsPerSecond = kind.followsPerSecond(celsius);
        fillsPerSecond = kind.fillsPerSecond(celsius);
    }

    /** How full all of it is (fraction). */
    double filled() {
        return share * available[0] + (1 - share) * bound[0];
    }

    boolean isEmpty() {
        return available[0] <= EMPTY;
    }

    /** Begins a step; the voltage at rest (V) of what is at hand. */
    double begin(boolean charging) {
        piece = curve.pieceOf(piece, available[0], charging);
        slope = curve.slope(piece);
        if (isBound) {
            boundPiece = curve.pieceOf(boundPiece, bound[0], available[0] > bound[0]);
            boundSlope = curve.slope(boundPiece);
            if (Math.abs(bound[0] - available[0]) > TURNED) {
                follows = bound[0] > available[0];
            }
            exchange = follows ? followsPerSecond : fillsPerSecond;
        }
        return curve.at(piece, available[0]);
    }

    /** Extends by coefficient k + 1, given coefficient k of the current that is stored (A); that of the voltage at rest (V). */
    double extend(double stored, int k) {
        double part = Series.INVERSE[k + 1];
        double rise = stored * perCoulomb;
        if (isBound) {
            double difference = exchange * (bound[k] - available[k]);
            rise += (1 - share) * difference;
            bound[k + 1] = -share * difference * part;
            available[k + 1] = rise * part;
            charge[k + 1] = (share * available[k + 1] + (1 - share) * bound[k + 1]) * inverseStated;
        } else {
            available[k + 1] = rise * part;
        }
        return slope * available[k + 1];
    }

    /** Takes the end of a step (s) as the new start. */
    void advance(int order, double seconds, boolean full) {
        available[0] = full ? 1 : Math.min(1, Math.max(0, Series.at(available, order, seconds)));
        if (isBound) {
            bound[0] = Math.min(1, Math.max(0, Series.at(bound, order, seconds)));
            charge[0] = 1 - (1 - filled()) * inverseStated;
        }
    }

    /** Says within which bounds both stay on their pieces of the curve, and the lower one stays the lower one. */
    void watch(Stay stay, boolean full) {
        stay.within(available, curve.low(piece), full ? 1 : curve.high(piece));
        if (isBound) {
            stay.within(bound, curve.low(boundPiece), curve.high(boundPiece));
            for (int k = 0; k <= stay.order(); k++) {
                lead[k] = bound[k] - available[k];
            }
            stay.within(lead, follows ? -LEVEL : Double.NEGATIVE_INFINITY, follows ? Double.POSITIVE_INFINITY : LEVEL);
        }
    }

    /** Charge that flows from one well to the other does so down a difference of voltage: the energy (J) lost over a step (s). */
    double lostJoules(double[] openCircuit, int order, double seconds) {
        if (!isBound) {
            return 0;
        }
        double flow = exchange * share * (1 - share) * coulombs;
        fall[0] = curve.at(boundPiece, bound[0]) - openCircuit[0];
        lead[0] = flow * (bound[0] - available[0]);
        for (int k = 1; k <= order; k++) {
            fall[k] = boundSlope * bound[k] - openCircuit[k];
            lead[k] = flow * (bound[k] - available[k]);
        }
        return Series.integralOfProduct(fall, lead, order, seconds);
    }

    /** Energy (J) stored in both, against empty. */
    double storedJoules() {
        double stored = share * curve.integral(available[0]);
        return coulombs * (isBound ? stored + (1 - share) * curve.integral(bound[0]) : stored);
    }
}
