package sparen.app;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.Predicate;
import java.util.stream.StreamSupport;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What is done with a plan beside saving it: drafts, names, comparing, dismissing, scaling, exporting, proposing to many. */
public class PlanApiTest extends OverHttp {
    private static ObjectNode body(String field, JsonNode value) {
        ObjectNode body = JSON.createObjectNode();
        body.set(field, value);
        return body;
    }

    private static ObjectNode level(String term, double volts) {
        return JSON.createObjectNode().put("term", term).put("volts", volts);
    }

    private static JsonNode plan(Browser who, String site, int revision) throws Exception {
        return json(who.get("/api/sites/" + site + "/revisions/" + revision)).get("plan");
    }

    /** Changes are kept for whoever made them; others are told that there are some, and a saved revision ends them. */
    @Test
    public void keepsWhatIsNotSavedYet() throws Exception {
        Browser liv = signedIn("liv");
        Browser odd = signedIn("odd");
        ObjectNode loaded = latest(liv);
        int number = loaded.at("/revision/number").asInt();
        ObjectNode draft = body("plan", withLvd(loaded, 11.47)).put("parent", number);
        String drafts = "/api/sites/hallgrund/drafts";
        assertEquals(
                liv.send("PUT", drafts, "application/json", draft.toString()).statusCode(), 200);
        assertEquals(
                odd.send("PUT", drafts, "application/json", draft.toString()).statusCode(), 403);
        JsonNode mine = json(liv.get(drafts)).get("mine");
        assertEquals(mine.at("/plan/program/outputs/0/protection/lvdVolts").asDouble(), 11.47);
        assertEquals(mine.get("parent").asInt(), number);
        JsonNode seenByOdd = json(odd.get(drafts));
        assertFalse(seenByOdd.has("mine"));
        assertEquals(seenByOdd.at("/others/0/author").asString(), "Liv Nordhavn");
        assertEquals(latest(odd).at("/revision/number").asInt(), number, "a draft is no revision");

        ((ObjectNode) draft.at("/plan/program/outputs/0/protection")).put("lvdVolts", -3);
        assertEquals(
                liv.send("PUT", drafts, "application/json", draft.toString()).statusCode(), 422);
        assertEquals(
                json(liv.get(drafts))
                        .at("/mine/plan/program/outputs/0/protection/lvdVolts")
                        .asDouble(),
                11.47,
                "what cannot be does not replace what was kept");

        liv.post("/api/sites/hallgrund/revisions", newRevision(loaded, withLvd(loaded, 11.47)));
        assertFalse(json(liv.get(drafts)).has("mine"), "saved, so no draft any more");
        assertEquals(liv.send("DELETE", drafts, "application/json", "").statusCode(), 204);
    }

    /** A revision that was sent and whose answer never came is sent again: it is there once, and the answer is the same. */
    @Test
    public void aRevisionSentTwiceIsSavedOnce() throws Exception {
        Browser liv = signedIn("liv");
        ObjectNode loaded = latest(liv);
        ObjectNode next = newRevision(loaded, withLvd(loaded, 11.39));
        next.put("request", "5f0c2c52-0d8e-4c9a-9d0e-1f64b9d6a001");
        JsonNode first = json(liv.post("/api/sites/hallgrund/revisions", next));
        assertEquals(json(liv.post("/api/sites/hallgrund/revisions", next)), first);
        next.put("request", "5f0c2c52-0d8e-4c9a-9d0e-1f64b9d6a002");
        assertEquals(liv.post("/api/sites/hallgrund/revisions", next).statusCode(), 409, "another one is another one");
    }

    /** A site that was begun without a network: made once, under the address it was worked on by, and no other gives way to it. */
    @Test
    public void aSiteBegunElsewhereIsMadeOnce() throws Exception {
        Browser liv = signedIn("liv");
        ObjectNode wanted = JSON.createObjectNode();
        wanted.set(
                "start",
                JSON.readTree(
                        """
                {"name": "Holmen", "location": {"latitudeDegrees": 60, "longitudeDegrees": 10, "elevationMetres": 0, "timeZone": "Europe/Oslo"},
                 "nominalVolts": 24, "chemistry": "AGM", "capacityAmpereHours": 200, "arrayWatts": 500, "inverter": false, "generator": false,
                 "feeder": false, "surplusLoad": false}
                """));
        wanted.set(
                "begun",
                JSON.createObjectNode()
                        .put("id", "holmen-3f2a")
                        .put("request", "5f0c2c52-0d8e-4c9a-9d0e-1f64b9d6a003"));
        JsonNode made = json(liv.post("/api/sites", wanted));
        assertEquals(made.get("id").asString(), "holmen-3f2a");
        assertEquals(json(liv.post("/api/sites", wanted)), made);
        assertEquals(json(liv.get("/api/sites/holmen-3f2a/revisions")).size(), 1);
        ((ObjectNode) wanted.get("begun")).put("request", "5f0c2c52-0d8e-4c9a-9d0e-1f64b9d6a004");
        HttpResponse<String> other = liv.post("/api/sites", wanted);
        assertEquals(other.statusCode(), 409);
        assertTrue(other.body().contains("Another site is called"), other.body());
        ((ObjectNode) wanted.get("begun")).put("id", "Holmen!");
        assertEquals(liv.post("/api/sites", wanted).statusCode(), 422);
    }

