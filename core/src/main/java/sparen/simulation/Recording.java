package sparen.simulation;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import sparen.quantity.Standard;
import sparen.result.PartFigures;
import sparen.result.RunResult.Lowest;
import sparen.result.Trace;
import sparen.result.Window;
import sparen.series.Series;

/**
 * Everything a run's picture needs, kept step by step, so that any window of it can be shown without running again: a spike of a
 * hundredth of a second is still there a year later. A curved step is kept as pieces that are straight to half a millivolt.
 */
public final class Recording {
    /** A piece may leave the curve by so much of a voltage (V), and of a state of charge (fraction). */
    private static final double[] STRAIGHT = {5e-4, 5e-4, 1e-4};

    private static final int BATTERY_VOLTS = 0;
    private static final int CHARGE = 2;
    private static final int SIGNALS = 3;
    private static final int MOST_PIECES = 64;
    private static final int CELSIUS = 2 * SIGNALS + TraceRecorder.POWERS;
    private static final int AC = CELSIUS + 1;
    private static final int COLUMNS = AC + 1;
    private static final int CHUNK = 4096;
    /** So many states of what is counted up at most: every hour of a year. */
    private static final double MOST_TALLIES = 8784;

    private final List<ArrayInput> arrays;
    private final List<double[]> starts = new ArrayList<>();
    private final List<float[]> values = new ArrayList<>();
    private final LedgerSums sums;
    private final boolean hasAc;
    private final double whole;
    private final double between;
    private final List<Tally> tallies = new ArrayList<>();
    private int size;
    private double end;

    /**
     * @param arrays what the arrays of each controller have
     * @param sums what its ledger is made of
     * @param hasAc whether there is an AC side
     * @param seconds how long the run is to be (s)
     */
    Recording(List<ArrayInput> arrays, LedgerSums sums, boolean hasAc, double seconds) {
        this.arrays = arrays;
        this.sums = sums;
        this.hasAc = hasAc;
        whole = seconds;
        between = Math.max(Standard.HOUR, seconds / MOST_TALLIES);
    }

    /** Whether what is counted up is wanted at an instant (s): at its end and every hour, of a very long run more rarely. */
    boolean counts(double seconds) {
        return seconds >= whole || seconds >= tallies.size() * between;
    }

    void add(Tally tally) {
        tallies.add(tally);
    }

    /** Takes one step; see {@link TraceRecorder#add}. */
    void add(double start, double length, double[][] signals, int order, double[] watts, double celsius, int ac) {
        int pieces = pieces(length, signals, order);
        for (int i = 0; i < pieces; i++) {
            double from = length * i / pieces;
            double to = length * (i + 1) / pieces;
            if (size == CHUNK * starts.size()) {
                starts.add(new double[CHUNK]);
                values.add(new float[CHUNK * COLUMNS]);
            }
            int place = size % CHUNK;
            starts.get(size / CHUNK)[place] = start + from;
            float[] row = values.get(size / CHUNK);
            int at = place * COLUMNS;
            for (int s = 0; s < SIGNALS; s++) {
                row[at++] = (float) Series.at(signals[s], order, from);
                row[at++] = (float) Series.at(signals[s], order, to);
            }
            for (int p = 0; p < TraceRecorder.POWERS; p++) {
                row[at++] = (float) watts[p];
            }
            row[at++] = (float) celsius;
            row[at] = ac;
            size++;
        }
        end = start + length;
    }

    private static int pieces(double length, double[][] signals, int order) {
        double worst = 0;
        for (int s = 0; s < SIGNALS; s++) {
            double first = Series.at(signals[s], order, 0);
            double middle = Series.at(signals[s], order, length / 2);
            double last = Series.at(signals[s], order, length);
            worst = Math.max(worst, Math.abs(middle - (first + last) / 2) / STRAIGHT[s]);
        }
        return worst <= 1 ? 1 : (int) Math.min(MOST_PIECES, Math.ceil(Math.sqrt(worst)));
    }

    /** How much memory it takes, nearly (bytes). */
    public long bytes() {
        long counted =
                tallies.isEmpty() ? 0 : (long) tallies.size() * tallies.get(0).bytes();
        return counted + (long) starts.size() * CHUNK * (Double.BYTES + COLUMNS * Float.BYTES);
    }

    /**
     * A window of the run.
     *
     * @param window within the run or beyond it; buckets beyond it are NaN
     */
    public Trace trace(Window window) {
        TraceRecorder recorder = new TraceRecorder(window, arrays, hasAc);
        double[][] line = {Series.zero(), Series.zero(), Series.zero()};
        double[] watts = new double[TraceRecorder.POWERS];
        for (int i = Math.max(0, pieceAt(window.fromSeconds())); i < size; i++) {
            double start = start(i);
            if (start >= window.toSeconds()) {
                break;
            }
            double length = (i + 1 < size ? start(i + 1) : end) - start;
            float[] row = values.get(i / CHUNK);
            int at = i % CHUNK * COLUMNS;
            for (int s = 0; s < SIGNALS; s++) {
                line[s][0] = row[at + 2 * s];
                line[s][1] = length > 0 ? (row[at + 2 * s + 1] - row[at + 2 * s]) / length : 0;
            }
            for (int p = 0; p < watts.length; p++) {
                watts[p] = row[at + 2 * SIGNALS + p];
            }
            recorder.add(start, length, line, Series.LOW_ORDER, watts, row[at + CELSIUS], (int) row[at + AC]);
        }
        return recorder.finish();
    }

    /** What is counted up in a part of the run, in the states before and after it (s). */
    PartFigures part(double from, double to) {
        int last = tallies.size() - 1;
        int first = 0;
        while (first < last - 1 && tallies.get(first + 1).seconds() <= from) {
            first++;
        }
        int second = first + 1;
        while (second < last && tallies.get(second).seconds() < to) {
            second++;
        }
        Tally before = tallies.get(first);
        Tally after = tallies.get(second);
        return new PartFigures(
                before.seconds(),
                after.seconds(),
                sums.between(before.ledger(), after.ledger()),
                after.outputsSince(before),
                after.loadsSince(before),
                after.generatorsSince(before),
                after.feedersSince(before),
                lowest(CHARGE, before.seconds(), after.seconds()),
                lowest(BATTERY_VOLTS, before.seconds(), after.seconds()));
    }

    private Lowest lowest(int signal, double from, double to) {
        Lowest found = new Lowest(Double.POSITIVE_INFINITY, from);
        for (int i = Math.max(0, pieceAt(from)); i < size && start(i) < to; i++) {
            int at = i % CHUNK * COLUMNS + 2 * signal;
            float[] row = values.get(i / CHUNK);
            double ends = i + 1 < size ? start(i + 1) : end;
            found = lower(found, row[at], start(i));
            found = lower(found, row[at + 1], ends);
        }
        return found;
    }

    private static Lowest lower(Lowest found, double value, double seconds) {
        return value < found.value() ? new Lowest(value, seconds) : found;
    }

    private double start(int piece) {
        return starts.get(piece / CHUNK)[piece % CHUNK];
    }

    /** The piece that holds an instant (s), −1 before the first. */
    private int pieceAt(double seconds) {
        int low = 0;
        int high = starts.size() - 1;
        while (low < high) {
            int middle = (low + high + 1) / 2;
            if (starts.get(middle)[0] <= seconds) {
                low = middle;
            } else {
                high = middle - 1;
            }
        }
        int within = Math.min(CHUNK, size - low * CHUNK);
        int found = Arrays.binarySearch(starts.get(low), 0, within, seconds);
        return low * CHUNK + (found >= 0 ? found : -found - 2);
    }
}
