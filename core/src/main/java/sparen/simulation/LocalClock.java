package sparen.simulation;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.Arrays;
import sparen.quantity.Standard;
import sparen.site.DailySpan;

/** Local time over a run: what hour and month an instant has, and when days, hours and spans begin. Daylight saving included. */
final class LocalClock {
    private static final double BEHIND_SECONDS = 1e-6;

    private final ZoneId zone;
    private final Instant start;
    private final double[] dayStarts;
    private final int[] months;
    private final LocalDate firstDay;
    private final int firstWeekday;
    private int day;

    LocalClock(Instant start, double durationSeconds, ZoneId zone) {
        this.start = start;
        this.zone = zone;
        firstDay = start.atZone(zone).toLocalDate();
        firstWeekday = firstDay.getDayOfWeek().getValue() - 1;
        int days = (int) (durationSeconds / 86_400) + 4;
        dayStarts = new double[days];
        months = new int[days];
        for (int i = 0; i < days; i++) {
            dayStarts[i] = seconds(firstDay.plusDays(i).atStartOfDay(zone));
            months[i] = firstDay.plusDays(i).getMonthValue();
        }
    }

    private double seconds(ZonedDateTime local) {
        return local.toEpochSecond() - start.getEpochSecond() + (local.getNano() - start.getNano()) / 1e9;
    }

    /** Moves to an instant (s) and returns the number of its local day, from 0. */
    int moveTo(double seconds) {
        while (day + 1 < dayStarts.length && dayStarts[day + 1] <= seconds) {
            day++;
        }
        while (day > 0 && dayStarts[day] > seconds) {
            day--;
        }
        return day;
    }

    /** When the next local day begins (s). */
    double nextDay() {
        return day + 1 < dayStarts.length ? dayStarts[day + 1] : Double.POSITIVE_INFINITY;
    }

    /** The present month, 1 to 12. */
    int month() {
        return months[day];
    }

    /** The present day of the week, 1 (Monday) to 7. */
    int weekday() {
        return (firstWeekday + day) % 7 + 1;
    }

    /** Hours since local midnight at an instant (s) of the present day, by the wall clock (h). */
    double hour(double seconds) {
        if (isPlain(day)) {
            return (seconds - dayStarts[day]) / 3600;
        }
        return local(seconds).toLocalTime().toNanoOfDay() / 3.6e12;
    }

    /** Whether a day has 24 hours, none of them twice. */
    private boolean isPlain(int dayNumber) {
        return dayNumber >= 0
                && dayNumber + 1 < dayStarts.length
                && dayStarts[dayNumber + 1] - dayStarts[dayNumber] == Standard.DAY;
    }

    ZonedDateTime local(double seconds) {
        return start.plusNanos(Math.round(seconds * 1e9)).atZone(zone);
    }

    /** The instant (s) of an hour of a day, counted from the run's first. */
    double instant(int dayNumber, double hour) {
        if (isPlain(dayNumber)) {
            return dayStarts[dayNumber] + Math.min(hour, 24) * Standard.HOUR;
        }
        LocalDate date = firstDay.plusDays(dayNumber);
        if (hour >= 24) {
            return seconds(date.plusDays(1).atStartOfDay(zone));
        }
        return seconds(
                date.atTime(LocalTime.ofNanoOfDay(Math.round(hour * 3.6e12))).atZone(zone));
    }

    ZonedDateTime dayOf(int dayNumber) {
        return firstDay.plusDays(dayNumber).atStartOfDay(zone);
    }

    /** Number of local days a run of this length touches. */
    int days(double durationSeconds) {
        int count = Arrays.binarySearch(dayStarts, durationSeconds);
        return Math.max(1, count >= 0 ? count : -count - 1);
    }

    /** The next instant (s) at which the hour leaves an interval, infinite when none comes within three days. */
    double nextHourExit(double seconds, double lowHour, double highHour) {
        if (lowHour == Double.NEGATIVE_INFINITY && highHour == Double.POSITIVE_INFINITY) {
            return Double.POSITIVE_INFINITY;
        }
        if (highHour < 24) {
            double at = instant(day, Math.nextUp(highHour));
            return Math.max(at, seconds) + BEHIND_SECONDS;
        }
        return lowHour > 0 ? nextDay() : Double.POSITIVE_INFINITY;
    }

    /** The next instant (s) at which the month leaves an interval. */
    double nextMonthExit(double low, double high) {
        if (low == Double.NEGATIVE_INFINITY && high == Double.POSITIVE_INFINITY) {
            return Double.POSITIVE_INFINITY;
        }
        for (int i = day + 1; i < dayStarts.length; i++) {
            if (months[i] < low || months[i] > high) {
                return dayStarts[i];
            }
        }
        return Double.POSITIVE_INFINITY;
    }

    /** The next beginning or end of a span after an instant (s). */
    double nextEdge(DailySpan span, double seconds) {
        double next = Double.POSITIVE_INFINITY;
        for (int i = Math.max(0, day - 1); i <= day + 2; i++) {
            next = Math.min(next, after(seconds, instant(i, span.fromHour())));
            next = Math.min(next, after(seconds, instant(i, span.toHour())));
        }
        return next;
    }

    private static double after(double seconds, double at) {
        return at > seconds ? at : Double.POSITIVE_INFINITY;
    }
}
