package sparen.series;

/**
 * Arithmetic on power series c0 + c1 t + c2 t² + …, t in seconds from the start of the step. Every call says up to which order the
 * coefficients count, at most {@link #ORDER}; what stands beyond is not read.
 *
 * <p>The recurrences are those of automatic differentiation by Taylor coefficients; see A. Griewank and A. Walther, Evaluating
 * Derivatives, 2nd ed., SIAM 2008, chapter 13 (from memory).
 */
public final class Series {
    /** Highest power kept. */
    public static final int ORDER = 6;

    /** The order that is enough where nothing moves fast. */
    public static final int LOW_ORDER = 4;

    /** Finest step (s): an event is accepted this far behind its crossing, so that time always moves on. */
    public static final double FINEST_SECONDS = 1e-6;

    private static final int PIECES = 4;

    private Series() {}

    /** A series of zeros. */
    public static double[] zero() {
        return new double[ORDER + 1];
    }

    /** Its value at t (s). */
    public static double at(double[] c, int order, double t) {
        double sum = c[order];
        for (int k = order - 1; k >= 0; k--) {
            sum = sum * t + c[k];
        }
        return sum;
    }

    /**
     * The integral of the product of two series from 0 to h (s), to the given order of the product. Written out for the two orders in
     * use, {@link #LOW_ORDER} and {@link #ORDER}: the energy ledger takes it a dozen times a step.
     */
    public static double integralOfProduct(double[] a, double[] b, int order, double h) {
        double high = 0;
        if (order == ORDER) {
            double fifth = a[0] * b[5] + a[1] * b[4] + a[2] * b[3] + a[3] * b[2] + a[4] * b[1] + a[5] * b[0];
            double sixth =
                    a[0] * b[6] + a[1] * b[5] + a[2] * b[4] + a[3] * b[3] + a[4] * b[2] + a[5] * b[1] + a[6] * b[0];
            high = h * (fifth / 6 + h * sixth / 7);
        }
        double fourth = a[0] * b[4] + a[1] * b[3] + a[2] * b[2] + a[3] * b[1] + a[4] * b[0];
        double third = a[0] * b[3] + a[1] * b[2] + a[2] * b[1] + a[3] * b[0];
        double second = a[0] * b[2] + a[1] * b[1] + a[2] * b[0];
        double first = a[0] * b[1] + a[1] * b[0];
        return h * (a[0] * b[0] + h * (first / 2 + h * (second / 3 + h * (third / 4 + h * (fourth / 5 + high)))));
    }

    /** Σ a[j] b[k−j] over j from 1 to k−1: what is known of a product's coefficient k before either factor's own is. */
    public static double innerProduct(double[] a, double[] b, int k) {
        double sum = 0;
        for (int j = 1; j < k; j++) {
            sum += a[j] * b[k - j];
        }
        return sum;
    }

    /** The size of the term of this order at h (s): a measure of what was left out when it is the last. */
    public static double term(double[] c, int order, double h) {
        double power = h;
        for (int k = 1; k < order; k++) {
            power *= h;
        }
        return Math.abs(c[order]) * power;
    }

    /**
     * The first instant at which the series has left a closed interval.
     *
     * @param c a series that is inside at 0
     * @param order up to which its coefficients count
     * @param h how far to look (s)
     * @param low lower end
     * @param high upper end
     * @return an instant (s) in (0, h] just behind the crossing, at most {@link #FINEST_SECONDS} late, or infinity when it stays
     *     inside
     */
    public static double firstExit(double[] c, int order, double h, double low, double high) {
        double spread = 0;
        double slopeSpread = 0;
        double power = 1;
        for (int k = 1; k <= order; k++) {
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
            double exit = exitWithin(c, order, from, to, low, high, monotonic);
            if (exit <= h) {
                return exit;
            }
        }
        return Double.POSITIVE_INFINITY;
    }

    private static double exitWithin(
            double[] c, int order, double from, double to, double low, double high, boolean monotonic) {
        double outside = to;
        if (inside(at(c, order, to), low, high)) {
            if (monotonic || slope(c, order, from) * slope(c, order, to) >= 0) {
                return Double.POSITIVE_INFINITY;
            }
            outside = extremum(c, order, from, to);
            if (inside(at(c, order, outside), low, high)) {
                return Double.POSITIVE_INFINITY;
            }
        }
        double inner = from;
        while (outside - inner > FINEST_SECONDS / 2) {
            double middle = (inner + outside) / 2;
            if (inside(at(c, order, middle), low, high)) {
                inner = middle;
            } else {
                outside = middle;
            }
        }
        return outside;
    }

    private static double extremum(double[] c, int order, double from, double to) {
        boolean rising = slope(c, order, from) > 0;
        double left = from;
        double right = to;
        while (right - left > FINEST_SECONDS / 2) {
            double middle = (left + right) / 2;
            if (slope(c, order, middle) > 0 == rising) {
                left = middle;
            } else {
                right = middle;
            }
        }
        return left;
    }

    private static double slope(double[] c, int order, double t) {
        double sum = order * c[order];
        for (int k = order - 1; k >= 1; k--) {
            sum = sum * t + k * c[k];
        }
        return sum;
    }

    private static boolean inside(double value, double low, double high) {
        return value >= low && value <= high;
    }
}
