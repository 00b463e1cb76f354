package sparen.battery;

/** Voltage at rest by straight lines over how full a well is, all of it shifted by temperature. */
final class RestCurve {
    private final double[] knots;
    private final double[] volts;
    private double shiftVolts;

    /**
     * @param knots rising from 0 to 1 (fraction)
     * @param volts at each (V)
     */
    RestCurve(double[] knots, double[] volts) {
        this.knots = knots;
        this.volts = volts;
    }

    /** Shifts the whole curve (V); by how much more than before (V). */
    double shift(double newVolts) {
        double more = newVolts - shiftVolts;
        shiftVolts = newVolts;
        return more;
    }

    /** The piece that holds a value, looked for from another piece on; at a knot the one it goes towards. */
    int pieceOf(int from, double filled, boolean rising) {
        int found = from;
        int last = knots.length - 2;
        while (found < last && (filled > knots[found + 1] || rising && filled == knots[found + 1])) {
            found++;
        }
        while (found > 0 && (filled < knots[found] || !rising && filled == knots[found])) {
            found--;
        }
        return found;
    }

    double low(int piece) {
        return knots[piece];
    }

    double high(int piece) {
        return knots[piece + 1];
    }

    /** Rise of a piece (V). */
    double slope(int piece) {
        return (volts[piece + 1] - volts[piece]) / (knots[piece + 1] - knots[piece]);
    }

    /** Voltage (V) on a piece. */
    double at(int piece, double filled) {
        return volts[piece] + shiftVolts + slope(piece) * (filled - knots[piece]);
    }

    /** Its integral from empty (V). */
    double integral(double filled) {
        double sum = 0;
        for (int i = 0; i + 1 < knots.length && knots[i] < filled; i++) {
            double to = Math.min(knots[i + 1], filled);
            sum += (volts[i] + shiftVolts + slope(i) * (to - knots[i]) / 2) * (to - knots[i]);
        }
        return sum;
    }
}
