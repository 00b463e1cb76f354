package sparen.e2e;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.TreeMap;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicBoolean;
import org.testng.annotations.Test;
import sparen.app.Patience;
import sparen.app.TestDatabase;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Application or database killed in the middle of saving: every acknowledged revision is there, none is half there. */
public class DurabilityTest {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String REVISIONS = "/api/sites/hallgrund/revisions";

    /** A client that signs in and keeps its cookies. */
    private static final class Client {
        private final CookieManager cookies = new CookieManager();
        private final HttpClient http = HttpClient.newBuilder()
                .cookieHandler(cookies)
                .connectTimeout(Duration.ofSeconds(60))
                .build();
        private final String address;

        Client(String address) throws Exception {
            this.address = address;
            send("GET", "/api/session", "");
            // A database that was killed goes through its recovery first, and the application says 503 so long.
            int[] status = new int[1];
            Patience.until("the database is back", () -> {
                status[0] = signIn();
                return status[0] != 503;
            });
            assertEquals(status[0], 200);
        }

        private int signIn() throws Exception {
            return send("POST", "/api/session", "{\"name\":\"liv\",\"password\":\"havorn-demo\"}")
                    .statusCode();
        }

        HttpResponse<String> send(String method, String path, String body) throws IOException, InterruptedException {
            HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address + path))
                    .timeout(Duration.ofSeconds(60))
                    .header("Content-Type", "application/json")
                    .method(method, HttpRequest.BodyPublishers.ofString(body));
            cookies.getCookieStore().getCookies().stream()
                    .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                    .map(HttpCookie::getValue)
                    .forEach(token -> request.header("X-XSRF-TOKEN", token));
            return http.send(request.build(), HttpResponse.BodyHandlers.ofString());
        }

        JsonNode get(String path) throws IOException, InterruptedException {
            HttpResponse<String> response = send("GET", path, "");
            assertEquals(response.statusCode(), 200, path);
            return JSON.readTree(response.body());
        }
    }

    /** First the application is killed and started again, then the database under it. */
    @Test
    public void everyAcknowledgedRevisionSurvives() throws Exception {
        TestDatabase database = TestDatabase.create();
        RunningApplication application = new RunningApplication(database);
        application.start();
        try {
            TreeMap<Integer, Double> acknowledged = saveUntilKilled(application, application::kill);
            application.start();
            verify(new Client(application.address()), acknowledged);
            acknowledged = saveUntilKilled(application, database::kill);
            database.start();
            verify(new Client(application.address()), acknowledged);
        } finally {
            application.stop();
            database.stop();
        }
    }

    /** Saves one revision after the other while the kill comes in between; returns what was acknowledged. */
    private static TreeMap<Integer, Double> saveUntilKilled(RunningApplication application, Runnable kill)
            throws Exception {
        Client client = new Client(application.address());
        ObjectNode latest = (ObjectNode) client.get(REVISIONS + "/latest");
        ObjectNode plan = latest.get("plan").asObject();
        TreeMap<Integer, Double> acknowledged = new TreeMap<>();
        CountDownLatch enough = new CountDownLatch(10);
        AtomicBoolean down = new AtomicBoolean();
        CompletableFuture<Void> killer = CompletableFuture.runAsync(() -> {
                    Patience.until("ten revisions are acknowledged", () -> enough.getCount() == 0);
                    kill.run();
                })
                .whenComplete((done, failure) -> down.set(true));
        int parent = latest.at("/revision/number").asInt();
        while (!down.get()) {
            double volts = 10 + (parent % 400) / 100.0;
            ((ObjectNode) plan.at("/program/outputs/0/protection")).put("lvdVolts", volts);
            ObjectNode body = JSON.createObjectNode().put("parent", parent).put("note", "save " + parent);
            body.set("plan", plan);
            try {
                HttpResponse<String> response = client.send("POST", REVISIONS, body.toString());
                if (response.statusCode() == 201) {
                    parent = JSON.readTree(response.body())
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

    private static void verify(Client client, TreeMap<Integer, Double> acknowledged) throws Exception {
        int newest = client.get(REVISIONS + "/latest").at("/revision/number").asInt();
        assertTrue(acknowledged.size() >= 10, "saved " + acknowledged.size());
        int last = acknowledged.lastKey();
        assertTrue(newest == last || newest == last + 1, "newest " + newest + ", last acknowledged " + last);
        for (int number = 0; number <= newest; number++) {
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
