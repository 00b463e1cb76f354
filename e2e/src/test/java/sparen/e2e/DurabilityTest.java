package sparen.e2e;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
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

/**
 * Application or database killed in the middle of saving and of taking a logger's file in: every acknowledged revision is
 * there, no revision and no file is half there.
 */
public class DurabilityTest {
    private static final String REVISIONS = "/api/sites/hallgrund/revisions";

    /** How often something is killed; the check does it twice. */
    private static final int KILLS = Integer.getInteger("sparen.kills", 2);
    /** Further back revisions were looked at before; at the end all are. */
    private static final int LOOKED_AT = 20;
    /** Of so many kills two fall into taking a file too: one of the application, one of the database. */
    private static final int FILES_AMONG = 40;

    private static final String FILES = "/api/sites/hallgrund/logger-files";
    /** Long enough that a kill falls into taking it. */
    private static final int MINUTES = 60_000;

    private static final int MONTHS_APART = 2;

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
                int one = kill;
                boolean withFile = kill % FILES_AMONG < 2;
                String address = application.address();
                CompletableFuture<Boolean> taken =
                        CompletableFuture.supplyAsync(() -> withFile && takeFile(address, one));
                acknowledged.putAll(saveUntilKilled(
                        application, isApplication ? application::kill : database::kill, after, random.nextInt(40)));
                if (isApplication) {
                    application.start();
                } else {
                    database.start();
                }
                Client client = new Client(application.address(), "liv");
                verify(client, acknowledged, acknowledged.lastKey() - LOOKED_AT);
                if (withFile) {
                    verifyFile(client, kill, taken.join());
                    assertTrue(takeFile(application.address(), kill), "the same file again");
                    verifyFile(client, kill, true);
                }
                if (kill % FILES_AMONG == FILES_AMONG - 1) {
                    System.out.println(kill + 1 + " kills, " + acknowledged.size() + " acknowledged so far");
                }
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

    private static Instant begin(int number) {
        return LocalDate.of(2020, 1, 1)
                .plusMonths((long) MONTHS_APART * number)
                .atStartOfDay(ZoneOffset.UTC)
                .toInstant();
    }

    /** Sends a file of minutes; whether it was acknowledged. */
    private static boolean takeFile(String address, int number) {
        StringBuilder file = new StringBuilder("time;battery V;battery A\n");
        Instant begin = begin(number);
        for (int minute = 0; minute < MINUTES; minute++) {
            file.append(begin.plusSeconds(60L * minute))
                    .append(";24.")
                    .append(minute % 10)
                    .append(";-3\n");
        }
        try {
            return new Client(address, "liv")
                            .send("POST", FILES + "?name=minutes-" + number + "&zone=UTC", file.toString(), "text/csv")
                            .statusCode()
                    == 201;
        } catch (IOException cut) {
            return false;
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    /** What was acknowledged is there; what is there is whole, to its last line. */
    private static void verifyFile(Client client, int number, boolean isAcknowledged) throws Exception {
        int found = 0;
        for (JsonNode file : client.get(FILES)) {
            if (file.get("name").asString().equals("minutes-" + number)) {
                found++;
                assertEquals(file.get("lines").asInt(), MINUTES);
                Instant last = begin(number).plusSeconds(60L * (MINUTES - 1));
                assertEquals(file.get("last").asString(), last.toString());
                JsonNode end = client.get("/api/sites/hallgrund/recorded?from=" + last.minusSeconds(540) + "&to="
                        + last.plusSeconds(60) + "&buckets=10");
                assertTrue(end.toString().contains("24.9"), end.toString());
            }
        }
        assertTrue(isAcknowledged ? found == 1 : found <= 1, found + " files minutes-" + number);
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
