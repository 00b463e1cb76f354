package sparen.working;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * A floor for the state of charge from what was really left: the level that all but the worst days kept above. Of a measured or a
 * simulated history.
 */
public final class FloorFromHistory {
    private static final double WORST_SHARE = 0.02;
    private static final double ROOM = 0.05;
    private static final int LEAST_DAYS = 14;

    private FloorFromHistory() {}

    /**
     * Works the floor out.
     *
     * @param dailyLowest lowest state of charge of each day (fraction), 14 days at least
     * @return empty for a shorter history
     */
    public static Optional<Working> of(double[] dailyLowest) {
        if (dailyLowest.length < LEAST_DAYS) {
            return Optional.empty();
        }
        double[] sorted = dailyLowest.clone();
        Arrays.sort(sorted);
        double kept = sorted[(int) Math.floor(WORST_SHARE * sorted.length)];
        double floor = Math.max(0, Math.floor((kept - ROOM) * 100));
        return Optional.of(new Working(
                "FloorFromHistory",
                "",
                "Floor of the state of charge from history",
                List.of(
                        String.format(
                                Locale.ROOT,
                                "of %d days all but %.0f %% stayed above %.0f %%; the lowest was %.0f %%",
                                sorted.length,
                                WORST_SHARE * 100,
                                kept * 100,
                                sorted[0] * 100),
                        String.format(Locale.ROOT, "%.0f %% − 5 %% of room = %.0f %%", kept * 100, floor)),
                floor,
                "%",
                Optional.empty()));
    }
}
