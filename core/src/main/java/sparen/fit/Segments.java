package sparen.fit;

import java.util.ArrayList;
import java.util.List;
import sparen.format.LoggerFile;
import sparen.quantity.Standard;
import sparen.table.Meaning;

/**
 * Recorded rows put together where the current hardly changes: fine after each of its steps, where the voltage moves, and ever coarser
 * from there on. What is charged counts only as charge: near full a battery's voltage says little of its charge. Where nothing was recorded for long a new stretch begins, at a state of charge that nobody knows.
 */
final class Segments {
    /** A segment is no longer than this by its place after a step of the current (s); this and what follows is judgement, no source. */
    private static final double[] LENGTHS = {60, 60, 120, 240, 480, 900};

    /** The current has changed by more than this share of it, */
    private static final double STEP_SHARE = 0.06;
    /** and by more than this share of the capacity in an hour. */
    private static final double STEP_OF_CAPACITY = 0.0015;

    /** Nothing for longer than this (s) is a gap over which the charge is not known. */
    private static final double GAP_SECONDS = 900;

    /** So long after a beginning (s) nobody knows what the wells and rebounds were at: it does not count. */
    private static final double SETTLING_SECONDS = 3 * Standard.HOUR;

    /** Stretches shorter than this (s) teach nothing. */
    private static final double SHORTEST_STRETCH = 12 * Standard.HOUR;

    static final int MOST_STRETCHES = 8;

    /** One segment: how long (s), the means of current (A), voltage (V) and temperature (°C), when it began, and whether it counts. */
    record Segment(double seconds, double amperes, double volts, double celsius, double at, boolean counts) {}

    /** Those of each stretch without a gap, in the order of time. */
    final List<List<Segment>> stretches = new ArrayList<>();

    /** How long a row is (s): the usual one. */
    final double rowSeconds;

    private final double stepAmperes;
    private final double countedFrom;
    private List<Segment> current = new ArrayList<>();
    private double stretchBegan;
    private int afterStep;
    private double seconds;
    private double ampereSeconds;
    private double voltSeconds;
    private double celsiusSeconds;
    private double began;

    /**
     * @param celsius of the battery where none is recorded (°C)
     * @param ampereHours of the bank (Ah)
     * @param leastVolts below which nothing counts (V): in the knee of an empty battery
     */
    Segments(LoggerFile log, double celsius, double ampereHours, double leastVolts) {
        countedFrom = leastVolts;
        stepAmperes = STEP_OF_CAPACITY * ampereHours;
        double[] amperes = log.column(Meaning.BATTERY_AMPERES).orElseThrow();
        double[] volts = log.column(Meaning.BATTERY_VOLTS).orElseThrow();
        double[] warm = log.column(Meaning.BATTERY_CELSIUS).orElse(null);
        double lastCelsius = celsius;
        rowSeconds = log.usualSeconds();
        for (int i = 0; i + 1 < log.lines(); i++) {
            double length = log.seconds()[i + 1] - log.seconds()[i];
            if (warm != null && !Double.isNaN(warm[i])) {
                lastCelsius = warm[i];
            }
            if (length > GAP_SECONDS || Double.isNaN(amperes[i]) || Double.isNaN(volts[i])) {
                endStretch();
            } else {
                add(log.seconds()[i], length, amperes[i], volts[i], lastCelsius);
            }
        }
        endStretch();
        while (stretches.size() > MOST_STRETCHES) {
            stretches.remove(shortest());
        }
    }

    private List<Segment> shortest() {
        return stretches.stream()
                .min((one, other) -> Double.compare(seconds(one), seconds(other)))
                .orElseThrow();
    }

    /** By how much the currents that count differ: the root of their mean square distance from their mean (A). */
    double ampereSpread() {
        double seconds = 0;
        double sum = 0;
        double squares = 0;
        for (List<Segment> stretch : stretches) {
            for (Segment one : stretch) {
                if (one.counts()) {
                    seconds += one.seconds();
                    sum += one.amperes() * one.seconds();
                    squares += one.amperes() * one.amperes() * one.seconds();
                }
            }
        }
        return seconds == 0 ? 0 : Math.sqrt(Math.max(0, squares / seconds - Math.pow(sum / seconds, 2)));
    }

    private static double seconds(List<Segment> stretch) {
        return stretch.stream().mapToDouble(Segment::seconds).sum();
    }

    private void add(double at, double length, double amperes, double volts, double celsius) {
        if (seconds == 0 && current.isEmpty()) {
            stretchBegan = at;
        }
        boolean isStep = seconds > 0 && isStep(ampereSeconds / seconds, amperes);
        if (isStep || seconds + length > LENGTHS[afterStep]) {
            endSegment();
            afterStep = isStep ? 0 : Math.min(LENGTHS.length - 1, afterStep + 1);
        }
        if (seconds == 0) {
            began = at;
        }
        seconds += length;
        ampereSeconds += amperes * length;
        voltSeconds += volts * length;
        celsiusSeconds += celsius * length;
    }

    /** While it is charged only the charge counts, so that its current may waver with the clouds. */
    private boolean isStep(double before, double now) {
        return (before <= 0 || now <= 0)
                && (Math.abs(now - before) > Math.max(stepAmperes, STEP_SHARE * Math.abs(now))
                        || before > 0 != now > 0);
    }

    private void endSegment() {
        if (seconds == 0) {
            return;
        }
        double amperes = ampereSeconds / seconds;
        double volts = voltSeconds / seconds;
        boolean counts = began >= stretchBegan + SETTLING_SECONDS && amperes <= 0 && volts >= countedFrom;
        current.add(new Segment(seconds, amperes, volts, celsiusSeconds / seconds, began, counts));
        seconds = 0;
        ampereSeconds = 0;
        voltSeconds = 0;
        celsiusSeconds = 0;
    }

    private void endStretch() {
        endSegment();
        if (seconds(current) >= SHORTEST_STRETCH) {
            stretches.add(current);
        }
        current = new ArrayList<>();
        afterStep = 0;
    }
}
