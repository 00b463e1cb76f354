package sparen.simulation;

import sparen.battery.StateOfChargeCounter;
import sparen.power.BusBalance;
import sparen.series.Series;

/** A battery monitor at its shunt in one run. */
final class MonitorAtWork {
    final StateOfChargeCounter counter;
    private final int[] unseen;
    private final double[] sum = Series.zero();
    private double[] seen = sum;
    private final double[] count = Series.zero();
    private double sampleAt = Double.POSITIVE_INFINITY;

    /** @param unseen branches of the bus that are wired past its shunt */
    MonitorAtWork(StateOfChargeCounter counter, int[] unseen) {
        this.counter = counter;
        this.unseen = unseen;
    }

    private void see(BusBalance bus) {
        if (unseen.length == 0) {
            seen = bus.batteryCurrent();
            return;
        }
        System.arraycopy(bus.batteryCurrent(), 0, sum, 0, sum.length);
        for (int branch : unseen) {
            double[] past = bus.current(branch);
            for (int k = 0; k <= bus.order(); k++) {
                sum[k] -= past[k];
            }
        }
    }

    /** The first instant within a step (s) at which its count turns, or would be reported otherwise than it is. */
    double firstExit(BusBalance bus, double seconds, boolean isWatched) {
        see(bus);
        double offset = counter.settings().offsetAmperes();
        double exit = seen[0] + offset > 0
                ? Series.firstExit(seen, bus.order(), seconds, -offset, Double.POSITIVE_INFINITY)
                : Series.firstExit(seen, bus.order(), seconds, Double.NEGATIVE_INFINITY, -offset);
        if (!isWatched || sampleAt < Double.POSITIVE_INFINITY) {
            return exit;
        }
        exit = Math.min(exit, fullExit(bus, seconds));
        count[0] = counter.count();
        double rate = counter.ratePerSecond(seen[0]);
        double perAmpere =
                seen[0] + offset == 0 ? 0 : (rate - counter.settings().driftPerDay() / 86_400) / (seen[0] + offset);
        count[1] = rate;
        for (int k = 2; k <= bus.order(); k++) {
            count[k] = perAmpere * seen[k - 1] / k;
        }
        double low = Math.min(counter.lowestCount(), count[0]);
        double high = Math.max(counter.highestCount(), count[0]);
        return Math.min(exit, Series.firstExit(count, bus.order(), seconds, low, high));
    }

    private double fullExit(BusBalance bus, double seconds) {
        double volts = counter.settings().fullVolts();
        double amperes = counter.settings().fullAmperes();
        boolean above = bus.batteryVolts()[0] >= volts;
        double byVolts = Series.firstExit(
                bus.batteryVolts(),
                bus.order(),
                seconds,
                above ? volts : Double.NEGATIVE_INFINITY,
                above ? Double.POSITIVE_INFINITY : Math.nextDown(volts));
        if (!above) {
            return byVolts;
        }
        boolean small = seen[0] <= amperes;
        double byAmperes = Series.firstExit(
                seen,
                bus.order(),
                seconds,
                small ? Double.NEGATIVE_INFINITY : Math.nextUp(amperes),
                small ? amperes : Double.POSITIVE_INFINITY);
        return Math.min(byVolts, byAmperes);
    }

    /** Takes the step that was last looked at into its count. */
    void advance(BusBalance bus, double seconds) {
        counter.add(Series.integral(seen, bus.order(), seconds), seconds);
    }

    /**
     * Looks at an instant (s): whether the battery counts as full, and whether a sample is due.
     *
     * @return whether what it reports may have changed
     */
    boolean settle(double now, BusBalance bus) {
        double amperes = bus.batteryCurrent()[0];
        for (int branch : unseen) {
            amperes -= bus.current(branch)[0];
        }
        boolean full = counter.settle(now, bus.batteryVolts()[0], amperes);
        boolean otherwise = counter.count() < counter.lowestCount() || counter.count() > counter.highestCount();
        if (otherwise && sampleAt == Double.POSITIVE_INFINITY) {
            sampleAt = counter.nextSample(now);
        }
        if (now >= sampleAt) {
            sampleAt = Double.POSITIVE_INFINITY;
            counter.sample();
            return true;
        }
        return full;
    }

    double dueSeconds() {
        return Math.min(sampleAt, counter.dueSeconds());
    }
}
