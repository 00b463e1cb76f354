package sparen.document;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotNull;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.program.Mode;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Sentence;
import sparen.quantity.Unit;
import sparen.question.Kinds;
import sparen.site.Reference;
import sparen.study.Absence;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

public class DocumentsTest {
    private static final Path DEMO = Path.of("../demo/hallgrund.json");
    /** The numbers that have no unit, or one that depends on what they are compared with or set. */
    private static final Set<String> RATIOS_AND_COUNTS = Set.of(
            ("address againStateOfCharge alarmStateOfCharge busy capacityFraction capacityShare cellsInSeries chargeEfficiency chargeOffset clearness coverFraction cutOffStateOfCharge efficiency endStateOfCharge exportLimitFraction factor factory"
                            + " failureFraction growthFactor least leastLoadFraction leg legs level lossFraction months most mostTries"
                            + " normalValue ofOurs outputs perOutput powerFactor proportionalLoss quadraticLoss quietMonths resistanceFactor"
                            + " restartStateOfCharge scale startStateOfCharge stateOfCharge statesOfCharge step summer surgeFactor timesBulk toAcStateOfCharge"
                            + " toBatteryStateOfCharge trips units unlock value winter words")
                    .split(" "));

    private static final Path SCHEMA = Path.of("../docs/schema/plan-1.schema.json");

    /** Types with kinds that are part of a document; sentences are made, not stored. */
    private static final Set<Class<?>> WITH_KINDS = Kinds.ALL.keySet().stream()
            .filter(type -> type != Sentence.Part.class)
            .collect(Collectors.toSet());

    private static final List<String> DEMOS =
            List.of("hallgrund", "hallgrund-as-found", "kvarno", "kvarno-as-found", "skarvholm", "skarvholm-as-found");

    private static String demo() throws IOException {
        return Files.readString(DEMO);
    }

    @Test
    public void readsTheWordsOfBefore() throws Exception {
        String now = Files.readString(Path.of("../demo/kvarno.json"));
        String before = now.replace("\"mode\": \"BY_RULE\"", "\"wish\": \"AUTOMATIC\"")
                .replace("\"mode\": \"ON\"", "\"wish\": \"ON\"");
        assertTrue(before.contains("AUTOMATIC") && !before.contains("\"mode\": \"ON\""), before);
        assertEquals(Documents.read(before), Documents.read(now));
    }

    /** What nobody can see is refused where it comes in; a plan that was kept with it before is read as ever. */
    @Test
    public void whatWasKeptBeforeStaysReadable() throws Exception {
        String kept = demo().replaceFirst("\"name\": \"", "\"name\": \"\\\\u202e");
        assertTrue(Documents.read(kept).plan().site().name().startsWith("\u202e"), kept.substring(0, 200));
    }

    @Test
    public void whatIsWrittenReadsBackEqual() throws Exception {
        for (String name : DEMOS) {
            PlanDocument document = Documents.read(Files.readString(Path.of("../demo/" + name + ".json")));
            assertEquals(Documents.read(Documents.write(document)), document, name);
        }
    }

    @DataProvider
    public Object[][] broken() {
        return new Object[][] {
            {
                "\"lvdVolts\": 11.7",
                "\"lvdVolts\": -1",
                "/plan/program/outputs/transmitter-disconnect/protection/lvdVolts",
                "-1 V is outside 0 to 1000 V"
            },
            {
                "\"lvdVolts\": 11.7",
                "\"lvdVolts\": \"low\"",
                "/plan/program/outputs/transmitter-disconnect/protection/lvdVolts",
                "a number is expected here"
            },
            {
                "\"lvdVolts\": 11.7",
                "\"lvdVolts\": 11.7, \"lvdVolt\": 3",
                "/plan/program/outputs/transmitter-disconnect/protection/lvdVolt",
                "no field \"lvdVolt\""
            },
            {
                "\"watts\": 13.5",
                "\"watts\": 1e9",
                "/plan/site/loads/transmitter/consumption/watts",
                "1000000000 W is outside 0 to 100000 W"
            },
            {"[\"transmitter\"]", "[\"beacon\"]", "/plan/program/outputs/loads", "\"beacon\" is not one of"},
            {"\"schemaVersion\": 1", "\"schemaVersion\": 7", "/schemaVersion", "7 is not known"},
            {
                "\"kind\": \"resistance\"",
                "\"kind\": \"magnet\"",
                "/plan/site/loads/marker-light/consumption",
                "an object with \"kind\" one of [constantCurrent, constantPower, cycling, importedProfile, occupancy, resistance, scheduled]"
            },
            {"\"highestVolts\": 14.4", "\"highestVolts\": 10", "/plan/site/battery/highestVolts", "must be above 10.9"},
        };
    }

