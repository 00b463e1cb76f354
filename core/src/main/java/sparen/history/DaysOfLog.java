package sparen.history;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import sparen.quantity.Standard;
import sparen.table.Meaning;

/** Makes days of rows. */
final class DaysOfLog {
    private static final double NIGHT_ENDS = 4;
    private static final double LEAST_NIGHT_HOURS = 2;

    private final LogRows rows;
    private final double[] volts;

    private DaysOfLog(LogRows rows) {
        this.rows = rows;
        volts = rows.volts;
    }

    static List<DayOfLog> of(LogRows rows) {
        DaysOfLog days = new DaysOfLog(rows);
        List<DayOfLog> all = new ArrayList<>();
        int from = 0;
        while (from < rows.count) {
            int to = from;
            while (to < rows.count && rows.day[to].equals(rows.day[from])) {
                to++;
            }
            days.day(rows.day[from], from, to).ifPresent(all::add);
            from = to;
        }
        return all;
    }

    private Optional<DayOfLog> day(LocalDate date, int from, int to) {
        double known = 0;
        double lowest = Double.POSITIVE_INFINITY;
        double highest = Double.NEGATIVE_INFINITY;
        double absorption = 0;
        double floating = 0;
        double nightSeconds = 0;
        double nightJoules = 0;
        Optional<double[]> array = rows.column(Meaning.ARRAY_WATTS);
        for (int i = from; i < to; i++) {
            if (Double.isNaN(volts[i])) {
                continue;
            }
            known += rows.seconds[i];
            lowest = Math.min(lowest, volts[i]);
            highest = Math.max(highest, volts[i]);
            if (rows.isAbsorbing(i)) {
                absorption += rows.seconds[i];
            } else if (array.isPresent() && array.get()[i] > 0 && rows.isFloating(i)) {
                floating += rows.seconds[i];
            }
            double draw = rows.hour[i] < NIGHT_ENDS ? rows.drawWatts(i) : Double.NaN;
            if (!Double.isNaN(draw)) {
                nightSeconds += rows.seconds[i];
                nightJoules += draw * rows.seconds[i];
            }
        }
        if (known == 0) {
            return Optional.empty();
        }
        boolean night = nightSeconds >= LEAST_NIGHT_HOURS * Standard.HOUR;
        return Optional.of(new DayOfLog(
                date,
                known / Standard.HOUR,
                lowest,
                highest,
                lowest(Meaning.CHARGE, from, to),
                sum(Meaning.ARRAY_WATTS, from, to, watts -> watts),
                sum(Meaning.LOAD_WATTS, from, to, watts -> watts),
                sum(Meaning.BATTERY_AMPERES, from, to, amperes -> Math.max(0, amperes)),
                sum(Meaning.BATTERY_AMPERES, from, to, amperes -> Math.max(0, -amperes)),
                absorption / Standard.HOUR,
                array.isPresent() ? Optional.of(floating / Standard.HOUR) : Optional.empty(),
                night ? Optional.of(nightJoules / nightSeconds) : Optional.empty()));
    }

    private Optional<Double> lowest(Meaning meaning, int from, int to) {
        return rows.column(meaning)
                .map(values -> {
                    double lowest = Double.POSITIVE_INFINITY;
                    for (int i = from; i < to; i++) {
                        lowest = Double.isNaN(values[i]) ? lowest : Math.min(lowest, values[i]);
                    }
                    return lowest;
                })
                .filter(Double::isFinite);
    }

    /** A column summed over time in hours. */
    private Optional<Double> sum(Meaning meaning, int from, int to, DoubleUnaryOperator of) {
        return rows.column(meaning).map(values -> {
            double sum = 0;
            for (int i = from; i < to; i++) {
                sum += Double.isNaN(values[i]) ? 0 : of.applyAsDouble(values[i]) * rows.seconds[i];
            }
            return sum / Standard.HOUR;
        });
    }
}
