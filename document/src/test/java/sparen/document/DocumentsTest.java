package sparen.document;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.lang.reflect.RecordComponent;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.program.ChargeProgram;
import sparen.program.DuskToDawn;
import sparen.program.LowBatterySignal;
import sparen.program.Origin;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Program;
import sparen.program.VoltageDisconnect;
import sparen.site.BatteryBank;
import sparen.site.BatteryTable;
import sparen.site.Cable;
import sparen.site.ChargeController;
import sparen.site.Consumption;
import sparen.site.CurrentSource;
import sparen.site.Load;
import sparen.site.Location;
import sparen.site.RcPair;
import sparen.site.SensePoint;
import sparen.site.Site;
import sparen.site.SolarArray;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

public class DocumentsTest {
    private static final Path DEMO = Path.of("../demo/hallgrund.json");
    private static final Path SCHEMA = Path.of("../docs/schema/plan-1.schema.json");

    private static String demo() throws IOException {
        return Files.readString(DEMO);
    }

    @Test
    public void whatIsWrittenReadsBackEqual() throws Exception {
        PlanDocument document = Documents.read(demo());
        assertEquals(Documents.read(Documents.write(document)), document);
    }

    @DataProvider
    public Object[][] broken() {
        return new Object[][] {
            {
                "\"lvdVolts\": 11.7",
                "\"lvdVolts\": -1",
                "/plan/program/outputs/0/protection/lvdVolts",
                "-1 V is outside 0 to 1000 V"
            },
            {
                "\"lvdVolts\": 11.7",
                "\"lvdVolts\": \"low\"",
                "/plan/program/outputs/0/protection/lvdVolts",
                "a number is expected here"
            },
            {
                "\"lvdVolts\": 11.7",
                "\"lvdVolts\": 11.7, \"lvdVolt\": 3",
                "/plan/program/outputs/0/protection/lvdVolt",
                "no field \"lvdVolt\""
            },
            {
                "\"watts\": 13.5",
                "\"watts\": 1e9",
                "/plan/site/loads/0/consumption/watts",
                "1000000000 W is outside 0 to 100000 W"
            },
            {"[\"transmitter\"]", "[\"beacon\"]", "/plan/program/outputs/loads", "\"beacon\" is not one of"},
            {"\"schemaVersion\": 1", "\"schemaVersion\": 7", "/schemaVersion", "7 is not known"},
            {
                "\"kind\": \"resistance\"",
                "\"kind\": \"magnet\"",
                "/plan/site/loads/1/consumption",
                "an object with \"kind\" one of [constantPower, resistance, importedProfile]"
            },
            {"\"highestVolts\": 14.4", "\"highestVolts\": 10", "/plan/site/battery/highestVolts", "must be above 10.9"},
        };
    }

    /** Each error names the field by pointer, and value, unit and bound in words. */
    @Test(dataProvider = "broken")
    public void namesTheFieldThatIsWrong(String good, String bad, String pointer, String words) throws IOException {
        String json = demo();
        assertTrue(json.contains(good), good);
        DocumentProblem problem = expectThrows(
                DocumentProblem.class,
                () -> Documents.read(json.replaceFirst(java.util.regex.Pattern.quote(good), bad)));
        assertEquals(problem.pointer(), pointer);
        assertTrue(problem.getMessage().contains(words), problem.getMessage());
    }

    @Test
    public void refusesWhatIsNoJson() {
        DocumentProblem problem = expectThrows(DocumentProblem.class, () -> Documents.read("{\"plan\": "));
        assertTrue(problem.getMessage().startsWith("not JSON"), problem.getMessage());
    }

    /** The published schema takes the shipped documents and refuses what the program refuses. */
    @Test
    public void publishedSchemaAgreesWithTheProgram() throws IOException {
        Schema schema = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(Files.readString(SCHEMA));
        for (String name : List.of("hallgrund", "hallgrund-as-found")) {
            String json = Files.readString(Path.of("../demo/" + name + ".json"));
            assertEquals(schema.validate(json, InputFormat.JSON).toString(), "[]", name);
        }
        String wrong = demo().replace("\"lvdVolts\": 11.7", "\"lvdVolts\": -1");
        assertTrue(!schema.validate(wrong, InputFormat.JSON).isEmpty());
    }

    /** Every record of a document has its definition in the schema, with the same fields and the same ones required. */
    @Test
    public void schemaHasEveryFieldOfEveryRecord() throws IOException {
        JsonNode definitions =
                JsonMapper.builder().build().readTree(SCHEMA.toFile()).get("$defs");
        List<Class<?>> records = List.of(
                BatteryBank.class,
                BatteryTable.class,
                Cable.class,
                ChargeController.class,
                ChargeProgram.class,
                Consumption.ConstantPower.class,
                Consumption.Resistance.class,
                Consumption.ImportedProfile.class,
                CurrentSource.class,
                CurrentSource.Point.class,
                DuskToDawn.class,
                Load.class,
                Location.class,
                LowBatterySignal.class,
                Origin.class,
                Output.class,
                Plan.class,
                Program.class,
                RcPair.class,
                SensePoint.class,
                Site.class,
                SolarArray.class,
                VoltageDisconnect.class);
        for (Class<?> type : records) {
            JsonNode definition = definitions.get(type.getSimpleName());
            Set<String> fields = new TreeSet<>(definition.get("properties").propertyNames());
            Set<String> components = List.of(type.getRecordComponents()).stream()
                    .map(RecordComponent::getName)
                    .collect(Collectors.toCollection(TreeSet::new));
            if (!components.contains("kind")) {
                fields.remove("kind");
            }
            assertEquals(fields, components, type.getSimpleName());
        }
        assertEquals(definitions.size(), records.size() + 2, "the two sealed types besides");
    }
}
