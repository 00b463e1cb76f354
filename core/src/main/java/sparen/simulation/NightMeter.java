package sparen.simulation;

import java.util.ArrayList;
import java.util.List;
import sparen.program.AcProgram.AcWindow;
import sparen.program.AcProgram.AcWindow.Kind;

/** What the battery gave between the end of discharging by the clock and the beginning of the next charging, night by night. */
final class NightMeter {
    private final List<Double> used = new ArrayList<>();
    private double began = Double.NaN;

    /**
     * Another window is in force.
     *
     * @param before until now, null for none
     * @param after from now on, null for none
     * @param charge state of charge (fraction)
     */
    void move(AcWindow before, AcWindow after, double charge) {
        if (is(Kind.DISCHARGE, before) && !is(Kind.DISCHARGE, after)) {
            began = charge;
        }
        if (is(Kind.CHARGE, after) && !is(Kind.CHARGE, before) && !Double.isNaN(began)) {
            used.add(Math.max(0, began - charge));
            began = Double.NaN;
        }
    }

    private static boolean is(Kind kind, AcWindow window) {
        return window != null && window.kind() == kind;
    }

    /** Of each night, oldest first (fraction). */
    double[] used() {
        return used.stream().mapToDouble(Double::doubleValue).toArray();
    }
}
