package sparen.app;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Every operation of the description, asked by an administrator with bodies that are right or wrong in one or several places: none ends in
 * a fault, whatever it is sent. {@code -Dsparen.fuzz=1000} asks each so many times, {@code -Dsparen.fuzz-seed} begins elsewhere.
 */
public class FuzzTest extends OverHttp {
    private static final int EACH = Integer.getInteger("sparen.fuzz", 5);
    /** Runs that are kept to be looked at again, and what is ready in caches: bounded each (MB). */
    private static final int MOST_KEPT_MEGABYTES = 400;
    /** These end what the others need: the session itself, and what everybody needs to go on. */
    private static final Set<String> LEFT_OUT = Set.of(
            "delete /api/session",
            "post /api/session",
            "post /api/account/sign-out-everywhere",
            "post /api/account/password",
            "put /api/organisation");

    private static final List<String> STRANGE = List.of(
            "null",
            "-1",
            "0",
            "1e308",
            "-1e-308",
            "9007199254740993",
            "1e999999",
            "\"\"",
            "\"\\u0000\"",
            "\"\\u202e\"",
            "[]",
            "[null]",
            "{}",
            "true",
            "\"2026-13-45\"",
            "\"NaN\"",
            "\"x\"",
            "[[[[[]]]]]",
            "\"" + "9".repeat(1000) + "\"");

    private final Random random = new Random(Long.getLong("sparen.fuzz-seed", 17));
    private JsonNode description;
    private JsonNode plan;
    private Map<String, String> bundle;

    @Test
    public void nothingThatIsSentIsAFault() throws Exception {
        description = JSON.readTree(Files.readString(OPENAPI));
        Browser signe = signedIn("signe");
        plan = latest(signe).get("plan");
        bundle = BundleFiles.in(signe.file("/api/sites/kvarno/bundle"));
        long before = heap();
        int asked = 0;
        int accepted = 0;
        for (Map.Entry<String, JsonNode> path : description.get("paths").properties()) {
            for (Map.Entry<String, JsonNode> operation : path.getValue().properties()) {
                if (LEFT_OUT.contains(operation.getKey() + " " + path.getKey())) {
                    continue;
                }
                for (int i = 0; i < EACH; i++) {
                    String method = operation.getKey().toUpperCase(Locale.ROOT);
                    String address = address(path.getKey(), operation.getValue());
                    JsonNode content = operation.getValue().at("/requestBody/content");
                    String type = content.isMissingNode()
                            ? "application/json"
                            : content.propertyNames().iterator().next();
                    byte[] body = content.isMissingNode()
                            ? new byte[0]
                            : body(content.get(type).get("schema"), type);
                    HttpResponse<String> answer = signe.send(method, address, type, body);
                    assertTrue(
                            answer.statusCode() < 500,
                            method + " " + address + "\n" + new String(body, StandardCharsets.UTF_8) + "\n"
                                    + answer.statusCode() + " " + answer.body());
                    asked++;
                    accepted += answer.statusCode() < 300 ? 1 : 0;
                }
            }
        }
        assertEquals(signe.get("/api/session").statusCode(), 200, "and it still answers");
        nothingIsHalfSaved(signe);
        System.out.println(
                accepted + " of " + asked + " were accepted; heap " + before + " MB before, " + heap() + " MB after");
        assertTrue(heap() < before + MOST_KEPT_MEGABYTES, before + " MB, then " + heap());
        assertTrue(asked > 50 * EACH && accepted > asked / 3, accepted + " of " + asked + " were accepted");
    }

