package sparen.program.rule;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import sparen.logic.Condition;
import sparen.logic.Reading;
import sparen.logic.Signal;
import sparen.logic.Way;
import sparen.program.ChargeStage;
import sparen.program.Sentence;
import sparen.program.Surroundings;
import sparen.quantity.Bounds;
import sparen.quantity.Standard;
import sparen.site.BatteryMonitor;
import sparen.site.DailySpan;
import sparen.site.SensePoint;

/** Turns what a rule says of readings, reports and hours into ways of its switch. */
final class RuleConditions {
    /** Half of the finest step a monitor reports in: a reported 95 % is not missed for its binary fraction. */
    private static final double REPORT_SLACK = 1e-6;

    private static final double ROUNDING_SLACK = 1e-9;

    private RuleConditions() {}

    /** A reading at a sense point is at or below a level (V), named by its term, for so long (s). */
    static Way below(Surroundings around, String sensePoint, String term, double volts, double seconds) {
        return volts(around, sensePoint, false, term, volts, seconds, 0);
    }

    /** A reading at a sense point is at or above a level (V), named by its term, for so long (s). */
    static Way above(Surroundings around, String sensePoint, String term, double volts, double seconds) {
        return volts(around, sensePoint, true, term, volts, seconds, 0);
    }

    /**
     * A voltage read at a sense point has reached a level.
     *
     * @param millivoltsPerKelvin by which the level moves with the battery's temperature, for each cell (mV/K); 0 for not at all
     */
    static Way volts(
            Surroundings around,
            String sensePoint,
            boolean above,
            String term,
            double volts,
            double seconds,
            double millivoltsPerKelvin) {
        SensePoint point = around.site().sensePoint(sensePoint);
        int signal = around.voltage(point);
        double level = trueLevel(point, above, volts);
        double perKelvin = millivoltsPerKelvin / 1000 * around.site().battery().cellsInSeries();
        Condition condition = perKelvin == 0
                ? level(signal, above, level)
                : new Condition.Moving(
                        above, signal, level, Signal.BATTERY_CELSIUS, perKelvin, Standard.BATTERY_CELSIUS);
        String compensated = perKelvin == 0 ? "" : " at 25 °C";
        return new Way(
                condition,
                seconds,
                point.sampleSeconds().orElse(0.0),
                point.name() + comparison(above) + term + " " + Bounds.number(volts) + " V" + compensated
                        + held(seconds),
                Optional.of(new Reading(signal, 1, point.offsetVolts(), "V", 3, OptionalDouble.of(volts))));
    }

    /** A voltage at a sense point is at or beyond a charger's present regulation level plus an offset (V). */
    static Way relative(
            Surroundings around,
            String sensePoint,
            String charger,
            boolean above,
            String term,
            double offsetVolts,
            double seconds) {
        SensePoint point = around.site().sensePoint(sensePoint);
        int signal = around.voltage(point);
        String sign = offsetVolts < 0 ? "" : "+";
        return new Way(
                new Condition.Moving(
                        above, signal, offsetVolts - point.offsetVolts(), around.regulationVolts(charger), 1, 0),
                seconds,
                point.sampleSeconds().orElse(0.0),
                point.name() + comparison(above) + term + " " + sign + Bounds.number(offsetVolts)
                        + " V from the present regulation level" + held(seconds),
                Optional.of(new Reading(signal, 1, point.offsetVolts(), "V", 3, OptionalDouble.empty())));
    }

    /** The true voltage (V) at which a device that rounds what it reads finds itself at a level. */
    static double trueLevel(SensePoint point, boolean above, double volts) {
        if (point.resolutionVolts().isEmpty()) {
            return volts - point.offsetVolts();
        }
        double step = point.resolutionVolts().get();
        double whole = above ? Math.ceil(volts / step - ROUNDING_SLACK) : Math.floor(volts / step + ROUNDING_SLACK);
        return (above ? whole - 0.5 : whole + 0.5) * step - point.offsetVolts();
    }

    /** A monitor's report is at or beyond a level (%), for so long (s). */
    static Way report(Surroundings around, String monitor, boolean above, String term, double percent, double seconds) {
        BatteryMonitor named = around.site().monitor(monitor);
        int signal = around.reportedCharge(monitor);
        double level = percent / 100 + (above ? -REPORT_SLACK : REPORT_SLACK);
        return new Way(
                level(signal, above, level),
                seconds,
                0,
                named.name() + " reports" + comparison(above) + term + (term.isEmpty() ? "" : " ")
                        + Bounds.number(percent) + " %" + held(seconds),
                Optional.of(new Reading(signal, 100, 0, "%", 1, OptionalDouble.of(percent))));
    }

    /** A signal is at or beyond a level in a unit, for so long (s). */
    static Way signal(int signal, String name, boolean above, double level, String unit, double seconds) {
        return new Way(
                level(signal, above, level),
                seconds,
                0,
                name + comparison(above) + Bounds.number(level) + " " + unit + held(seconds),
                Optional.of(new Reading(signal, 1, 0, unit, 1, OptionalDouble.of(level))));
    }

    private static Condition level(int signal, boolean above, double level) {
        return above ? new Condition.AtOrAbove(signal, level) : new Condition.AtOrBelow(signal, level);
    }

    static String comparison(boolean above) {
        return above ? " at or above " : " at or below ";
    }

    private static String held(double seconds) {
        return seconds > 0 ? " for " + Sentence.duration(seconds) : "";
    }

    /** Whether a signal that is 1 or 0 is 1. */
    static Condition isOne(int signal) {
        return new Condition.AtOrAbove(signal, 0.5);
    }

    /** Whether a charger's stage signal, which carries the stage's place in its enum, is at a stage. */
    static Condition inStage(int signal, ChargeStage stage) {
        return is(signal, stage.ordinal());
    }

    /** Whether a signal in whole numbers has a value. */
    static Condition is(int signal, double value) {
        return new Condition.AllOf(
                List.of(new Condition.AtOrAbove(signal, value - 0.25), new Condition.AtOrBelow(signal, value + 0.25)));
    }

    static Condition not(Condition condition) {
        return new Condition.Not(condition);
    }

    static Condition all(Condition... parts) {
        return new Condition.AllOf(List.of(parts));
    }

    static Condition any(Condition... parts) {
        return new Condition.AnyOf(List.of(parts));
    }

    /** Whether the clock of the device that decides is within a span. */
    static Condition within(Surroundings around, DailySpan span) {
        int hour = around.hour();
        Condition from = new Condition.AtOrAbove(hour, span.fromHour());
        Condition until = not(new Condition.AtOrAbove(hour, span.toHour()));
        if (span.toHour() > span.fromHour()) {
            return all(from, until, days(span, 0), months(span));
        }
        return all(any(all(from, days(span, 0)), all(until, days(span, 1))), months(span));
    }

    /** Whether it is one of a span's weekdays, or the day after one. */
    private static Condition days(DailySpan span, int after) {
        return span.weekdays().isEmpty()
                ? new Condition.AllOf(List.of())
                : anyOf(
                        Signal.LOCAL_WEEKDAY,
                        span.weekdays().stream()
                                .map(day -> (day.getValue() - 1 + after) % 7 + 1)
                                .toList());
    }

    private static Condition months(DailySpan span) {
        return span.months().isEmpty() ? new Condition.AllOf(List.of()) : anyOf(Signal.LOCAL_MONTH, span.months());
    }

    private static Condition anyOf(int signal, List<Integer> values) {
        List<Condition> parts = new ArrayList<>();
        values.forEach(value -> parts.add(is(signal, value)));
        return new Condition.AnyOf(parts);
    }
}
