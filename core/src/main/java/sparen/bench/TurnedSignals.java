package sparen.bench;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
import sparen.program.NamedSignal;
import sparen.program.NamedSignal.Kind;

/** The signals of a bench as knobs move them: each at an even rate, clocks by themselves. */
final class TurnedSignals {
    private static final double DAY_HOURS = 24;
    private static final double HOURS_PER_SECOND = 1 / 3600.0;

    final double[] values;
    final double[] slopes;

    private final double[] low;
    private final double[] high;
    private final boolean[] isHour;
    private final Map<String, Integer> numbers = new HashMap<>();
    /** When each knob that is on its way is there (s), infinite for the others; and where that is. */
    private final double[] ends;

    private final double[] targets;

    /** Nobody has turned a knob yet: a full battery at noon, nothing wrong. */
    TurnedSignals(List<NamedSignal> signals) {
        values = new double[signals.size()];
        slopes = new double[values.length];
        low = new double[values.length];
        high = new double[values.length];
        isHour = new boolean[values.length];
        ends = new double[values.length];
        targets = new double[values.length];
        Arrays.fill(ends, Double.POSITIVE_INFINITY);
        for (int i = 0; i < values.length; i++) {
            NamedSignal signal = signals.get(i);
            numbers.put(signal.id(), i);
            isHour[i] = signal.kind() == Kind.HOUR || signal.kind() == Kind.DEVICE_HOUR;
            stand(i, signal.rest());
        }
    }

    private void stand(int signal, double value) {
        values[signal] = value;
        slopes[signal] = isHour[signal] ? HOURS_PER_SECOND : 0;
    }

    /** The number of a knob's signal. */
    int number(String knob) {
        return numbers.get(knob);
    }

    /** A hand begins to turn a knob to a value, at once or until an instant (s). */
    void begin(int signal, double value, double now, double end) {
        ends[signal] = Double.POSITIVE_INFINITY;
        if (end <= now) {
            stand(signal, value);
        } else {
            slopes[signal] = (value - values[signal]) / (end - now);
            ends[signal] = end;
            targets[signal] = value;
        }
    }

    /**
     * When a knob is at its end, a signal leaves the interval in which nothing looks, or a day begins (s).
     *
     * @param now since the start (s)
     * @param narrow narrows the intervals (low, high)
     */
    double nextHappening(double now, BiConsumer<double[], double[]> narrow) {
        double next = Double.POSITIVE_INFINITY;
        for (double end : ends) {
            next = Math.min(next, end);
        }
        bounds(narrow);
        for (int i = 0; i < values.length; i++) {
            double bound = slopes[i] > 0 ? high[i] : low[i];
            if (slopes[i] != 0 && !Double.isInfinite(bound)) {
                next = Math.min(next, now + Math.max(0, (bound - values[i]) / slopes[i]));
            }
            if (isHour[i]) {
                next = Math.min(next, now + (DAY_HOURS - values[i]) / HOURS_PER_SECOND);
            }
        }
        return next;
    }

    private void bounds(BiConsumer<double[], double[]> narrow) {
        Arrays.fill(low, Double.NEGATIVE_INFINITY);
        Arrays.fill(high, Double.POSITIVE_INFINITY);
        narrow.accept(low, high);
    }

    /** Carries all from an instant to another (s); one that stands at a bound there is put just past it. */
    void move(double from, double to, BiConsumer<double[], double[]> narrow) {
        bounds(narrow);
        for (int i = 0; i < values.length; i++) {
            values[i] += slopes[i] * (to - from);
            double near = 1e-12 * Math.max(1, Math.abs(values[i]));
            if (slopes[i] > 0 && Math.abs(values[i] - high[i]) <= near) {
                values[i] = Math.nextUp(high[i]);
            } else if (slopes[i] < 0 && Math.abs(values[i] - low[i]) <= near) {
                values[i] = Math.nextDown(low[i]);
            }
            if (isHour[i] && values[i] >= DAY_HOURS - 1e-9) {
                values[i] = 0;
            }
        }
        for (int i = 0; i < ends.length; i++) {
            if (to >= ends[i]) {
                ends[i] = Double.POSITIVE_INFINITY;
                stand(i, targets[i]);
            }
        }
    }
}
