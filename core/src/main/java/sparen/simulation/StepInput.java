package sparen.simulation;

import java.util.Arrays;
import sparen.format.Profile;

/** A number that stays the same from one of its times to the next. Reads forward only. */
final class StepInput {
    private final double[] starts;
    private final double[] values;
    private final double period;
    private int index;
    private double cycleStart;

    private StepInput(double[] starts, double[] values, double period, double shift) {
        this.starts = starts;
        this.values = values;
        this.period = period;
        cycleStart = -shift;
        index = Math.max(0, insertion(shift));
    }

    /** One value a minute from the start of the run on. */
    static StepInput ofMinutes(double[] values) {
        int kept = 0;
        double[] starts = new double[values.length];
        double[] changed = new double[values.length];
        for (int i = 0; i < values.length; i++) {
            if (kept == 0 || values[i] != changed[kept - 1]) {
                starts[kept] = 60.0 * i;
                changed[kept++] = values[i];
            }
        }
        return new StepInput(Arrays.copyOf(starts, kept), Arrays.copyOf(changed, kept), Double.POSITIVE_INFINITY, 0);
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
