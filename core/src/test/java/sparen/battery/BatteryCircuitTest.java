package sparen.battery;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.power.BusBalance;
import sparen.series.Series;
import sparen.site.BatteryBank;
import sparen.site.Chemistry;

/** The gel bank as the trade knows it, and energy conservation in the cell. */
public class BatteryCircuitTest {
    private static BatteryBank bank(int cells, double ampereHours) {
        return new BatteryBank("gel", Chemistry.GEL, cells, ampereHours, 20, 0.1, 100, 0.5, Optional.empty());
    }

    private static double restVolts(BatteryModel model, double charge) {
        BatteryCircuit circuit = new BatteryCircuit(model, charge);
        circuit.begin(false);
        return circuit.electromotiveForce()[0];
    }

    /** Rest voltages of a 12 V gel block: full 12.8–13.0 V, near empty 11.7–12.0 V. Common practice, no source. */
    @Test
    public void restsWhereTheTradeExpectsIt() {
        BatteryModel model = BatteryModel.of(bank(6, 200));
        assertTrue(restVolts(model, 1) >= 12.8 && restVolts(model, 1) <= 13.0);
        assertTrue(restVolts(model, 0.08) >= 11.7 && restVolts(model, 0.08) <= 12.0);
        double before = 0;
        for (double charge = 0; charge <= 1; charge += 0.01) {
            assertTrue(restVolts(model, charge) > before);
            before = restVolts(model, charge);
        }
    }

    /** Twice the cells, twice the voltages and resistances; twice the capacity, half the resistances. */
    @Test
    public void scalesWithCellsAndCapacity() {
        BatteryModel twelve = BatteryModel.of(bank(6, 100));
        BatteryModel twentyFour = BatteryModel.of(bank(12, 100));
        BatteryModel large = BatteryModel.of(bank(6, 200));
        assertEquals(restVolts(twentyFour, 0.6), 2 * restVolts(twelve, 0.6), 1e-12);
        assertEquals(twentyFour.settledOhms(), 2 * twelve.settledOhms(), 1e-15);
        assertEquals(large.settledOhms(), twelve.settledOhms() / 2, 1e-15);
    }

    @DataProvider
    public Object[][] currents() {
        return new Object[][] {{0.4, -20.0}, {0.7, 15.0}, {0.96, 2.0}, {1.0, 1.0}};
    }

    /** Energy in at the terminals is energy stored plus energy lost, charging, discharging, near full and full. */
    @Test(dataProvider = "currents")
    public void conservesEnergy(double charge, double amperes) {
        BatteryCircuit battery = new BatteryCircuit(BatteryModel.of(bank(6, 200)), charge);
        BusBalance bus = new BusBalance(battery, 0, new double[] {0});
        double in = 0;
        double lost = 0;
        double before = battery.storedJoules();
        for (int i = 0; i < 400; i++) {
            bus.setCurrent(0, amperes, 0);
            assertTrue(bus.solve());
            bus.expand(10, 0);
            in += Series.integralOfProduct(bus.batteryVolts(), bus.batteryCurrent(), bus.order(), 10);
            lost += battery.lostJoules(bus.batteryCurrent(), bus.batteryVolts(), bus.order(), 10);
            bus.advance(10);
        }
        assertEquals(battery.storedJoules() - before + lost, in, Math.abs(in) * 1e-5);
        assertTrue(lost > 0);
        if (charge == 1.0) {
            assertEquals(battery.charge()[0], 1.0, 1e-4, "a full battery takes what it loses by itself and no more");
        }
    }

    /** C/20 reaches 14.2 V well before full, a trickle only near it: what makes absorption necessary. Common practice. */
    @Test
    public void reachesAbsorptionVoltageEarlierAtHighCurrent() {
        assertTrue(chargeAtVolts(14.2, 10) < 0.97);
        assertTrue(chargeAtVolts(14.2, 10) > 0.75);
        assertTrue(chargeAtVolts(14.2, 2) > chargeAtVolts(14.2, 10));
    }

    private static double chargeAtVolts(double volts, double amperes) {
        BatteryModel model = BatteryModel.of(bank(6, 200));
        for (double charge = 0.5; charge < 1; charge += 0.001) {
            BatteryCircuit circuit = new BatteryCircuit(model, charge);
            circuit.begin(true);
            circuit.bendAt(amperes);
            double rebound = model.settledOhms() - model.ohmicOhms();
            if (circuit.volts(amperes) + rebound * amperes >= volts) {
                return charge;
            }
        }
        return 1;
    }
}
