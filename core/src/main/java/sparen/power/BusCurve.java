package sparen.power;

/**
 * What all branches that follow nothing but the voltage of the bus push into it, and what their cables lose, as polynomials of that
 * voltage: however many they are, a minute costs the same. Taylor coefficients by the recurrence of the product J (V + R J) = P; within a
 * hundredth of the voltage they are made at what is left out is below 1e-9 of the current.
 */
public final class BusCurve {
    static final int ORDER = 4;
    private static final double REACH = 0.01;

    private final double[] amperes = new double[ORDER + 1];
    private final double[] watts = new double[ORDER + 1];
    private final double[] one = new double[ORDER + 1];
    private final double[] far = new double[ORDER + 1];
    private double centre = Double.NaN;

    /** Begins anew at a voltage (V). */
    void begin(double volts) {
        centre = volts;
        java.util.Arrays.fill(amperes, 0);
        java.util.Arrays.fill(watts, 0);
    }

    /** Adds a branch of constant power (W) behind its cable (Ω), that has a current (A) at the voltage this began at. */
    void addPower(double current, double ohms) {
        one[0] = current;
        far[0] = centre + ohms * current;
        double inverse = 1 / (far[0] + ohms * current);
        for (int k = 1; k <= ORDER; k++) {
            double sum = k == 1 ? current : 0;
            for (int j = 1; j < k; j++) {
                sum += one[j] * far[k - j];
            }
            one[k] = -sum * inverse;
            far[k] = ohms * one[k] + (k == 1 ? 1 : 0);
        }
        take(ohms);
    }

    /** Adds a branch J = a − g V (A, S) behind its cable (Ω). */
    void addLinear(double offset, double siemens, double ohms) {
        java.util.Arrays.fill(one, 0);
        one[0] = offset - siemens * centre;
        one[1] = -siemens;
        take(ohms);
    }

    private void take(double ohms) {
        for (int k = 0; k <= ORDER; k++) {
            amperes[k] += one[k];
            if (ohms > 0) {
                double sum = 0;
                for (int j = 0; j <= k; j++) {
                    sum += one[j] * one[k - j];
                }
                watts[k] += ohms * sum;
            }
        }
    }

    /** Whether it is good at a voltage (V). */
    public boolean reaches(double volts) {
        return Math.abs(volts - centre) <= REACH * centre;
    }

    /** All currents together (A) at a voltage (V). */
    public double amperes(double volts) {
        return at(amperes, volts - centre);
    }

    /** What that changes by with each volt (S). */
    public double siemens(double volts) {
        double t = volts - centre;
        return amperes[1] + t * (2 * amperes[2] + t * (3 * amperes[3] + t * 4 * amperes[4]));
    }

    /** Writes the polynomial of the currents about another voltage (V). */
    void about(double volts, double[] into) {
        double t = volts - centre;
        System.arraycopy(amperes, 0, into, 0, ORDER + 1);
        for (int from = 0; from < ORDER; from++) {
            for (int k = ORDER - 1; k >= from; k--) {
                into[k] += t * into[k + 1];
            }
        }
    }

    /** What is lost in their cables (W) at a voltage (V). */
    public double cableWatts(double volts) {
        return at(watts, volts - centre);
    }

    private static double at(double[] c, double t) {
        return c[0] + t * (c[1] + t * (c[2] + t * (c[3] + t * c[4])));
    }
}
