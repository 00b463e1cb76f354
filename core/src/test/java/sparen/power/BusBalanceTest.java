package sparen.power;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.Random;
import org.testng.annotations.Test;
import sparen.battery.BatteryCircuit;
import sparen.battery.BatteryModel;
import sparen.series.Series;

/** The bus against circuit laws in closed form. */
public class BusBalanceTest {
    private static final double EMF = 12.5;
    private static final double BATTERY_OHMS = 0.010;
    private static final double MAIN_OHMS = 0.006;

    private static BatteryCircuit battery() {
        BatteryModel model = BatteryModel.plain(
                3600 * 1000,
                new double[] {0, 1},
                new double[] {EMF, EMF},
                BATTERY_OHMS,
                new double[] {0.008},
                new double[] {200},
                new double[] {0});
        return new BatteryCircuit(model, 0.5);
    }

    private static BusBalance bus(double... cableOhms) {
        return new BusBalance(battery(), MAIN_OHMS, cableOhms);
    }

    /** V = (E + sqrt(E² − 4 R P)) / 2 for a load of constant power behind a resistance. */
    @Test
    public void constantPowerFollowsTheQuadratic() {
        BusBalance bus = bus(0);
        bus.setPower(0, -300);
        assertTrue(bus.solve());
        double ohms = BATTERY_OHMS + MAIN_OHMS;
        double expected = (EMF + Math.sqrt(EMF * EMF - 4 * ohms * 300)) / 2;
        assertEquals(bus.busVolts()[0], expected, 1e-12);
        assertEquals(bus.batteryCurrent()[0], -300 / expected, 1e-10);
        assertEquals(bus.batteryVolts()[0], EMF - BATTERY_OHMS * 300 / expected, 1e-10);
    }

    @Test
    public void aLoadsOwnCableTakesItsShare() {
        BusBalance bus = bus(0.05);
        bus.setPower(0, -200);
        assertTrue(bus.solve());
        double amperes = -bus.current(0)[0];
        assertEquals(amperes * bus.farVolts(0)[0], 200, 1e-9);
        assertEquals(bus.farVolts(0)[0], bus.busVolts()[0] - 0.05 * amperes, 1e-12);
    }

    /** The most that can be drawn is E² / 4 R; beyond it there is no voltage at which the load could run. */
    @Test
    public void tellsACollapse() {
        double most = EMF * EMF / (4 * (BATTERY_OHMS + MAIN_OHMS));
        BusBalance bus = bus(0);
        bus.setPower(0, -0.999 * most);
        assertTrue(bus.solve());
        assertTrue(bus.busVolts()[0] > EMF / 2);
        bus.setPower(0, -1.001 * most);
        assertFalse(bus.solve());
        bus.setPower(0, -10);
        assertTrue(bus.solve(), "and works again after that");
    }

    @Test
    public void sumOfCurrentsIsTheBatteryCurrent() {
        Random random = new Random(9);
        for (int i = 0; i < 200; i++) {
            BusBalance bus = bus(0.01 * random.nextDouble(), 0.02, 0.004, 0);
            bus.setPower(0, -200 * random.nextDouble());
            bus.setPower(1, 400 * random.nextDouble());
            bus.setResistance(2, 0.2 + random.nextDouble());
            bus.setCurrent(3, 20 * random.nextDouble(), 0.01);
            assertTrue(bus.solve());
            bus.expand(60, 1e-9);
            for (int k = 0; k <= bus.order(); k++) {
                double sum = bus.current(0)[k] + bus.current(1)[k] + bus.current(2)[k] + bus.current(3)[k];
                assertEquals(sum, bus.batteryCurrent()[k], 1e-9, "order " + k);
            }
        }
    }

    /** Of two that hold a voltage the one with the lower setpoint backs off first: here it would have to take current. */
    @Test
    public void aHeldVoltageIsHeld() {
        BusBalance bus = bus(0.01, 0.01);
        bus.setHeld(0, 14.2);
        bus.setPower(1, -50);
        assertTrue(bus.solve());
        assertEquals(bus.farVolts(0)[0], 14.2, 1e-9);
        bus.setHeld(1, 13.0);
        assertTrue(bus.solve());
        assertTrue(bus.current(1)[0] < 0, "13.0 V beside 14.2 V would draw, so it must be shut off");
    }

    /** The series of the voltage under a resistive load is the exponential of the RC pair. */
    @Test
    public void seriesFollowsTheExponential() {
        BatteryCircuit battery = battery();
        BusBalance bus = new BusBalance(battery, MAIN_OHMS, new double[] {0});
        bus.setResistance(0, 0.5);
        assertTrue(bus.solve());
        bus.expand(20, 0);
        double total = 0.5 + MAIN_OHMS + BATTERY_OHMS;
        double tau = 200 / (1 + 0.008 / total);
        double settled = -EMF * 0.008 / (total + 0.008);
        for (double t = 0; t <= 20; t += 5) {
            double rc = settled * (1 - Math.exp(-t / tau));
            assertEquals(Series.at(bus.busVolts(), bus.order(), t), (EMF + rc) * 0.5 / total, 1e-11);
        }
    }
}
