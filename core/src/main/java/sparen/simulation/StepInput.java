package sparen.simulation;

import java.util.Arrays;
import sparen.format.Profile;

/** A number that stays the same from one of its times to the next. Reads forward only. */
final class StepInput {
    private final double[] starts;
    private final double[] values;
    private final double period;
    private final double shift;
    private int index;
    private double cycleStart;

    private StepInput(double[] starts, double[] values, double period, double shift) {
        this.starts = starts;
        this.values = values;
        this.period = period;
        this.shift = shift;
        cycleStart = -shift;
        index = Math.max(0, insertion(shift));
    }

    private StepInput(StepInput other) {
        this(other.starts, other.values, other.period, other.shift);
    }

    /** Steps of a whole run, the first of them before its start or at it (s). */
    static StepInput ofSteps(double[] starts, double[] values) {
        return new StepInput(starts, values, Double.POSITIVE_INFINITY, 0);
    }

    /** The same steps from the start on, for another run. */
    StepInput fresh() {
        return new StepInput(this);
    }

    /** A profile, over and over; the run begins this far into it (s). */
    static StepInput ofProfile(Profile profile, double shiftSeconds) {
        return new StepInput(profile.seconds(), profile.watts(), profile.spanSeconds(), shiftSeconds);
    }

    private int insertion(double seconds) {
        int found = Arrays.binarySearch(starts, seconds);
        return found >= 0 ? found : -found - 2;
    }

    /** Moves on to an instant of the run (s) and returns whether the value changed. */
    boolean moveTo(double seconds) {
        double before = value();
        while (nextChange() <= seconds) {
            index++;
            if (index == starts.length) {
                index = 0;
                cycleStart += period;
            }
        }
        return value() != before;
    }

    double value() {
        return values[index];
    }

    /** When it may change next (s since the start of the run). */
    double nextChange() {
        return index + 1 < starts.length ? cycleStart + starts[index + 1] : cycleStart + period;
    }
}
