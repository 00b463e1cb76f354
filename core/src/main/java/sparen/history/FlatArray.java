package sparen.history;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import sparen.program.ChargeDetails;
import sparen.program.ChargeProgram;
import sparen.program.Plan;
import sparen.site.ChargeController;
import sparen.table.Meaning;

/**
 * The arrays stood at one number for long while the sun went on and the battery was not held: a limit. Clouds make power waver, and a full
 * battery is held at its voltage.
 *
 * @param from when it was first so
 * @param spans how often
 * @param hours in all (h)
 * @param watts they stood at (W)
 * @param batteryAmperes that is into the battery and its bus at the voltage of then (A)
 * @param explainedBy which limit of the plan that is, in words; absent where none is near
 */
public record FlatArray(
        Instant from, int spans, double hours, double watts, double batteryAmperes, Optional<String> explainedBy) {
    /** So long (s) at least; this and what follows is judgement, no source. */
    private static final double LEAST_SECONDS = 45 * 60.0;
    /** Flat is within so much (share), */
    private static final double FLAT = 0.02;
    /** while a clear sky would have changed by this (share) */
    private static final double SUN_MOVES = 0.06;
    /** and given so much more (share). */
    private static final double MORE = 1.05;

    private static final double LEAST_OF_PEAK = 0.1;
    /** A limit explains it when it is as near as this (share). */
    private static final double NEAR = 0.05;

    private record Span(int from, int to, double watts, double volts, double seconds) {}

    /** The longest-lasting of them; absent where none was, or the arrays' power was not recorded. */
    static Optional<FlatArray> of(LogRows rows) {
        Optional<double[]> array = rows.column(Meaning.ARRAY_WATTS);
        if (array.isEmpty() || rows.plan.site().arrays().isEmpty()) {
            return Optional.empty();
        }
        List<Span> spans = spans(rows, array.get());
        if (spans.isEmpty()) {
            return Optional.empty();
        }
        Span longest =
                spans.stream().max(Comparator.comparingDouble(Span::seconds)).orElseThrow();
        // One limit of current gives other powers at other voltages: those within a tenth belong together.
        List<Span> alike = spans.stream()
                .filter(one -> Math.abs(one.watts() / longest.watts() - 1) < 0.1)
                .toList();
        double efficiency = efficiency(rows.plan);
        double amperes = alike.stream()
                .mapToDouble(one -> one.watts() * efficiency / one.volts())
                .average()
                .orElseThrow();
        return Optional.of(new FlatArray(
                Instant.ofEpochSecond((long) rows.log.seconds()[alike.get(0).from()]),
                alike.size(),
                alike.stream().mapToDouble(Span::seconds).sum() / 3600,
                longest.watts(),
                amperes,
                limit(rows.plan, amperes)));
    }

    private static List<Span> spans(LogRows rows, double[] array) {
        double[] clear = rows.clearWatts();
        double[] volts = rows.volts;
        double least = LEAST_OF_PEAK * rows.peakWatts();
        List<Span> spans = new ArrayList<>();
        int from = 0;
        while (from < rows.count) {
            int to = from;
            double sum = 0;
            double voltSum = 0;
            double seconds = 0;
            while (to < rows.count
                    && array[to] >= least
                    && !rows.isHeld(to)
                    && (to == from || Math.abs(array[to] / (sum / (to - from)) - 1) <= FLAT)) {
                sum += array[to];
                voltSum += volts[to];
                seconds += rows.seconds[to];
                to++;
            }
            int rowsOfSpan = to - from;
            if (seconds >= LEAST_SECONDS && sunGoesOn(clear, from, to, sum / rowsOfSpan)) {
                spans.add(new Span(from, to, sum / rowsOfSpan, voltSum / rowsOfSpan, seconds));
            }
            from = Math.max(to, from + 1);
        }
        return spans;
    }

    private static boolean sunGoesOn(double[] clear, int from, int to, double watts) {
        double lowest = Double.POSITIVE_INFINITY;
        double highest = 0;
        for (int i = from; i < to; i++) {
            lowest = Math.min(lowest, clear[i]);
            highest = Math.max(highest, clear[i]);
        }
        return highest >= lowest * (1 + SUN_MOVES)
                && lowest >= watts * MORE / (1 + SUN_MOVES)
                && highest >= watts * MORE;
    }

    private static double efficiency(Plan plan) {
        return plan.site().controllers().stream()
                .mapToDouble(ChargeController::efficiency)
                .average()
                .orElse(1);
    }

    private static Optional<String> limit(Plan plan, double amperes) {
        double all = 0;
        for (ChargeController one : plan.site().controllers()) {
            double set = plan.program().charging().stream()
                    .filter(charging -> charging.controller().equals(one.id()))
                    .map(ChargeProgram::details)
                    .flatMap(Optional::stream)
                    .map(ChargeDetails::maximumAmperes)
                    .flatMap(Optional::stream)
                    .findFirst()
                    .orElse(one.maximumAmperes());
            if (Math.abs(amperes / set - 1) <= NEAR) {
                String what = set < one.maximumAmperes() ? "the current that is set at " : "the most that comes from ";
                return Optional.of(what + one.name() + ", " + Math.round(set * 10) / 10.0 + " A");
            }
            all += set;
        }
        return all > 0 && Math.abs(amperes / all - 1) <= NEAR
                ? Optional.of("what all controllers give together, " + Math.round(all * 10) / 10.0 + " A")
                : Optional.empty();
    }
}
