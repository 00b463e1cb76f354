package sparen.study;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import sparen.result.DayFigures;

/**
 * Fourteen days on end.
 *
 * @param from the first of them
 * @param startSeconds when that began, since the start of the run (s)
 * @param arrayJoules what the arrays had (J)
 * @param wantedJoules what the loads wanted, served or not; without diversion (J)
 * @param lowestStateOfCharge (fraction)
 */
public record Fortnight(
        LocalDate from, double startSeconds, double arrayJoules, double wantedJoules, double lowestStateOfCharge) {
    private static final int DAYS = 14;

    /** The worst of a run: where the sun falls shortest of what the loads want. Empty for a shorter run. */
    public static Optional<Fortnight> worst(List<DayFigures> days) {
        Fortnight worst = null;
        for (int first = 0; first + DAYS <= days.size(); first++) {
            Fortnight one = of(days.subList(first, first + DAYS));
            if (worst == null || one.shortJoules() > worst.shortJoules()) {
                worst = one;
            }
        }
        return Optional.ofNullable(worst);
    }

    private static Fortnight of(List<DayFigures> days) {
        double array = 0;
        double wanted = 0;
        double lowest = 1;
        for (DayFigures day : days) {
            array += day.ledger().arrayJoules() + day.ledger().acArrayJoules();
            wanted += day.ledger().totalServedJoules() + day.ledger().totalUnservedJoules();
            lowest = Math.min(lowest, day.lowestStateOfCharge());
        }
        return new Fortnight(days.get(0).date(), days.get(0).startSeconds(), array, wanted, lowest);
    }

    /** By how much the sun falls short of the loads (J); negative where it brings more. */
    public double shortJoules() {
        return wantedJoules - arrayJoules;
    }
}
