package sparen.app;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import javax.imageio.ImageIO;
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
        assertEquals(failure(all, "start-up/battery"), "", "between the 44 V and 58 V of its battery");
        assertEquals(failure(all, "start-up/inverter"), "outside 207 to 253 V", "230 V, to ten in a hundred");
        ObjectNode noNumber = mark(1, step(all, "start-up/inverter"), true).put("measured", "fine");
        HttpResponse<String> refused = liv.post(STEPS + "/marks", noNumber);
        assertEquals(refused.statusCode(), 422);
        assertTrue(refused.body().contains("\\\"fine\\\" is not a number of V"), refused.body());

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

    private static JsonNode step(JsonNode view, String id) {
        return view.get("steps")
                .valueStream()
                .filter(one -> one.at("/step/id").asString().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private static String failure(JsonNode view, String id) {
        return step(view, id).at("/mark/failure").asString("");
    }

    /**
     * A JPEG as a telephone writes it: 2000 by 1000, to be turned by a quarter (orientation 6: Exif 2.3, 4.6.4), and where it was taken.
     */
    private static byte[] photo() throws Exception {
        ByteArrayOutputStream plain = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(2000, 1000, BufferedImage.TYPE_INT_RGB), "jpg", plain);
        byte[] place = "59.9139 N 10.7522 E".getBytes(StandardCharsets.US_ASCII);
        ByteBuffer exif = ByteBuffer.allocate(36 + place.length).order(ByteOrder.BIG_ENDIAN);
        exif.putShort((short) 0xFFE1).putShort((short) (34 + place.length));
        exif.put("Exif\0\0MM\0*".getBytes(StandardCharsets.US_ASCII)).putInt(8);
        exif.putShort((short) 1).putShort((short) 0x0112).putShort((short) 3).putInt(1);
        exif.putShort((short) 6).putShort((short) 0).putInt(0).put(place);
        ByteArrayOutputStream whole = new ByteArrayOutputStream();
        whole.write(plain.toByteArray(), 0, 2);
        whole.write(exif.array(), 0, exif.position());
        whole.write(plain.toByteArray(), 2, plain.size() - 2);
        return whole.toByteArray();
    }

    private static ObjectNode photo(int round, String step, byte[] picture) {
        return JSON.createObjectNode()
                .put("id", UUID.randomUUID().toString())
                .put("round", round)
                .put("step", step)
                .put("picture", picture);
    }

    @Test
    public void aPhotoIsKeptWithoutWhereItWasTaken() throws Exception {
        Browser liv = signedIn("liv");
        ObjectNode photo = photo(1, "start-up/battery", photo());
        assertEquals(liv.post(STEPS + "/photos", photo).statusCode(), 409, "no visit has begun");
        assertEquals(liv.post(STEPS + "/rounds", round(1)).statusCode(), 201);
        assertEquals(signedIn("odd").post(STEPS + "/photos", photo).statusCode(), 403);
        assertEquals(liv.post(STEPS + "/photos", photo).statusCode(), 201);
        JsonNode view = json(liv.post(STEPS + "/photos", photo));
        assertEquals(step(view, "start-up/battery").get("photos").size(), 1, "sent again, as its answer was lost");

        String id = photo.get("id").asString();
        HttpRequest asked = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + STEPS + "/photos/" + id))
                .build();
        byte[] kept =
                liv.client.send(asked, HttpResponse.BodyHandlers.ofByteArray()).body();
        BufferedImage picture = ImageIO.read(new ByteArrayInputStream(kept));
        assertEquals(List.of(picture.getWidth(), picture.getHeight()), List.of(800, 1600), "the right way up");
        String text = new String(kept, StandardCharsets.ISO_8859_1);
        assertFalse(text.contains("Exif") || text.contains("59.9139"), "nothing of the camera's is left");

        for (byte[] none : List.of("<svg/>".getBytes(StandardCharsets.US_ASCII), Arrays.copyOf(photo(), 700))) {
            HttpResponse<String> refused = liv.post(STEPS + "/photos", photo(1, "start-up/battery", none));
            assertEquals(refused.statusCode(), 422, refused.body());
            assertTrue(refused.body().contains("/picture"), refused.body());
        }
        JsonNode removed = json(liv.send("DELETE", STEPS + "/photos/" + id, "application/json", ""));
        assertEquals(step(removed, "start-up/battery").get("photos").size(), 0);
        assertEquals(liv.get(STEPS + "/photos/" + id).statusCode(), 404);
    }

    /** What waited without a network is of when it was done; nothing is done in the future, and the audit log has when it came. */
    @Test
    public void whatWaitedIsOfWhenItWasDone() throws Exception {
        Browser liv = signedIn("liv");
        Instant before = Instant.now();
        liv.headers.put("Sparen-Made-At", "2026-10-05T10:00:00.123456Z");
        ObjectNode visit = JSON.createObjectNode().put("number", 1);
        JsonNode begun = json(liv.post("/api/sites/kvarno/commissioning/rounds", visit));
        assertEquals(begun.get("begunAt").asString(), "2026-10-05T10:00:00.123Z");
        liv.headers.put("Sparen-Made-At", "2999-01-01T00:00:00Z");
        JsonNode next = json(liv.post("/api/sites/kvarno/commissioning/rounds", visit.put("number", 2)));
        assertFalse(Instant.parse(next.get("begunAt").asString()).isAfter(Instant.now()));
        liv.headers.put("Sparen-Made-At", "yesterday");
        HttpResponse<String> refused = liv.post("/api/sites/kvarno/commissioning/rounds", visit.put("number", 3));
        assertEquals(refused.statusCode(), 422);
        assertTrue(refused.body().contains("is no instant"), refused.body());
        assertEquals(
                TestDatabase.shared()
                        .ask("select count(*) from audit where deed = 'COMMISSIONING_BEGUN' and at >= '" + before
                                + "'"),
                List.of("2"));
    }
}
