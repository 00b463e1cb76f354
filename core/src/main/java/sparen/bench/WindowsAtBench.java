package sparen.bench;

import java.util.List;
import sparen.logic.Signal;
import sparen.program.AcProgram.AcWindow;
import sparen.series.Stay;
import sparen.site.DailySpan;

/** The windows of an AC side on a bench supply, by the hour, the day of the week and the month that are imposed. */
final class WindowsAtBench {
    private static final double DAY_HOURS = 24;

    private final List<AcWindow> windows;

    WindowsAtBench(List<AcWindow> windows) {
        this.windows = windows;
    }

    /** The window in force, null for none; of several at once the first counts. */
    AcWindow inForce(double[] values) {
        return windows.stream()
                .filter(one -> holds(one.when(), values))
                .findFirst()
                .orElse(null);
    }

    /** After midnight a window that began before is that of the day and month it began on. */
    private static boolean holds(DailySpan when, double[] values) {
        double hour = values[Signal.LOCAL_HOUR];
        int weekday = (int) values[Signal.LOCAL_WEEKDAY];
        boolean sinceYesterday = when.toHour() <= when.fromHour() && hour < when.toHour();
        int began = sinceYesterday ? (weekday + 5) % 7 + 1 : weekday;
        return when.holdsAt(hour)
                && (when.weekdays().isEmpty() || when.weekdays().stream().anyMatch(day -> day.getValue() == began))
                && (when.months().isEmpty() || when.months().contains((int) values[Signal.LOCAL_MONTH]));
    }

    /** Says within which hours none begins or ends. */
    void watch(Stay stay, double[] hour) {
        double low = 0;
        double high = DAY_HOURS;
        for (AcWindow one : windows) {
            for (double edge : new double[] {one.when().fromHour(), one.when().toHour()}) {
                if (edge <= hour[0]) {
                    low = Math.max(low, edge);
                } else {
                    high = Math.min(high, edge);
                }
            }
        }
        if (!windows.isEmpty() && hour[1] != 0) {
            stay.within(hour, low, Math.nextDown(high));
        }
    }
}
