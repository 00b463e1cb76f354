package sparen.browser;

/**
 * Multiply and add with one rounding, where a machine has no instruction for it: the product and the sum with what rounding took from
 * each. Source: T. J. Dekker, A floating-point technique for extending the available precision, 1971; D. E. Knuth, TwoSum; from memory.
 */
final class Fused {
    /** 2²⁷ + 1 parts a double into two halves of 26 bits. */
    private static final double SPLITTER = 134_217_729;

    private Fused() {}

    /**
     * a × b + c. Off by no more than a rounding of its last bit where the three nearly cancel; for numbers up to 1e150.
     */
    static double multiplyAdd(double a, double b, double c) {
        double product = a * b;
        double highA = high(a);
        double highB = high(b);
        double lowA = a - highA;
        double lowB = b - highB;
        double lost = lowA * lowB - (((product - highA * highB) - lowA * highB) - highA * lowB);
        double sum = product + c;
        double back = sum - product;
        double lostToo = (product - (sum - back)) + (c - back);
        return sum + (lost + lostToo);
    }

    private static double high(double value) {
        double far = SPLITTER * value;
        return far - (far - value);
    }
}
