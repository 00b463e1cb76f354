package sparen.battery;

import sparen.quantity.Standard;
import sparen.series.Series;

/**
 * What a battery puts up against charging near full, {@link NearFull}, in the present step: f = P B / (P + B) with P = a(h) I and B = B0 +
 * B1 I, and its series. Coefficient k of f is what is known before that of the current is, and df/dI times it.
 */
final class Overvoltage {
    /** Far beyond the heat a battery survives its straight line in temperature ends at this part of it; judgement, no source. */
    private static final double LEAST_SHARE = 0.1;

    private final NearFull nearFull;
    private final double[] ohms = Series.zero();
    private final double[] rising = Series.zero();
    private final double[] sum = Series.zero();
    private final double[] volts = Series.zero();
    private final double slopeOhms;
    private double mostVolts;
    private double inverseGap;
    private double differential;
    private double straight;
    private double inverseSum;
    private double knownRising;
    private double knownVolts;

    Overvoltage(NearFull nearFull) {
        this.nearFull = nearFull;
        slopeOhms = nearFull.mostOhms();
    }

    boolean isBounded() {
        return nearFull.isBounded();
    }

    void setCelsius(double celsius) {
        double warm = nearFull.mostVolts() + nearFull.mostVoltsPerKelvin() * (celsius - Standard.BATTERY_CELSIUS);
        mostVolts = Math.max(LEAST_SHARE * nearFull.mostVolts(), warm);
    }

    /** Begins a step: a = product × inverseGap, with inverseGap = 1 / (1 + margin − h). */
    void begin(double product, double inverseGap) {
        this.inverseGap = inverseGap;
        ohms[0] = product * inverseGap;
        bendAt(0);
    }

    /** The current (A) at a voltage across this and a resistance (Ω): the upper root of a square equation. */
    double amperes(double drive, double withOhms) {
        double a = ohms[0];
        if (drive <= 0) {
            return drive / (withOhms + a);
        }
        double square = withOhms * (a + slopeOhms) + a * slopeOhms;
        double linear = (withOhms + a) * mostVolts - drive * (a + slopeOhms);
        double root = Math.sqrt(linear * linear + 4 * square * drive * mostVolts);
        return linear > 0 ? 2 * drive * mostVolts / (linear + root) : (root - linear) / (2 * square);
    }

    /** Takes a current (A, 0 or more) as the one about which f is a straight line. */
    void bendAt(double amperes) {
        double a = ohms[0];
        double most = mostVolts + slopeOhms * amperes;
        rising[0] = a * amperes;
        sum[0] = rising[0] + most;
        inverseSum = 1 / sum[0];
        double ofMost = most * inverseSum;
        double ofRising = rising[0] * inverseSum;
        volts[0] = rising[0] * ofMost;
        differential = a * ofMost * ofMost + slopeOhms * ofRising * ofRising;
        straight = volts[0] - differential * amperes;
    }

    double differentialOhms() {
        return differential;
    }

    double straightVolts() {
        return straight;
    }

    double volts() {
        return volts[0];
    }

    /** Extends the resistance by coefficient k, by the recurrence of the quotient. */
    void extend(double[] available, int k) {
        ohms[k] = (available[k] * ohms[0] + Series.innerProduct(available, ohms, k)) * inverseGap;
    }

    /** Coefficient k of f without df/dI times that of the current. */
    double known(double[] current, int k) {
        knownRising = ohms[k] * current[0] + Series.innerProduct(ohms, current, k);
        double most = sum[0] - rising[0];
        // P B, of which B beyond its first coefficient is slopeOhms times the current.
        double product = knownRising * most + slopeOhms * Series.innerProduct(rising, current, k);
        knownVolts = (product - volts[0] * knownRising - Series.innerProduct(volts, sum, k)) * inverseSum;
        return knownVolts;
    }

    /** Takes coefficient k of the current (A). */
    void take(double amperes, int k) {
        rising[k] = knownRising + ohms[0] * amperes;
        sum[k] = rising[k] + slopeOhms * amperes;
        volts[k] = knownVolts + differential * amperes;
    }
}
