package sparen.history;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import sparen.format.LoggerFile;
import sparen.quantity.Standard;

/**
 * How often a contact closed, and what its loads went without while it was open.
 *
 * @param output its id
 * @param closings in what was recorded
 * @param openHours (h)
 * @param aDay closings a day
 * @param yearsLeft until it has closed as often as a contact lasts (years), at this pace; absent where it hardly moves
 * @param unservedWattHours what its loads would have used by the plan while it was open (Wh); absent where its rule opens it on purpose, a
 *     load of it follows a profile, or none hangs on it
 */
public record ContactWear(
        String output,
        int closings,
        double openHours,
        double aDay,
        Optional<Double> yearsLeft,
        Optional<Double> unservedWattHours) {
    /** So often a relay closes on its rated load; common practice, no source. */
    public static final double LIFE_CLOSINGS = 100_000;

    private static final double LONGEST_YEARS = 100;

    static List<ContactWear> of(LogRows rows) {
        List<ContactWear> all = new ArrayList<>();
        for (Map.Entry<String, double[]> contact : rows.log.contacts().entrySet()) {
            double open = 0;
            double known = 0;
            double unservedJoules = 0;
            Optional<PlannedUse> use = PlannedUse.of(rows.plan, contact.getKey());
            double[] closed = contact.getValue();
            for (int i = 0; i < closed.length; i++) {
                if (Double.isNaN(closed[i])) {
                    continue;
                }
                known += rows.seconds[i];
                if (closed[i] < 0.5) {
                    open += rows.seconds[i];
                    if (use.isPresent()) {
                        unservedJoules += use.get().wattsAt((long) rows.log.seconds()[i]) * rows.seconds[i];
                    }
                }
            }
            int closings = LoggerFile.closings(closed);
            double aDay = known == 0 ? 0 : closings / (known / 86_400);
            double years = LIFE_CLOSINGS / (aDay * 365.25);
            all.add(new ContactWear(
                    contact.getKey(),
                    closings,
                    open / Standard.HOUR,
                    aDay,
                    years <= LONGEST_YEARS ? Optional.of(years) : Optional.empty(),
                    use.isPresent() ? Optional.of(unservedJoules / Standard.HOUR) : Optional.empty()));
        }
        return List.copyOf(all);
    }
}
