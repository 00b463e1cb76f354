package sparen.app;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The steps at a site, done by two people at once and gone on with at another visit. */
public class CommissioningApiTest extends OverHttp {
    private static final String STEPS = "/api/sites/skarvholm/commissioning";

    private static ObjectNode mark(int round, JsonNode step, boolean done) {
        return JSON.createObjectNode()
                .put("id", UUID.randomUUID().toString())
                .put("round", round)
                .put("step", step.at("/step/id").asString())
                .put("done", done)
                .put("measured", "53.1 V");
    }

    private static ObjectNode round(int number) {
        return JSON.createObjectNode().put("number", number);
    }

    private static long done(JsonNode view) {
        return view.get("steps")
                .valueStream()
                .filter(one -> one.at("/mark/done").asBoolean())
                .count();
    }

    @Test
    public void twoPeopleDoStepsAtOnceAndNothingIsLost() throws Exception {
        Browser liv = signedIn("liv");
        Browser signe = signedIn("signe");
        JsonNode before = json(liv.get(STEPS));
        assertEquals(before.get("round").asInt(), 0);
        JsonNode steps = before.get("steps");
        assertEquals(liv.post(STEPS + "/marks", mark(1, steps.get(0), true)).statusCode(), 409, "no visit has begun");
        assertEquals(signedIn("odd").post(STEPS + "/rounds", round(1)).statusCode(), 403);
        assertEquals(liv.post(STEPS + "/rounds", round(3)).statusCode(), 422);
        assertEquals(liv.post(STEPS + "/rounds", round(1)).statusCode(), 201);
        assertEquals(signe.post(STEPS + "/rounds", round(1)).statusCode(), 201, "both begin it, and it is one");

        ExecutorService threads = Executors.newFixedThreadPool(2);
        List<Callable<Integer>> both = new ArrayList<>();
        for (int i = 0; i < steps.size(); i++) {
            Browser who = i % 2 == 0 ? liv : signe;
            ObjectNode one = mark(1, steps.get(i), true);
            both.add(() -> who.post(STEPS + "/marks", one).statusCode());
        }
        for (Future<Integer> answer : threads.invokeAll(both)) {
            assertEquals(answer.get().intValue(), 201);
        }
        threads.shutdown();
        JsonNode all = json(liv.get(STEPS));
        assertEquals(done(all), steps.size());
        assertEquals(all.at("/steps/1/mark/madeBy").asString(), "Signe Holmvik");
        assertEquals(all.at("/steps/1/mark/measured").asString(), "53.1 V");

        JsonNode undone = json(signe.post(STEPS + "/marks", mark(1, steps.get(0), false)));
        assertEquals(done(undone), steps.size() - 1);
        assertEquals(
                liv.post(STEPS + "/marks", mark(1, steps.get(0), true).put("step", "nothing"))
                        .statusCode(),
                422);
        assertEquals(done(json(liv.post(STEPS + "/rounds", round(2)))), 0, "another visit begins with nothing done");
        assertEquals(signe.post(STEPS + "/marks", mark(1, steps.get(0), true)).statusCode(), 409);
        assertTrue(signe.get("/api/audit?site=skarvholm").body().contains("visit 2"));
    }
}
