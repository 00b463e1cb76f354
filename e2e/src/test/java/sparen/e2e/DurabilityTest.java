package sparen.e2e;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.locks.LockSupport;
import org.testng.annotations.Test;
import sparen.app.Patience;
import sparen.app.TestDatabase;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Application or database killed in the middle of saving: every acknowledged revision is there, none is half there. */
public class DurabilityTest {
    private static final String REVISIONS = "/api/sites/hallgrund/revisions";

    /** How often something is killed; the check does it twice. */
    private static final int KILLS = Integer.getInteger("sparen.kills", 2);
    /** Further back revisions were looked at before; at the end all are. */
    private static final int LOOKED_AT = 60;

    /** The application is killed and started again, then the database under it, and so on, each at a random instant. */
    @Test
    public void everyAcknowledgedRevisionSurvives() throws Exception {
        TestDatabase database = TestDatabase.create();
        RunningApplication application = new RunningApplication(database);
        application.start();
        Random random = new Random(KILLS);
        TreeMap<Integer, Double> acknowledged = new TreeMap<>();
        try {
            for (int kill = 0; kill < KILLS; kill++) {
                int after = 2 + random.nextInt(9);
                // An application takes longer to come up than a database to recover: the check has one of each.
                boolean isApplication = kill % 4 == 0;
                acknowledged.putAll(saveUntilKilled(
                        application, isApplication ? application::kill : database::kill, after, random.nextInt(40)));
                if (isApplication) {
                    application.start();
                } else {
                    database.start();
                }
                verify(new Client(application.address(), "liv"), acknowledged, acknowledged.lastKey() - LOOKED_AT);
            }
            verify(new Client(application.address(), "liv"), acknowledged, 0);
            System.out.println(KILLS + " kills, " + acknowledged.size() + " acknowledged, none lost");
        } finally {
            application.stop();
            database.stop();
        }
    }

    /** Saves one revision after the other while the kill comes in between; returns what was acknowledged. */
    private static TreeMap<Integer, Double> saveUntilKilled(
            RunningApplication application, Runnable kill, int after, int millis) throws Exception {
        Client client = new Client(application.address(), "liv");
        ObjectNode latest = (ObjectNode) client.get(REVISIONS + "/latest");
        ObjectNode plan = latest.get("plan").asObject();
        TreeMap<Integer, Double> acknowledged = new TreeMap<>();
        CountDownLatch enough = new CountDownLatch(after);
        AtomicBoolean down = new AtomicBoolean();
        CompletableFuture<Void> killer = CompletableFuture.runAsync(() -> {
                    Patience.until("enough revisions are acknowledged", () -> enough.getCount() == 0);
                    LockSupport.parkNanos(Duration.ofMillis(millis).toNanos());
                    kill.run();
                })
                .whenComplete((done, failure) -> down.set(true));
        int parent = latest.at("/revision/number").asInt();
        while (!down.get()) {
            double volts = 10 + (parent % 400) / 100.0;
            ((ObjectNode) plan.at("/program/outputs/0/protection")).put("lvdVolts", volts);
            ObjectNode body =
                    Client.JSON.createObjectNode().put("parent", parent).put("note", "save " + parent);
            body.set("plan", plan);
            try {
                HttpResponse<String> response = client.send("POST", REVISIONS, body.toString());
                if (response.statusCode() == 201) {
                    parent = Client.JSON
                            .readTree(response.body())
                            .at("/revision/number")
                            .asInt();
                    acknowledged.put(parent, volts);
                    enough.countDown();
                } else {
                    assertTrue(response.statusCode() >= 500, response.statusCode() + response.body());
                    break;
                }
            } catch (IOException cut) {
                // The connection broke: this save was not acknowledged, and is asked about after the restart.
                break;
            }
        }
        killer.join();
        return acknowledged;
    }

    private static void verify(Client client, TreeMap<Integer, Double> acknowledged, int from) throws Exception {
        int newest = client.get(REVISIONS + "/latest").at("/revision/number").asInt();
        int last = acknowledged.lastKey();
        assertTrue(newest == last || newest == last + 1, "newest " + newest + ", last acknowledged " + last);
        for (int number = Math.max(0, from); number <= newest; number++) {
            JsonNode revision = client.get(REVISIONS + "/" + number);
            assertEquals(revision.at("/plan/program/outputs").size(), 3, "revision " + number + " is whole");
            Double volts = acknowledged.get(number);
            if (volts != null) {
                assertEquals(
                        revision.at("/plan/program/outputs/0/protection/lvdVolts")
                                .asDouble(),
                        volts);
            }
        }
    }
}
