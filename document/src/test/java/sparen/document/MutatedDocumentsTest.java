package sparen.document;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.quantity.Place;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Every single value of the demo documents replaced by what it cannot be, one at a time: each document is refused with a pointer to
 * the place or to what holds it, and by nothing but the error that readers of documents expect.
 */
public class MutatedDocumentsTest {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private static JsonNode document(String name) throws Exception {
        return JSON.readTree(Files.readString(Path.of("../demo/" + name + ".json")));
    }

    @DataProvider
    private Object[][] documents() {
        return new Object[][] {{"hallgrund"}, {"kvarno"}, {"skarvholm"}};
    }

    /** Pointers of all values, with the node that holds each. */
    private static void collect(String pointer, JsonNode node, List<String> into) {
        if (node instanceof ObjectNode object) {
            for (Map.Entry<String, JsonNode> entry : object.properties()) {
                collect(pointer + "/" + entry.getKey().replace("~", "~0").replace("/", "~1"), entry.getValue(), into);
            }
        } else if (node instanceof ArrayNode array) {
            for (int i = 0; i < array.size(); i++) {
                collect(pointer + "/" + i, array.get(i), into);
            }
        } else {
            into.add(pointer);
        }
    }

    private static String mutated(JsonNode document, String pointer, JsonNode value) {
        JsonNode copy = document.deepCopy();
        int end = pointer.lastIndexOf('/');
        JsonNode holder = copy.at(pointer.substring(0, end));
        String key = pointer.substring(end + 1).replace("~1", "/").replace("~0", "~");
        if (holder instanceof ObjectNode object) {
            object.set(key, value);
        } else {
            ((ArrayNode) holder).set(Integer.parseInt(key), value);
        }
        return copy.toString();
    }

    @Test(dataProvider = "documents")
    public void aWrongTypeIsRefusedAtItsPlace(String name) throws Exception {
        JsonNode document = document(name);
        List<String> pointers = new ArrayList<>();
        collect("", document, pointers);
        assertTrue(pointers.size() > 100, pointers.size() + " values");
        for (String pointer : pointers) {
            JsonNode wrong = JsonNodeFactory.instance.objectNode().put("not", "expected");
            refused(mutated(document, pointer, wrong), pointer);
        }
    }

    @Test(dataProvider = "documents")
    public void anImpossibleNumberIsRefusedAtItsPlace(String name) throws Exception {
        JsonNode document = document(name);
        List<String> pointers = new ArrayList<>();
        collect("", document, pointers);
        for (String pointer : pointers) {
            if (document.at(pointer).isNumber() && !pointer.equals("/schemaVersion")) {
                refused(mutated(document, pointer, JsonNodeFactory.instance.numberNode(-1e15)), pointer);
                refused(mutated(document, pointer, JsonNodeFactory.instance.stringNode("12")), pointer);
            }
        }
    }

    /** A reference that leads nowhere is refused too, and told by its name. */
    @Test(dataProvider = "documents")
    public void aReferenceToNothingIsRefused(String name) throws Exception {
        JsonNode document = document(name);
        List<String> pointers = new ArrayList<>();
        collect("", document, pointers);
        int tried = 0;
        for (String pointer : pointers) {
            if (pointer.matches(".*/(feed|sensePoint|monitor|controller|supply|loads/\\d+|arrays/\\d+)")) {
                String text = mutated(document, pointer, JsonNodeFactory.instance.stringNode("nobody"));
                DocumentProblem problem = problem(text);
                assertTrue(
                        problem.getMessage().contains("nobody")
                                || problem.getMessage().contains("\""),
                        pointer);
                tried++;
            }
        }
        assertTrue(tried >= 6, tried + " references");
    }

    /** A document cut off anywhere is not JSON, and never half read. */
    @Test
    public void aDocumentCutOffIsRefused() throws Exception {
        String text = document("hallgrund").toString();
        for (int end = 0; end < text.length(); end += 97) {
            problem(text.substring(0, end));
        }
    }

    private static void refused(String text, String indexed) {
        DocumentProblem problem = problem(text);
        String pointer = Place.withIds(JSON.readValue(text, Object.class), indexed);
        String told = problem.pointer();
        boolean near = pointer.startsWith(told) || told.startsWith(pointer) || sameHolder(told, pointer);
        assertTrue(near, pointer + " is told at " + told + ": " + problem.getMessage());
    }

    /** What only two fields together make impossible may be told at either, or at what holds both. */
    private static boolean sameHolder(String told, String pointer) {
        String holder = pointer.substring(0, pointer.lastIndexOf('/'));
        return told.startsWith(holder) || holder.startsWith(told.replaceAll("/[^/]*$", ""));
    }

    private static DocumentProblem problem(String text) {
        try {
            PlanDocument read = Documents.read(text);
            throw new AssertionError(
                    "was read: " + read.plan().site().name() + " from " + text.length() + " characters");
        } catch (DocumentProblem problem) {
            assertEquals(problem.getMessage().isBlank(), false);
            return problem;
        }
    }
}
