package sparen.document;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.bench.AutoBench;
import sparen.bench.AutoBench.Row;
import sparen.program.Plan;
import sparen.program.TestForce;
import sparen.quantity.Fields;

/** The generated commissioning test of each demo site. */
public class AutoBenchTest {
    private static Plan plan(String name) throws Exception {
        return Documents.read(Files.readString(Path.of("../demo/" + name + ".json")))
                .plan();
    }

    @DataProvider
    private Object[][] sites() {
        return new Object[][] {{"hallgrund", 6}, {"kvarno", 10}, {"skarvholm", 8}};
    }

    /** Every level of the current programs acts where it says, and stays a hundredth of a volt before. */
    @Test(dataProvider = "sites")
    public void everyLevelActsWhereItSays(String name, int least) throws Exception {
        List<Row> rows = AutoBench.walk(plan(name));
        assertTrue(rows.size() >= least, name + " has " + rows.size() + " levels: " + rows);
        for (Row row : rows) {
            assertTrue(row.asExpected(), name + ": " + row);
            assertFalse(row.reason().isBlank(), row.toString());
        }
    }

    /** The delay that is measured is the one programmed. */
    @Test
    public void measuresTheDelay() throws Exception {
        Plan plan = plan("hallgrund");
        String path = "program/outputs/transmitter-disconnect/protection/";
        Plan slow = Fields.withAt(Fields.withAt(plan, path + "lvdDelaySeconds", 95.0), path + "lvdVolts", 11.9);
        Row lvd = AutoBench.walk(slow).stream()
                .filter(row -> row.output().equals("transmitter-disconnect")
                        && row.term().equals("LVD"))
                .findFirst()
                .orElseThrow();
        assertEquals(lvd.movedAfterSeconds().orElseThrow(), 95, 1e-6);
        // The controller reads 0.03 V too low, so the true voltage at its bus is 0.03 V above the level when it acts.
        assertEquals(lvd.expected(), 11.93, 1e-9);
    }

    /** A level that cannot be reached never switches, and is told so. */
    @Test
    public void tellsWhatNeverSwitches() throws Exception {
        Plan plan = plan("hallgrund");
        String path = "program/outputs/transmitter-disconnect/";
        Plan stuck = Fields.withAt(plan, path + "testForce", TestForce.CLOSED);
        List<Row> rows = AutoBench.walk(stuck).stream()
                .filter(row -> row.output().equals("transmitter-disconnect"))
                .toList();
        assertEquals(rows.size(), 2);
        for (Row row : rows) {
            assertEquals(row.movedAfterSeconds(), Optional.empty());
            assertFalse(row.asExpected());
        }
    }
}
