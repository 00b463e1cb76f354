package sparen.format;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import sparen.table.BadLines;
import sparen.table.Layout;
import sparen.table.Meaning;

/** Puts lines of weather on equal steps; short gaps are filled by straight lines, longer ones refuse the file. */
final class WeatherSteps {
    private static final double MOST_WATTS = 1500;

    private final Layout layout;
    private final long[] lines;
    private final double[] times;
    private final int size;
    private final double step;
    private final BadLines bad;
    private final List<String> notes;
    private int filled;

    /** @param lines numbers in the file of what was read */
    WeatherSteps(Layout layout, long[] lines, double[] times, int size, double step, BadLines bad, List<String> notes) {
        this.layout = layout;
        this.lines = lines;
        this.times = times;
        this.size = size;
        this.step = step;
        this.bad = bad;
        this.notes = notes;
    }

    Optional<WeatherFile> put(double[] global, double[] diffuse, double[] celsius) {
        int steps = (int) Math.round((times[size - 1] - times[0]) / step) + 1;
        if (!liesOnSteps() || steps > WeatherReader.MOST_LINES) {
            return Optional.empty();
        }
        double[] level = onSteps(global, steps, factor(Meaning.GLOBAL_LIGHT));
        double[] spread = onSteps(diffuse, steps, factor(Meaning.DIFFUSE_LIGHT));
        double[] warmth = onSteps(celsius, steps, 1);
        judgeLight(level);
        fill(level, "light");
        fill(warmth, "temperature");
        if (layout.indexOf(Meaning.DIFFUSE_LIGHT) >= 0 && bad.isNone()) {
            fill(spread, "diffuse light");
        }
        if (filled > 0) {
            notes.add(filled + " missing values were filled by straight lines");
        }
        return bad.isNone()
                ? Optional.of(new WeatherFile(
                        Instant.ofEpochSecond(Math.round(first())),
                        (int) Math.round(step),
                        level,
                        spread,
                        warmth,
                        notes))
                : Optional.empty();
    }

    /** Sums over a step become means. */
    private double factor(Meaning meaning) {
        int column = layout.indexOf(meaning);
        return column >= 0 && layout.columns().get(column).unit().isPerStep() ? 1 / step : 1;
    }

    private double first() {
        double middle = Math.floorMod((long) times[0], (long) step);
        if (layout.stampsEnd()) {
            return times[0] - step;
        }
        if (middle != 0 && middle == step / 2) {
            notes.add("stamps in the middle of their steps are moved to the beginning");
            return times[0] - middle;
        }
        return times[0];
    }

    private boolean liesOnSteps() {
        for (int i = 0; i < size; i++) {
            int at = at(i);
            if (Math.abs(times[0] + at * step - times[i]) > 1) {
                bad.refuse(lines[i], "its time does not lie on steps of " + step + " s");
                return false;
            }
            double gap = i == 0 ? 0 : (at - at(i - 1) - 1) * step;
            if (gap > layout.longestGapSeconds()) {
                bad.refuse(lines[i], "a gap of " + Math.round(gap / 3600) + " h before it; at most " + longest());
                return false;
            }
        }
        return true;
    }

    private String longest() {
        return Math.round(layout.longestGapSeconds() / 3600) + " h are filled";
    }

    private int at(int line) {
        return (int) Math.round((times[line] - times[0]) / step);
    }

    /** The line from which a step on something is known. */
    private long lineOfStep(int step) {
        int index = 0;
        while (index + 1 < size && at(index) < step) {
            index++;
        }
        return lines[index];
    }

    private double[] onSteps(double[] values, int steps, double factor) {
        double[] put = new double[steps];
        Arrays.fill(put, Double.NaN);
        for (int i = 0; i < size; i++) {
            put[at(i)] = values[i] * factor;
        }
        return put;
    }

    private void judgeLight(double[] level) {
        for (int i = 0; i < size; i++) {
            double mean = level[at(i)];
            if (mean > MOST_WATTS) {
                bad.refuse(
                        lines[i],
                        "global light of " + Math.round(mean) + " W/m² as mean of its step is above " + (int) MOST_WATTS
                                + " W/m²: is the unit right?");
            }
        }
    }

    private void fill(double[] values, String what) {
        int before = -1;
        for (int i = 0; i < values.length; i++) {
            if (Double.isNaN(values[i])) {
                continue;
            }
            if ((i - before - 1) * step > layout.longestGapSeconds()) {
                bad.refuse(lineOfStep(i), what + " is missing for more than is filled before it; at most " + longest());
                return;
            }
            for (int gap = before + 1; gap < i; gap++) {
                double share = (gap - before) / (double) (i - before);
                values[gap] = before < 0 ? values[i] : values[before] + share * (values[i] - values[before]);
                filled++;
            }
            before = i;
        }
        if (before < 0) {
            bad.refuse(1, "the column of the " + what + " has no value at all");
        } else if ((values.length - 1 - before) * step > layout.longestGapSeconds()) {
            bad.refuse(lineOfStep(before), what + " is missing after it for more than is filled; at most " + longest());
        } else {
            filled += values.length - 1 - before;
            Arrays.fill(values, before + 1, values.length, values[before]);
        }
    }
}
