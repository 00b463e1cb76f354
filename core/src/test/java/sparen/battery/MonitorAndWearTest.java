package sparen.battery;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.Test;
import sparen.site.BatteryMonitor;

public class MonitorAndWearTest {
    private static BatteryMonitor monitor(double configured, double efficiency) {
        return new BatteryMonitor("m", "monitor", configured, efficiency, 0, 0, 1, 10, 28, 8, 60, List.of());
    }

    /** Plain arithmetic of an energy counter set to 400 Ah on a bank that has 430 Ah: 200 Ah out read 50 %, and 53.5 % are there. */
    @Test
    public void countsByItsOwnCapacityAndEfficiency() {
        StateOfChargeCounter counter = new StateOfChargeCounter(monitor(400, 1), 1);
        counter.add(-200 * 3600, 36_000);
        assertEquals(counter.count(), 0.5, 1e-12);
        StateOfChargeCounter charging = new StateOfChargeCounter(monitor(400, 0.85), 0.5);
        charging.add(100 * 3600, 36_000);
        assertEquals(charging.count(), 0.7125, 1e-12, "what 100 Ah at an assumed 85 % read");
    }

    /**
     * The other rows of the same arithmetic: what is truly there when the counter shows 50 % and 20 %, what the true efficiency makes
     * of a charge, and what a drain past the shunt takes unseen.
     */
    @Test
    public void liesByWhatItDoesNotKnow() {
        StateOfChargeCounter high = new StateOfChargeCounter(monitor(400, 1), 1);
        high.add(-200 * 3600, 36_000);
        assertEquals(high.count(), 0.5, 1e-12);
        assertEquals(1 - 200.0 / 350, 0.428571, 1e-6, "of a bank that has 350 Ah, at a shown 50 %");
        high.add(-120 * 3600, 36_000);
        assertEquals(high.count(), 0.2, 1e-12);
        assertEquals(1 - 320.0 / 350, 0.085714, 1e-6, "at a shown 20 %");
        StateOfChargeCounter blind = new StateOfChargeCounter(monitor(400, 1), 1);
        blind.add(0, 14 * 86_400);
        assertEquals(blind.count(), 1.0, "half an ampere past the shunt for 14 days, of 400 Ah: 58 % are left");
        assertEquals(1 - 0.5 * 14 * 24 / 400, 0.58, 1e-12);
    }

    /** Whole percents change at a sample and not between. */
    @Test
    public void reportsInStepsAtItsSamples() {
        StateOfChargeCounter counter = new StateOfChargeCounter(monitor(100, 1), 0.9);
        counter.add(-0.6 * 3600, 7);
        assertEquals(counter.reported(), 0.9, 1e-12);
        assertEquals(counter.nextSample(7), 10.0, 1e-9);
        counter.sample();
        assertEquals(counter.reported(), 0.89, 1e-12);
    }

    /** In whole percents 34.5 % counted is the least that reports 35, and 70.5 % the most that reports 70: half a step either way. */
    @Test
    public void knowsWhichCountsReportALevel() {
        StateOfChargeCounter counter = new StateOfChargeCounter(monitor(100, 1), 0.5);
        assertEquals(counter.lowestCount(0.35), 0.345, 1e-12);
        assertEquals(counter.lowestCount(0.342), 0.345, 1e-12, "the next that is no less");
        assertEquals(counter.highestCount(0.708), 0.705, 1e-12, "the last that is no more");
        assertEquals(counter.lowestCount(Double.NEGATIVE_INFINITY), Double.NEGATIVE_INFINITY);
        assertEquals(counter.highestCount(Double.POSITIVE_INFINITY), Double.POSITIVE_INFINITY);
    }

    @Test
    public void setsItselfToFullOnlyWhenVoltageAndTailHold() {
        StateOfChargeCounter counter = new StateOfChargeCounter(monitor(100, 1), 0.8);
        assertFalse(counter.settle(0, 28.2, 5));
        assertFalse(counter.settle(59, 27.9, 5), "the voltage fell: the time begins anew");
        assertFalse(counter.settle(60, 28.2, 5));
        assertFalse(counter.settle(110, 28.2, -1), "discharging is no tail");
        assertFalse(counter.settle(111, 28.2, 7));
        assertTrue(counter.settle(171, 28.2, 7));
        assertEquals(counter.count(), 1.0);
    }

    /** The example of ASTM E1049-85, figure 6 (from memory): ranges 3 and 6 half, 4 one and a half, 8 one, 9 half. */
    @Test
    public void rainflowCountsTheStandardsExample() {
        Rainflow cycles = Rainflow.of(new double[] {-2, 1, -3, 5, -1, 3, -4, 4, -2});
        assertEquals(cycles.cycles(3, 3.5), 0.5);
        assertEquals(cycles.cycles(4, 4.5), 1.5);
        assertEquals(cycles.cycles(6, 6.5), 0.5);
        assertEquals(cycles.cycles(8, 8.5), 1.0);
        assertEquals(cycles.cycles(9, 9.5), 0.5);
        assertEquals(cycles.cycles(0, 100), 4.0, "and nothing else");
    }
}
