package sparen.simulation;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.program.ChargeProgram;
import sparen.program.rule.VoltageDisconnect;
import sparen.result.Event;
import sparen.result.Ledger;
import sparen.result.RunResult;
import sparen.result.Window;
import sparen.site.Cable;
import sparen.site.ChargeController;
import sparen.site.Chemistry;
import sparen.site.Consumption;
import sparen.site.SolarArray;

/**
 * A week of a lithium and of a lead-acid site, one of them short of sun, against a general-purpose ODE integrator with event detection
 * ({@link ReferenceSite}): same switchings in the same order, instants within 0.1 s, state of charge within 1e-4.
 */
public class ReferenceWeekTest {
    static final double WEEK = 7 * 86_400.0;
    static final double LVR_DELAY = 300;
    static final double LVD_DELAY = 20;

    /** A site of one controller, two loads of constant power and one disconnect. */
    static House site(Chemistry chemistry, double ampereHours, double start, double arrayWatts, long seed) {
        boolean lithium = chemistry.isLithium();
        House house = new House();
        house.seed = seed;
        house.chemistry = chemistry;
        house.ampereHours = ampereHours;
        house.startCharge = start;
        house.mainCable = Cable.measured(0.002);
        house.arrays.add(new SolarArray("array", "array", arrayWatts, 70, 180, -0.004, 45, 0.05));
        house.controllers.add(
                new ChargeController("mppt", "mppt", List.of("array"), 25, 0.97, 2, Cable.measured(0.004)));
        house.charging = List.of(
                lithium
                        ? new ChargeProgram("mppt", 55.2, 3600, 54, 52.8, 60)
                        : new ChargeProgram("mppt", 57.6, 7200, 54.6, 51.6, 60));
        house.load("radio", null, new Consumption.ConstantPower(12));
        house.load("house", null, new Consumption.ConstantPower(85));
        house.output(
                "cut",
                null,
                lithium
                        ? new VoltageDisconnect("point", 51.2, LVD_DELAY, 52.4, LVR_DELAY)
                        : new VoltageDisconnect("point", 47.4, LVD_DELAY, 50.4, LVR_DELAY),
                "house");
        return house;
    }

    @DataProvider
    public Object[][] weeks() {
        return new Object[][] {
            {"lithium, sunny", site(Chemistry.LITHIUM_IRON_PHOSPHATE, 150, 0.7, 1500, 3)},
            {"lithium, short of sun", site(Chemistry.LITHIUM_IRON_PHOSPHATE, 100, 0.4, 500, 1)},
            {"flooded, sunny", site(Chemistry.FLOODED, 200, 0.8, 1800, 3)},
            {"flooded, short of sun", site(Chemistry.FLOODED, 90, 0.5, 500, 1)},
        };
    }

    @Test(dataProvider = "weeks")
    public void switchesWhereTheIntegratorSaysSo(String name, House house) {
        Scenario scenario = house.scenario(WEEK);
        RunResult result = Simulation.run(scenario, new Window(0, WEEK, 100));
        ReferenceSite reference = new ReferenceSite(scenario);
        reference.run(1e-9);
        double[] found = result.outputs().get(0).changeSeconds();
        List<Double> expected = reference.switchings();
        assertEquals(found.length, expected.size(), name + ": " + expected);
        for (int i = 0; i < found.length; i++) {
            assertEquals(found[i], expected.get(i), 0.1, name + ", switching " + i);
        }
        List<Double> stages = new ArrayList<>();
        House.of(result, Event.Kind.STAGE).forEach(event -> stages.add(event.seconds()));
        assertEquals(stages.size(), reference.stages().size(), name + ": " + stages + reference.stages());
        for (int i = 0; i < stages.size(); i++) {
            assertEquals(stages.get(i), reference.stages().get(i), 0.1, name + ", stage " + i);
        }
        assertEquals(result.endStateOfCharge(), reference.charge(), 1e-4, name);
        assertTrue(name.contains("sunny") ? stages.size() >= 2 : found.length > 1, name + ": nothing happened");
    }

    /** Half the longest step, and a tenth of it: no instant moves by 0.1 s, no entry of the ledger by 1e-5. */
    @Test(dataProvider = "weeks")
    public void isNoMatterOfTheStep(String name, House house) {
        Scenario scenario = house.scenario(WEEK);
        Window window = new Window(0, WEEK, 100);
        RunResult usual = Simulation.run(scenario, window);
        for (double longest : new double[] {1800, 30}) {
            RunResult fine = Simulation.run(
                    scenario, window, Simulation.Settings.DEFAULT.withLongestStep(longest), Simulation.Watch.NONE);
            assertEquals(fine.events().size(), usual.events().size(), name);
            for (int i = 0; i < usual.events().size(); i++) {
                assertEquals(
                        fine.events().get(i).seconds(), usual.events().get(i).seconds(), 0.1, name);
            }
            Ledger a = usual.ledger();
            Ledger b = fine.ledger();
            double through = a.inputJoules() + Math.abs(a.storedIncreaseJoules());
            assertEquals(b.totalServedJoules(), a.totalServedJoules(), 1e-5 * through, name);
            assertEquals(b.batteryLossJoules(), a.batteryLossJoules(), 1e-5 * through, name);
            assertEquals(b.curtailedJoules(), a.curtailedJoules(), 1e-5 * through, name);
            assertEquals(b.cableLossJoules(), a.cableLossJoules(), 1e-5 * through, name);
        }
    }

    /** With one steady load and no charge a higher LVD never lowers the state of charge at the first opening: a theorem. */
    @Test
    public void aHigherDisconnectOpensNoLater() {
        double before = 0;
        for (double lvd = 46; lvd < 49; lvd += 0.25) {
            House house = new House();
            house.chemistry = Chemistry.AGM;
            house.ampereHours = 100;
            house.load("heater", null, new Consumption.ConstantPower(400));
            house.output("cut", null, new VoltageDisconnect("point", lvd, 5, 52, 60), "heater");
            Event opened = House.of(house.run(86_400), Event.Kind.OPENED).get(0);
            assertTrue(opened.stateOfCharge() > before, "LVD " + lvd);
            before = opened.stateOfCharge();
        }
    }

    /** What the engine is quick by: a step of its series stands for many solutions of the bus. The times are in scripts/benchmark. */
    @Test(dataProvider = "weeks")
    public void takesFewStepsWhereTheIntegratorSolvesOften(String name, House house) {
        Scenario scenario = house.scenario(WEEK);
        ReferenceSite reference = new ReferenceSite(scenario);
        reference.run(1e-8);
        long steps = Simulation.run(scenario, new Window(0, WEEK, 100)).steps();
        assertTrue(steps < 12_000, name + ": " + steps + " steps");
        assertTrue(
                reference.evaluations() > 10 * steps,
                name + ": " + steps + " steps, " + reference.evaluations() + " solutions");
    }
}
