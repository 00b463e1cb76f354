package sparen.app.look;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import sparen.format.DailyFigure;
import sparen.format.LoggerFile;
import sparen.format.Profile;
import sparen.format.WeatherFile;
import sparen.table.ColumnUnit;
import sparen.table.Meaning;

/**
 * What a file holds that can be taken.
 *
 * @param from when it begins; absent where it only tells seconds
 * @param lines that are taken
 * @param spanSeconds how long it is (s)
 * @param columns each with what lies in it
 * @param notes what is taken how: gaps, jumps of a clock
 */
record FileFound(Optional<Instant> from, int lines, double spanSeconds, List<ColumnFound> columns, List<String> notes) {
    private static final int SKETCH_POINTS = 240;

    /**
     * What lies in a column.
     *
     * @param what it is
     * @param unit of the numbers here
     * @param unknown share of its lines in which nothing was measured (fraction)
     * @param sketch means of up to 240 equal parts of it
     */
    record ColumnFound(
            String what, String unit, double lowest, double mean, double highest, double unknown, double[] sketch) {}

    static FileFound of(WeatherFile weather) {
        List<ColumnFound> columns = new ArrayList<>();
        columns.add(column(Meaning.GLOBAL_LIGHT, weather.globalWatts()));
        if (!Arrays.stream(weather.diffuseWatts()).allMatch(Double::isNaN)) {
            columns.add(column(Meaning.DIFFUSE_LIGHT, weather.diffuseWatts()));
        }
        columns.add(column(Meaning.AIR_CELSIUS, weather.celsius()));
        return new FileFound(
                Optional.of(weather.first()),
                weather.steps(),
                (double) weather.steps() * weather.stepSeconds(),
                columns,
                weather.notes());
    }

    static FileFound of(Profile profile) {
        return new FileFound(
                profile.start(),
                profile.watts().length,
                profile.spanSeconds(),
                List.of(column(Meaning.POWER, profile.watts())),
                List.of());
    }

    static FileFound of(LoggerFile log) {
        List<ColumnFound> columns = new ArrayList<>();
        log.columns().forEach((meaning, values) -> columns.add(column(meaning, values)));
        log.contacts().forEach((output, values) -> columns.add(column("contact of " + output, "", values)));
        return new FileFound(
                Optional.of(log.from()),
                log.lines(),
                log.seconds()[log.lines() - 1] - log.seconds()[0],
                columns,
                log.notes());
    }

    static FileFound of(List<DailyFigure> days, ZoneId zone) {
        List<ColumnFound> columns = new ArrayList<>();
        columns.add(column(Meaning.LOWEST_VOLTS, days, day -> Optional.of(day.lowestVolts())));
        columns.add(column(Meaning.HIGHEST_VOLTS, days, DailyFigure::highestVolts));
        columns.add(column(Meaning.ENERGY_IN, days, DailyFigure::inWattHours));
        columns.add(column(Meaning.ENERGY_OUT, days, DailyFigure::outWattHours));
        columns.removeIf(column -> column.unknown() == 1);
        return new FileFound(
                Optional.of(days.get(0).day().atStartOfDay(zone).toInstant()),
                days.size(),
                86_400.0 * days.size(),
                columns,
                List.of());
    }

    private static ColumnFound column(
            Meaning meaning, List<DailyFigure> days, Function<DailyFigure, Optional<Double>> of) {
        return column(
                meaning,
                days.stream()
                        .mapToDouble(day -> of.apply(day).orElse(Double.NaN))
                        .toArray());
    }

    private static ColumnFound column(Meaning meaning, double[] values) {
        List<ColumnUnit> units = ColumnUnit.of(meaning.dimension());
        return column(meaning.words(), units.get(units.size() - 1).symbol(), values);
    }

    private static ColumnFound column(String what, String unit, double[] values) {
        double[] known = Arrays.stream(values).filter(one -> !Double.isNaN(one)).toArray();
        int points = Math.min(SKETCH_POINTS, values.length);
        double[] sketch = new double[points];
        double last = known.length == 0 ? 0 : known[0];
        for (int i = 0; i < points; i++) {
            int from = (int) ((long) i * values.length / points);
            int to = (int) ((i + 1L) * values.length / points);
            last = Arrays.stream(values, from, to)
                    .filter(one -> !Double.isNaN(one))
                    .average()
                    .orElse(last);
            sketch[i] = last;
        }
        return new ColumnFound(
                what,
                unit,
                Arrays.stream(known).min().orElse(0),
                Arrays.stream(known).average().orElse(0),
                Arrays.stream(known).max().orElse(0),
                values.length == 0 ? 1 : 1 - (double) known.length / values.length,
                sketch);
    }
}