    /** Every revision that is there is whole, or came in a bundle as one that could not be read there either; and whatever else can be read of a site is read of each. */
    private void nothingIsHalfSaved(Browser signe) throws Exception {
        for (String revision : TestDatabase.shared().ask("select site_id || '/revisions/' || number from revision")) {
            int status = signe.get("/api/sites/" + revision).statusCode();
            assertTrue(status == 200 || status == 409 && revision.startsWith("kvarno-"), revision + " " + status);
        }
        List<String> sites = TestDatabase.shared().ask("select id from site");
        for (Map.Entry<String, JsonNode> path : description.get("paths").properties()) {
            if (path.getValue().has("get") && path.getKey().matches("/api/sites/\\{siteId}/[a-z-]+")) {
                for (String site : sites) {
                    String address = path.getKey().replace("{siteId}", site);
                    HttpResponse<String> answer = signe.get(address);
                    assertTrue(answer.statusCode() < 500, address + "\n" + answer.body());
                }
            }
        }
    }

    /** What the application and this test hold in memory (MB). */
    private static long heap() {
        System.gc();
        return (Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory()) >> 20;
    }

    /** With something in each place of the path, and what is asked for besides. */
    private String address(String path, JsonNode operation) {
        StringBuilder address = new StringBuilder(
                path.replace("{siteId}", pick("hallgrund", "kvarno", "hallgrund", "kvarno", "no%00where"))
                        .replace("{number}", pick("0", "0", "1", "99", "x"))
                        .replace("{to}", pick("0", "0", "1"))
                        .replace("{output}", pick("transmitter", "transmitter", "none"))
                        .replace("{table}", pick("events", "days", "ledger", "x"))
                        .replace("{day}", pick("2026-11-02", "2026-11-02", "x"))
                        .replace("{kind}", pick("WATER_ADDED", "WATER_ADDED", "NOTHING"))
                        .replaceAll("\\{(id|crew)}", "00000000-0000-0000-0000-000000000000")
                        .replaceAll("\\{[^}]*}", "1"));
        char before = '?';
        for (JsonNode parameter : operation.path("parameters")) {
            boolean isWanted = parameter.path("required").asBoolean() || random.nextInt(4) == 0;
            if (parameter.get("in").asString().equals("query") && isWanted) {
                JsonNode value = example(parameter.get("schema"), 0);
                boolean isZone = parameter.get("name").asString().equals("zone");
                String text = random.nextInt(6) == 0
                        ? pick("-1", "x", "1e99", "", "\u0000")
                        : isZone ? "UTC" : value.asString("1");
                address.append(before)
                        .append(parameter.get("name").asString())
                        .append('=')
                        .append(URLEncoder.encode(text, StandardCharsets.UTF_8));
                before = '&';
            }
        }
        return address.toString();
    }

    private String pick(String... some) {
        return some[random.nextInt(some.length)];
    }

    private byte[] body(JsonNode schema, String type) throws IOException {
        return type.equals(BundleFiles.TYPE) ? bundle() : text(schema, type).getBytes(StandardCharsets.UTF_8);
    }

    /** A site's, with something strange in one row, or bytes that are not as they were. */
    private byte[] bundle() throws IOException {
        Map<String, String> files = new LinkedHashMap<>(bundle);
        if (random.nextInt(4) > 0) {
            String name = pick(files.keySet().toArray(String[]::new));
            List<String> lines = new ArrayList<>(files.get(name).lines().toList());
            if (!lines.isEmpty()) {
                int line = random.nextInt(lines.size());
                lines.set(line, withStrange(JSON.readTree(lines.get(line))));
            }
            files.put(name, String.join("\n", lines));
        }
        byte[] bytes = BundleFiles.zip(files);
        if (random.nextInt(6) == 0) {
            bytes[random.nextInt(bytes.length)] ^= 0x55;
        }
        return random.nextInt(10) == 0 ? Arrays.copyOf(bytes, bytes.length / 2) : bytes;
    }