    /** Each error names the field by pointer, and value, unit and bound in words. */
    @Test(dataProvider = "broken")
    public void namesTheFieldThatIsWrong(String good, String bad, String pointer, String words) throws IOException {
        String json = demo();
        assertTrue(json.contains(good), good);
        DocumentProblem problem =
                expectThrows(DocumentProblem.class, () -> Documents.read(json.replaceFirst(Pattern.quote(good), bad)));
        assertEquals(problem.pointer(), pointer);
        assertTrue(problem.getMessage().contains(words), problem.getMessage());
    }

    /** An editor's note of which schema a document is of is passed over, and not kept. */
    @Test
    public void aDocumentMayNameItsSchema() throws Exception {
        String json = "{\"$schema\": \"plan-1.schema.json\"," + demo().substring(1);
        assertEquals(Documents.read(json), Documents.read(demo()));
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
        for (String name : DEMOS) {
            String json = Files.readString(Path.of("../demo/" + name + ".json"));
            assertEquals(schema.validate(json, InputFormat.JSON).toString(), "[]", name);
        }
        String wrong = demo().replace("\"lvdVolts\": 11.7", "\"lvdVolts\": -1");
        assertTrue(!schema.validate(wrong, InputFormat.JSON).isEmpty());
    }

    /** The number that weather is drawn by was once called a seed: what was kept then is read, and written by its name of today. */
    @Test
    public void aWeatherNumberOnceCalledASeedIsRead() {
        JsonMapper json = Documents.configure(JsonMapper.builder()).build();
        Absence.Question asked = json.readValue("{\"runs\":8,\"seed\":3,\"loadSpread\":0.1}", Absence.Question.class);
        assertEquals(asked.weatherNumber(), 3);
        assertTrue(json.writeValueAsString(asked).contains("\"weatherNumber\":3"));
    }

    /** A document of before, in which a mode was a wish and a contact was dead without power, is read as ever. */
    @Test
    public void theWordsOfBeforeAreRead() throws Exception {
        String older = demo().replace("\"mode\": \"BY_RULE\"", "\"wish\": \"AUTOMATIC\", \"dead\": \"CLOSED\"");
        assertFalse(older.equals(demo()));
        List<Output> byRule = Documents.read(older).plan().program().outputs().stream()
                .filter(output -> output.mode() == Mode.BY_RULE)
                .toList();
        assertFalse(byRule.isEmpty());
        byRule.forEach(output -> assertEquals(output.withoutPower(), Optional.of(Output.Position.CLOSED)));
    }

    /** Every record of a document has its definition in the schema, with the same fields and the same ones required. */
    @Test
    public void schemaHasEveryFieldOfEveryRecord() throws IOException {
        JsonNode definitions =
                JsonMapper.builder().build().readTree(SCHEMA.toFile()).get("$defs");
        Set<Class<?>> records = new LinkedHashSet<>();
        gather(Plan.class, records);
        for (Class<?> type : records) {
            JsonNode definition = definitions.get(type.getSimpleName());
            String where = "docs/schema/plan-1.schema.json, $defs/" + type.getSimpleName();
            assertNotNull(
                    definition,
                    where + " is missing: write it with the properties "
                            + Arrays.stream(type.getRecordComponents())
                                    .map(RecordComponent::getName)
                                    .toList()
                            + ", and list it where its kind can stand");
            Set<String> fields = new TreeSet<>(definition.get("properties").propertyNames());
            Set<String> components = List.of(type.getRecordComponents()).stream()
                    .map(RecordComponent::getName)
                    .collect(Collectors.toCollection(TreeSet::new));
            if (!components.contains("kind")) {
                fields.remove("kind");
            }
            assertEquals(fields, components, where + "/properties has the components of the record");
            Set<String> titles = new TreeSet<>();
            for (RecordComponent component : type.getRecordComponents()) {
                JsonNode property = definition.get("properties").get(component.getName());
                assertTrue(
                        !property.has("title")
                                || titles.add(property.get("title").asString()),
                        where + ": two fields are called " + property.path("title"));
                assertConstants(component, property);
                assertUnit(type, component, property);
                assertReference(type, component, property);
                assertUsual(type, component, property);
            }
        }
        assertEquals(definitions.size(), records.size() + WITH_KINDS.size(), "the types with kinds besides");
        definitions.properties().forEach(type -> {
            for (String said : List.of("title", "description")) {
                assertFalse(
                        type.getValue().path(said).asString("").isBlank(),
                        "docs/schema/plan-1.schema.json, $defs/" + type.getKey() + " has no " + said);
            }
        });
    }

