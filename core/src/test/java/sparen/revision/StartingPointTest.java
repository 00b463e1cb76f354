package sparen.revision;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.Test;
import sparen.check.Checks;
import sparen.check.Severity;
import sparen.program.Plan;
import sparen.quantity.InvalidQuantity;
import sparen.result.RunResult;
import sparen.result.Window;
import sparen.simulation.Scenario;
import sparen.simulation.Simulation;
import sparen.simulation.Sites;
import sparen.site.Chemistry;
import sparen.site.Location;
import sparen.sun.DayType;
import sparen.sun.WeatherGenerator;

/** A site by the short path has a complete program without danger or caution, whatever is there, and it runs. */
public class StartingPointTest {
    private static final Location PLACE = new Location(60, 10, 0, "Europe/Oslo");

    @Test
    public void everyCombinationIsClean() {
        for (Chemistry chemistry : List.of(
                Chemistry.FLOODED, Chemistry.AGM, Chemistry.GEL, Chemistry.LITHIUM_IRON_PHOSPHATE, Chemistry.NMC)) {
            for (double volts : new double[] {12, 24, 36, 48}) {
                for (int what = 0; what < 32; what++) {
                    boolean inverter = (what & 1) > 0;
                    boolean generator = inverter && (what & 2) > 0;
                    boolean feeder = inverter && (what & 8) > 0;
                    StartingPoint start = new StartingPoint(
                            "new",
                            PLACE,
                            volts,
                            chemistry,
                            300,
                            generator || feeder ? (what & 16) / 16 * 45 * volts : 45 * volts,
                            inverter,
                            generator,
                            feeder,
                            (what & 4) > 0,
                            Optional.empty(),
                            Optional.empty());
                    Plan plan = start.plan();
                    assertEquals(
                            Checks.of(plan, Map.of()).stream()
                                    .filter(finding -> finding.severity() != Severity.NOTE)
                                    .toList()
                                    .toString(),
                            "[]",
                            start.toString());
                }
            }
        }
    }

    @Test
    public void itRunsAFortnightAndProtectsTheBattery() {
        Plan plan = new StartingPoint(
                        "new",
                        PLACE,
                        24,
                        Chemistry.LITHIUM_IRON_PHOSPHATE,
                        200,
                        400,
                        true,
                        false,
                        false,
                        true,
                        Optional.empty(),
                        Optional.empty())
                .plan();
        RunResult run = run(plan, 14);
        assertTrue(Math.abs(run.ledger().closingError()) < 1e-6);
        assertEquals(
                Checks.of(plan, Map.of(), run).stream()
                        .filter(one -> one.severity() == Severity.DANGER)
                        .toList()
                        .toString(),
                "[]");
    }

    /** Days of mixed weather at 15 °C. */
    private static RunResult run(Plan plan, int days) {
        double seconds = days * 86_400.0;
        Scenario mild = new Scenario(
                plan,
                Sites.START,
                seconds,
                WeatherGenerator.generate(PLACE, Sites.START, days * 1440, DayType.MIXED, 15, 1),
                Map.of());
        return Simulation.run(mild, new Window(0, seconds, 10));
    }

    /** A bank that AC floats for weeks comes to rest full, its wells level, and the run goes on; common practice, no source. */
    @Test
    public void aBankThatAcFloatsStaysFull() {
        for (Chemistry chemistry : List.of(Chemistry.AGM, Chemistry.GEL, Chemistry.FLOODED)) {
            Plan plan = new StartingPoint(
                            "new",
                            PLACE,
                            48,
                            chemistry,
                            200,
                            0,
                            true,
                            false,
                            true,
                            false,
                            Optional.empty(),
                            Optional.empty())
                    .plan();
            RunResult run = run(plan, 40);
            assertTrue(run.endStateOfCharge() > 0.99, chemistry + " at " + run.endStateOfCharge());
        }
    }

    @Test
    public void refusesWhatCannotStandThere() {
        assertEquals(
                expectThrows(
                                InvalidQuantity.class,
                                () -> new StartingPoint(
                                        "x",
                                        PLACE,
                                        13,
                                        Chemistry.GEL,
                                        100,
                                        100,
                                        false,
                                        false,
                                        false,
                                        false,
                                        Optional.empty(),
                                        Optional.empty()))
                        .field(),
                "nominalVolts");
        assertEquals(
                expectThrows(
                                InvalidQuantity.class,
                                () -> new StartingPoint(
                                        "x",
                                        PLACE,
                                        12,
                                        Chemistry.GEL,
                                        100,
                                        100,
                                        false,
                                        true,
                                        false,
                                        false,
                                        Optional.empty(),
                                        Optional.empty()))
                        .field(),
                "generator");
    }
}
