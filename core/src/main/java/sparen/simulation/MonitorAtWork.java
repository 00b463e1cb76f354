package sparen.simulation;

import sparen.battery.StateOfChargeCounter;
import sparen.power.BusBalance;
import sparen.quantity.Standard;
import sparen.series.Series;
import sparen.series.Stay;

/** A battery monitor at its shunt in one run. */
final class MonitorAtWork implements Part {
    /** One that samples at least so often (s) reports what it has counted, as far as anybody can tell. */
    private static final double OFTEN_SECONDS = 60;

    final StateOfChargeCounter counter;
    private final int[] unseen;
    private final double[] sum = Series.zero();
    private double[] seen = sum;
    private final double[] count = Series.zero();
    private double sampleAt = Double.POSITIVE_INFINITY;
    private double heardLow = Double.NEGATIVE_INFINITY;
    private double heardHigh = Double.POSITIVE_INFINITY;
    private double lowCount;
    private double highCount;

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

    /** Its count must not turn, nor be reported otherwise than it is, nor the battery count as full. */
    @Override
    public void watch(Stay stay, Circuit circuit) {
        see(circuit.bus);
        double offset = counter.settings().offsetAmperes();
        if (seen[0] + offset > 0) {
            stay.within(seen, -offset, Double.POSITIVE_INFINITY);
        } else {
            stay.within(seen, Double.NEGATIVE_INFINITY, -offset);
        }
        if (sampleAt < Double.POSITIVE_INFINITY) {
            return;
        }
        watchFull(stay, circuit.bus.batteryVolts());
        count[0] = counter.count();
        double rate = counter.ratePerSecond(seen[0]);
        double perAmpere = seen[0] + offset == 0
                ? 0
                : (rate - counter.settings().driftPerDay() / Standard.DAY) / (seen[0] + offset);
        count[1] = rate;
        for (int k = 2; k <= stay.order(); k++) {
            count[k] = perAmpere * seen[k - 1] / k;
        }
        listen(circuit);
        stay.within(count, Math.min(lowCount, count[0]), Math.max(highCount, count[0]));
    }

    /** Takes between which reports (fraction) no rule does anything. */
    void hear(double low, double high) {
        heardLow = low;
        heardHigh = high;
    }

    /**
     * Works out between which counts nobody would do anything at the next sample. What it reports in between is caught up when something
     * looks; only one that samples rarely has its reports followed one by one.
     */
    private void listen(Circuit circuit) {
        if (counter.settings().sampleSeconds() > OFTEN_SECONDS) {
            lowCount = counter.lowestCount();
            highCount = counter.highestCount();
            return;
        }
        double low = heardLow;
        double high = heardHigh;
        if (circuit.ac != null) {
            low = Math.max(low, circuit.ac.lowestCharge(counter.reported()));
            high = Math.min(high, circuit.ac.highestCharge(counter.reported()));
        }
        lowCount = counter.lowestCount(low);
        highCount = counter.highestCount(high);
    }

    private void watchFull(Stay stay, double[] batteryVolts) {
        double volts = counter.settings().fullVolts();
        if (batteryVolts[0] >= volts) {
            stay.within(batteryVolts, volts, Double.POSITIVE_INFINITY);
            stay.onSideOf(seen, counter.settings().fullAmperes());
        } else {
            stay.within(batteryVolts, Double.NEGATIVE_INFINITY, Math.nextDown(volts));
        }
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
    boolean settle(double now, Circuit circuit) {
        BusBalance bus = circuit.bus;
        double amperes = bus.batteryCurrent()[0];
        for (int branch : unseen) {
            amperes -= bus.current(branch)[0];
        }
        boolean full = counter.settle(now, bus.batteryVolts()[0], amperes);
        if (sampleAt == Double.POSITIVE_INFINITY) {
            listen(circuit);
            if (counter.count() < lowCount || counter.count() > highCount) {
                sampleAt = counter.nextSample(now);
            } else if (counter.settings().sampleSeconds() <= OFTEN_SECONDS) {
                counter.sample();
            }
        }
        if (now >= sampleAt) {
            sampleAt = Double.POSITIVE_INFINITY;
            counter.sample();
            return true;
        }
        return full;
    }

    @Override
    public double dueSeconds() {
        return Math.min(sampleAt, counter.dueSeconds());
    }
}