    /** An enumeration, optional or not, has the same constants in the schema. */
    private static void assertConstants(RecordComponent component, JsonNode property) {
        Type type = component.getGenericType() instanceof ParameterizedType generic
                ? generic.getActualTypeArguments()[0]
                : component.getGenericType();
        if (type instanceof Class<?> one && one.isEnum() && property.has("enum")) {
            assertEquals(
                    property.get("enum").toString(),
                    List.of(one.getEnumConstants()).stream()
                            .map(constant -> "\"" + constant + "\"")
                            .collect(Collectors.joining(",", "[", "]")),
                    component.toString());
        }
    }

    /** Every number has the unit of its name in the schema, and the words a form calls it by. */
    private static void assertUnit(Class<?> type, RecordComponent component, JsonNode property) {
        String whole = component.getGenericType().getTypeName();
        if (!whole.matches("double|int|.*<java.lang.(Double|Integer)>")) {
            return;
        }
        String field = component.getName();
        String where = "docs/schema/plan-1.schema.json, $defs/" + type.getSimpleName() + "/properties/" + field;
        Unit unit = Unit.of(field);
        assertEquals(property.path("unit").asString(""), unit.symbol(), "unit in " + where);
        assertEquals(property.path("title").asString("").isBlank(), unit == Unit.NONE, "title in " + where);
        boolean isShare =
                unit == Unit.NONE && property.path("description").asString("").contains("(fraction)");
        assertEquals(property.path("share").asBoolean(false), isShare, "share, shown in %, in " + where);
        assertEquals(
                unit == Unit.NONE,
                RATIOS_AND_COUNTS.contains(field),
                field + " has the unit \"" + unit.symbol()
                        + "\": name its unit in its name (quantity/Unit), or list it here");
    }

    /** Every text that is the id of another part says in which lists that part can stand. */
    private static void assertReference(Class<?> type, RecordComponent component, JsonNode property) {
        String whole = component.getGenericType().getTypeName();
        Optional<Reference> named = whole.matches("(java.util.\\w+<)?java.lang.String>?")
                ? Reference.of(type.getSimpleName(), component.getName())
                : Optional.empty();
        assertEquals(
                property.path("refersTo").valueStream().map(JsonNode::asString).toList(),
                named.map(Reference::lists).orElse(List.of()),
                "refersTo in docs/schema/plan-1.schema.json, $defs/" + type.getSimpleName() + "/properties/"
                        + component.getName() + " is what site/Reference says");
    }

    /** What a form begins an optional number with is no bound, but what it usually is, within the bounds. */
    private static void assertUsual(Class<?> type, RecordComponent component, JsonNode property) {
        boolean optional = component.getGenericType().getTypeName().matches(".*Optional<java.lang.(Double|Integer)>");
        // A charger's come from UsualCharging, for the battery they are for; a device's own from its maker.
        boolean elsewhere =
                List.of("ChargeDetails", "AbsorptionEnd", "NumberKnob").contains(type.getSimpleName());
        JsonNode usual = property.has("usual") ? property.get("usual") : property.path("usualOf12Volts");
        String where = "usual in docs/schema/plan-1.schema.json, $defs/" + type.getSimpleName() + "/properties/"
                + component.getName();
        assertTrue(!optional || elsewhere || property.has("enum") || usual.isNumber(), where + " is missing");
        if (usual.isNumber()) {
            double least = property.path("minimum").asDouble(Double.NEGATIVE_INFINITY);
            double above = property.path("exclusiveMinimum").asDouble(Double.NEGATIVE_INFINITY);
            double most = property.path("maximum").asDouble(Double.POSITIVE_INFINITY);
            double number = usual.asDouble();
            assertTrue(number >= least && number > above && number <= most, where + " is within its bounds");
        }
    }

    /** All records that a plan is made of, found by their components. */
    private static void gather(Type type, Set<Class<?>> records) {
        if (type instanceof ParameterizedType generic) {
            for (Type argument : generic.getActualTypeArguments()) {
                gather(argument, records);
            }
        } else if (type instanceof Class<?> one && WITH_KINDS.contains(one)) {
            for (Class<?> permitted : Kinds.ALL.get(one).values()) {
                gather(permitted, records);
            }
        } else if (type instanceof Class<?> one && one.isRecord() && records.add(one)) {
            for (RecordComponent component : one.getRecordComponents()) {
                gather(component.getGenericType(), records);
            }
        }
    }
}
