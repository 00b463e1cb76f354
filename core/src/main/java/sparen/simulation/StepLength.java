package sparen.simulation;

import sparen.power.BusBalance;
import sparen.series.Series;
import sparen.series.Stay;

/** How long a step may be: until its series leave out too much, or a part has to look at what it has become. */
final class StepLength {
    /** A step that leaves out too much is made shorter by this factor at a time. */
    private static final double SHORTER = 0.9;

    private final Circuit circuit;
    private final BusBalance bus;
    private final Stay stay = new Stay();

    StepLength(Circuit circuit) {
        this.circuit = circuit;
        bus = circuit.bus;
    }

    /** Shortens a step (s) until what its series leave out is below a tolerance (V). */
    double trim(double seconds, double voltsTolerance) {
        double leftOut = leftOutVolts(seconds);
        if (leftOut <= voltsTolerance) {
            return seconds;
        }
        // The last term grows with the power of its order, so what a shorter step leaves out is known without looking.
        double less = 1;
        for (int i = 0; i < bus.order(); i++) {
            less *= SHORTER;
        }
        double step = seconds;
        while (step > Series.FINEST_SECONDS && leftOut > voltsTolerance) {
            step *= SHORTER;
            leftOut *= less;
        }
        return step;
    }

    private double leftOutVolts(double step) {
        int order = bus.order();
        return Math.max(
                Series.term(bus.busVolts(), order, step),
                Series.term(bus.batteryCurrent(), order, step) * (circuit.batteries.settledOhms() + bus.stiffness()));
    }

    /** The first instant within a step (s) at which a part leaves the piece of its model it is on, or has to look. */
    double firstExit(double step) {
        stay.begin(bus.order(), step);
        for (Part part : circuit.parts) {
            part.watch(stay, circuit);
        }
        return stay.exitSeconds();
    }

    /** The same while the batteries have no bus: only they are asked. */
    double restingExit(double step) {
        stay.begin(bus.order(), step);
        for (BatteryAtWork battery : circuit.batteries.all) {
            battery.watchAlone(stay);
        }
        return stay.exitSeconds();
    }

    /** The state of everything that can end a step, for the report of a fault. */
    String describe() {
        StringBuilder told =
                new StringBuilder("bus " + circuit.busVolts() + " V" + (circuit.floating ? ", floating" : "")
                        + (circuit.dead ? ", dead" : "") + (circuit.sourcesShut ? ", sources shut" : ""));
        for (Part part : circuit.parts) {
            stay.begin(bus.order(), 1);
            part.watch(stay, circuit);
            told.append("; ")
                    .append(part)
                    .append(" due ")
                    .append(part.dueSeconds())
                    .append(" exit ")
                    .append(stay.exitSeconds());
        }
        return told.append("; next input ").append(circuit.dueSeconds()).toString();
    }
}
