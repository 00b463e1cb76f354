package sparen.site;

import java.time.DayOfWeek;
import java.time.ZonedDateTime;
import java.util.List;
import sparen.quantity.Bounds;

/**
 * Some hours of the day on some days of the week in some months, local time. A span whose end is not after its beginning goes on
 * past midnight; weekday and month are those it began on.
 *
 * @param fromHour beginning (h since midnight), 0 to 24
 * @param toHour end (h since midnight), 0 to 24
 * @param weekdays on which it begins; none stands for all
 * @param months 1 (January) to 12 in which it begins; none stands for all
 */
public record DailySpan(double fromHour, double toHour, List<DayOfWeek> weekdays, List<Integer> months) {
    public DailySpan {
        Bounds.within("fromHour", fromHour, 0, 24);
        Bounds.within("toHour", toHour, 0, 24);
        weekdays = Bounds.list("weekdays", Bounds.orNone(weekdays), 0, 7);
        months = Bounds.list("months", Bounds.orNone(months), 0, 12);
        for (int month : months) {
            Bounds.within("months", month, 1, 12);
        }
    }

    /** Every day, between two hours. */
    public static DailySpan daily(double fromHour, double toHour) {
        return new DailySpan(fromHour, toHour, List.of(), List.of());
    }

    /** Whether it may begin on the day of this instant. */
    public boolean isOn(ZonedDateTime day) {
        return (weekdays.isEmpty() || weekdays.contains(day.getDayOfWeek()))
                && (months.isEmpty() || months.contains(day.getMonthValue()));
    }

    /** Its length (h). */
    public double hours() {
        return toHour > fromHour ? toHour - fromHour : toHour + 24 - fromHour;
    }

    /** The share of a week's hours that lie in it, in the months it holds in. */
    public double shareOfWeek() {
        return hours() / 24 * (weekdays.isEmpty() ? 1 : weekdays.size() / 7.0);
    }

    /** Whether an hour of the day (h) lies in it, on days on which it holds. */
    public boolean holdsAt(double hour) {
        return (hour - fromHour + 24) % 24 < hours();
    }

    /** Whether an instant lies in it. */
    public boolean contains(ZonedDateTime instant) {
        double hour = instant.toLocalTime().toNanoOfDay() / 3.6e12;
        boolean today = isOn(instant) && hour >= fromHour && hour < fromHour + hours();
        boolean sinceYesterday = isOn(instant.minusDays(1)) && hour + 24 < fromHour + hours();
        return today || sinceYesterday;
    }
}
