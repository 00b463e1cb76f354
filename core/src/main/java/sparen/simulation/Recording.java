package sparen.simulation;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
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

    private static final int SIGNALS = 3;
    private static final int MOST_PIECES = 64;
    private static final int CELSIUS = 2 * SIGNALS + TraceRecorder.POWERS;
    private static final int COLUMNS = CELSIUS + 1;
    private static final int CHUNK = 4096;

    private final List<ArrayInput> arrays;
    private final List<double[]> starts = new ArrayList<>();
    private final List<float[]> values = new ArrayList<>();
    private int size;
    private double end;

    Recording(List<ArrayInput> arrays) {
        this.arrays = arrays;
    }

    /** Takes one step; see {@link TraceRecorder#add}. */
    void add(double start, double length, double[][] signals, int order, double[] watts, double celsius) {
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
            row[at] = (float) celsius;
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
        return (long) starts.size() * CHUNK * (Double.BYTES + COLUMNS * Float.BYTES);
    }

    /**
     * A window of the run.
     *
     * @param window within the run or beyond it; buckets beyond it are NaN
     */
    public Trace trace(Window window) {
        TraceRecorder recorder = new TraceRecorder(window, arrays);
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
            recorder.add(start, length, line, Series.LOW_ORDER, watts, row[at + CELSIUS]);
        }
        return recorder.finish();
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
