package sparen.document;

import static org.testng.Assert.assertEquals;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;
import sparen.check.Checks;
import sparen.check.Finding;

/** No check cries wolf on the demo sites' current programs. */
public class DemoFindingsTest {
    @Test
    public void currentProgramsAreClean() throws IOException, DocumentProblem {
        StringBuilder told = new StringBuilder();
        for (String name : List.of("hallgrund", "kvarno", "skarvholm")) {
            var plan = Documents.read(Files.readString(Path.of("../demo/" + name + ".json")))
                    .plan();
            for (Finding finding : Checks.of(plan, Map.of())) {
                told.append(
                        String.format("%n%s: %s at %s: %s", name, finding.check(), finding.at(), finding.compared()));
            }
        }
        assertEquals(told.toString(), "");
    }
}
