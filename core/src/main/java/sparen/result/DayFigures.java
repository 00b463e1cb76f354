package sparen.result;

import java.time.LocalDate;

/**
 * One local day of a run.
 *
 * @param date in the site's own zone; the first and the last may be cut short
 * @param month 1 to 12
 * @param startSeconds when it began, since the start of the run (s); 0 for the first
 * @param ledger of the day
 * @param lowestStateOfCharge (fraction)
 * @param highestStateOfCharge (fraction)
 * @param lowestBatteryVolts (V)
 */
public record DayFigures(
        LocalDate date,
        int month,
        double startSeconds,
        Ledger ledger,
        double lowestStateOfCharge,
        double highestStateOfCharge,
        double lowestBatteryVolts) {}
