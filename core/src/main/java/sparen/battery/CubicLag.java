package sparen.battery;

/**
 * How a lag of the first order, y′ = x − r y, answers an input that is a cubic of time: for the input (t / H)^k alone its answer at T is
 * the integral of exp(−r (T − s)) (s / H)^k over s from 0 to T.
 */
final class CubicLag {
    /** Powers of a cubic, 0 to 3. */
    static final int POWERS = 4;

    private static final int TERMS = 18;

    private CubicLag() {}

    /**
     * Writes the answers to all four powers (s).
     *
     * @param rate r (1/s), 0 or more
     * @param at T (s)
     * @param span H (s)
     */
    static void answers(double rate, double at, double span, double[] into) {
        double x = rate * at;
        if (x < 1) {
            double power = at;
            for (int k = 0; k < POWERS; k++) {
                into[k] = power * rising(x, k);
                power *= at / span;
            }
            return;
        }
        into[0] = (1 - kept(rate, at)) / rate;
        double power = 1;
        for (int k = 1; k < POWERS; k++) {
            power *= at / span;
            into[k] = (power - k / span * into[k - 1]) / rate;
        }
    }

    /** Σ (−x)^j k! / (k + j + 1)!: near 0 the closed form has nothing left of its digits. */
    private static double rising(double x, int k) {
        double term = 1.0 / (k + 1);
        double sum = term;
        for (int j = 1; j < TERMS; j++) {
            term *= -x / (k + j + 1);
            sum += term;
        }
        return sum;
    }

    /** What is left at T (s) of what was there at 0 (fraction). */
    static double kept(double rate, double at) {
        return StrictMath.exp(-rate * at);
    }
}
