package sparen.series;

/**
 * Arithmetic on power series c0 + c1 t + c2 t² + … of fixed {@link #ORDER}, t in seconds from the start of the step.
 *
 * <p>The recurrences are those of automatic differentiation by Taylor coefficients; see A. Griewank and A. Walther, Evaluating
 * Derivatives, 2nd ed., SIAM 2008, chapter 13 (from memory).
 */
public final class Series {
    /** Highest power kept. */
    public static final int ORDER = 6;

    /** Finest step (s): an event is accepted this far behind its crossing, so that time always moves on. */
    public static final double FINEST_SECONDS = 1e-6;

    private static final int PIECES = 4;

    private Series() {}

    /** A series of zeros. */
    public static double[] zero() {
        return new double[ORDER + 1];
    }

    /** Its value at t (s). */
    public static double at(double[] c, double t) {
        double sum = c[ORDER];
        for (int k = ORDER - 1; k >= 0; k--) {
            sum = sum * t + c[k];
        }
        return sum;
    }

    /** Its integral from 0 to h (s). */
    public static double integral(double[] c, double h) {
        double sum = c[ORDER] / (ORDER + 1);
        for (int k = ORDER - 1; k >= 0; k--) {
            sum = sum * h + c[k] / (k + 1);
        }
        return sum * h;
    }

    /** The integral of the product of two series from 0 to h (s). */
    public static double integralOfProduct(double[] a, double[] b, double h) {
        double sum = 0;
        double power = h;
        for (int k = 0; k <= ORDER; k++) {
            double coefficient = 0;
            for (int j = 0; j <= k; j++) {
                coefficient += a[j] * b[k - j];
            }
            sum += coefficient * power / (k + 1);
            power *= h;
        }
        return sum;
    }

    /** Σ a[j] b[k−j] over j from 1 to k−1: what is known of a product's coefficient k before either factor's own is. */
    public static double innerProduct(double[] a, double[] b, int k) {
        double sum = 0;
        for (int j = 1; j < k; j++) {
            sum += a[j] * b[k - j];
        }
        return sum;
    }

    /** The last kept term at h (s): a measure of what was left out. */
    public static double lastTerm(double[] c, double h) {
        double square = h * h;
        return Math.abs(c[ORDER]) * square * square * square;
    }

    /**
     * The first instant at which the series has left a closed interval.
     *
     * @param c a series that is inside at 0
     * @param h how far to look (s)
     * @param low lower end
     * @param high upper end
     * @return an instant (s) in (0, h] just behind the crossing, at most {@link #FINEST_SECONDS} late, or infinity when it stays
     *     inside
     */
    public static double firstExit(double[] c, double h, double low, double high) {
        double spread = 0;
        double slopeSpread = 0;
        double power = 1;
        for (int k = 1; k <= ORDER; k++) {
            if (k > 1) {
                slopeSpread += k * Math.abs(c[k]) * power;
            }
            power *= h;
            spread += Math.abs(c[k]) * (k == 1 ? h : power);
        }
        if (c[0] - spread >= low && c[0] + spread <= high) {
            return Double.POSITIVE_INFINITY;
        }
        boolean monotonic = Math.abs(c[1]) > slopeSpread;
        int pieces = monotonic ? 1 : PIECES;
        for (int piece = 1; piece <= pieces; piece++) {
            double from = h * (piece - 1) / pieces;
            double to = piece == pieces ? h : h * piece / pieces;
            double exit = exitWithin(c, from, to, low, high, monotonic);
            if (exit <= h) {
                return exit;
            }
        }
        return Double.POSITIVE_INFINITY;
    }

    private static double exitWithin(
            double[] c, double from, double to, double low, double high, boolean monotonic) {
        double outside = to;
        if (inside(at(c, to), low, high)) {
            if (monotonic || slope(c, from) * slope(c, to) >= 0) {
                return Double.POSITIVE_INFINITY;
            }
            outside = extremum(c, from, to);
            if (inside(at(c, outside), low, high)) {
                return Double.POSITIVE_INFINITY;
            }
        }
        double inner = from;
        while (outside - inner > FINEST_SECONDS / 2) {
            double middle = (inner + outside) / 2;
            if (inside(at(c, middle), low, high)) {
                inner = middle;
            } else {
                outside = middle;
            }
        }
        return outside;
    }

    private static double extremum(double[] c, double from, double to) {
        boolean rising = slope(c, from) > 0;
        double left = from;
        double right = to;
        while (right - left > FINEST_SECONDS / 2) {
            double middle = (left + right) / 2;
            if (slope(c, middle) > 0 == rising) {
                left = middle;
            } else {
                right = middle;
            }
        }
        return left;
    }

    private static double slope(double[] c, double t) {
        double sum = ORDER * c[ORDER];
        for (int k = ORDER - 1; k >= 1; k--) {
            sum = sum * t + k * c[k];
        }
        return sum;
    }

    private static boolean inside(double value, double low, double high) {
        return value >= low && value <= high;
    }
}
