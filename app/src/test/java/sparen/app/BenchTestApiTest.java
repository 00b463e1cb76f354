package sparen.app;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.net.http.HttpResponse;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A program tried on site by two people at once, signed, and told on by a later plan. */
public class BenchTestApiTest extends OverHttp {
    private static final String TESTS = "/api/sites/hallgrund/bench-tests";

    private static ObjectNode id() {
        return JSON.createObjectNode().put("id", UUID.randomUUID().toString());
    }

    private static ObjectNode result(JsonNode step, double value) {
        ObjectNode result = id().put("step", step.at("/step/id").asString())
                .put("measured", value)
                .put("instrument", "meter 2");
        if (step.at("/step").hasNonNull("delaySeconds")) {
            result.put("afterSeconds", step.at("/step/delaySeconds").asDouble());
        }
        return result;
    }

    private static HttpResponse<String> measured(Browser who, String path, JsonNode step, double value)
            throws Exception {
        return who.post(path + "/results", result(step, value));
    }

    @Test
    public void aProgramIsTriedAndSigned() throws Exception {
        Browser liv = signedIn("liv");
        Browser signe = signedIn("signe");
        Browser odd = signedIn("odd");
        ObjectNode begin = id();
        assertEquals(odd.post(TESTS, begin).statusCode(), 403);
        JsonNode test = json(liv.post(TESTS, begin));
        assertEquals(json(liv.post(TESTS, begin)).get("id"), test.get("id"), "asked twice it is begun once");
        assertEquals(signe.post(TESTS, id()).statusCode(), 409, "one at a time at a site");
        String path = TESTS + "/" + test.get("id").asString();
        JsonNode steps = test.get("steps");
        assertTrue(steps.size() >= 4, test.toString());
        assertEquals(test.at("/blocking/0").asString(), steps.size() + " levels are not measured");

        // Two people, each half of it: nothing is lost.
        for (int i = 0; i < steps.size(); i++) {
            JsonNode step = steps.get(i);
            HttpResponse<String> kept = measured(
                    i % 2 == 0 ? liv : signe,
                    path,
                    step,
                    step.at("/step/expected").asDouble());
            assertEquals(kept.statusCode(), 201, kept.body());
        }
        assertEquals(json(liv.get(path)).get("blocking").size(), 0);
        JsonNode first = steps.get(0);
        double off = first.at("/step/expected").asDouble()
                + 2 * first.at("/step/tolerance").asDouble();
        JsonNode failed = json(measured(liv, path, first, off));
        assertTrue(failed.at("/steps/0/failure").asString().contains("is allowed"), failed.toString());
        assertEquals(failed.at("/steps/0/times").asInt(), 2, "what was measured before stays");
        ObjectNode silent = id().put("step", first.at("/step/id").asString());
        assertEquals(liv.post(path + "/results", silent).statusCode(), 422, "a step is left out with a reason only");
        assertEquals(
                liv.post(path + "/results", silent.put("step", "nothing").put("note", "no access"))
                        .statusCode(),
                422);
        ObjectNode laptop = id().put("what", "Laptop on the data line");
        assertEquals(signe.post(path + "/plugged", laptop).statusCode(), 201);
        HttpResponse<String> refused = liv.post(path + "/signature", JSON.createObjectNode());
        assertEquals(refused.statusCode(), 409);
        assertTrue(refused.body().contains("Laptop on the data line is still plugged in"), refused.body());
        assertTrue(refused.body().contains("is allowed"), refused.body());
        assertEquals(
                liv.post(path + "/plugged/" + laptop.get("id").asString() + "/unplugging", JSON.createObjectNode())
                        .statusCode(),
                200);
        measured(signe, path, first, first.at("/step/expected").asDouble());

        // What is changed for the test in the plan has to be put back too.
        ObjectNode loaded = latest(liv);
        ObjectNode plan = loaded.get("plan").deepCopy().asObject();
        ((ObjectNode) plan.get("program"))
                .putArray("temporary")
                .addObject()
                .put("path", "program/outputs/fog-output/protection/lvdVolts")
                .put("name", "Transmitter LVD")
                .put("normalValue", 11.5)
                .put("unit", "V");
        HttpResponse<String> saved = liv.post("/api/sites/hallgrund/revisions", newRevision(loaded, plan));
        assertEquals(saved.statusCode(), 201, saved.body());
        assertTrue(json(liv.get(path)).get("blocking").toString().contains("Transmitter LVD is still changed"), path);
        ObjectNode again = latest(liv);
        ((ObjectNode) again.at("/plan/program")).remove("temporary");
        assertEquals(
                liv.post("/api/sites/hallgrund/revisions", newRevision(again, again.get("plan")))
                        .statusCode(),
                201);

        HttpResponse<String> signature = liv.post(path + "/signature", JSON.createObjectNode());
        assertEquals(signature.statusCode(), 200, signature.body());
        JsonNode signed = json(signature);
        assertTrue(signed.get("signed").asBoolean(), signed.toString());
        assertEquals(signed.get("endedBy").asString(), "Liv Nordhavn");
        assertEquals(signed.get("checksum").asString().length(), 64);
        assertEquals(measured(signe, path, first, 1).statusCode(), 409, "nothing of it changes any more");
        assertEquals(signe.post(path + "/plugged", id().put("what", "Charger")).statusCode(), 409);
        assertTrue(signe.get("/api/audit?site=hallgrund").body().contains("TEST_SIGNED"));

        ObjectNode before = latest(liv);
        assertEquals(
                liv.post("/api/sites/hallgrund/revisions", newRevision(before, withLvd(before, 11.5)))
                        .statusCode(),
                201);
        JsonNode later = json(odd.get(path));
        assertTrue(later.toString().contains("CHANGED"), "a later plan tells which tests hold no longer");
        assertEquals(later.get("checksum"), signed.get("checksum"));
    }