    private String text(JsonNode schema, String type) {
        if (type.equals("text/csv")) {
            return pick(
                    "time,watts\n2026-01-01T00:00:00Z,5\n2026-01-01T01:00:00Z,7\n",
                    "time,ghi,temperature,volts,watts\n2026-01-01T00:00Z,0,5,25,9\n2026-01-01T01:00Z,0,5,25,9\n",
                    "time,ghi,temperature,volts,watts,min V\n2026-01-01T00:00Z,0,5,25,9,24\n2026-01-02T00:00Z,0,5,25,9,23\n",
                    "x",
                    "",
                    "time,ghi,temperature\n,,\n",
                    "\u0000,\u0000");
        }
        JsonNode right = example(schema, 0);
        String text = right.toString();
        int wrong = Math.max(0, random.nextInt(4) - 1);
        for (int i = 0; i < wrong && right.isContainer(); i++) {
            text = withStrange(right);
        }
        return random.nextInt(40) == 0 ? text.substring(0, text.length() / 2) : text;
    }

    /** With one value, anywhere in it, replaced by something strange; as text, as no tree can hold all of them. */
    private String withStrange(JsonNode tree) {
        List<JsonNode> containers = new ArrayList<>();
        collect(tree, containers);
        JsonNode container = containers.get(random.nextInt(containers.size()));
        String mark = "\"strange-mark\"";
        if (container instanceof ObjectNode object && !object.isEmpty()) {
            List<String> names = new ArrayList<>(object.propertyNames());
            String name = names.get(random.nextInt(names.size()));
            if (random.nextInt(4) == 0) {
                object.remove(name);
                return tree.toString();
            }
            object.put(name, "strange-mark");
        } else if (container instanceof ArrayNode array) {
            array.insert(random.nextInt(array.size() + 1), "strange-mark");
        }
        return tree.toString().replace(mark, STRANGE.get(random.nextInt(STRANGE.size())));
    }

    private static void collect(JsonNode tree, List<JsonNode> containers) {
        if (tree.isContainer()) {
            containers.add(tree);
            tree.forEach(one -> collect(one, containers));
        }
    }

    /** Something that a schema describes, as small as can be; of a plan a real one. */
    private JsonNode example(JsonNode schema, int depth) {
        if (schema.has("$ref")) {
            String name = schema.get("$ref").asString().replaceFirst(".*/", "");
            return switch (name) {
                case "Plan" -> plan.deepCopy();
                case "PlanDocument" ->
                    JSON.createObjectNode().put("schemaVersion", 1).set("plan", plan.deepCopy());
                case "LogEntry" ->
                    JSON.createObjectNode()
                            .put("id", UUID.randomUUID().toString())
                            .put("kind", "NOTE")
                            .put("at", "2026-03-01T00:00:00Z")
                            .put("note", "x");
                case "WeatherChoice" -> JSON.createObjectNode().set("place", JSON.createObjectNode());
                default -> example(description.at("/components/schemas/" + name), depth + 1);
            };
        }
        if (schema.has("oneOf")) {
            return example(schema.get("oneOf").get(0), depth + 1);
        }
        if (schema.has("enum")) {
            return schema.get("enum").get(0);
        }
        return switch (schema.path("type").asString("object")) {
            case "integer" -> JSON.getNodeFactory().numberNode(1);
            case "number" -> JSON.getNodeFactory().numberNode(1.5);
            case "boolean" -> JSON.getNodeFactory().booleanNode(random.nextBoolean());
            case "array" -> JSON.createArrayNode();
            case "string" ->
                JSON.getNodeFactory()
                        .stringNode(Map.of("date", "2026-03-01", "date-time", "2026-03-01T00:00:00Z")
                                .getOrDefault(schema.path("format").asString(""), "x" + random.nextInt(1000)));
            default -> object(schema, depth);
        };
    }

    private JsonNode object(JsonNode schema, int depth) {
        ObjectNode object = JSON.createObjectNode();
        List<String> required = new ArrayList<>();
        schema.path("required").forEach(one -> required.add(one.asString()));
        for (Map.Entry<String, JsonNode> property : schema.path("properties").properties()) {
            boolean isWanted = required.contains(property.getKey()) || random.nextInt(4) == 0;
            if (isWanted && depth < 12) {
                object.set(property.getKey(), example(property.getValue(), depth));
            }
        }
        return object;
    }
}
