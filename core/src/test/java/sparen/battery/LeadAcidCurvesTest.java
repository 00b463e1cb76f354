package sparen.battery;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.power.BusBalance;
import sparen.quantity.Standard;
import sparen.site.BatteryBank;
import sparen.site.Chemistry;

/**
 * The flooded cell against the relations of J. B. Copetti, E. Lorenzo and F. Chenlo, Prog. Photovolt. 1 (1993) 283–292 (formulas from
 * memory): a fit of many makers' cells, so that some tens of millivolts a cell are as near as one chemistry can be to another.
 */
public class LeadAcidCurvesTest {
    private static final double C10 = 100;

    static double dischargeVolts(double charge, double amperes, double celsius) {
        double shape = 4 / (1 + Math.pow(amperes, 1.3)) + 0.27 / Math.pow(charge, 1.5) + 0.02;
        return 2.085 - 0.12 * (1 - charge) - amperes / C10 * shape * (1 - 0.007 * (celsius - 25));
    }

    static double chargeVolts(double charge, double amperes, double celsius) {
        double shape = 6 / (1 + Math.pow(amperes, 0.86)) + 0.48 / Math.pow(1 - charge, 1.2) + 0.036;
        return 2 + 0.16 * charge + amperes / C10 * shape * (1 - 0.025 * (celsius - 25));
    }

    static double gassingVolts(double amperes, double celsius) {
        return (2.24 + 1.97 * Math.log(1 + amperes / C10)) * (1 - 0.002 * (celsius - 25));
    }

    static double finalVolts(double amperes, double celsius) {
        return (2.45 + 2.011 * Math.log(1 + amperes / C10)) * (1 - 0.002 * (celsius - 25));
    }

    static double capacity(double amperes, double celsius) {
        double rate = amperes / (C10 / 10);
        return C10 * 1.67 / (1 + 0.67 * Math.pow(rate, 0.9)) * (1 + 0.005 * (celsius - 25));
    }

    /** The reference's own arithmetic, against values evaluated independently. */
    @Test
    public void theReferenceIsEvaluatedRightly() {
        assertEquals(dischargeVolts(0.2, 5, 5), 1.790749, 1e-6);
        assertEquals(dischargeVolts(0.95, 20, 25), 2.000722, 1e-6);
        assertEquals(chargeVolts(0.5, 10, 25), 2.266652, 1e-6);
        assertEquals(chargeVolts(0.8, 20, 5), 3.259425, 1e-6);
        assertEquals(gassingVolts(10, 5), 2.524871, 1e-6);
        assertEquals(finalVolts(10, 25), 2.641669, 1e-6);
        assertEquals(finalVolts(20, 5), 2.929315, 1e-6);
        assertEquals(capacity(20, 25), 74.2135, 1e-4);
        assertEquals(capacity(5, 5), 110.5924, 1e-4);
    }

    /** Capacity against rate within 8 %: the wells have two parameters for what the relation says by a power. */
    @Test
    public void capacityFallsWithTheRate() {
        double before = Double.POSITIVE_INFINITY;
        for (double amperes : new double[] {5, 10, 20}) {
            double found = discharge(amperes, 25)[0];
            assertEquals(found / capacity(amperes, 25), 1, 0.08, amperes + " A gives " + found + " Ah");
            assertTrue(found < before);
            before = found;
        }
    }

    @DataProvider
    public Object[][] leadAcids() {
        return new Object[][] {{Chemistry.FLOODED}, {Chemistry.AGM}, {Chemistry.GEL}};
    }

    /**
     * What is left of the capacity at the ten-hour rate: 1 / the temperature factor of IEEE 485, table 1 (1.11 at 15.6 °C, 1.30 at 4.4 °C,
     * 1.52 at −3.9 °C, 0.93 at 35 °C; from memory), within 3 points. At a hundred hours the cold takes less than half as much, but takes
     * some (common practice, no source).
     */
    @Test(dataProvider = "leadAcids")
    public void coldTakesCapacityAsTheStandardSays(Chemistry chemistry) {
        double full = discharge(chemistry, 10, 25)[0];
        double[][] factors = {{15.6, 1.11}, {4.4, 1.30}, {-3.9, 1.52}, {35, 0.93}};
        for (double[] row : factors) {
            assertEquals(
                    discharge(chemistry, 10, row[0])[0] / full, 1 / row[1], 0.03, chemistry + " at " + row[0] + " °C");
        }
        double slowly = discharge(chemistry, 1.1, -3.9)[0] / discharge(chemistry, 1.1, 25)[0];
        assertTrue(slowly > 0.83 && slowly < 0.97, chemistry + " at 100 h and −3.9 °C: " + slowly);
    }

    @DataProvider
    public Object[][] currents() {
        return new Object[][] {{5.0}, {10.0}, {20.0}};
    }

    /**
     * Between the rates of 20 h and 5 h capacity falls as W. Peukert's law (Elektrotechnische Zeitschrift 20, 1897) has it, t = H (C / (I H))^k
     * with k of 1.2 to 1.35 for vented, 1.05 to 1.15 for AGM and 1.1 to 1.25 for gelled cells (handbook values, from memory).
     */
    @Test
    public void fallsWithTheRateAsPeukertHasIt() {
        Object[][] exponents = {{Chemistry.FLOODED, 1.2, 1.35}, {Chemistry.AGM, 1.05, 1.15}, {Chemistry.GEL, 1.1, 1.25}
        };
        for (Object[] row : exponents) {
            KineticWells wells = Chemistries.of((Chemistry) row[0]).wells();
            double times = (wells.capacityShare(5) / 5) / (wells.capacityShare(20) / 20);
            double exponent = Math.log(20 / 5.0) / Math.log(times);
            assertTrue(exponent > (double) row[1] && exponent < (double) row[2], row[0] + " " + exponent);
        }
    }

