package sparen.simulation;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import sparen.program.rule.VoltageDisconnect;
import sparen.result.RunResult;
import sparen.site.Consumption;
import sparen.working.Verdict;

/** What a run says of itself, with the instants worked out by hand. */
public class VerdictTest {
    private static List<Verdict.Statement> of(House house, RunResult run) {
        return Verdict.of(house.plan(), run);
    }

    /**
     * 400 Ah between 51.9 and 52.1 V, from 60 % on; 1040 W are 20 A, 5 % and 0.01 V an hour, and there is hardly a resistance. 51.98 V (40 %)
     * come after 4 h. From the sixth hour on a source of 40 A charges from 30 %, again by 5 % an hour: 51.99 V (45 %) after 3 h, the ninth.
     * The radio is cut for 5 h, and lacks 50 Wh of its 10 W.
     */
    @Test
    public void aCutIsToldWithItsLengthAndItsBeginning() {
        House house = new House()
                .load("heater", null, new Consumption.ConstantPower(1030))
                .load("radio", null, new Consumption.ConstantPower(10))
                .output("radio-output", null, new VoltageDisconnect("point", 51.98, 0, 51.99, 0), "radio")
                .source(0, 0, 6 * 3600 - 1, 0, 6 * 3600, 40);
        house.curve = List.of(51.9, 52.1);
        house.ohms = 1e-6;
        RunResult run = house.run(12 * 3600);
        List<Verdict.Statement> told = of(house, run);
        assertTrue(told.get(0).says().matches("radio cut once, (5 h|5 h \\d min|4 h 5\\d min)"), told.toString());
        assertEquals(told.get(0).sinceSeconds().orElseThrow(), 4 * 3600, 300);
        assertEquals(run.outputs().get(0).cutSeconds(), 5 * 3600, 300);
        assertEquals(run.outputs().get(0).cuts(), 1);
        assertTrue(told.stream().noneMatch(one -> one.says().contains("lacked")), "said once");
    }

    /** As above, with four disconnects behind one level: what is critical stands first, what is too much is counted. */
    @Test
    public void manyCutsAreCountedAndTheCriticalIsFirst() {
        House house = new House().load("heater", null, new Consumption.ConstantPower(1030));
        for (String id : List.of("a", "b", "c", "d")) {
            house.load(id, null, new Consumption.ConstantPower(1))
                    .output(id + "-output", null, new VoltageDisconnect("point", 51.98, 0, 52.05, 0), id);
        }
        house.loads.set(3, house.loads.get(3).withCritical(true));
        house.curve = List.of(51.9, 52.1);
        house.ohms = 1e-6;
        List<Verdict.Statement> told = of(house, house.run(6 * 3600));
        assertTrue(told.get(0).grave() && told.get(0).says().startsWith("c cut once, "), told.toString());
        assertEquals(
                told.stream().filter(one -> one.says().contains("cut once")).count(), 3);
        assertEquals(told.get(3), new Verdict.Statement("1 more output cut", false, Optional.empty()));
    }

    /** A light load for an hour: nothing to tell but that all was served. */
    @Test
    public void aCalmRunSaysSo() {
        House house = new House().load("radio", null, new Consumption.ConstantPower(40));
        List<Verdict.Statement> told = of(house, house.run(3600));
        assertEquals(told.get(0), new Verdict.Statement("Every load was served", false, Optional.empty()));
        assertEquals(told.get(1).says(), "Lowest charge 60 %");
        assertTrue(told.stream().noneMatch(Verdict.Statement::grave));
    }
}
