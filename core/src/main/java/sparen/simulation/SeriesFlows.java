package sparen.simulation;

import sparen.power.BusBalance;
import sparen.series.Series;

/** What flows during a step whose series are there; without a bus only inside the batteries. */
final class SeriesFlows implements StepFlows {
    private final Circuit circuit;
    private final BusBalance bus;
    private double seconds;
    private double terminal;
    private double lost;

    SeriesFlows(Circuit circuit) {
        this.circuit = circuit;
        bus = circuit.bus;
    }

    /** Takes the length of the step (s). */
    void begin(double step) {
        seconds = step;
        terminal = 0;
        lost = 0;
        boolean floating = circuit.isFloating();
        int order = bus.order();
        for (BatteryAtWork battery : circuit.batteries.all) {
            lost += battery.branch.lostJoules(order, step);
            terminal += floating
                    ? 0
                    : Series.integralOfProduct(battery.branch.terminalVolts(), battery.branch.current(), order, step);
        }
    }

    @Override
    public double terminalJoules() {
        return terminal;
    }

    @Override
    public double batteryLossJoules() {
        return lost;
    }

    @Override
    public double cableJoules() {
        return circuit.isFloating() ? 0 : bus.cableJoules(seconds);
    }

    @Override
    public double branchJoules(int branch) {
        return circuit.isFloating() ? 0 : bus.branchJoules(branch, seconds);
    }
}
