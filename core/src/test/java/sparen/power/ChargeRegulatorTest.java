package sparen.power;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import sparen.battery.BatteryCircuit;
import sparen.battery.BatteryModel;
import sparen.power.ChargeRegulator.Limit;
import sparen.program.ChargeProgram;
import sparen.program.ChargeStage;

/** A controller's limits and stages, by hand. */
public class ChargeRegulatorTest {
    private static final double OHMS = 0.02;
    private ChargeRegulator regulator;
    private double emf;

    @BeforeMethod
    public void begin() {
        regulator = new ChargeRegulator(new ChargeProgram("mppt", 14.2, 3600, 13.6, 12.6, 60), 6, 20);
        emf = 12.5;
    }

    /** Settles the limit on a bus whose battery is a voltage behind a resistance. */
    private double amperes() {
        BatteryModel model = BatteryModel.plain(
                3.6e6, new double[] {0, 1}, new double[] {emf, emf}, OHMS, new double[0], new double[0], new double[0]);
        BusBalance bus = new BusBalance(new BatteryCircuit(model, 0.5), 0, new double[] {1e-5});
        do {
            regulator.apply(bus, 0);
            assertTrue(bus.solve());
        } while (regulator.reconsider(bus, 0));
        volts = bus.farVolts(0)[0];
        return bus.current(0)[0];
    }

    private double volts;

    @Test
    public void givesTheLeastOfArrayCurrentAndVoltage() {
        regulator.offer(100);
        assertEquals(amperes() * volts, 100, 1e-6);
        assertEquals(regulator.limit(), Limit.ARRAY_POWER);
        regulator.offer(1000);
        assertEquals(amperes(), 20, 1e-9);
        assertEquals(regulator.limit(), Limit.CURRENT);
        emf = 14;
        assertEquals(amperes(), 0.2 / (OHMS + 1e-5), 1e-6);
        assertEquals(regulator.limit(), Limit.VOLTAGE);
        emf = 14.5;
        assertEquals(amperes(), 0.0);
        assertEquals(regulator.limit(), Limit.NOTHING);
        emf = 14.1;
        assertEquals(amperes(), 0.1 / (OHMS + 1e-5), 1e-6);
        regulator.offer(0);
        assertEquals(amperes(), 0.0);
    }

    @Test
    public void aCloudPausesTheAbsorptionTimer() {
        regulator.offer(1000);
        emf = 14.1;
        amperes();
        assertTrue(regulator.settleStage(0, volts, 5, 5));
        assertEquals(regulator.stage(), ChargeStage.ABSORPTION);
        assertEquals(regulator.dueSeconds(), 3600.0);
        regulator.offer(20);
        amperes();
        assertEquals(regulator.limit(), Limit.ARRAY_POWER);
        assertFalse(regulator.settleStage(1000, volts, 5, 5));
        assertEquals(regulator.dueSeconds(), Double.POSITIVE_INFINITY);
        regulator.offer(1000);
        amperes();
        regulator.settleStage(5000, volts, 5, 5);
        assertEquals(regulator.dueSeconds(), 5000 + 3600 - 1000.0);
        assertTrue(regulator.settleStage(7600, volts, 5, 5));
        assertEquals(regulator.stage(), ChargeStage.FLOAT);
        assertEquals(regulator.regulationVolts(), 13.6);
    }

    @Test
    public void aNewCycleNeedsTheRechargeLevelForItsWholeDelay() {
        aCloudPausesTheAbsorptionTimer();
        regulator.settleStage(10_000, 12.6, 5, 5);
        assertEquals(regulator.dueSeconds(), 10_060.0);
        regulator.settleStage(10_059, 12.61, 5, 5);
        regulator.settleStage(10_059.5, 12.5, 5, 5);
        assertFalse(regulator.settleStage(10_060, 12.5, 5, 5), "the delay began anew");
        assertTrue(regulator.settleStage(10_119.5, 12.5, 5, 5));
        assertEquals(regulator.stage(), ChargeStage.BULK);
    }
}
