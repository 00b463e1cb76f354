package sparen.history;

import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import sparen.table.Meaning;

/**
 * What nights use of the battery.
 *
 * @param nights of which it is known
 * @param mostUsed by one of them: what the charge fell by from the evening to its lowest before noon (fraction)
 * @param floor that leaves the worst of them and a reserve (fraction)
 */
public record NightsUse(int nights, double mostUsed, double floor) {
    /** What is left beside the worst night (fraction); common practice, no source. */
    public static final double RESERVE = 0.1;

    private static final int LEAST_NIGHTS = 7;
    private static final double EVENING = 15;
    private static final double NOON = 12;

    /** Absent where the charge was not recorded, or of fewer than seven nights. */
    static Optional<NightsUse> of(LogRows rows) {
        Optional<double[]> charge = rows.column(Meaning.CHARGE);
        if (charge.isEmpty()) {
            return Optional.empty();
        }
        Map<LocalDate, double[]> nights = new TreeMap<>();
        for (int i = 0; i < rows.count; i++) {
            double now = charge.get()[i];
            if (Double.isNaN(now)) {
                continue;
            }
            if (rows.hour[i] >= EVENING) {
                double[] night = nights.computeIfAbsent(rows.day[i], day -> new double[] {0, 2});
                night[0] = Math.max(night[0], now);
            } else if (rows.hour[i] < NOON) {
                double[] night = nights.get(rows.day[i].minusDays(1));
                if (night != null) {
                    night[1] = Math.min(night[1], now);
                }
            }
        }
        double[] used = nights.values().stream()
                .filter(night -> night[1] <= 1)
                .mapToDouble(night -> Math.max(0, night[0] - night[1]))
                .toArray();
        if (used.length < LEAST_NIGHTS) {
            return Optional.empty();
        }
        double most = 0;
        for (double one : used) {
            most = Math.max(most, one);
        }
        return Optional.of(new NightsUse(used.length, most, most + RESERVE));
    }
}
