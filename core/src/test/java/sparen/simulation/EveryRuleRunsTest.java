package sparen.simulation;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.program.Mode;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Rule;
import sparen.program.Surroundings;
import sparen.program.rule.RuleKind;
import sparen.program.rule.Rules;
import sparen.quantity.Fields;
import sparen.result.Event;
import sparen.result.OutputFigures;
import sparen.result.RunResult;
import sparen.result.Window;
import sparen.revision.StartingPoint;
import sparen.site.Chemistry;
import sparen.site.Location;
import sparen.sun.DayType;
import sparen.sun.WeatherGenerator;

/** Every kind of rule with its usual numbers on a new site of lead and one of lithium, three mixed days in March. */
public class EveryRuleRunsTest {
    private static final Location PLACE = new Location(60, 10, 0, "Europe/Oslo");
    private static final Instant START = Instant.parse("2026-03-10T00:00:00Z");
    private static final double SECONDS = 3 * 86_400.0;

    private static Plan site(Chemistry chemistry) {
        return new StartingPoint(
                        "new",
                        PLACE,
                        24,
                        chemistry,
                        150,
                        900,
                        true,
                        true,
                        false,
                        true,
                        Optional.empty(),
                        Optional.empty())
                .plan();
    }

    @DataProvider
    private Object[][] kinds() {
        List<Object[]> rows = new ArrayList<>();
        for (Chemistry chemistry : List.of(Chemistry.FLOODED, Chemistry.LITHIUM_IRON_PHOSPHATE)) {
            Plan plan = site(chemistry);
            Output last = plan.program().outputs().get(0);
            for (RuleKind kind : Rules.ALL) {
                kind.usual()
                        .apply(Surroundings.of(plan).at(last))
                        .ifPresent(rule -> rows.add(new Object[] {chemistry, kind.name(), rule}));
            }
        }
        assertTrue(rows.size() > 50, rows.size() + " rules on sites");
        return rows.toArray(Object[][]::new);
    }

    private static Plan with(Plan plan, Rule rule) {
        Output first = plan.program().outputs().get(0);
        return Fields.withAt(
                plan,
                "program/outputs/" + first.id(),
                first.withAutomatic(Optional.of(rule)).withMode(Mode.BY_RULE));
    }

    private static RunResult run(Plan plan, double longestStep) {
        Scenario scenario = new Scenario(
                plan,
                START,
                SECONDS,
                WeatherGenerator.generate(PLACE, START, 3 * 1440, DayType.MIXED, 4, 7),
                Map.of(),
                7,
                List.of());
        Simulation.Settings settings = Simulation.Settings.DEFAULT.withLongestStep(longestStep);
        return Simulation.run(scenario, new Window(0, SECONDS, 10), settings, Simulation.Watch.NONE);
    }

    @Test(dataProvider = "kinds")
    public void closesItsLedgerAndSwitchesForAReason(Chemistry chemistry, String kind, Rule rule) {
        Plan plan = with(site(chemistry), rule);
        RunResult run = run(plan, Simulation.Settings.DEFAULT.longestStepSeconds());
        assertEquals(run.ledger().closingError(), 0, 1e-6, kind);
        assertTrue(run.lowestStateOfCharge().value() >= 0 && run.endStateOfCharge() <= 1 + 1e-9, kind);
        Map<String, Integer> told = new HashMap<>();
        for (Event event : run.events()) {
            assertFalse(event.reason().isBlank(), kind + ": " + event);
            boolean moved = event.kind() == Event.Kind.OPENED || event.kind() == Event.Kind.CLOSED;
            told.merge(event.subject(), moved ? 1 : 0, Integer::sum);
        }
        for (OutputFigures output : run.outputs()) {
            assertEquals(
                    told.getOrDefault(output.output(), 0).intValue(),
                    output.switchings(),
                    kind + " at " + output.output() + ", " + run.eventsLeftOut() + " events left out");
        }
        RunResult finer = run(plan, Simulation.Settings.DEFAULT.longestStepSeconds() / 2);
        for (int i = 0; i < run.outputs().size(); i++) {
            double[] coarse = run.outputs().get(i).changeSeconds();
            double[] fine = finer.outputs().get(i).changeSeconds();
            assertEquals(fine, coarse, 0.1, kind + ": as often and at the same instants at half the step");
        }
    }
}
