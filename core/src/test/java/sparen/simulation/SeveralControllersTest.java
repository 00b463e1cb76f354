package sparen.simulation;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.program.ChargeProgram;
import sparen.program.Plan;
import sparen.program.Program;
import sparen.result.Ledger;
import sparen.result.RunResult;
import sparen.result.Window;
import sparen.site.BatteryBank;
import sparen.site.Cable;
import sparen.site.ChargeController;
import sparen.site.Chemistry;
import sparen.site.Consumption;
import sparen.site.Load;
import sparen.site.SensePoint;
import sparen.site.Site;
import sparen.site.SolarArray;
import sparen.sun.DayType;
import sparen.sun.WeatherGenerator;

/** Several charge controllers on one bus, east and west, each with its own setpoints. */
public class SeveralControllersTest {
    private static final double DAY = 86_400;

    /** One array and one controller for each absorption voltage, looking from east to west. */
    private static Plan plan(double loadWatts, double... absorptionVolts) {
        List<SolarArray> arrays = new ArrayList<>();
        List<ChargeController> controllers = new ArrayList<>();
        List<ChargeProgram> charging = new ArrayList<>();
        for (int i = 0; i < absorptionVolts.length; i++) {
            String id = "c" + i;
            arrays.add(new SolarArray("a" + i, "array", 400, 35, 120 + 40.0 * i, -0.004, 45, 0.05));
            controllers.add(new ChargeController(id, id, List.of("a" + i), 30, 0.96, 0.3, Cable.copper(16, 1.5)));
            charging.add(new ChargeProgram(id, absorptionVolts[i], 7200, absorptionVolts[i] - 0.5, 12.6, 60));
        }
        Site site = new Site(
                "site",
                Sites.SUBARCTIC,
                12,
                new BatteryBank("gel", Chemistry.GEL, 6, 200, 20, 10.8, 14.6, 0.85, Optional.empty()),
                Cable.copper(35, 1),
                arrays,
                controllers,
                List.of(),
                List.of(new Load("load", "load", false, new Consumption.ConstantPower(loadWatts), Cable.copper(6, 3))),
                List.of(new SensePoint("bus", "bus", SensePoint.Place.BUS, 0)));
        return new Plan(site, new Program(charging, List.of()), Map.of());
    }

    private static RunResult june(Plan plan, double seconds) {
        Instant start = Instant.parse("2026-06-10T00:00:00Z");
        int minutes = (int) (seconds / 60);
        return Simulation.run(
                new Scenario(
                        plan,
                        start,
                        seconds,
                        WeatherGenerator.generate(Sites.SUBARCTIC, start, minutes, DayType.CLEAR, 12, 2),
                        Map.of()),
                new Window(0, seconds, 200));
    }

    @DataProvider
    public Object[][] setpoints() {
        return new Object[][] {
            {new double[] {14.1}},
            {new double[] {14.1, 14.1}},
            {new double[] {14.0, 14.3}},
            {new double[] {14.3, 14.0, 14.15}},
            {new double[] {13.9, 14.4, 14.0, 14.2, 14.1}},
        };
    }

    /** They settle at every instant, the ledger closes, and the bus never rises above the highest setpoint. */
    @Test(dataProvider = "setpoints")
    public void shareTheBus(double[] absorptionVolts) {
        RunResult result = june(plan(40, absorptionVolts), 3 * DAY);
        assertEquals(result.ledger().closingError(), 0, 1e-9);
        double highest = 0;
        for (double volts : result.trace().highBusVolts()) {
            highest = Math.max(highest, volts);
        }
        double most = Arrays.stream(absorptionVolts).max().orElseThrow();
        assertTrue(highest <= most + 1e-9 && highest > most - 0.3, highest + " V for setpoints to " + most + " V");
        assertTrue(result.ledger().curtailedJoules() > 0);
    }

    /** Two with the same settings are worth one with both arrays: same energy to the loads and into the battery. */
    @Test
    public void twoAlikeTakeWhatTheSunGives() {
        Ledger one = june(plan(60, 14.1), 2 * DAY).ledger();
        Ledger two = june(plan(60, 14.1, 14.1), 2 * DAY).ledger();
        assertTrue(two.arrayJoules() > 1.5 * one.arrayJoules());
        assertEquals(two.totalServedJoules(), one.totalServedJoules(), 1e-6 * one.totalServedJoules());
        assertTrue(two.curtailedJoules() > one.curtailedJoules());
    }

    /** A heavier load leaves less to be thrown away: what is used by day need not be curtailed. */
    @Test
    public void aLoadByDayUsesWhatWouldBeThrownAway() {
        double before = Double.POSITIVE_INFINITY;
        for (double watts : new double[] {10, 60, 120, 180}) {
            double curtailed = june(plan(watts, 14.1, 14.1), 2 * DAY).ledger().curtailedJoules();
            assertTrue(curtailed < before, watts + " W");
            before = curtailed;
        }
    }
}
