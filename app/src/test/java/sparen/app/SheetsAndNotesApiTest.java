package sparen.app;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.UUID;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What goes on paper, what is pinned to a kind of device, and what an owner agreed to. */
public class SheetsAndNotesApiTest extends OverHttp {
    private static final String SITE = "/api/sites/skarvholm";
    private static final String AGREEMENT = "/api/sites/hallgrund/agreement";

    private String paper(Browser who, int revision) throws Exception {
        HttpRequest asked = HttpRequest.newBuilder(URI.create(
                        "http://127.0.0.1:" + port + SITE + "/revisions/" + revision + "/devices/house-box/sheet"))
                .build();
        HttpResponse<byte[]> answer = who.client.send(asked, HttpResponse.BodyHandlers.ofByteArray());
        assertEquals(answer.headers().firstValue("Content-Type").orElse(""), "application/pdf");
        try (PDDocument pdf = Loader.loadPDF(answer.body())) {
            return new PDFTextStripper().getText(pdf);
        }
    }

    private static String settings(JsonNode handover) {
        return handover.at("/devices/0/checksum").asString();
    }

    private static int save(Browser who, JsonNode loaded, JsonNode plan) throws Exception {
        HttpResponse<String> saved = who.post(SITE + "/revisions", newRevision(loaded, plan));
        assertEquals(saved.statusCode(), 201, saved.body());
        return json(saved).at("/revision/number").asInt();
    }

    @Test
    public void theSheetOfADeviceGoesOnPaper() throws Exception {
        Browser liv = signedIn("liv");
        JsonNode loaded = json(liv.get(SITE + "/revisions/latest"));
        int number = loaded.at("/revision/number").asInt();
        String paper = paper(signedIn("odd"), number);
        assertTrue(paper.contains("House inverter"), paper);
        assertTrue(paper.contains("46.4 V"), "the freezer's LVD: " + paper);
        assertTrue(paper.contains("Sample freezer"), "what hangs on it");
        assertTrue(paper.contains("revision " + number), paper);
        assertTrue(paper.contains("no proof of safety"), paper);
        String before = settings(json(liv.get(SITE + "/handover")));
        assertTrue(paper.contains(before.substring(0, 4) + " " + before.substring(4, 8)), "its checksum");

        ObjectNode plan = loaded.get("plan").deepCopy().asObject();
        plan.get("program").get("outputs").forEach(output -> {
            if (output.get("id").asString().equals("freezer-output")) {
                ((ObjectNode) output.get("protection")).put("lvdVolts", 46.8);
            }
        });
        ((ObjectNode) plan.get("site")).put("name", "Birds & <bees'");
        int next = save(liv, loaded, plan);
        assertTrue(paper(liv, next).contains("Birds & <bees"), "whatever it is called");
        assertNotEquals(settings(json(liv.get(SITE + "/handover"))), before, "another number, another checksum");
        assertTrue(paper(liv, next).contains("46.8 V"));
        assertEquals(paper(liv, number), paper, "an older revision prints as it was");
    }

    private static ObjectNode note(String firmware) {
        ObjectNode note = JSON.createObjectNode()
                .put("id", UUID.randomUUID().toString())
                .put("device", "house-box")
                .put("text", "forgets its clock when it is off for a day");
        return firmware == null ? note : note.put("firmware", firmware);
    }

    private static int notes(Browser who, String site) throws Exception {
        return json(who.get("/api/sites/" + site + "/profile-notes")).size();
    }

    /** What was seen at one house inverter is told at every site that has such a one, from that firmware on. */
    @Test
    public void aFaultIsToldWhereverThereIsSuchADevice() throws Exception {
        Browser liv = signedIn("liv");
        String copy = json(liv.post(SITE + "/copies", JSON.createObjectNode().put("name", "Skarvholm two")))
                .get("id")
                .asString();
        ObjectNode note = note("2.4");
        assertEquals(signedIn("odd").post(SITE + "/profile-notes", note).statusCode(), 403);
        assertEquals(liv.post(SITE + "/profile-notes", note("two")).statusCode(), 422);
        assertEquals(liv.post(SITE + "/profile-notes", note).statusCode(), 201);
        assertEquals(json(liv.post(SITE + "/profile-notes", note)).size(), 1, "asked twice it is kept once");
        assertEquals(notes(liv, copy), 1);
        assertEquals(notes(liv, "kvarno"), 0);

        JsonNode loaded = json(liv.get(SITE + "/revisions/latest"));
        ObjectNode plan = loaded.get("plan").deepCopy().asObject();
        ((ObjectNode) plan.at("/program/devices/0")).put("firmware", "2.3");
        save(liv, loaded, plan);
        assertEquals(notes(liv, "skarvholm"), 0, "its firmware is older");
        HttpResponse<String> down =
                liv.send("DELETE", SITE + "/profile-notes/" + note.get("id").asString(), "application/json", "");
        assertEquals(down.statusCode(), 200);
        assertEquals(notes(liv, copy), 0, "taken down at every site");
        assertTrue(signedIn("signe").get("/api/audit?site=skarvholm").body().contains("forgets its clock"));
    }

    private static ObjectNode agreed(int revision) {
        return JSON.createObjectNode()
                .put("revision", revision)
                .put("agreedBy", "Harbour office")
                .put("agreedOn", "2026-11-20");
    }

    @Test
    public void whatTheOwnerAgreedToIsKeptByRevision() throws Exception {
        Browser liv = signedIn("liv");
        JsonNode loaded = latest(liv);
        int number = loaded.at("/revision/number").asInt();
        assertEquals(signedIn("odd").put(AGREEMENT, agreed(number)).statusCode(), 403);
        assertEquals(
                json(liv.put(AGREEMENT, agreed(number))).at("/agreed/agreedBy").asString(), "Harbour office");
        HttpResponse<String> saved =
                liv.post("/api/sites/hallgrund/revisions", newRevision(loaded, withLvd(loaded, 11.8)));
        assertEquals(saved.statusCode(), 201);
        JsonNode open = json(liv.get(AGREEMENT));
        assertFalse(open.has("agreed"), "nobody has asked them about the new one");
        assertEquals(open.get("since").asInt(), number);
        assertEquals(open.get("changes").size(), 1, open.toString());
        assertTrue(open.at("/changes/0").asString().contains("→ 11.8 V"), open.toString());
        assertEquals(liv.put(AGREEMENT, agreed(number)).statusCode(), 422, "they have not seen the newest");
        assertTrue(json(liv.put(AGREEMENT, agreed(number + 1))).has("agreed"));
        assertFalse(json(liv.send("DELETE", AGREEMENT, "application/json", "")).has("agreed"));
    }
}
