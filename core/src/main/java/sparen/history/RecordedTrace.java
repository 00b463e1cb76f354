package sparen.history;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntToDoubleFunction;
import sparen.format.LoggerFile;
import sparen.quantity.Bounds;
import sparen.table.Meaning;

/**
 * What was recorded as a picture needs it: per bucket of time the least and most of the voltage, and means; null where nothing is known.
 *
 * @param fromSeconds of the first bucket, since 1 January 1970 (s)
 * @param bucketSeconds length of each (s)
 * @param lowVolts of the battery (V)
 * @param highVolts of the battery (V)
 * @param means of what else was recorded: A into the battery, a fraction, W, °C
 * @param closed share of the time that each contact was closed, by the id of its output (fraction)
 */
public record RecordedTrace(
        double fromSeconds,
        double bucketSeconds,
        Double[] lowVolts,
        Double[] highVolts,
        Map<Meaning, Double[]> means,
        Map<String, Double[]> closed) {
    /** The most buckets a picture has. */
    public static final int MOST_BUCKETS = 3000;

    private static final int OUTSIDE = -1;

    /** Of all that was recorded, in so many buckets. */
    public static RecordedTrace of(LoggerFile log, int buckets) {
        double[] seconds = log.seconds();
        return of(log, seconds[0], seconds[seconds.length - 1], buckets);
    }

    /**
     * Of what was recorded between two instants, in buckets that part the time between them evenly.
     *
     * @param from since 1 January 1970 (s)
     * @param to since 1 January 1970 (s)
     */
    public static RecordedTrace of(LoggerFile log, double from, double to, int buckets) {
        Bounds.within("buckets", buckets, "buckets", 1, MOST_BUCKETS);
        double length = Math.max(1, (to - from) / buckets);
        int[] bucketOf = new int[log.lines()];
        for (int i = 0; i < bucketOf.length; i++) {
            double at = log.seconds()[i];
            bucketOf[i] = at < from || at > to ? OUTSIDE : (int) Math.min(buckets - 1.0, (at - from) / length);
        }
        double[] volts = log.column(Meaning.BATTERY_VOLTS).orElseThrow();
        Map<Meaning, Double[]> means = new LinkedHashMap<>();
        for (Meaning meaning : log.columns().keySet()) {
            if (meaning != Meaning.BATTERY_VOLTS) {
                means.put(meaning, means(log.column(meaning).orElseThrow(), bucketOf, buckets));
            }
        }
        Map<String, Double[]> closed = new LinkedHashMap<>();
        log.contacts().forEach((output, values) -> closed.put(output, means(values, bucketOf, buckets)));
        return new RecordedTrace(
                from,
                length,
                most(i -> -volts[i], bucketOf, buckets, -1),
                most(i -> volts[i], bucketOf, buckets, 1),
                means,
                closed);
    }

    private static Double[] most(IntToDoubleFunction value, int[] bucketOf, int buckets, int sign) {
        Double[] most = new Double[buckets];
        for (int i = 0; i < bucketOf.length; i++) {
            double one = value.applyAsDouble(i);
            if (bucketOf[i] == OUTSIDE) {
                continue;
            }
            Optional<Double> before = Optional.ofNullable(most[bucketOf[i]]);
            if (!Double.isNaN(one) && before.filter(other -> other >= one).isEmpty()) {
                most[bucketOf[i]] = one;
            }
        }
        for (int i = 0; i < buckets; i++) {
            most[i] = most[i] == null ? null : rounded(sign * most[i]);
        }
        return most;
    }

    private static Double[] means(double[] values, int[] bucketOf, int buckets) {
        double[] sums = new double[buckets];
        int[] counts = new int[buckets];
        for (int i = 0; i < values.length; i++) {
            if (bucketOf[i] != OUTSIDE && !Double.isNaN(values[i])) {
                sums[bucketOf[i]] += values[i];
                counts[bucketOf[i]]++;
            }
        }
        Double[] means = new Double[buckets];
        for (int i = 0; i < buckets; i++) {
            means[i] = counts[i] == 0 ? null : rounded(sums[i] / counts[i]);
        }
        return means;
    }

    private static Double rounded(double value) {
        return Math.round(value * 1000) / 1000.0;
    }
}
