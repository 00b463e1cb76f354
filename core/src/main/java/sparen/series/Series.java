package sparen.series;

/**
 * Arithmetic on power series c0 + c1 t + c2 t² + …, t in seconds from the start of the step. Every call says up to which order the
 * coefficients count, {@link #LOW_ORDER}, {@link #MIDDLE_ORDER} or {@link #ORDER}; what stands beyond is not read.
 *
 * <p>The recurrences are those of automatic differentiation by Taylor coefficients; see A. Griewank and A. Walther, Evaluating
 * Derivatives, 2nd ed., SIAM 2008, chapter 13 (from memory).
 */
public final class Series {
    /** Highest power kept: while rebound voltages move fast, after a load has switched, it makes few steps of many. */
    public static final int ORDER = 10;

    /** The order that is enough where things move, but not fast. */
    public static final int MIDDLE_ORDER = 6;

    /** The order that is enough where nothing moves fast. */
    public static final int LOW_ORDER = 4;

    /** Finest step (s): an event is accepted this far behind its crossing, so that time always moves on. */
    public static final double FINEST_SECONDS = 1e-6;

    /** 1 / k for each k from 1 on. */
    public static final double[] INVERSE = {
        Double.NaN, 1, 1.0 / 2, 1.0 / 3, 1.0 / 4, 1.0 / 5, 1.0 / 6, 1.0 / 7, 1.0 / 8, 1.0 / 9, 1.0 / 10
    };

    private static final int PIECES = 4;

    private Series() {}

    /** A series of zeros. */
    public static double[] zero() {
        return new double[ORDER + 1];
    }

    /** Its value at t (s). Written out, as all that is done dozens of times a step: such short loops cost more than their work. */
    public static double at(double[] c, int order, double t) {
        double high = c[4];
        if (order > LOW_ORDER) {
            double sixth = order == ORDER ? c[6] + t * (c[7] + t * (c[8] + t * (c[9] + t * c[10]))) : c[6];
            high += t * (c[5] + t * sixth);
        }
        return c[0] + t * (c[1] + t * (c[2] + t * (c[3] + t * high)));
    }

    /** Its integral from 0 to h (s). */
    public static double integral(double[] c, int order, double h) {
        double high = c[4] / 5;
        if (order > LOW_ORDER) {
            double sixth = order == ORDER
                    ? c[6] / 7 + h * (c[7] / 8 + h * (c[8] / 9 + h * (c[9] / 10 + h * c[10] / 11)))
                    : c[6] / 7;
            high += h * (c[5] / 6 + h * sixth);
        }
        return h * (c[0] + h * (c[1] / 2 + h * (c[2] / 3 + h * (c[3] / 4 + h * high))));
    }

    /**
     * The integral of the product of two series from 0 to h (s), to the given order of the product. Written out for the lower orders:
     * the energy ledger takes it a dozen times a step.
     */
    public static double integralOfProduct(double[] a, double[] b, int order, double h) {
        double high = 0;
        if (order > LOW_ORDER) {
            double fifth = a[0] * b[5] + a[1] * b[4] + a[2] * b[3] + a[3] * b[2] + a[4] * b[1] + a[5] * b[0];
            double sixth =
                    a[0] * b[6] + a[1] * b[5] + a[2] * b[4] + a[3] * b[3] + a[4] * b[2] + a[5] * b[1] + a[6] * b[0];
            high = h * (fifth / 6 + h * (sixth / 7 + h * beyondSixth(a, b, order, h)));
        }
        double fourth = a[0] * b[4] + a[1] * b[3] + a[2] * b[2] + a[3] * b[1] + a[4] * b[0];
        double third = a[0] * b[3] + a[1] * b[2] + a[2] * b[1] + a[3] * b[0];
        double second = a[0] * b[2] + a[1] * b[1] + a[2] * b[0];
        double first = a[0] * b[1] + a[1] * b[0];
        return h * (a[0] * b[0] + h * (first / 2 + h * (second / 3 + h * (third / 4 + h * (fourth / 5 + high)))));
    }

    private static double beyondSixth(double[] a, double[] b, int order, double h) {
        double sum = 0;
        for (int k = order; k > MIDDLE_ORDER; k--) {
            sum = (a[0] * b[k] + a[k] * b[0] + innerProduct(a, b, k)) / (k + 1) + h * sum;
        }
        return sum;
    }

    /** Σ a[j] b[k−j] over j from 1 to k−1: what is known of a product's coefficient k before either factor's own is. */
    public static double innerProduct(double[] a, double[] b, int k) {
        return switch (k) {
            case 2 -> a[1] * b[1];
            case 3 -> a[1] * b[2] + a[2] * b[1];
            case 4 -> a[1] * b[3] + a[2] * b[2] + a[3] * b[1];
            case 5 -> a[1] * b[4] + a[2] * b[3] + a[3] * b[2] + a[4] * b[1];
            case 6 -> a[1] * b[5] + a[2] * b[4] + a[3] * b[3] + a[4] * b[2] + a[5] * b[1];
            case 0, 1 -> 0;
            default -> innerProductOfMany(a, b, k);
        };
    }

    private static double innerProductOfMany(double[] a, double[] b, int k) {
        double sum = 0;
        for (int j = 1; j < k; j++) {
            sum += a[j] * b[k - j];
        }
        return sum;
    }

    /** The size of the term of this order, 3 or more, at h (s): a measure of what was left out when it is the last. */
    public static double term(double[] c, int order, double h) {
        double square = h * h;
        return switch (order) {
            case 3 -> Math.abs(c[3]) * square * h;
            case 4 -> Math.abs(c[4]) * square * square;
            case 6 -> Math.abs(c[6]) * square * square * square;
            default -> Math.abs(c[order]) * power(h, order);
        };
    }

    private static double power(double h, int exponent) {
        double power = 1;
        for (int i = 0; i < exponent; i++) {
            power *= h;
        }
        return power;
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
        double high5 = 0;
        double slope5 = 0;
        for (int k = order; k > LOW_ORDER; k--) {
            high5 = Math.abs(c[k]) + h * high5;
            slope5 = k * Math.abs(c[k]) + h * slope5;
        }
        double second = Math.abs(c[2]);
        double third = Math.abs(c[3]);
        double fourth = Math.abs(c[4]);
        double spread = h * (Math.abs(c[1]) + h * (second + h * (third + h * (fourth + h * high5))));
        if (c[0] - spread >= low && c[0] + spread <= high) {
            return Double.POSITIVE_INFINITY;
        }
        double slopeSpread = h * (2 * second + h * (3 * third + h * (4 * fourth + h * slope5)));
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
        double beyond = 0;
        for (int k = order; k > LOW_ORDER; k--) {
            beyond = k * c[k] + t * beyond;
        }
        double high = 4 * c[4] + t * beyond;
        return c[1] + t * (2 * c[2] + t * (3 * c[3] + t * high));
    }

    private static boolean inside(double value, double low, double high) {
        return value >= low && value <= high;
    }
}
