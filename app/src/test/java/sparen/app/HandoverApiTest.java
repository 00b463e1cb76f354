package sparen.app;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.net.http.HttpResponse;
import java.util.UUID;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What was read off devices, over real HTTP with a real database. */
public class HandoverApiTest extends OverHttp {
    private static final String READINGS = "/api/sites/hallgrund/devices/box/readings";

    /** A box that holds the LVD of the first output, which the demo has at 11.5 V. */
    private static ObjectNode fitted(JsonNode plan) {
        ObjectNode fitted = plan.deepCopy().asObject();
        ObjectNode device =
                ((ObjectNode) fitted.get("program")).putArray("devices").addObject();
        device.put("id", "box").put("name", "Mast box");
        device.putArray("outputs").add(plan.at("/program/outputs/0/id").asString());
        device.set(
                "profile",
                JSON.readTree(
                        """
                {"id": "box", "name": "Box", "outputs": 1, "rules": ["voltageDisconnect"], "codes": [], "hidings": [],
                 "saving": "at once", "showing": "it is read back", "knobs": [{"kind": "number",
                 "setting": "voltageDisconnect.lvdVolts", "label": "off below", "unit": "V", "ofOurs": 1,
                 "least": 10, "most": 13, "step": 0.1}]}"""));
        return fitted;
    }

    private static HttpResponse<String> read(Browser who, UUID id, String shows) throws Exception {
        ObjectNode reading = JSON.createObjectNode().put("id", id.toString());
        reading.putObject("values").put(place, shows);
        return who.post(READINGS, reading);
    }

    private static String place;

    private static JsonNode entry(JsonNode handover) {
        for (JsonNode one : handover.at("/devices/0/entries")) {
            if (one.get("place").asString().endsWith("lvdVolts")) {
                return one;
            }
        }
        throw new AssertionError(handover.toString());
    }

    @Test
    public void whatADeviceHoldsIsKeptAndCompared() throws Exception {
        Browser liv = signedIn("liv");
        ObjectNode loaded = latest(liv);
        JsonNode plan = withLvd(loaded, 11.5);
        assertEquals(
                liv.post("/api/sites/hallgrund/revisions", newRevision(loaded, fitted(plan)))
                        .statusCode(),
                201);
        JsonNode before = entry(json(liv.get("/api/sites/hallgrund/handover")));
        assertEquals(before.get("agreement").asString(), "UNREAD");
        assertEquals(before.get("planned").asString(), "11.5");
        place = before.get("place").asString();

        UUID id = UUID.randomUUID();
        assertEquals(read(signedIn("odd"), id, "11.3").statusCode(), 403, "an observer reads only on the screen");
        HttpResponse<String> misread = read(liv, id, "113");
        assertEquals(misread.statusCode(), 422);
        assertTrue(misread.body().contains("113 V cannot stand at"), misread.body());
        assertEquals(json(liv.get(READINGS)).size(), 0, "nothing is half kept");

        HttpResponse<String> kept = read(liv, id, "11,3");
        assertEquals(kept.statusCode(), 201, kept.body());
        JsonNode drifted = entry(json(kept));
        assertEquals(drifted.get("agreement").asString(), "DRIFTED");
        assertEquals(drifted.get("read").asString(), "11.3");
        assertEquals(read(liv, id, "11,3").statusCode(), 201, "sent again, as its answer was lost");
        assertEquals(json(liv.get(READINGS)).size(), 1, "and kept once");
        assertEquals(
                json(liv.get("/api/sites?search=llgrund"))
                        .at("/sites/0/plan/drifted")
                        .asInt(),
                1);
        JsonNode trail = json(signedIn("signe").get("/api/audit?site=hallgrund"));
        assertEquals(trail.at("/0/deed").asString(), "DEVICE_READ");
        assertEquals(trail.at("/1/deed").asString(), "REFUSED", "once, after what the observer tried");

        assertEquals(read(liv, UUID.randomUUID(), "11.5").statusCode(), 201);
        assertEquals(
                json(liv.get("/api/sites?search=llgrund"))
                        .at("/sites/0/plan/drifted")
                        .asInt(),
                0);
        ObjectNode now = latest(liv);
        JsonNode other = fitted(withLvd(now, 11.7));
        liv.post("/api/sites/hallgrund/revisions", newRevision(now, other));
        JsonNode later = entry(json(liv.get("/api/sites/hallgrund/handover")));
        assertEquals(later.get("agreement").asString(), "TO_ENTER", "the plan has changed, not the device");
        assertEquals(
                liv.post(
                                READINGS.replace("box", "none"),
                                JSON.createObjectNode()
                                        .put("id", UUID.randomUUID().toString())
                                        .set("values", JSON.createObjectNode().put("x", "1")))
                        .statusCode(),
                404);
    }
}
