package sparen.power;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.expectThrows;

import org.testng.annotations.Test;
import sparen.program.ChargeDetails.Compensation;
import sparen.sun.ColdMorning;

/** Worked numbers of standards and of the trade, evaluated independently; each source stands at the method that is tested. */
public class PlanningArithmeticTest {
    /** EN IEC 62485-2, from memory: cells, mA/Ah, Ah, then air, opening, distance. */
    @Test
    public void ventilationFollowsTheStandard() {
        double[][] table = {
            {12, 5, 400, 1.2, 33.6, 362.8573},
            {12, 20, 400, 4.8, 134.4, 576},
            {24, 1, 210, 0.252, 7.056, 171.185},
            {24, 8, 210, 2.016, 56.448, 342.3699}
        };
        for (double[] row : table) {
            double air = PlanningArithmetic.ventilationCubicMetresPerHour((int) row[0], row[1], row[2]);
            assertEquals(air, row[3], 1e-9);
            assertEquals(PlanningArithmetic.ventilationOpeningSquareCentimetres(air), row[4], 1e-9);
            assertEquals(PlanningArithmetic.sparkDistanceMillimetres(row[1], row[2]), row[5], 1e-3);
        }
    }

    /** NEC 690.72(B) before 2017, from memory. */
    @Test
    public void diversionLoadTakesHalfAsMuchAgain() {
        assertEquals(PlanningArithmetic.diversionWatts(1200), 1800.0);
        assertEquals(PlanningArithmetic.resistanceOhms(28.8, 1800), 0.4608, 1e-4);
        assertEquals(PlanningArithmetic.resistanceOhms(57.6, 4500), 0.7373, 1e-4);
    }

    @Test
    public void chargeCurrentsAndTimes() {
        assertEquals(PlanningArithmetic.chargeAmperes(1600, 1, 26.4, 60), 60.0);
        assertEquals(PlanningArithmetic.chargeAmperes(3300, 0.98, 51.2, 80), 63.1641, 1e-4);
        assertEquals(PlanningArithmetic.generatorChargeAmperes(3000, 1, 800, 0.9, 27), 73.3333, 1e-4);
        assertEquals(PlanningArithmetic.generatorChargeAmperes(2200, 0.8, 300, 0.88, 54), 23.7926, 1e-4);
        assertEquals(PlanningArithmetic.absorptionHours(400, 40), 4.2, 1e-12);
        assertEquals(PlanningArithmetic.absorptionHours(225, 30), 3.15, 1e-12);
    }

    /** −5 mV/K a cell about 25 °C, common practice of lead-acid makers; ceiling and floor hold it. */
    @Test
    public void compensationMovesLevelsUpToItsCeiling() {
        Compensation free = new Compensation(-0.005, 1000, 0, true);
        assertEquals(free.volts(14.4, 6, 5), 15.0, 1e-12);
        assertEquals(free.volts(28.8, 12, -5), 30.6, 1e-12);
        assertEquals(free.volts(54, 24, 38), 52.44, 1e-12);
        Compensation held = new Compensation(-0.005, 30, 28, true);
        assertEquals(held.volts(28.8, 12, -5), 30.0);
        assertEquals(held.volts(28.8, 12, 60), 28.0);
    }

    /** NEC table 690.7(A), from memory: module voltage, number, coldest, factor, string voltage, coefficient, by coefficient. */
    @Test
    public void coldMorningFollowsTheTable() {
        double[][] table = {
            {37.8, 3, -12, 1.16, 131.544, -0.0029, 125.5678},
            {22.1, 4, -20, 1.18, 104.312, -0.0035, 102.323},
            {41.2, 3, -26, 1.21, 149.556, -0.0027, 140.6197},
            {49.5, 5, 3, 1.10, 272.25, -0.0025, 261.1125}
        };
        for (double[] row : table) {
            assertEquals(ColdMorning.factor(row[2]), row[3], row[2] + " °C");
            assertEquals(ColdMorning.stringVolts(row[0], (int) row[1], row[2]), row[4], 1e-3);
            assertEquals(ColdMorning.stringVoltsByCoefficient(row[0], (int) row[1], row[2], row[5]), row[6], 1e-3);
        }
        double[][] rows = {
            {24, 1.02}, {20, 1.02}, {19, 1.04}, {0, 1.10}, {-1, 1.12}, {-5, 1.12}, {-6, 1.14}, {-40, 1.25}
        };
        for (double[] row : rows) {
            assertEquals(ColdMorning.factor(row[0]), row[1], row[0] + " °C");
        }
        expectThrows(IllegalArgumentException.class, () -> ColdMorning.factor(-41));
    }
}
