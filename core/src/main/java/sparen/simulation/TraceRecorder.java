package sparen.simulation;

import java.util.Arrays;
import java.util.List;
import sparen.result.Trace;
import sparen.result.Window;
import sparen.series.Series;

/** Gathers a {@link Trace} while a run goes on. */
final class TraceRecorder {
    /** Places of the mean powers of a step. */
    static final int USED = 0;

    static final int DIVERTED = 1;
    static final int TO_BATTERY = 2;
    static final int FROM_BATTERY = 3;
    /** Taken from the arrays; what they had beyond it was thrown away. */
    static final int TAKEN = 4;

    static final int AC_SOURCE = 5;
    static final int UNSERVED = 6;
    /** The part of {@link #AC_SOURCE} that a generator gave. */
    static final int GENERATOR = 7;

    static final int POWERS = 8;

    /** Bits of how the AC side stands during a step: a source is there, the sun gives what the loads take, the battery is above its level. */
    static final int AC_PRESENT = 1;

    static final int SUN_ENOUGH = 2;
    static final int ABOVE_LEVEL = 4;
    private static final int BITS = 3;

    private final double from;
    private final double width;
    private final int buckets;
    private final double[][] low = new double[3][];
    private final double[][] high = new double[3][];
    private final double[][] joules = new double[POWERS][];
    private final double[] covered;
    private final double[] kelvinSeconds;
    private final double[][] stood = new double[BITS][];
    private final List<ArrayInput> arrays;

    /**
     * @param arrays what the arrays of each controller have
     * @param hasAc whether there is an AC side whose standing is told
     */
    TraceRecorder(Window window, List<ArrayInput> arrays, boolean hasAc) {
        this.arrays = arrays;
        from = window.fromSeconds();
        buckets = window.buckets();
        width = (window.toSeconds() - from) / buckets;
        covered = new double[buckets];
        kelvinSeconds = new double[buckets];
        for (int i = 0; i < low.length; i++) {
            low[i] = filled(Double.POSITIVE_INFINITY);
            high[i] = filled(Double.NEGATIVE_INFINITY);
        }
        for (int i = 0; i < joules.length; i++) {
            joules[i] = new double[buckets];
        }
        for (int bit = 0; bit < BITS; bit++) {
            stood[bit] = new double[hasAc ? buckets : 0];
        }
    }

    /**
     * Takes one step into the buckets it touches.
     *
     * @param start of the step (s)
     * @param length of the step (s)
     * @param signals series of battery volts, bus volts, state of charge
     * @param order up to which their coefficients count
     * @param watts mean powers over the step, in the order of the trace
     * @param celsius battery temperature (°C)
     * @param ac how the AC side stands, see {@link #AC_PRESENT}; looked at only where there is one
     */
    void add(double start, double length, double[][] signals, int order, double[] watts, double celsius, int ac) {
        double end = start + length;
        if (end <= from || start >= from + width * buckets) {
            return;
        }
        int first = Math.max(0, (int) ((start - from) / width));
        int last = Math.min(buckets - 1, (int) ((end - from) / width));
        for (int b = first; b <= last; b++) {
            double a = Math.max(start, from + b * width);
            double z = Math.min(end, from + (b + 1) * width);
            // A step that only touches a bucket's edge, but for rounding, is no part of it.
            if (z - a <= 1e-9 * width) {
                continue;
            }
            for (int i = 0; i < low.length; i++) {
                take(i, b, Series.at(signals[i], order, a - start));
                take(i, b, Series.at(signals[i], order, z - start));
            }
            covered[b] += z - a;
            kelvinSeconds[b] += celsius * (z - a);
            for (int i = 0; i < joules.length; i++) {
                joules[i][b] += watts[i] * (z - a);
            }
            for (int bit = 0; bit < BITS && stood[bit].length > 0; bit++) {
                stood[bit][b] += (ac >> bit & 1) * (z - a);
            }
            // What the arrays had is known by the minute, however long the step.
            for (ArrayInput array : arrays) {
                joules[TAKEN][b] -= array.joules(a, z);
            }
        }
    }

    private void take(int signal, int bucket, double value) {
        low[signal][bucket] = Math.min(low[signal][bucket], value);
        high[signal][bucket] = Math.max(high[signal][bucket], value);
    }

    Trace finish() {
        for (int b = 0; b < buckets; b++) {
            for (double[] series : joules) {
                series[b] = covered[b] > 0 ? series[b] / covered[b] : Double.NaN;
            }
            kelvinSeconds[b] = covered[b] > 0 ? kelvinSeconds[b] / covered[b] : Double.NaN;
            for (int bit = 0; bit < BITS && stood[bit].length > 0; bit++) {
                stood[bit][b] = covered[b] > 0 ? stood[bit][b] / covered[b] : Double.NaN;
            }
            for (int i = 0; i < low.length; i++) {
                if (covered[b] == 0) {
                    low[i][b] = Double.NaN;
                    high[i][b] = Double.NaN;
                }
            }
        }
        double[] thrownAway = joules[TAKEN];
        for (int b = 0; b < buckets; b++) {
            thrownAway[b] = Math.max(0, -thrownAway[b]);
        }
        return new Trace(
                from,
                width,
                low[0],
                high[0],
                low[1],
                high[1],
                low[2],
                high[2],
                joules[USED],
                joules[DIVERTED],
                joules[TO_BATTERY],
                joules[FROM_BATTERY],
                thrownAway,
                joules[AC_SOURCE],
                joules[UNSERVED],
                joules[GENERATOR],
                kelvinSeconds,
                stood[0],
                stood[1],
                stood[2]);
    }

    private double[] filled(double value) {
        double[] array = new double[buckets];
        Arrays.fill(array, value);
        return array;
    }
}
