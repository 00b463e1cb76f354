package sparen.history;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import sparen.program.AcProgram;
import sparen.program.AcProgram.AcWindow;
import sparen.program.AcProgram.AcWindow.Kind;
import sparen.program.AcProgram.CutOffLevels;
import sparen.program.Plan;
import sparen.table.Meaning;

/**
 * What nights use of the battery, and the floor that follows from it: what is to stay in reserve, and beside it what all but the worst
 * nights used between the end of discharging by the clock and the beginning of cheap charging. For a night that began at the floor that
 * is floor − (left − reserve).
 *
 * @param nights of which it is known
 * @param used by all but the worst of them, see {@link #SHARE} (fraction)
 * @param reserve what is to stay (fraction)
 * @param floor that leaves both (fraction); absent of too few nights
 */
public record NightsUse(int nights, double used, double reserve, Optional<Double> floor) {
    /** What is to stay where no level of the inverter says so (fraction); common practice, no source. */
    public static final double RESERVE = 0.1;

    /** So many nights at least (d). */
    public static final int LEAST_NIGHTS = 30;

    /** The share of all nights that used no more (fraction). */
    public static final double SHARE = 0.95;

    /** Without windows a night goes from here (h) to the lowest before noon. */
    private static final double EVENING = 15;

    private static final double NOON = 12;
    private static final double DAY = 24;
    /** A charge that was recorded so long ago is not that of now (h); judgement, no source. */
    private static final double STALE_HOURS = 1;

    /** Of what each night used (fraction); absent of none. */
    public static Optional<NightsUse> of(Plan plan, double[] used) {
        if (used.length == 0) {
            return Optional.empty();
        }
        double[] sorted = used.clone();
        Arrays.sort(sorted);
        double most = sorted[(int) Math.ceil(SHARE * sorted.length) - 1];
        double reserve = plan.program()
                .ac()
                .flatMap(AcProgram::cutOff)
                .map(CutOffLevels::alarmStateOfCharge)
                .orElse(RESERVE);
        return Optional.of(new NightsUse(
                used.length,
                most,
                reserve,
                used.length < LEAST_NIGHTS ? Optional.empty() : Optional.of(Math.min(1, reserve + most))));
    }

    /** Of what was recorded; absent where the charge was not, or of no night. */
    static Optional<NightsUse> of(LogRows rows) {
        return rows.column(Meaning.CHARGE).flatMap(charge -> of(rows.plan, used(rows, charge)));
    }

    private static double[] used(LogRows rows, double[] charge) {
        int[] known = IntStream.range(0, rows.count)
                .filter(i -> !Double.isNaN(charge[i]))
                .toArray();
        double[] hours = Arrays.stream(known)
                .mapToDouble(i -> rows.day[i].toEpochDay() * DAY + rows.hour[i])
                .toArray();
        double[] charges = Arrays.stream(known).mapToDouble(i -> charge[i]).toArray();
        if (known.length == 0) {
            return new double[0];
        }
        List<AcWindow> windows =
                rows.plan.program().ac().map(AcProgram::windows).orElse(List.of());
        Optional<AcWindow> gives = first(windows, Kind.DISCHARGE);
        Optional<AcWindow> takes = first(windows, Kind.CHARGE);
        boolean byClock = gives.isPresent() && takes.isPresent();
        double from = byClock ? gives.get().when().toHour() % DAY : EVENING;
        double length = byClock ? (takes.get().when().fromHour() - from + DAY) % DAY : DAY + NOON - EVENING;
        double firstDay = Math.floor(hours[0] / DAY);
        return DoubleStream.iterate(firstDay, day -> day * DAY <= hours[hours.length - 1], day -> day + 1)
                .map(day -> day * DAY + from)
                .map(begin -> used(hours, charges, begin, begin + length, byClock))
                .filter(one -> !Double.isNaN(one))
                .toArray();
    }

    private static Optional<AcWindow> first(List<AcWindow> windows, Kind kind) {
        return windows.stream().filter(one -> one.kind() == kind).findFirst();
    }

    /** What one night used: down to its end, or to its lowest where no clock ends it; NaN where that was not recorded. */
    private static double used(double[] hours, double[] charges, double begin, double end, boolean toItsEnd) {
        int first = at(hours, begin);
        int last = at(hours, end);
        if (first < 0 || last < 0 || last == first) {
            return Double.NaN;
        }
        double left = charges[last];
        for (int i = first; !toItsEnd && i <= last; i++) {
            left = Math.min(left, charges[i]);
        }
        return Math.max(0, charges[first] - left);
    }

    /** The last row that was recorded at an instant (h) or shortly before it; −1 for none. */
    private static int at(double[] hours, double instant) {
        int found = Arrays.binarySearch(hours, instant);
        int row = found >= 0 ? found : -found - 2;
        return row >= 0 && instant - hours[row] <= STALE_HOURS ? row : -1;
    }
}
