package sparen.history;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.Optional;
import sparen.format.LoggerFile;
import sparen.program.Plan;
import sparen.site.SolarArray;
import sparen.sun.ArrayOutput;
import sparen.sun.DayType;
import sparen.sun.Weather;
import sparen.sun.WeatherGenerator;
import sparen.table.Meaning;

/** Recorded rows with how long each stands for, on which local day it is, and what a clear sky would have given. */
final class LogRows {
    /** A voltage is held within so much (V for each 12 V); judgement, no source. */
    private static final double HELD_WITHIN = 0.1;

    private static final double CLEAR_CELSIUS = 10;
    private static final int MOST_MINUTES = 1_100_000;

    final LoggerFile log;
    final Plan plan;
    final int count;
    /** How long each row stands for (s); a row before a gap no longer than a usual one. */
    final double[] seconds;

    final LocalDate[] day;
    final double[] hour;
    /** By how much its voltages are those of a bank of 12 V (×). */
    final double volts12;

    final double usualSeconds;
    /** Of the battery (V), NaN where it was not measured. */
    final double[] volts;

    private double[] clear;

    LogRows(Plan plan, LoggerFile log) {
        this.plan = plan;
        this.log = log;
        count = log.lines();
        volts = log.column(Meaning.BATTERY_VOLTS).orElseThrow();
        volts12 = plan.site().nominalVolts() / 12;
        seconds = new double[count];
        day = new LocalDate[count];
        hour = new double[count];
        usualSeconds = log.usualSeconds();
        ZoneId zone = plan.site().location().zone();
        for (int i = 0; i < count; i++) {
            double step = i + 1 < count ? log.seconds()[i + 1] - log.seconds()[i] : usualSeconds;
            seconds[i] = LoggerFile.isGap(step, usualSeconds) ? usualSeconds : step;
            ZonedDateTime at = Instant.ofEpochSecond((long) log.seconds()[i]).atZone(zone);
            day[i] = at.toLocalDate();
            hour[i] = at.toLocalTime().toSecondOfDay() / 3600.0;
        }
    }

    Optional<double[]> column(Meaning meaning) {
        return log.column(meaning);
    }

    /** What the plan's arrays would give under a clear sky at each row (W), as recorded behind their controllers' trackers. */
    double[] clearWatts() {
        if (clear == null) {
            int minutes = (int) Math.min(MOST_MINUTES, (log.seconds()[count - 1] - log.seconds()[0]) / 60 + 1);
            Weather weather = WeatherGenerator.generate(
                    plan.site().location(), log.from(), minutes, DayType.CLEAR, CLEAR_CELSIUS, 1);
            double[] sum = new double[minutes];
            for (SolarArray array : plan.site().arrays()) {
                double[] watts = ArrayOutput.watts(
                        array, weather, log.from(), plan.site().location().zone());
                for (int i = 0; i < minutes; i++) {
                    sum[i] += watts[i];
                }
            }
            clear = new double[count];
            for (int i = 0; i < count; i++) {
                clear[i] = sum[(int) Math.min(minutes - 1.0, (log.seconds()[i] - log.seconds()[0]) / 60)];
            }
        }
        return clear;
    }

    /** All the arrays' rated power (W). */
    double peakWatts() {
        return plan.site().arrays().stream().mapToDouble(SolarArray::peakWatts).sum();
    }

    /** Whether a charger holds the battery's voltage at a row, so that what the arrays give is not what they could. */
    boolean isHeld(int row) {
        return isAbsorbing(row) || isFloating(row);
    }

    /** Whether the voltage of a row is that of absorption, within a tenth of a volt for each 12 V, or above it. */
    boolean isAbsorbing(int row) {
        return plan.program().charging().stream()
                .anyMatch(one -> volts[row] >= one.absorptionVolts() - HELD_WITHIN * volts12);
    }

    /** Whether the voltage of a row is that of float, within a tenth of a volt for each 12 V. */
    boolean isFloating(int row) {
        return plan.program().charging().stream()
                .anyMatch(one -> Math.abs(volts[row] - one.floatVolts()) <= HELD_WITHIN * volts12);
    }

    /** Power of the loads at a row (W): as recorded, or out of the battery while the arrays give nothing; NaN where neither tells. */
    double drawWatts(int row) {
        Optional<double[]> load = column(Meaning.LOAD_WATTS);
        if (load.isPresent()) {
            return load.get()[row];
        }
        Optional<double[]> amperes = column(Meaning.BATTERY_AMPERES);
        double array = column(Meaning.ARRAY_WATTS).map(watts -> watts[row]).orElse(0.0);
        if (amperes.isEmpty() || array > 0) {
            return Double.NaN;
        }
        return -amperes.get()[row] * volts[row];
    }
}