    @Test
    public void revisionsSayWhatTheyChangedAndCanBeNamed() throws Exception {
        Browser liv = signedIn("liv");
        ObjectNode loaded = latest(liv);
        double before = loaded.at("/plan/program/outputs/0/protection/lvdVolts").asDouble();
        JsonNode saved = json(liv.post("/api/sites/hallgrund/revisions", newRevision(loaded, withLvd(loaded, 11.33))));
        String output = loaded.at("/plan/program/outputs/0/name").asString();
        JsonNode said = saved.at("/revision/changes");
        assertEquals(said.size(), 1);
        assertTrue(said.get(0).asString().equals("LVD of " + output + " " + before + " V → 11.33 V"), said.toString());
        int number = saved.at("/revision/number").asInt();
        String named = "/api/sites/hallgrund/revisions/" + number + "/name";
        JsonNode revision = json(liv.post(named, JSON.createObjectNode().put("name", "before the storm")));
        assertEquals(revision.get("name").asString(), "before the storm");
        assertEquals(
                liv.post(named, JSON.createObjectNode().put("name", "x".repeat(121)))
                        .statusCode(),
                422);
        assertFalse(json(liv.post(named, JSON.createObjectNode())).has("name"));
        JsonNode back = json(liv.get("/api/sites/hallgrund/revisions/" + number + "/changes/" + (number - 1)));
        assertTrue(back.at("/0/says").asString().endsWith("11.33 V → " + before + " V"), back.toString());
        assertEquals(back.at("/0/path").asString(), "program/outputs/transmitter-disconnect/protection/lvdVolts");
        assertEquals(liv.get("/api/sites/hallgrund/revisions/0/changes/999").statusCode(), 404);
    }

    /** A finding that is left with a reason says so, counts no more, and is open again when its numbers change. */
    @Test
    public void leavesAFindingUntilItsNumbersChange() throws Exception {
        Browser liv = signedIn("liv");
        JsonNode asFound = plan(liv, "kvarno", 0);
        JsonNode finding = StreamSupport.stream(
                        json(liv.post("/api/reading/kvarno", asFound))
                                .get("findings")
                                .spliterator(),
                        false)
                .filter(one -> one.get("path").asString().endsWith("Volts"))
                .findFirst()
                .orElseThrow();
        ObjectNode wanted = body("plan", asFound)
                .put("check", finding.get("check").asString())
                .put("at", finding.get("at").asString())
                .put("path", finding.get("path").asString())
                .put("reason", " ");
        assertEquals(liv.post("/api/dismissals/kvarno", wanted).statusCode(), 422, "a reason is needed");
        JsonNode left = json(liv.post("/api/dismissals/kvarno", wanted.put("reason", "owner wants it so")))
                .get("plan");
        assertEquals(dismissed(liv, left, finding), "owner wants it so");
        String[] path = finding.get("path").asString().split("/");
        ObjectNode moved = left.deepCopy().asObject();
        JsonNode owner = path[1].equals("outputs")
                ? entry(moved, "outputs", "id", path[2]).get(path[3])
                : entry(moved, "charging", "controller", path[2]);
        String field = path[path.length - 1];
        ((ObjectNode) owner).put(field, owner.get(field).asDouble() + 0.1);
        assertEquals(dismissed(liv, moved, finding), "", "other numbers: open again, or gone");
        assertEquals(
                liv.post("/api/dismissals/kvarno", wanted.put("check", "NoSuchCheck"))
                        .statusCode(),
                404);
    }

