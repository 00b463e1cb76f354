package sparen.document;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Surroundings;
import sparen.program.rule.RuleKind;
import sparen.program.rule.Rules;
import sparen.quantity.Fields;
import sparen.quantity.InvalidQuantity;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Every number of every record that a document can hold has a bound, and what is beyond it is refused by name. */
public class RefusalsTest {
    /** What no volt, watt, hour, kelvin or year of this trade can be. */
    private static final double BEYOND = 1e15;

    private static final Pattern BOUNDS = Pattern.compile("outside (\\S+) to (\\S+)|above (\\S+) and at most (\\S+)");

    private final Map<Class<?>, Record> specimens = new LinkedHashMap<>();

    /** One of each record that occurs in the demo sites, with every rule as it is proposed there. */
    private void collect(Object found) throws ReflectiveOperationException {
        if (found instanceof Optional<?> optional) {
            if (optional.isPresent()) {
                collect(optional.get());
            }
        } else if (found instanceof Collection<?> all) {
            for (Object one : all) {
                collect(one);
            }
        } else if (found instanceof Map<?, ?> map) {
            collect(map.values());
        } else if (found instanceof Record record) {
            specimens.putIfAbsent(record.getClass(), record);
            for (RecordComponent component : record.getClass().getRecordComponents()) {
                collect(component.getAccessor().invoke(record));
            }
        }
    }

    @DataProvider
    private Object[][] numbers() throws Exception {
        for (String site : List.of("hallgrund", "kvarno", "skarvholm")) {
            Plan plan = Documents.read(Files.readString(Path.of("../demo/" + site + ".json")))
                    .plan();
            collect(plan);
            Output output = plan.program().outputs().get(0);
            Surroundings around = Surroundings.of(plan).at(output);
            for (RuleKind kind : Rules.ALL) {
                collect(kind.usual().apply(around));
            }
        }
        List<Object[]> rows = new ArrayList<>();
        for (Record record : specimens.values()) {
            for (RecordComponent component : record.getClass().getRecordComponents()) {
                Class<?> type = component.getType();
                boolean optional = type == Optional.class
                        && ((ParameterizedType) component.getGenericType()).getActualTypeArguments()[0] == Double.class;
                if (type == double.class || optional) {
                    rows.add(new Object[] {record, component.getName(), optional});
                }
            }
        }
        assertTrue(rows.size() > 200, rows.size() + " numbers were found");
        return rows.toArray(Object[][]::new);
    }

    @Test(dataProvider = "numbers")
    public void aNumberBeyondItsBoundIsRefusedByName(Record record, String component, boolean optional) {
        for (double beyond : new double[] {-BEYOND, BEYOND, Double.NaN, Double.NEGATIVE_INFINITY}) {
            Object value = optional ? Optional.of(beyond) : (Object) beyond;
            String what = record.getClass().getSimpleName() + "." + component + " = " + beyond;
            InvalidQuantity refused = expectThrows(InvalidQuantity.class, () -> Fields.with(record, component, value));
            assertEquals(refused.field(), component, what);
            String says = refused.getMessage().substring(component.length());
            assertTrue(says.matches("(?s).*\\d.*"), what + " names no bound: " + says);
        }
    }

    /** What a form offers by the schema is what the record takes; a bound that is another number of the record is that record's alone. */
    @Test
    public void theSchemaHasTheBoundsOfTheRecords() throws Exception {
        JsonNode definitions = JsonMapper.builder()
                .build()
                .readTree(Path.of("../docs/schema/plan-1.schema.json").toFile())
                .get("$defs");
        List<String> apart = new ArrayList<>();
        for (Object[] row : numbers()) {
            Record record = (Record) row[0];
            String component = (String) row[1];
            Object below = (boolean) row[2] ? Optional.of(-BEYOND) : (Object) (-BEYOND);
            InvalidQuantity refused = expectThrows(InvalidQuantity.class, () -> Fields.with(record, component, below));
            Matcher bounds = BOUNDS.matcher(refused.getMessage());
            JsonNode property = definitions
                    .path(record.getClass().getSimpleName())
                    .path("properties")
                    .path(component);
            if (!bounds.find() || property.has("enum") || property.isMissingNode()) {
                continue;
            }
            boolean above = bounds.group(1) == null;
            double least = Double.parseDouble(above ? bounds.group(3) : bounds.group(1));
            double most = Double.parseDouble(above ? bounds.group(4) : bounds.group(2));
            String key = above ? "exclusiveMinimum" : "minimum";
            if (!others(record, component).contains(least) && property.path(key).asDouble(Double.NaN) != least) {
                apart.add(record.getClass().getSimpleName() + "." + component + " " + key + " " + least);
            }
            if (!others(record, component).contains(most)
                    && property.path("maximum").asDouble(Double.NaN) != most) {
                apart.add(record.getClass().getSimpleName() + "." + component + " maximum " + most);
            }
        }
        assertEquals(apart, List.of(), "to be put into docs/schema/plan-1.schema.json: " + String.join("; ", apart));
    }

    /** The other numbers of a record. */
    private static List<Double> others(Record record, String component) throws ReflectiveOperationException {
        List<Double> others = new ArrayList<>();
        for (RecordComponent other : record.getClass().getRecordComponents()) {
            Object value = other.getAccessor().invoke(record);
            if (!other.getName().equals(component) && value instanceof Double number) {
                others.add(number);
            }
        }
        return others;
    }

    @Test(dataProvider = "references")
    public void aMissingPartIsRefusedByName(Record record, String component) {
        InvalidQuantity refused = expectThrows(InvalidQuantity.class, () -> Fields.with(record, component, null));
        assertEquals(refused.field(), component, record.getClass().getSimpleName() + "." + component);
    }

    /** What a document may leave out is optional or a list that may be empty; all else must be there. */
    @DataProvider
    private Object[][] references() throws Exception {
        numbers();
        List<Object[]> rows = new ArrayList<>();
        for (Record record : specimens.values()) {
            for (RecordComponent component : record.getClass().getRecordComponents()) {
                Class<?> type = component.getType();
                boolean mayBeLeftOut = type.isPrimitive()
                        || type == Optional.class
                        || type == Boolean.class
                        || Collection.class.isAssignableFrom(type)
                        || Map.class.isAssignableFrom(type);
                if (!mayBeLeftOut) {
                    rows.add(new Object[] {record, component.getName()});
                }
            }
        }
        return rows.toArray(Object[][]::new);
    }
}
