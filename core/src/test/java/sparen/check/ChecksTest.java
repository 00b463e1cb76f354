package sparen.check;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Program;
import sparen.program.TestForce;
import sparen.program.VoltageDisconnect;
import sparen.program.Wish;
import sparen.simulation.Event;
import sparen.simulation.Simulation;
import sparen.simulation.Sites;
import sparen.simulation.Window;
import sparen.site.BatteryBank;
import sparen.site.Cable;
import sparen.site.Chemistry;
import sparen.site.Consumption;
import sparen.site.Load;
import sparen.site.SensePoint;
import sparen.site.Site;

/** Each check where it must fire and where it must not. */
public class ChecksTest {
    /** A 12 V gel bank of 100 Ah: 7.2 mΩ at once and 18 mΩ more in the end. A resistance of 0.6 Ω draws 20 A at 12 V. */
    private static Plan plan(double lvd, double lvr, double ohms, TestForce force) {
        Site site = new Site(
                "test",
                Sites.SUBARCTIC,
                12,
                new BatteryBank("gel", Chemistry.GEL, 6, 100, 20, 10.8, 14.4, 0.9, Optional.empty()),
                Cable.measured(0.005),
                List.of(),
                List.of(),
                List.of(),
                List.of(new Load("heater", "heater", false, new Consumption.Resistance(ohms), Cable.measured(0))),
                List.of(new SensePoint("bus", "bus", SensePoint.Place.BUS, 0)));
        Output output = new Output(
                "out",
                "out",
                List.of("heater"),
                Wish.ON,
                Optional.empty(),
                Optional.of(new VoltageDisconnect("bus", lvd, 0, lvr, 0)),
                force);
        return new Plan(site, new Program(List.of(), List.of(output)), Map.of());
    }

    @DataProvider
    public Object[][] plans() {
        return new Object[][] {
            {plan(12, 12.7, 0.6, TestForce.NONE), null, null},
            {plan(12, 12, 0.6, TestForce.NONE), "ReconnectOrder", Severity.DANGER},
            {plan(12, 11.9, 0.6, TestForce.NONE), "ReconnectOrder", Severity.DANGER},
            // 20 A through 7.2 + 5 mΩ is 0.244 V at once; through 30.2 mΩ it is 0.604 V in the end.
            {plan(12, 12.24, 0.6, TestForce.NONE), "HysteresisAgainstSag", Severity.DANGER},
            {plan(12, 12.60, 0.6, TestForce.NONE), "HysteresisAgainstSag", Severity.CAUTION},
            {plan(12, 12.61, 0.6, TestForce.NONE), null, null},
            {plan(10.79, 12.7, 0.6, TestForce.NONE), "DisconnectBelowBattery", Severity.DANGER},
            {plan(10.8, 12.7, 0.6, TestForce.NONE), null, null},
            {plan(12, 12.7, 0.6, TestForce.CLOSED), "TestForceLeft", Severity.DANGER},
            {plan(12, 12.7, 0.6, TestForce.OPEN), "TestForceLeft", Severity.CAUTION},
        };
    }

    @Test(dataProvider = "plans")
    public void firesWhereItMustAndNowhereElse(Plan plan, String check, Severity severity) {
        List<Finding> findings = Checks.of(plan, Map.of());
        if (check == null) {
            assertEquals(findings, List.of());
        } else {
            assertEquals(findings.stream().map(Finding::check).toList(), List.of(check));
            assertEquals(findings.get(0).severity(), severity);
        }
    }

    /** Both numbers of the sag are shown, with their units. */
    @Test
    public void showsHysteresisAndSag() {
        Finding finding =
                Checks.of(plan(12, 12.24, 0.6, TestForce.NONE), Map.of()).get(0);
        assertEquals(finding.compared().get(0).value(), 0.24, 1e-9);
        assertEquals(finding.compared().get(1).value(), 20 * 0.0122, 1e-9);
        assertEquals(finding.compared().get(2).value(), 20 * 0.0302, 1e-9);
        assertTrue(finding.compared().stream().allMatch(number -> number.unit().equals("V")));
    }

    /** What the check foretells is what the engine does: chatter below the sag at once, none above sag and rebound. */
    @Test
    public void foretellsWhatTheSimulationShows() {
        double day = 86_400;
        assertTrue(chatters(plan(12, 12.2, 0.6, TestForce.NONE), day));
        assertTrue(!chatters(plan(12, 12.7, 0.6, TestForce.NONE), day));
    }

    private static boolean chatters(Plan plan, double seconds) {
        return Simulation.run(Sites.scenario(plan, seconds), new Window(0, seconds, 10)).events().stream()
                .anyMatch(event -> event.kind() == Event.Kind.CHATTER);
    }
}
