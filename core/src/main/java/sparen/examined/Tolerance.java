package sparen.examined;

/**
 * How sure a comparison is when both sides are uncertain, each with a standard deviation. Errors are taken as independent and normal:
 * propagation as in the Guide to the Expression of Uncertainty in Measurement (GUM), from memory.
 */
public final class Tolerance {
    /** Standard deviation of a device's voltage reading (fraction of it); common practice for uncalibrated devices, no source. */
    public static final double METER = 0.0025;

    /** Standard deviation of a battery's resistance by age and make (fraction of it); judgement, no source. */
    public static final double RESISTANCE = 0.2;

    private Tolerance() {}

    /** How sure it is that a is below b (fraction), given the standard deviations of both. */
    public static double below(double a, double deviationA, double b, double deviationB) {
        double deviation = Math.hypot(deviationA, deviationB);
        return deviation == 0 ? (a < b ? 1 : 0) : normal((b - a) / deviation);
    }

    /** The normal distribution function, to 1e-7: Abramowitz and Stegun, Handbook of Mathematical Functions, 26.2.17, from memory. */
    private static double normal(double z) {
        double t = 1 / (1 + 0.2316419 * Math.abs(z));
        double tail = StrictMath.exp(-z * z / 2)
                / StrictMath.sqrt(2 * Math.PI)
                * t
                * (0.319381530 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
        return z >= 0 ? 1 - tail : tail;
    }
}
