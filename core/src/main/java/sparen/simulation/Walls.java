package sparen.simulation;

import java.util.Arrays;
import java.util.IdentityHashMap;
import java.util.Map;
import sparen.power.BusBalance;
import sparen.series.Stay;

/**
 * Between which bounds every quantity of a circuit stays where nothing happens, gathered once for many minutes: what parts say of
 * the series of a step is kept as bounds of the quantity that the series stands for. What they say of a branch that follows the voltage of
 * the bus alone becomes a bound of that voltage, on the safe side.
 */
final class Walls extends Stay {
    /** A branch's answer to the voltage may grow by so much within the reach of its curve (×). */
    private static final double SAFE = 1.3;

    private static final int STILL = -1;

    private final BusBalance bus;
    private final int volts;
    private final Map<double[], Integer> quantities = new IdentityHashMap<>();
    private final Map<double[], Integer> farVolts = new IdentityHashMap<>();
    private final Map<double[], Integer> currents = new IdentityHashMap<>();
    private final double[] low;
    private final double[] high;
    private boolean understood;

    /**
     * @param count of quantities
     * @param volts the number of the quantity that is the voltage of the bus
     */
    Walls(BusBalance bus, int count, int volts) {
        this.bus = bus;
        this.volts = volts;
        low = new double[count];
        high = new double[count];
    }

    /** A series stands for a quantity; the first that is said of it counts. */
    void name(double[] series, int quantity) {
        quantities.putIfAbsent(series, quantity);
    }

    /** A series stands for something that stays as it is. */
    void nameStill(double[] series) {
        name(series, STILL);
    }

    /** The series of a branch that follows the voltage of the bus alone, which {@link #name} may overrule. */
    void nameBranch(int branch) {
        farVolts.put(bus.ownFarVolts(branch), branch);
        currents.put(bus.ownCurrent(branch), branch);
    }

    /** Begins to gather anew. */
    void begin() {
        begin(0, 0);
        Arrays.fill(low, Double.NEGATIVE_INFINITY);
        Arrays.fill(high, Double.POSITIVE_INFINITY);
        understood = true;
    }

    @Override
    public void within(double[] series, double lowest, double highest) {
        if (lowest == Double.NEGATIVE_INFINITY && highest == Double.POSITIVE_INFINITY) {
            return;
        }
        if (!(series[0] >= lowest && series[0] <= highest)) {
            understood = false;
            return;
        }
        Integer quantity = quantities.get(series);
        if (quantity != null) {
            if (quantity != STILL) {
                narrow(quantity, lowest, highest);
            }
        } else if (farVolts.containsKey(series)) {
            int branch = farVolts.get(series);
            follow(1 + bus.cableOhms(branch) * bus.answer(branch), series[0], lowest, highest);
        } else if (currents.containsKey(series)) {
            follow(bus.answer(currents.get(series)), series[0], lowest, highest);
        } else {
            understood = false;
        }
    }

    private void follow(double slope, double value, double lowest, double highest) {
        double at = bus.busVolts()[0];
        double steep = SAFE * Math.abs(slope);
        if (steep == 0) {
            return;
        }
        double down = (slope > 0 ? value - lowest : highest - value) / steep;
        double up = (slope > 0 ? highest - value : value - lowest) / steep;
        narrow(volts, at - down, at + up);
    }

    private void narrow(int quantity, double lowest, double highest) {
        low[quantity] = Math.max(low[quantity], lowest);
        high[quantity] = Math.min(high[quantity], highest);
    }

    /** Whether all that was said is kept. */
    boolean isUnderstood() {
        return understood;
    }

    /** The lowest values that are inside, by quantity. */
    double[] low() {
        return low;
    }

    /** The highest values that are inside, by quantity. */
    double[] high() {
        return high;
    }
}
