package sparen.simulation;

import sparen.power.BusBalance;
import sparen.power.ChargeRegulator;
import sparen.series.Series;

/** How long a step may be: until its series leave out too much, or a part has to look at what it has become. */
final class StepLength {
    /** A step that leaves out too much is made shorter by this factor at a time. */
    private static final double SHORTER = 0.9;

    private final Circuit circuit;
    private final BusBalance bus;

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
        int order = bus.order();
        double exit = Double.POSITIVE_INFINITY;
        for (BatteryAtWork battery : circuit.batteries.all) {
            exit = Math.min(exit, battery.branch.firstExit(bus.batteryVolts(), order, step));
            exit = Math.min(exit, battery.firstExit(order, step));
        }
        for (ControllerAtWork controller : circuit.controllers) {
            exit = Math.min(exit, exit(controller.regulator, controller.branch, step));
        }
        if (circuit.acCharger != null) {
            exit = Math.min(exit, exit(circuit.acCharger, circuit.branches.charger, step));
        }
        if (circuit.ac != null) {
            exit = Math.min(
                    exit,
                    Series.firstExit(
                            bus.farVolts(circuit.branches.inverter),
                            order,
                            step,
                            circuit.ac.lowVolts(),
                            circuit.ac.highVolts()));
        }
        for (ConverterAtWork converter : circuit.converters) {
            double at = converter.watchedVolts();
            double low = converter.isLow() ? Double.NEGATIVE_INFINITY : Math.nextUp(at);
            double high = converter.isLow() ? Math.nextDown(at) : Double.POSITIVE_INFINITY;
            exit = Math.min(exit, Series.firstExit(bus.busVolts(), order, step, low, high));
        }
        for (int i = 0; i < circuit.pulsed.length; i++) {
            if (circuit.pulsed[i] != null && circuit.isServed(i)) {
                double[] volts = bus.farVolts(circuit.branches.firstLoad + i);
                exit = Math.min(
                        exit,
                        Series.firstExit(
                                volts, order, step, circuit.pulsed[i].lowestVolts(), circuit.pulsed[i].highestVolts()));
            }
        }
        for (DcSourceAtWork source : circuit.dcSources) {
            exit = Math.min(
                    exit, Series.firstExit(bus.busVolts(), order, step, source.lowestVolts(), source.highestVolts()));
        }
        for (MonitorAtWork monitor : circuit.monitors) {
            exit = Math.min(exit, monitor.firstExit(bus, step, true));
        }
        return exit;
    }

    private double exit(ChargeRegulator regulator, int branch, double step) {
        if (circuit.sourcesShut) {
            return Double.POSITIVE_INFINITY;
        }
        double[] volts = bus.farVolts(branch);
        double[] amperes = bus.current(branch);
        double low = Math.max(regulator.lowestVolts(), regulator.quietLowestVolts());
        double high = Math.min(regulator.highestVolts(), regulator.quietHighestVolts());
        double exit = Math.min(
                Series.firstExit(volts, bus.order(), step, low, high),
                Series.firstExit(amperes, bus.order(), step, regulator.lowestAmperes(), regulator.highestAmperes()));
        double tail = regulator.tailAmperes();
        if (!Double.isNaN(tail)) {
            double[] whose = regulator.tailIsNet() ? bus.batteryCurrent() : amperes;
            boolean below = whose[0] <= tail;
            exit = Math.min(
                    exit,
                    Series.firstExit(
                            whose,
                            bus.order(),
                            step,
                            below ? Double.NEGATIVE_INFINITY : Math.nextUp(tail),
                            below ? tail : Double.POSITIVE_INFINITY));
        }
        return exit;
    }

    /** The state of everything that can end a step, for the report of a fault. */
    String describe() {
        StringBuilder told =
                new StringBuilder("bus " + circuit.busVolts() + " V" + (circuit.floating ? ", floating" : "")
                        + (circuit.dead ? ", dead" : "") + (circuit.sourcesShut ? ", sources shut" : ""));
        for (BatteryAtWork battery : circuit.batteries.all) {
            told.append("; battery ")
                    .append(battery.branch.circuit().charge()[0])
                    .append(" of full, ")
                    .append(battery.branch.current()[0])
                    .append(" A, exit ")
                    .append(battery.branch.firstExit(bus.batteryVolts(), bus.order(), 1))
                    .append(" BMS ")
                    .append(battery.firstExit(bus.order(), 1));
        }
        for (ControllerAtWork controller : circuit.controllers) {
            told.append("; ")
                    .append(controller.controller.id())
                    .append(' ')
                    .append(controller.regulator.limit())
                    .append(' ')
                    .append(controller.regulator.stage())
                    .append(" exit ")
                    .append(exit(controller.regulator, controller.branch, 1))
                    .append(" due ")
                    .append(controller.regulator.dueSeconds());
        }
        if (circuit.acCharger != null) {
            told.append("; charger ")
                    .append(circuit.acCharger.limit())
                    .append(' ')
                    .append(circuit.acCharger.stage())
                    .append(" exit ")
                    .append(exit(circuit.acCharger, circuit.branches.charger, 1))
                    .append(" due ")
                    .append(circuit.acCharger.dueSeconds());
        }
        for (MonitorAtWork monitor : circuit.monitors) {
            told.append("; monitor exit ").append(monitor.firstExit(bus, 1, true));
        }
        return told.append("; next input ").append(circuit.nextInputChange()).toString();
    }
}
