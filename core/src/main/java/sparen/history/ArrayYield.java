package sparen.history;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import sparen.fit.Estimate;
import sparen.fit.Estimate.Quantity;
import sparen.table.Meaning;

/**
 * What the arrays gave against a clear sky, and what was thrown away while the battery was held: reckoned from how clear each day was
 * while it was not.
 *
 * @param factor what they give under a clear sky against the plan (×)
 * @param clearDays of which that is known
 * @param thrownAwayWattHours in all that was recorded (Wh), reckoned
 * @param diversion what loads of some powers would have used of it
 */
public record ArrayYield(Estimate factor, int clearDays, double thrownAwayWattHours, List<DiversionUse> diversion) {
    /**
     * What a diversion load would have used.
     *
     * @param watts of the load (W)
     * @param wattHours it would have used (Wh)
     */
    public record DiversionUse(double watts, double wattHours) {}

    private static final double[] LOADS = {50, 100, 200, 500, 1000, 2000};
    /** The sun stands high where a clear sky gives so much of what is rated (share); this and what follows is judgement, no source. */
    private static final double LEAST_OF_PEAK = 0.25;

    private static final double LEAST_HOURS = 1.5;
    /** A day is clear when its power follows the clear sky within so much (share). */
    private static final double WAVERS = 0.06;

    private static final int LEAST_CLEAR_DAYS = 3;
    private static final double NINETY_FIVE = 1.96;

    /** Of rows with the arrays' power; absent where that was not recorded. */
    static Optional<ArrayYield> of(LogRows rows) {
        Optional<double[]> recorded = rows.column(Meaning.ARRAY_WATTS);
        if (recorded.isEmpty() || rows.plan.site().arrays().isEmpty()) {
            return Optional.empty();
        }
        double[] array = recorded.get();
        double[] clear = rows.clearWatts();
        Map<LocalDate, double[]> ratios = ratios(rows, array, clear);
        List<Double> ofClearDays = new ArrayList<>();
        ratios.values().stream()
                .filter(one -> one.length * rows.usualSeconds >= LEAST_HOURS * 3600)
                .filter(one -> quantile(one, 0.75) - quantile(one, 0.25) <= WAVERS * quantile(one, 0.5))
                .forEach(one -> ofClearDays.add(quantile(one, 0.5)));
        Estimate factor = factor(ofClearDays);
        double could = factor.cannotTell().isPresent() ? 1 : factor.value();
        double[] thrown = thrownAway(rows, array, clear, ratios, could);
        double all = 0;
        double[] used = new double[LOADS.length];
        for (int i = 0; i < thrown.length; i++) {
            all += thrown[i] * rows.seconds[i] / 3600;
            for (int j = 0; j < LOADS.length; j++) {
                used[j] += Math.min(LOADS[j], thrown[i]) * rows.seconds[i] / 3600;
            }
        }
        List<DiversionUse> diversion = new ArrayList<>();
        for (int j = 0; j < LOADS.length; j++) {
            if (j == 0 || used[j] > used[j - 1] * 1.02) {
                diversion.add(new DiversionUse(LOADS[j], used[j]));
            }
        }
        return Optional.of(new ArrayYield(factor, ofClearDays.size(), all, List.copyOf(diversion)));
    }

    /** What was given of what a clear sky would have given, of each day, while the battery was not held and the sun stood high. */
    private static Map<LocalDate, double[]> ratios(LogRows rows, double[] array, double[] clear) {
        Map<LocalDate, List<Double>> lists = new TreeMap<>();
        double least = LEAST_OF_PEAK * rows.peakWatts();
        for (int i = 0; i < rows.count; i++) {
            if (clear[i] >= least && !Double.isNaN(array[i]) && !rows.isHeld(i)) {
                lists.computeIfAbsent(rows.day[i], day -> new ArrayList<>()).add(array[i] / clear[i]);
            }
        }
        Map<LocalDate, double[]> sorted = new TreeMap<>();
        lists.forEach((day, list) -> {
            double[] values = list.stream().mapToDouble(Double::doubleValue).toArray();
            Arrays.sort(values);
            sorted.put(day, values);
        });
        return sorted;
    }

    private static double quantile(double[] sorted, double share) {
        return sorted[(int) Math.min(sorted.length - 1.0, share * sorted.length)];
    }

    private static Estimate factor(List<Double> days) {
        double mean = days.stream().mapToDouble(Double::doubleValue).average().orElse(1);
        double squares =
                days.stream().mapToDouble(one -> (one - mean) * (one - mean)).sum();
        double wide = days.size() < 2
                ? mean
                : NINETY_FIVE * Math.sqrt(squares / (days.size() - 1) / days.size()) + 0.02 * mean;
        return new Estimate(
                Quantity.ARRAY_FACTOR,
                mean,
                mean - wide,
                mean + wide,
                1,
                days.size() < LEAST_CLEAR_DAYS
                        ? Optional.of("fewer than three clear days on which the battery was not held")
                        : Optional.empty());
    }

    /** While the battery is held: what the day's clearness would have given beyond what was taken; as clear as the day was else. */
    private static double[] thrownAway(
            LogRows rows, double[] array, double[] clear, Map<LocalDate, double[]> ratios, double could) {
        double[] thrown = new double[rows.count];
        for (int i = 0; i < rows.count; i++) {
            double[] day = ratios.get(rows.day[i]);
            if (Double.isNaN(array[i]) || clear[i] <= 0 || !rows.isHeld(i)) {
                continue;
            }
            double clearness = day == null ? could : Math.min(could, quantile(day, 0.5));
            thrown[i] = Math.max(0, clearness * clear[i] - array[i]);
        }
        return thrown;
    }
}
