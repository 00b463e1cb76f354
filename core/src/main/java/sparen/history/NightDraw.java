package sparen.history;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import sparen.device.LiveRegister.What;
import sparen.handover.UnplannedDraw;
import sparen.program.Plan;

/**
 * What is drawn by night.
 *
 * @param nights of which it is known
 * @param watts of the middle one of them, from midnight to four (W)
 * @param beyond what is drawn then beyond the plan's loads of that hour; absent where nothing is
 * @param crept when it rose or fell for good; absent where it did not
 */
public record NightDraw(int nights, double watts, Optional<UnplannedDraw> beyond, Optional<Crept> crept) {
    /**
     * From a night on another draw than before.
     *
     * @param since the first such night
     * @param beforeWatts mean of the nights before (W)
     * @param afterWatts mean of those from then on (W)
     */
    public record Crept(LocalDate since, double beforeWatts, double afterWatts) {}

    private static final int LEAST_NIGHTS = 4;
    /** So many nights stand on each side of a change. */
    private static final int LEAST_SIDE = 3;
    /** A change is one from so much on (W; share of what was), */
    private static final double LEAST_WATTS = 3;

    private static final double LEAST_SHARE = 0.1;
    /** and when it is so many times its standard error; common practice, no source. */
    private static final double LEAST_T = 5;

    /** Of days in the order of time; absent where too few nights are known. */
    static Optional<NightDraw> of(Plan plan, List<DayOfLog> days) {
        List<DayOfLog> nights =
                days.stream().filter(day -> day.nightWatts().isPresent()).toList();
        if (nights.size() < LEAST_NIGHTS) {
            return Optional.empty();
        }
        List<Double> sorted = nights.stream()
                .map(day -> day.nightWatts().orElseThrow())
                .sorted(Comparator.naturalOrder())
                .toList();
        double middle = sorted.get(sorted.size() / 2);
        Map<What, Double> measured = new EnumMap<>(What.class);
        measured.put(What.LOAD_WATTS, middle);
        measured.put(What.BATTERY_VOLTS, plan.site().nominalVolts());
        LocalDate last = nights.get(nights.size() - 1).date();
        Optional<UnplannedDraw> beyond = UnplannedDraw.of(
                plan,
                measured,
                Map.of(),
                last.atTime(2, 0).atZone(plan.site().location().zone()));
        return Optional.of(new NightDraw(nights.size(), middle, beyond, crept(nights)));
    }

    /** Where two means part the nights best, and by far. */
    private static Optional<Crept> crept(List<DayOfLog> nights) {
        List<Double> watts =
                nights.stream().map(day -> day.nightWatts().orElseThrow()).toList();
        int best = -1;
        double strongest = LEAST_T;
        for (int at = LEAST_SIDE; at <= watts.size() - LEAST_SIDE; at++) {
            double before = mean(watts.subList(0, at));
            double after = mean(watts.subList(at, watts.size()));
            double change = Math.abs(after - before);
            double squares = squares(watts.subList(0, at), before) + squares(watts.subList(at, watts.size()), after);
            double spread = Math.sqrt(squares / Math.max(1, watts.size() - 2));
            double error = Math.max(0.01, spread) * Math.sqrt(1.0 / at + 1.0 / (watts.size() - at));
            if (change / error > strongest && change >= Math.max(LEAST_WATTS, LEAST_SHARE * before)) {
                strongest = change / error;
                best = at;
            }
        }
        return best < 0
                ? Optional.empty()
                : Optional.of(new Crept(
                        nights.get(best).date(),
                        mean(watts.subList(0, best)),
                        mean(watts.subList(best, watts.size()))));
    }

    private static double mean(List<Double> values) {
        return values.stream().mapToDouble(Double::doubleValue).average().orElse(0);
    }

    private static double squares(List<Double> values, double mean) {
        List<Double> all = new ArrayList<>(values);
        return all.stream().mapToDouble(one -> (one - mean) * (one - mean)).sum();
    }
}
