package sparen.history;

import java.util.List;
import java.util.Optional;
import sparen.format.LoggerFile;
import sparen.program.Plan;

/**
 * What recorded days say of a site.
 *
 * @param days each by itself
 * @param nights what is drawn by night
 * @param flat the arrays held at one number by a limit
 * @param yield of the arrays
 * @param use of the battery by night
 * @param contacts how often each closed
 */
public record History(
        List<DayOfLog> days,
        Optional<NightDraw> nights,
        Optional<FlatArray> flat,
        Optional<ArrayYield> yield,
        Optional<NightsUse> use,
        List<ContactWear> contacts) {
    /** Reads what was recorded beside a plan. */
    public static History of(Plan plan, LoggerFile log) {
        LogRows rows = new LogRows(plan, log);
        List<DayOfLog> days = DaysOfLog.of(rows);
        return new History(
                List.copyOf(days),
                NightDraw.of(plan, days),
                FlatArray.of(rows),
                ArrayYield.of(rows),
                NightsUse.of(rows),
                ContactWear.of(rows));
    }
}
