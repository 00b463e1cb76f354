package sparen.revision;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.Test;
import sparen.program.Dismissal;
import sparen.program.FullSite;
import sparen.program.Origin;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.rule.SocDisconnect;
import sparen.site.Load;

/** What somebody changed, told as a technician would write it down. */
public class ChangesTest {
    private static final Plan PLAN = FullSite.PLAN;

    private static List<String> told(Plan before, Plan after) {
        return Changes.between(before, after).stream().map(Changes.Change::says).toList();
    }

    @Test
    public void aLevelIsToldByItsTermAndTheOutputsName() {
        Plan changed = FullSite.protection(PLAN, "radio", "lvdVolts", 23.0);
        assertEquals(told(PLAN, changed), List.of("LVD of radio 22.8 V → 23 V"));
        assertEquals(Changes.between(PLAN, changed).get(0).path(), "program/outputs/radio/protection/lvdVolts");
    }

    @Test
    public void delaysAreSaidAsDurationsAndChoicesByName() {
        Plan slower = FullSite.protection(PLAN, "radio", "lvdDelaySeconds", 90.0);
        assertEquals(told(PLAN, slower), List.of("LVD delay of radio 30 s → 1 min 30 s"));
        Plan elsewhere = FullSite.protection(PLAN, "radio", "sensePoint", "bus");
        assertEquals(told(PLAN, elsewhere), List.of("sense point of radio battery → bus"));
    }

    @Test
    public void anotherKindOfRuleIsToldByTheKinds() {
        Plan bySoc = FullSite.output(
                PLAN,
                "radio",
                output -> output.withProtection(
                        Optional.of(new SocDisconnect("monitor", 30, 60, 50, 60, "bus", 22, 10))));
        assertEquals(
                told(PLAN, bySoc),
                List.of("protection of radio load disconnect by voltage → load disconnect by state of charge"));
        Plan without = FullSite.output(PLAN, "radio", output -> output.withProtection(Optional.empty()));
        assertEquals(told(PLAN, without), List.of("protection of radio load disconnect by voltage → none"));
    }

    @Test
    public void partsComeGoAndChangeByName() {
        List<Load> loads = new ArrayList<>(PLAN.site().loads());
        Load fan = loads.remove(2);
        List<Output> outputs = PLAN.program().outputs().stream()
                .filter(output -> !output.id().equals("fan"))
                .toList();
        Plan without = new Plan(PLAN.site().withLoads(loads), PLAN.program().withOutputs(outputs), PLAN.origins());
        assertEquals(told(PLAN, without), List.of(fan.name() + " is gone", "fan is gone"));
        assertEquals(told(without, PLAN), List.of("fan is new", "fan is new"));
        Plan bigger = FullSite.site(PLAN, "battery", PLAN.site().battery().withCapacityAmpereHours(420.0));
        assertEquals(told(PLAN, bigger), List.of("capacity of bank 400 Ah → 420 Ah"));
    }

    @Test
    public void originsAndDismissalsAreTold() {
        Plan measured = PLAN.withOrigins(Map.of("site/battery", new Origin(Origin.Kind.MEASURED, "in March")));
        assertEquals(told(PLAN, measured), List.of("origin of site battery none → measured: in March"));
        Dismissal left = new Dismissal("IdleDraw", "", "", "", "known");
        Plan dismissed = PLAN.withProgram(PLAN.program().withDismissed(List.of(left)));
        assertEquals(told(PLAN, dismissed).size(), 1);
        assertTrue(told(PLAN, PLAN).isEmpty());
    }
}
