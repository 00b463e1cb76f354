package sparen.question;

import java.time.LocalDate;
import sparen.result.DayFigures;
import sparen.result.Ledger;

/**
 * A day of a run in one line. Energies in watt-hours (Wh).
 *
 * @param startSeconds when it began, since the start of the run (s)
 * @param lowestStateOfCharge (fraction)
 * @param highestStateOfCharge (fraction)
 * @param lowestBatteryVolts (V)
 * @param array what the arrays had
 * @param served taken by loads
 * @param unserved wanted and not served
 * @param diverted taken by surplus loads
 * @param thrownAway curtailed and clipped
 * @param surplus what the sun could have given beyond loads and battery
 * @param imported from a feeder
 * @param generator from generators
 * @param cost import less export, in the currency of the prices
 */
public record DaySummary(
        LocalDate date,
        double startSeconds,
        double lowestStateOfCharge,
        double highestStateOfCharge,
        double lowestBatteryVolts,
        double array,
        double served,
        double unserved,
        double diverted,
        double thrownAway,
        double surplus,
        double imported,
        double generator,
        double cost) {
    private static final double JOULES = 3600;

    /** A day in one line. */
    public static DaySummary of(DayFigures day) {
        Ledger ledger = day.ledger();
        return new DaySummary(
                day.date(),
                day.startSeconds(),
                rounded(day.lowestStateOfCharge(), 1e4),
                rounded(day.highestStateOfCharge(), 1e4),
                rounded(day.lowestBatteryVolts(), 1e3),
                wattHours(ledger.arrayJoules() + ledger.acArrayJoules()),
                wattHours(ledger.totalServedJoules()),
                wattHours(ledger.totalUnservedJoules()),
                wattHours(ledger.totalDivertedJoules()),
                wattHours(ledger.curtailedJoules() + ledger.clippedJoules()),
                wattHours(ledger.surplusJoules()),
                wattHours(ledger.importJoules()),
                wattHours(ledger.generatorJoules()),
                rounded(ledger.cost(), 1e4));
    }

    private static double wattHours(double joules) {
        return rounded(joules / JOULES, 10);
    }

    private static double rounded(double value, double by) {
        return Math.round(value * by) / by;
    }
}