    /** Voltage over the part of the rate's capacity that has been taken, within 75 mV a cell from 90 % down to 30 %. */
    @Test(dataProvider = "currents")
    public void dischargesAlongTheRelation(double amperes) {
        double[] curve = discharge(amperes, 25);
        for (double charge : new double[] {0.9, 0.8, 0.65, 0.5, 0.3}) {
            double found = curve[1 + (int) Math.round(100 * (1 - charge))];
            assertEquals(found, dischargeVolts(charge, amperes, 25), 0.075, amperes + " A at " + charge);
        }
    }

    @DataProvider
    public Object[][] charges() {
        return new Object[][] {{5.0, 25.0}, {10.0, 25.0}, {20.0, 25.0}, {5.0, 5.0}, {10.0, 5.0}, {20.0, 5.0}};
    }

    /**
     * Steady charging without a regulator, warm and cold: along the relation up to its gassing voltage, past half full too, and at the end
     * at its final voltage, within 100 mV a cell. Between them the relation jumps by 0.2 V
     * within some minutes; there the model climbs for a tenth of the charge.
     */
    @Test(dataProvider = "charges")
    public void chargesAlongTheRelationToItsFinalVoltage(double amperes, double celsius) {
        BatteryCircuit cell = cell(Chemistry.FLOODED, 0.15);
        cell.setCelsius(celsius);
        BusBalance bus = new BusBalance(cell, 0, new double[] {0});
        double next = 0.2;
        int below = 0;
        double volts = 0;
        for (int i = 0; i < 8000 && next < 0.99; i++) {
            bus.setCurrent(0, amperes, 0);
            assertTrue(bus.solve());
            volts = bus.batteryVolts()[0];
            double charge = cell.charge()[0];
            if (charge >= next) {
                double relation = chargeVolts(charge, amperes, celsius);
                if (relation < gassingVolts(amperes, celsius)) {
                    assertEquals(volts, relation, 0.1, amperes + " A at " + charge);
                    below++;
                }
                next += 0.05;
            }
            bus.expand(20, 0);
            bus.advance(20);
        }
        assertTrue(below >= 9, "compared " + below);
        assertEquals(volts, finalVolts(amperes, celsius), 0.1, amperes + " A at the end");
    }

    /**
     * One meaning of full: held at absorption, 2.35 to 2.45 V a cell and 4 mV a kelvin more in the cold, until it takes 2 % of its capacity,
     * which ends absorption and sets a monitor to full (common practice, no source), a battery is truly as full as figures and findings call
     * full. Until it takes 8 % it is not.
     */
    @Test(dataProvider = "leadAcids")
    public void fullIsWhatChargersAndMonitorsCallFull(Chemistry chemistry) {
        for (double celsius : new double[] {5, 25}) {
            for (double volts : new double[] {2.35, 2.45}) {
                BatteryCircuit cell = cell(chemistry, 0.4);
                cell.setCelsius(celsius);
                BusBalance bus = new BusBalance(cell, 0, new double[] {1e-4});
                boolean held = false;
                double atEight = Double.NaN;
                do {
                    if (held) {
                        bus.setHeld(0, volts - 0.004 * (celsius - 25));
                    } else {
                        bus.setCurrent(0, 10, 0);
                    }
                    assertTrue(bus.solve());
                    held |= bus.batteryVolts()[0] >= volts - 0.004 * (celsius - 25);
                    atEight = Double.isNaN(atEight) && bus.batteryCurrent()[0] <= 8 ? cell.charge()[0] : atEight;
                    bus.expand(10, 0);
                    bus.advance(10);
                } while (bus.batteryCurrent()[0] > 2);
                assertTrue(atEight < Standard.FULL_CHARGE - 0.03, chemistry + " at 8 A: " + atEight);
                assertEquals(
                        cell.charge()[0], Standard.FULL_CHARGE + 0.02, 0.02, chemistry + " " + celsius + " " + volts);
            }
        }
    }

    private static BatteryCircuit cell(Chemistry chemistry, double charge) {
        BatteryBank bank = new BatteryBank("cell", chemistry, 1, C10, 10, 0.1, 10, charge, Optional.empty());
        return new BatteryCircuit(BatteryModel.of(bank), charge);
    }

    /** Capacity until the well at hand is empty (Ah), then the voltage at each hundredth of it. */
    private static double[] discharge(double amperes, double celsius) {
        return discharge(Chemistry.FLOODED, amperes, celsius);
    }

    private static double[] discharge(Chemistry chemistry, double amperes, double celsius) {
        double[] volts = new double[60_000];
        BatteryCircuit cell = cell(chemistry, 1);
        cell.setCelsius(celsius);
        BusBalance bus = new BusBalance(cell, 0, new double[] {0});
        int steps = 0;
        double step = 10;
        while (steps < volts.length) {
            bus.setCurrent(0, -amperes, 0);
            assertTrue(bus.solve());
            volts[steps++] = bus.batteryVolts()[0];
            if (bus.batteryVolts()[0] < 1.2 || cell.isEmpty()) {
                break;
            }
            bus.expand(step, 0);
            bus.advance(step);
        }
        double[] result = new double[102];
        result[0] = steps * step * amperes / 3600;
        for (int i = 0; i <= 100; i++) {
            result[1 + i] = volts[Math.min(steps - 1, i * steps / 100)];
        }
        return result;
    }
}
