package sparen.battery;

import sparen.series.Series;

/**
 * What a battery's voltage rebounds by after a change of current: RC pairs in line, each with dv/dt = (I R − v) / τ. Sums go on from what
 * they are added to, so that no digit depends on how they are split.
 */
final class Rebound {
    private final BatteryModel model;
    private final double[] perSecond;
    private final double[] ohms;
    private final double[][] volts;

    Rebound(BatteryModel model) {
        this.model = model;
        ohms = model.rcOhms().clone();
        perSecond = new double[ohms.length];
        volts = new double[ohms.length][];
        for (int i = 0; i < ohms.length; i++) {
            perSecond[i] = 1 / model.rcSeconds()[i];
            volts[i] = Series.zero();
            volts[i][0] = model.rcStartVolts()[i];
        }
    }

    /**
     * Takes a factor on its resistances (×).
     *
     * @return energy (J) gained thereby: the time constant stays, so the capacitance changes with the resistance and with it the energy at
     *     the same voltage
     */
    double takeFactor(double factor) {
        double gained = 0;
        for (int i = 0; i < ohms.length; i++) {
            double old = ohms[i];
            ohms[i] = model.rcOhms()[i] * factor;
            gained += model.rcSeconds()[i] * volts[i][0] * volts[i][0] / 2 * (1 / ohms[i] - 1 / old);
        }
        return gained;
    }

    /** Its voltages on top of another (V). */
    double onTop(double below) {
        double sum = below;
        for (double[] v : volts) {
            sum += v[0];
        }
        return sum;
    }

    /** Makes coefficient k + 1 of its voltages from the current (A), known up to k; all of them on top of another. */
    double extend(double[] current, int k, double below) {
        double part = Series.INVERSE[k + 1];
        double sum = below;
        for (int i = 0; i < volts.length; i++) {
            double[] v = volts[i];
            v[k + 1] = (current[k] * ohms[i] - v[k]) * perSecond[i] * part;
            sum += v[k + 1];
        }
        return sum;
    }

    void advance(int order, double seconds) {
        for (double[] v : volts) {
            v[0] = Series.at(v, order, seconds);
        }
    }

    /** Its resistances on top of another (Ω). */
    double settled(double atOnce) {
        double sum = atOnce;
        for (double one : ohms) {
            sum += one;
        }
        return sum;
    }

    /** Energy (J) lost in it over a step (s), on top of another. */
    double lost(double other, int order, double seconds) {
        double lost = other;
        for (int i = 0; i < volts.length; i++) {
            lost += Series.integralOfProduct(volts[i], volts[i], order, seconds) / ohms[i];
        }
        return lost;
    }

    /** Energy (J) stored in it, on top of another. */
    double stored(double other) {
        double joules = other;
        for (int i = 0; i < volts.length; i++) {
            double farads = model.rcSeconds()[i] / ohms[i];
            joules += farads * volts[i][0] * volts[i][0] / 2;
        }
        return joules;
    }
}