    private static JsonNode entry(JsonNode plan, String list, String key, String id) {
        return StreamSupport.stream(plan.at("/program/" + list).spliterator(), false)
                .filter(one -> one.get(key).asString().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private static String dismissed(Browser who, JsonNode plan, JsonNode finding) throws Exception {
        return StreamSupport.stream(
                        json(who.post("/api/reading/kvarno", plan))
                                .get("findings")
                                .spliterator(),
                        false)
                .filter(one -> one.get("check").equals(finding.get("check"))
                        && one.get("path").equals(finding.get("path")))
                .map(one -> one.path("dismissed").asString(""))
                .findFirst()
                .orElse("");
    }

    /** 11.6 V of a 12 V battery is 23.2 V at twelve cells and 46.4 V at twenty-four. Common practice, no source. */
    @Test
    public void scalesLevelsToEachBankAndSavesNothing() throws Exception {
        Browser liv = signedIn("liv");
        ArrayNode sites = JSON.createArrayNode().add("hallgrund").add("kvarno").add("skarvholm");
        ObjectNode wanted = body("sites", sites);
        wanted.set("levels", JSON.createArrayNode().add(level("LVD", 11.6)));
        JsonNode proposals = json(liv.post("/api/proposals", wanted));
        assertEquals(proposals.size(), 3);
        for (JsonNode one : proposals) {
            String site = one.get("site").asString();
            JsonNode battery = one.at("/plan/site/battery");
            int cells = battery.get("cellsInSeries").asInt();
            boolean lithium = battery.get("chemistry").asString().startsWith("LITHIUM");
            double volts = Math.round(11.6 * cells / (lithium ? 4 : 6) * 100) / 100.0;
            for (JsonNode output : one.at("/plan/program/outputs")) {
                if (output.at("/protection/kind").asString("").equals("voltageDisconnect")) {
                    assertEquals(output.at("/protection/lvdVolts").asDouble(), volts, 1e-9, site);
                }
            }
            JsonNode now = json(liv.get("/api/sites/" + site + "/revisions/latest"));
            assertEquals(now.at("/revision/number").asInt(), one.get("parent").asInt(), "nothing was saved");
        }
        assertTrue(proposals.at("/0/changes").size() > 0, proposals.at("/0").toString());
        wanted.set("levels", JSON.createArrayNode().add(level("LVD", 9000)));
        JsonNode refused = json(liv.post("/api/proposals", wanted)).get(0);
        assertTrue(refused.get("refused").asString().contains("outside 0 to 1000 V"), refused.toString());
        assertFalse(refused.has("plan"));
        assertEquals(signedIn("odd").post("/api/proposals", wanted).statusCode(), 403);
        ObjectNode one = body("plan", plan(liv, "kvarno", 1));
        one.set("levels", JSON.createArrayNode().add(level("LVD", 11.6)));
        assertEquals(liv.post("/api/scaled/kvarno", one).statusCode(), 200);
    }

    @Test
    public void exportsLevelsOutputsAndLogic() throws Exception {
        Browser odd = signedIn("odd");
        String revision = "/api/sites/hallgrund/revisions/1/";
        var levels = odd.get(revision + "levels.csv");
        assertEquals(levels.headers().firstValue("Content-Type").orElseThrow(), "text/csv;charset=UTF-8");
        assertTrue(
                levels.headers().firstValue("Content-Disposition").orElseThrow().contains("hallgrund-1-levels.csv"));
        assertTrue(levels.body().startsWith("of,level,value,unit"));
        assertTrue(odd.get(revision + "outputs.csv").body().lines().count() > 1);
        String logic = odd.get(revision + "logic/transmitter-disconnect").body();
        for (String part : List.of("FUNCTION_BLOCK output_transmitter_disconnect", ": TON;", "END_FUNCTION_BLOCK")) {
            assertTrue(logic.contains(part), logic);
        }
        assertEquals(odd.get(revision + "logic/nothing").statusCode(), 404);
    }

    @Test
    public void notesWhenASiteIsLookedAfter() throws Exception {
        Browser liv = signedIn("liv");
        String care = "/api/sites/hallgrund/care";
        ObjectNode dates =
                JSON.createObjectNode().put("benchTest", "2026-11-20").put("upkeep", "2027-03-01");
        JsonNode told = json(liv.post(care, dates));
        assertEquals(told.get("benchTest").asString(), "2026-11-20");
        assertEquals(
                liv.post(care, JSON.createObjectNode().put("upkeep", "1200-01-01"))
                        .statusCode(),
                422);
        JsonNode listed = StreamSupport.stream(
                        json(liv.get("/api/sites")).get("sites").spliterator(), false)
                .filter(one -> one.get("id").asString().equals("hallgrund"))
                .findFirst()
                .orElseThrow();
        assertEquals(listed.get("upkeep").asString(), "2027-03-01");
        assertFalse(json(liv.post(care, JSON.createObjectNode())).has("upkeep"));
    }

    /** What is ahead is worked out by itself: as the application starts, after a save, and for another visit; the list only reads it. */
    @Test
    public void looksAheadByItself() throws Exception {
        Browser liv = signedIn("liv");
        JsonNode first = ahead(liv, one -> one.has("ahead"));
        assertEquals(first.at("/outlook/weathers").asInt(), 20);
        LocalDate begins = LocalDate.parse(first.get("begins").asString());
        assertEquals(
                liv.post("/api/sites/kvarno/care", JSON.createObjectNode().put("upkeep", begins.plusDays(9) + ""))
                        .statusCode(),
                200);
        JsonNode visit = ahead(liv, one -> one.at("/ahead/days").asInt() == 9);
        assertEquals(visit.at("/outlook/lowestVoltsByDay").size(), 9);
        JsonNode latest = json(liv.get("/api/sites/kvarno/revisions/latest"));
        int number = latest.at("/revision/number").asInt();
        ObjectNode next = JSON.createObjectNode().put("parent", number).put("note", "Looked ahead");
        next.set("plan", latest.get("plan"));
        assertEquals(liv.post("/api/sites/kvarno/revisions", next).statusCode(), 201);
        ahead(liv, one -> one.at("/ahead/revision").asInt() == number + 1);
        assertEquals(liv.post("/api/sites/kvarno/care", JSON.createObjectNode()).statusCode(), 200);
        ahead(liv, one -> one.at("/ahead/days").asInt() == 14);
    }

    private static JsonNode ahead(Browser liv, Predicate<JsonNode> wanted) {
        JsonNode[] found = new JsonNode[1];
        // What waits for its time, which the tests' application puts off, has its time now.
        TestDatabase.shared().ask("update scheduled_tasks set execution_time = now() where task_name = 'outlook'");
        Patience.until("what is ahead of kvarno", () -> {
            found[0] = StreamSupport.stream(
                            json(liv.get("/api/sites")).get("sites").spliterator(), false)
                    .filter(one -> one.get("id").asString().equals("kvarno"))
                    .findFirst()
                    .orElseThrow();
            return wanted.test(found[0]);
        });
        return found[0].get("ahead");
    }

    /** What ships can be fitted as it is, and its numbers come back as the device wants them. */
    @Test
    public void fitsAShippedDevice() throws Exception {
        Browser liv = signedIn("liv");
        ObjectNode plan = plan(liv, "hallgrund", 1).deepCopy().asObject();
        JsonNode profiles = json(liv.get("/api/device-profiles"));
        assertEquals(profiles.size(), 9);
        ObjectNode device = body("profile", profiles.get(0)).put("id", "box").put("name", "Grey box");
        device.set("outputs", JSON.createArrayNode().add("transmitter-disconnect"));
        device.put("charger", "mast-controller");
        ((ObjectNode) plan.get("program")).set("devices", JSON.createArrayNode().add(device));
        JsonNode reading = json(liv.post("/api/reading/hallgrund", plan));
        JsonNode lvd = StreamSupport.stream(reading.get("settings").spliterator(), false)
                .filter(one -> one.get("path").asString().endsWith("transmitter-disconnect/protection/lvdVolts"))
                .findFirst()
                .orElseThrow();
        assertEquals(lvd.get("label").asString(), "load off");
        assertEquals(lvd.get("effective").asDouble(), lvd.get("wanted").asDouble(), 0.051);
        ObjectNode profile = profiles.get(0).deepCopy().asObject();
        assertEquals(liv.post("/api/device-profiles/check", profile).statusCode(), 200);
        ((ObjectNode) profile.get("knobs").get(3)).put("setting", "charging.floatVolt");
        HttpResponse<String> refused = liv.post("/api/device-profiles/check", profile);
        assertEquals(refused.statusCode(), 422);
        assertTrue(refused.body().contains("knobs/3/setting"), refused.body());
        device.set("outputs", JSON.createArrayNode().add("nobody"));
        assertEquals(liv.post("/api/reading/hallgrund", plan).statusCode(), 422);
    }

    /** An observer may play at a bench: nothing of it is kept. */
    @Test
    public void playsAtTheBench() throws Exception {
        Browser odd = signedIn("odd");
        ObjectNode request = body("plan", plan(odd, "hallgrund", 1)).put("untilSeconds", 3600);
        ArrayNode turns = JSON.createArrayNode();
        turns.addObject()
                .put("seconds", 5)
                .put("knob", "bus_volts")
                .put("value", 10.0)
                .put("overSeconds", 60);
        request.set("script", body("turns", turns));
        JsonNode state = json(odd.post("/api/bench/hallgrund", request));
        assertEquals(state.at("/outputs/0/closed").asBoolean(), false);
        assertTrue(state.at("/events/0/reason").asString().contains("LVD"), state.toString());
        JsonNode walk = json(odd.post("/api/bench/hallgrund/walk-through", body("plan", plan(odd, "hallgrund", 1))));
        assertEquals(walk.at("/passed/0/levels/0/level/term").asString(), "recharge", "the highest that falls");
        assertTrue(walk.at("/passed/0/levels/0/acted").asBoolean(), walk.toString());
        ((ObjectNode) turns.get(0)).put("knob", "no_such_knob");
        JsonNode refused = json(odd.post("/api/bench/hallgrund", request));
        assertTrue(refused.toString().contains("no_such_knob"), refused.toString());
    }

    /** A script is kept under a name, gives way to one of the same name, plays the same again, and live it shows the sag. */
    @Test
    public void aBenchScriptIsKeptAndPlayedAgain() throws Exception {
        Browser liv = signedIn("liv");
        ObjectNode script = JSON.createObjectNode();
        script.putArray("turns")
                .addObject()
                .put("seconds", 30)
                .put("knob", "load_watts_transmitter")
                .put("value", 120)
                .put("overSeconds", 0);
        ObjectNode named = JSON.createObjectNode()
                .put("name", "heavy load")
                .put("live", true)
                .put("seconds", 90);
        named.set("script", script);
        String path = "/api/sites/hallgrund/bench-scripts";
        for (int i = 0; i < 2; i++) {
            assertEquals(
                    liv.send("PUT", path, "application/json", named.toString()).statusCode(), 200);
        }
        JsonNode kept = json(liv.get(path));
        assertEquals(kept.size(), 1);
        ObjectNode request = JSON.createObjectNode().put("untilSeconds", 29).put("live", true);
        request.set("plan", latest(liv).get("plan"));
        request.set("script", kept.at("/0/script/script"));
        JsonNode before = json(liv.post("/api/bench/hallgrund", request));
        JsonNode after = json(liv.post("/api/bench/hallgrund", request.put("untilSeconds", 31)));
        double sag = before.at("/live/batteryVolts").asDouble()
                - after.at("/live/batteryVolts").asDouble();
        assertTrue(sag > 0.03 && sag < 1, "sag " + sag + " V, " + after.get("events") + after.get("knobs"));
        assertEquals(json(liv.post("/api/bench/hallgrund", request)), after);
        assertEquals(
                liv.send("DELETE", path + "?name=heavy%20load", "application/json", "")
                        .statusCode(),
                204);
        assertEquals(
                liv.send("DELETE", path + "?name=heavy%20load", "application/json", "")
                        .statusCode(),
                404);
    }

    /** Fifty people at the bench at once: each gets, turn by turn, what one alone gets. */
    @Test
    public void fiftyBenchesAreAnsweredAtOnce() throws Exception {
        Browser liv = signedIn("liv");
        JsonNode plan = latest(liv).get("plan");
        List<String> alone = turnsKnobs(liv, plan);
        assertEquals(Set.copyOf(alone).size(), alone.size(), "every turn makes a difference");
        ExecutorService hands = Executors.newFixedThreadPool(50);
        try {
            Callable<List<String>> bench = () -> turnsKnobs(liv, plan);
            for (Future<List<String>> one : hands.invokeAll(Collections.nCopies(50, bench))) {
                assertEquals(one.get(), alone);
            }
        } finally {
            hands.shutdownNow();
        }
    }

    private static List<String> turnsKnobs(Browser liv, JsonNode plan) {
        List<String> answers = new ArrayList<>();
        ObjectNode request = JSON.createObjectNode();
        request.set("plan", plan);
        var turns = request.putObject("script").putArray("turns");
        for (int i = 0; i < 6; i++) {
            turns.addObject()
                    .put("seconds", i * 20)
                    .put("knob", "bus_volts")
                    .put("value", i % 2 == 0 ? 11.2 : 13.1)
                    .put("overSeconds", 0);
            request.put("untilSeconds", i * 20 + 19);
            // A database that has no connection left says 503, which is late and not wrong: asked again.
            Patience.until("an answer of the bench", () -> {
                HttpResponse<String> answer = liv.post("/api/bench/hallgrund", request);
                assertTrue(answer.statusCode() == 200 || answer.statusCode() == 503, answer.body());
                return answer.statusCode() == 200 && answers.add(answer.body());
            });
        }
        return answers;
    }
}
