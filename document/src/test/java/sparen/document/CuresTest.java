package sparen.document;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.check.Checks;
import sparen.check.Finding;
import sparen.examined.Cure;
import sparen.program.Dismissal;
import sparen.program.Plan;
import sparen.quantity.Fields;
import sparen.revision.Changes;

/** What every cure of the sites as they were found does: it says so, it can be written down, and it clears its finding. */
public class CuresTest {
    private static Plan plan(String name) throws Exception {
        return Documents.read(Files.readString(Path.of("../demo/" + name + ".json")))
                .plan();
    }

    @DataProvider
    private Object[][] cures() throws Exception {
        List<Object[]> rows = new ArrayList<>();
        for (String name : List.of("hallgrund-as-found", "kvarno-as-found", "skarvholm-as-found")) {
            Plan plan = plan(name);
            for (Finding finding : Checks.of(plan, Map.of())) {
                for (Cure cure : finding.cures()) {
                    rows.add(new Object[] {plan, finding, cure});
                }
            }
        }
        assertTrue(rows.size() >= 9, rows.size() + " cures");
        return rows.toArray(Object[][]::new);
    }

    @Test(dataProvider = "cures")
    public void aCureSaysWhatItDoesAndClearsItsFinding(Plan plan, Finding finding, Cure cure) throws Exception {
        Plan cured = cure.apply(plan);
        List<Changes.Change> changes = Changes.between(plan, cured);
        assertFalse(changes.isEmpty(), cure.says());
        for (Changes.Change change : changes) {
            assertTrue(change.says().contains("→") || change.says().matches(".* is (new|gone)"), change.says());
            assertFalse(change.says().contains("Optional"), change.says());
        }
        assertTrue(
                Checks.of(cured, Map.of()).stream()
                        .noneMatch(one -> one.check().equals(finding.check())
                                && one.at().equals(finding.at())
                                && one.path().equals(finding.path())),
                cure.says());
        Plan read = Documents.read(Documents.write(PlanDocument.of(cured))).plan();
        assertTrue(Changes.between(cured, read).isEmpty(), "written and read back it is the same");
        assertEquals(Changes.between(cured, plan).size(), changes.size(), "going back undoes as much");
    }

    /** All that is found can be left as it is, survives writing and reading, and is then open no more. */
    @Test
    public void whatIsLeftStaysLeftThroughADocument() throws Exception {
        Plan plan = plan("skarvholm-as-found");
        List<Dismissal> left = Checks.of(plan, Map.of()).stream()
                .map(one -> new Dismissal(one.check(), one.at(), one.path(), one.numbers(), "seen, \"left\""))
                .toList();
        Plan dismissed = Fields.withAt(plan, "program/dismissed", left);
        Plan read = Documents.read(Documents.write(PlanDocument.of(dismissed))).plan();
        assertEquals(Checks.of(read, Map.of()).stream().filter(Finding::isOpen).count(), 0);
        assertEquals(Checks.of(read, Map.of()).size(), left.size(), "they are told all the same");
    }

    /** From as found to current, every difference is told, and each path leads to where it stands. */
    @Test
    public void differencesLeadToTheirPlace() throws Exception {
        for (String name : List.of("hallgrund", "kvarno", "skarvholm")) {
            Plan before = plan(name + "-as-found");
            Plan after = plan(name);
            List<Changes.Change> changes = Changes.between(before, after);
            assertTrue(changes.size() > 2, name + ": " + changes);
            for (Changes.Change change : changes) {
                boolean origin = change.says().startsWith("origin of");
                boolean stands = Fields.at(before, change.path()) != null || Fields.at(after, change.path()) != null;
                assertTrue(origin || stands, name + ": " + change);
            }
        }
    }
}
