package sparen.working;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import sparen.history.NightsUse;

/**
 * A floor for the state of charge from what was really left: by nights, what is to stay in reserve and what all but the worst of them
 * used; without windows the level that all but the worst days kept above. Of a measured or a simulated history.
 */
public final class FloorFromHistory {
    private static final double WORST_SHARE = 0.02;
    private static final double ROOM = 0.05;
    private static final int LEAST_DAYS = 14;
    private static final double ROUNDING = 1e-9;

    private FloorFromHistory() {}

    private static final String CALCULATOR = "FloorFromHistory";

    /** The floor from what nights used of the battery. Of too few nights only how many there were. */
    public static Working of(NightsUse use) {
        Working tooFew = new Working(
                CALCULATOR,
                "program/ac/windows",
                "Floor of the state of charge: too few nights",
                List.of(String.format(
                        Locale.ROOT,
                        "nights between discharging and cheap charging: %d; %d at least are asked for",
                        use.nights(),
                        NightsUse.LEAST_NIGHTS)),
                use.nights(),
                "nights",
                Optional.empty());
        return use.floor()
                .map(floor -> new Working(
                        CALCULATOR,
                        "program/ac/windows",
                        "Floor of the state of charge from nights",
                        List.of(
                                String.format(
                                        Locale.ROOT,
                                        "of %d nights between discharging and cheap charging %.0f %% used at most %.1f %%",
                                        use.nights(),
                                        NightsUse.SHARE * 100,
                                        use.used() * 100),
                                String.format(
                                        Locale.ROOT,
                                        "%.0f %% in reserve + %.1f %% = %.0f %%, rounded up",
                                        use.reserve() * 100,
                                        use.used() * 100,
                                        Math.ceil(floor * 100 - ROUNDING))),
                        Math.ceil(floor * 100 - ROUNDING),
                        "%",
                        Optional.empty()))
                .orElse(tooFew);
    }

    /**
     * Works the floor out from days.
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
                CALCULATOR,
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
