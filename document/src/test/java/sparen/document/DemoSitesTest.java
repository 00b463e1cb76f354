package sparen.document;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.check.Checks;
import sparen.program.Plan;
import sparen.result.RunResult;
import sparen.result.Window;
import sparen.simulation.Scenario;
import sparen.simulation.Simulation;
import sparen.sun.Climate;
import sparen.sun.WeatherGenerator;

/** The three demo sites, each a whole month: what holds of every run, and what their programs are meant to do. */
public class DemoSitesTest {
    private static final double MONTH = 30 * 86_400.0;

    private static Plan plan(String name) throws Exception {
        return Documents.read(Files.readString(Path.of("../demo/" + name + ".json")))
                .plan();
    }

    private static Scenario scenario(String name, String day) throws Exception {
        Plan plan = plan(name);
        var location = plan.site().location();
        Instant start = LocalDate.parse(day).atStartOfDay(location.zone()).toInstant();
        Climate climate = Climate.atLatitude(location.latitudeDegrees());
        return new Scenario(
                plan,
                start,
                MONTH,
                WeatherGenerator.generate(location, start, 30 * 1440, climate, 1),
                Map.of(),
                1,
                List.of());
    }

    @DataProvider
    public Object[][] months() {
        return new Object[][] {
            {"hallgrund", "2026-10-01"},
            {"kvarno", "2026-03-10"},
            {"kvarno", "2026-12-01"},
            {"skarvholm", "2026-05-01"},
            {"skarvholm", "2026-11-01"},
        };
    }

    /** The ledger closes; a finer step moves nothing; the summer change of the clock does no harm (it lies in March). */
    @Test(dataProvider = "months")
    public void aMonthClosesAndIsNoMatterOfTheStep(String name, String day) throws Exception {
        Scenario scenario = scenario(name, day);
        Window window = new Window(0, MONTH, 100);
        RunResult usual = Simulation.run(scenario, window);
        assertEquals(usual.ledger().closingError(), 0, 1e-6);
        assertEquals(usual.days().size(), 30.5, 0.5, "a day more where the clock was put forward");
        assertEquals(usual.status(), RunResult.Status.FINISHED);
        RunResult fine = Simulation.run(
                scenario, window, Simulation.Settings.DEFAULT.withLongestStep(450), Simulation.Watch.NONE);
        assertEquals(fine.events().size(), usual.events().size());
        for (int i = 0; i < usual.events().size(); i++) {
            assertEquals(fine.events().get(i).kind(), usual.events().get(i).kind(), "event " + i);
            assertEquals(
                    fine.events().get(i).seconds(),
                    usual.events().get(i).seconds(),
                    0.1,
                    usual.events().get(i).toString());
        }
        double through = usual.ledger().inputJoules();
        assertEquals(fine.ledger().batteryLossJoules(), usual.ledger().batteryLossJoules(), 1e-5 * through);
        assertEquals(fine.ledger().totalServedJoules(), usual.ledger().totalServedJoules(), 1e-5 * through);
    }

    /** What is wrong as found is found; the current programs are clean. */
    @Test
    public void currentProgramsAreCleanAndTheFoundOnesAreNot() throws Exception {
        for (String name : List.of("hallgrund", "kvarno", "skarvholm")) {
            assertTrue(Checks.of(plan(name), Map.of()).isEmpty(), name);
            assertTrue(!Checks.of(plan(name + "-as-found"), Map.of()).isEmpty(), name);
        }
    }

    /** In the nesting season the generator never starts at night: quiet from nine to eight. */
    @Test
    public void theGeneratorKeepsItsQuietHours() throws Exception {
        Scenario scenario = scenario("skarvholm", "2026-05-01");
        RunResult result = Simulation.run(scenario, new Window(0, MONTH, 10));
        result.events().stream()
                .filter(event ->
                        event.subject().equals("generator") && event.reason().equals("starting"))
                .forEach(event -> {
                    int hour = scenario.start()
                            .plusMillis((long) (event.seconds() * 1000))
                            .atZone(scenario.plan().site().location().zone())
                            .getHour();
                    assertTrue(hour >= 8 && hour < 21, event.toString());
                });
        assertTrue(result.ledger().totalDivertedJoules() > 0, "and in May the boiler has the surplus");
    }
}
