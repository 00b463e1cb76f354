package sparen.battery;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.power.BusBalance;
import sparen.series.Series;
import sparen.series.Stay;
import sparen.site.BatteryBank;
import sparen.site.Chemistry;

/**
 * Two wells against the closed forms of J. F. Manwell and J. G. McGowan, Solar Energy 50 (1993) 399–405 (formulas from memory),
 * evaluated independently and checked there by a general-purpose ODE integrator.
 */
public class KineticWellsTest {
    /** qmax, c, k, then rate in hours and capacity in Ah. */
    @DataProvider
    public Object[][] rates() {
        return new Object[][] {
            {200.0, 0.315, 1.24, 20.0, 183.87666},
            {200.0, 0.315, 1.24, 10.0, 170.15911},
            {200.0, 0.315, 1.24, 5.0, 148.14479},
            {200.0, 0.315, 1.24, 3.0, 127.35574},
            {200.0, 0.315, 1.24, 1.0, 89.03865},
            {100.0, 0.45, 0.6, 20.0, 90.75635},
            {100.0, 0.45, 0.6, 10.0, 83.11179},
            {100.0, 0.45, 0.6, 5.0, 72.09162},
            {100.0, 0.45, 0.6, 3.0, 63.82548},
            {100.0, 0.45, 0.6, 1.0, 52.10810},
        };
    }

    @Test(dataProvider = "rates")
    public void givesTheCapacityOfTheRate(double most, double share, double exchange, double hours, double expected) {
        assertEquals(most * wells(share, exchange).capacityShare(hours), expected, 1e-5);
        // And the circuit at that current is empty at that time.
        BatteryCircuit battery = new BatteryCircuit(model(most, share, exchange), 1);
        double emptyAt = run(battery, -expected / hours, 2 * hours * 3600);
        assertEquals(emptyAt / 3600, hours, 1e-6);
    }

    /** Recovery at rest, and charging from balance. */
    @Test
    public void recoversAtRestAndFills() {
        BatteryCircuit battery = new BatteryCircuit(model(200, 0.315, 1.24), 1);
        run(battery, -60, 3600);
        assertEquals(inBothWells(battery, 200), 20.546525 + 119.453475, 1e-4);
        assertEquals(wells(battery, 200, 0.315)[0], 20.546525, 1e-4);
        run(battery, 0, 1800);
        assertEquals(wells(battery, 200, 0.315)[0], 31.429539, 1e-4);
        assertEquals(wells(battery, 200, 0.315)[1], 108.570461, 1e-4);
        double more = run(battery, -60, 7200);
        assertEquals(more / 3600, 0.924068, 1e-5, "hours more at the same current after the rest");
        BatteryCircuit half = new BatteryCircuit(model(100, 0.45, 0.6), 0.5);
        run(half, 10, 3600);
        assertEquals(wells(half, 100, 0.45)[0], 31.135893, 1e-4);
        assertEquals(wells(half, 100, 0.45)[1], 28.864107, 1e-4);
    }

    /** Whatever the current, what flows between the wells loses energy and never makes any. */
    @Test
    public void exchangeOnlyLoses() {
        for (double amperes : new double[] {-40, -5, 0, 5, 30}) {
            BatteryCircuit battery = new BatteryCircuit(model(100, 0.4, 0.8), 0.5);
            double before = battery.storedJoules();
            double in = 0;
            double lost = 0;
            BusBalance bus = new BusBalance(battery, 0, new double[] {0});
            for (int i = 0; i < 60; i++) {
                bus.setCurrent(0, i < 30 ? amperes : 0, 0);
                assertTrue(bus.solve());
                bus.expand(30, 0);
                in += Series.integralOfProduct(bus.batteryVolts(), bus.batteryCurrent(), bus.order(), 30);
                double step = battery.lostJoules(bus.batteryCurrent(), bus.batteryVolts(), bus.order(), 30);
                assertTrue(step >= -1e-9, "lost " + step);
                lost += step;
                bus.advance(30);
            }
            assertEquals(battery.storedJoules() - before + lost, in, 1e-6 * Math.max(1, Math.abs(in)));
        }
    }

    /**
     * State of charge counts down what has been taken in parts of what is stated: a perfect monitor set to that agrees at any rate, and at the
     * stated one nothing is left at 0. By hand: of 100 Ah stated at 10 h, 5 h at 10 A leave half, another 5 h nothing.
     */
    @Test
    public void countsInPartsOfWhatIsStated() {
        BatteryBank bank = new BatteryBank("agm", Chemistry.AGM, 6, 100, 10, 0.1, 100, 1, Optional.empty());
        BatteryModel model = BatteryModel.of(bank);
        BatteryCircuit battery = new BatteryCircuit(model, 1);
        double lost = model.selfDischargeAmperes() * 5;
        run(battery, -10 + lost / 5, 5 * 3600);
        assertEquals(battery.charge()[0], 0.5, 1e-9);
        assertEquals(run(battery, -10 + lost / 5, 36_000) / 3600, 5, 1e-3, "hours more");
        assertEquals(battery.charge()[0], 0, 1e-4);
        // At a hundredth of it there is more than what is stated.
        BatteryCircuit slow = new BatteryCircuit(model, 1);
        run(slow, -1, 400 * 3600);
        assertTrue(slow.charge()[0] < -0.05 && slow.charge()[0] > -0.15, "" + slow.charge()[0]);
    }

    private static BatteryModel model(double ampereHours, double share, double exchange) {
        return new BatteryModel(
                ampereHours * 3600,
                new double[] {0, 0.2, 1},
                new double[] {11, 12, 13},
                0.001,
                new double[0],
                new double[0],
                new double[0],
                NearFull.NONE,
                0,
                1,
                0,
                wells(share, exchange),
                1,
                0,
                0,
                0);
    }

    private static KineticWells wells(double share, double exchange) {
        return new KineticWells(share, exchange, exchange, 0, 0);
    }

    /** Runs a steady current until a time (s) or until the well at hand is empty; when that was (s). */
    private static double run(BatteryCircuit battery, double amperes, double seconds) {
        BusBalance bus = new BusBalance(battery, 0, new double[] {0});
        Stay stay = new Stay();
        double now = 0;
        while (now < seconds && !(amperes < 0 && battery.isEmpty())) {
            bus.setCurrent(0, amperes, 0);
            assertTrue(bus.solve());
            double step = Math.min(30, seconds - now);
            bus.expand(step, 0);
            stay.begin(bus.order(), step);
            battery.watch(stay);
            double taken = Math.min(step, stay.exitSeconds());
            bus.advance(taken);
            now += taken;
        }
        return now;
    }

    private static double inBothWells(BatteryCircuit battery, double most) {
        return battery.charge()[0] * most;
    }

    private static double[] wells(BatteryCircuit battery, double most, double share) {
        battery.begin(false);
        double open = battery.electromotiveForce()[0];
        // The curve is straight in two pieces, so the voltage at rest tells what is at hand.
        double atHand = open <= 12 ? (open - 11) * 0.2 : 0.2 + (open - 12) * 0.8;
        double first = atHand * share * most;
        return new double[] {first, battery.charge()[0] * most - first};
    }
}