    /** With the battery at 12.8 V a level below it is raised to 12.9 V for the test: nobody empties a battery for it. */
    @Test
    public void itIsSaidToWhatALevelIsSetForTheTest() throws Exception {
        Browser liv = signedIn("liv");
        String path = TESTS + "/" + json(liv.post(TESTS, id())).get("id").asString();
        JsonNode falling = null;
        for (JsonNode one : json(liv.get(path + "?volts=12.8")).get("steps")) {
            if (one.at("/step/unit").asString().equals("V")
                    && one.at("/step/falling").asBoolean()) {
                falling = one;
            }
        }
        assertEquals(falling.get("setFor").asDouble(), 12.9, 1e-9);
        assertEquals(liv.get(path + "?volts=0").statusCode(), 422);
        JsonNode ended = json(liv.post(path + "/ending", JSON.createObjectNode()));
        assertEquals(ended.get("signed").asBoolean(), false);
        assertEquals(liv.post(TESTS, id()).statusCode(), 201, "another may begin then");
    }

    /** Something that is asked for. */
    private interface Asked {
        HttpResponse<String> now() throws Exception;
    }

    /** Asks while the database is killed and started again; whether it was acknowledged. */
    private static boolean whileTheDatabaseIsKilled(Browser liv, Asked asked, int millis) throws Exception {
        CompletableFuture<Integer> answer = CompletableFuture.supplyAsync(() -> {
            try {
                return asked.now().statusCode();
            } catch (Exception failed) {
                throw new IllegalStateException(failed);
            }
        });
        Thread.sleep(millis);
        TestDatabase.shared().kill();
        TestDatabase.shared().start();
        Patience.until(
                "the application has its database again",
                () -> liv.get("/api/sites").statusCode() == 200);
        assertTrue(answer.join() < 300 || answer.join() == 503, answer.join() + " is neither done nor away");
        return answer.join() < 300;
    }

    private static long measuredSteps(JsonNode test) {
        return test.get("steps")
                .valueStream()
                .filter(step -> step.get("times").asInt() > 0)
                .count();
    }

    /** kill -9 of the database at every step of a test: what was acknowledged is there, and what is sent again is kept once. */
    @Test
    public void theDatabaseIsKilledAtEveryStepOfATest() throws Exception {
        Browser liv = signedIn("liv");
        ObjectNode begin = id();
        String path = TESTS + "/" + begin.get("id").asString();
        if (whileTheDatabaseIsKilled(liv, () -> liv.post(TESTS, begin), 0)) {
            assertEquals(liv.get(path).statusCode(), 200);
        }
        JsonNode steps = json(liv.post(TESTS, begin)).get("steps");
        for (int i = 0; i < steps.size(); i++) {
            ObjectNode result =
                    result(steps.get(i), steps.get(i).at("/step/expected").asDouble());
            if (whileTheDatabaseIsKilled(liv, () -> liv.post(path + "/results", result), 7 * i)) {
                assertEquals(measuredSteps(json(liv.get(path))), i + 1, "acknowledged");
            }
            JsonNode again = json(liv.post(path + "/results", result));
            assertEquals(measuredSteps(again), i + 1);
            assertEquals(again.at("/steps/" + i + "/times").asInt(), 1, "sent twice it is kept once");
        }
        if (whileTheDatabaseIsKilled(liv, () -> liv.post(path + "/signature", JSON.createObjectNode()), 10)) {
            assertTrue(json(liv.get(path)).get("signed").asBoolean());
        }
        liv.post(path + "/signature", JSON.createObjectNode());
        assertEquals(json(liv.get(path)).get("endedBy").asString(), "Liv Nordhavn");
        assertEquals(TestDatabase.shared().ask("select count(*) from audit where deed = 'TEST_SIGNED'"), List.of("1"));
    }
}
