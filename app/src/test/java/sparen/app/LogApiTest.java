package sparen.app;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What happened at a site since: files of loggers, what they teach, entries, daily figures, what is due. */
public class LogApiTest extends OverHttp {
    private static final String SITE = "/api/sites/skarvholm";
    private static final String ZONE = "zone=Europe/Oslo";
    private static final String ODD =
            "Logger 12\nDato;U bank;I bank;Temp A;Temp B\n01.11.2026 00:00;51,2;-4,0;8;3\n01.11.2026 00:10;51,1;-4,2;8;3\n";

    private static String encoded(JsonNode layout) {
        return "&layout=" + URLEncoder.encode(layout.toString(), StandardCharsets.UTF_8);
    }

    private static HttpResponse<String> csv(Browser who, String path, String text) throws Exception {
        return who.send("POST", path, "text/csv", text);
    }

    /** A heading that nobody foresaw is mapped once, and the next file with it is read by itself. */
    @Test
    public void anOddHeadingIsMappedOnceAndRemembered() throws Exception {
        Browser liv = signedIn("liv");
        String odd = ODD.replace("U bank", "klemme 1").replace("I bank", "klemme 2");
        String look = "/api/reading/skarvholm/file?kind=LOGGER&" + ZONE;
        JsonNode looked = json(csv(liv, look, odd));
        assertTrue(looked.get("badLines").toString().contains("no column is the battery voltage"), looked.toString());
        ObjectNode layout = (ObjectNode) looked.get("layout");
        ArrayNode columns = layout.putArray("columns");
        columns.addObject().put("index", 1).put("meaning", "BATTERY_VOLTS").put("unit", "VOLTS");
        columns.addObject().put("index", 2).put("meaning", "BATTERY_AMPERES").put("unit", "AMPERES");
        JsonNode right = json(csv(liv, look + encoded(layout), odd));
        assertEquals(right.at("/found/from").asString(), "2026-10-31T23:00:00Z", right.toString());
        assertEquals(right.at("/rows/0/1").asString(), "51,2");

        String take = SITE + "/logger-files?name=november.csv&" + ZONE;
        assertEquals(
                csv(signedIn("odd"), take + encoded(layout), odd).statusCode(), 403, "an observer takes nothing in");
        HttpResponse<String> taken = csv(liv, take + encoded(layout), odd);
        assertEquals(taken.statusCode(), 201, taken.body());
        assertEquals(csv(liv, take + encoded(layout), odd).statusCode(), 201);
        assertEquals(json(liv.get(SITE + "/logger-files")).size(), 1, "the same twice is kept once");

        String next = odd.replace("01.11.2026 00:", "01.11.2026 01:") + "01.11.2026 01:20;51,0;-4;8;3\n";
        JsonNode remembered = json(csv(liv, look, next));
        assertTrue(remembered.get("remembered").asBoolean() && remembered.has("found"), remembered.toString());
        assertEquals(csv(liv, take, next).statusCode(), 201);
        assertEquals(json(liv.get(SITE + "/recorded?buckets=8")).get("lowVolts").size(), 8);

        HttpResponse<String> bad = csv(liv, take, next + "01.11.2026 01:30;much;-4;8;3\n");
        assertEquals(bad.statusCode(), 422, bad.body());
        assertTrue(bad.body().contains("battery voltage \\\"much\\\" is not a number"), bad.body());
        assertEquals(json(liv.get(SITE + "/logger-files")).size(), 2, "nothing of a bad one is taken");
        HttpResponse<String> wrong = csv(liv, look + encoded(layout.deepCopy().put("separator", ";;")), odd);
        assertEquals(wrong.statusCode(), 422, wrong.body());
        assertTrue(wrong.body().contains("separator"), wrong.body());

        String id = json(liv.get(SITE + "/logger-files")).at("/0/id").asString();
        assertEquals(
                liv.send("DELETE", SITE + "/logger-files/" + id, "application/json", "")
                        .statusCode(),
                204);
        assertEquals(json(liv.get(SITE + "/logger-files")).size(), 1);
    }

    /**
     * The demo's month was recorded with a battery of 81 % of the plan's 200 Ah and a draw that rose on 12 October: both are found, the
     * rules are replayed as they switched, and what was fitted goes into a revision with where it comes from.
     */
    @Test
    public void aRecordedMonthTeachesTheBatteryThatMadeIt() throws Exception {
        Browser liv = signedIn("liv");
        JsonNode view = json(liv.get("/api/reading/hallgrund/history"));
        assertEquals(view.at("/history/days").size(), 30, "a day is missing");
        assertEquals(
                view.at("/history/nights/crept/since").asString(),
                "2026-10-12",
                view.at("/history/nights").toString());
        JsonNode replay = json(liv.get("/api/reading/hallgrund/replay"));
        JsonNode marker = replay.get("outputs")
                .valueStream()
                .filter(one -> one.get("output").asString().equals("marker-light-output"))
                .findFirst()
                .orElseThrow();
        assertEquals(
                marker.get("closings").asInt(), marker.get("recordedClosings").asInt(), 1.0, marker.toString());

        JsonNode fit = json(liv.get("/api/reading/hallgrund/fit"));
        JsonNode capacity = fit.at("/estimates/0");
        assertEquals(capacity.get("quantity").asString(), "CAPACITY");
        assertEquals(capacity.get("value").asDouble(), 162, 0.04 * 162, capacity.toString());
        ObjectNode loaded = latest(liv);
        ObjectNode taking = JSON.createObjectNode();
        taking.set("plan", loaded.get("plan"));
        taking.putArray("quantities").add("CAPACITY");
        JsonNode plan = json(liv.post("/api/reading/hallgrund/fitted", taking));
        assertEquals(plan.at("/site/battery/ageing/capacityFraction").asDouble(), 0.81, 0.035);
        assertEquals(plan.at("/origins/site~1battery~1ageing/kind").asString(), "FITTED");
        HttpResponse<String> saved = liv.post("/api/sites/hallgrund/revisions", newRevision(loaded, plan));
        assertEquals(saved.statusCode(), 201, saved.body());
        taking.putArray("quantities").add("VOLTAGE_OFFSET");
        HttpResponse<String> where = liv.post("/api/reading/hallgrund/fitted", taking);
        assertEquals(where.statusCode(), 422, where.body());
        assertTrue(where.body().contains("sensePoint"), where.body());
        assertEquals(json(liv.get("/api/reading/hallgrund/simulated-days")).size(), 31);
    }

    private static ObjectNode entry(String kind) {
        return JSON.createObjectNode()
                .put("id", UUID.randomUUID().toString())
                .put("kind", kind)
                .put("at", "2026-11-20T10:00:00Z");
    }

    /** An entry is kept once, says what it means, is due again, and can be withdrawn and put back; an offset goes into the plan. */
    @Test
    public void whatIsMeasuredIsWrittenDownAndTaken() throws Exception {
        Browser liv = signedIn("liv");
        ObjectNode meter = entry("DEVICE_AGAINST_METER").put("part", "battery-terminals");
        meter.putObject("numbers").put("shown", 25.45).put("meter", 25.38);
        String log = "/api/sites/kvarno/log";
        assertEquals(signedIn("odd").post(log, meter).statusCode(), 403);
        assertEquals(liv.post(log, meter).statusCode(), 201);
        JsonNode kept = json(liv.post(log, meter));
        assertEquals(kept.get("entries").size(), 2, "with the demo's; sent twice it is kept once");
        JsonNode mine = kept.get("entries")
                .valueStream()
                .filter(one -> one.at("/entry/id").equals(meter.get("id")))
                .findFirst()
                .orElseThrow();
        assertEquals(mine.at("/says/says").asString(), "It reads 0.07 V high.");
        assertEquals(due(kept, "DEVICE_AGAINST_METER"), "2027-05-21", "182 days after it");
        ObjectNode calibration =
                JSON.createObjectNode().put("entry", meter.get("id").asString());
        calibration.set(
                "plan", json(liv.get("/api/sites/kvarno/revisions/latest")).get("plan"));
        JsonNode plan = json(liv.post("/api/reading/kvarno/calibrated", calibration));
        assertEquals(plan.at("/site/sensePoints/0/offsetVolts").asDouble(), 0.07);
        assertEquals(
                plan.at("/origins/site~1sensePoints~1battery-terminals~1offsetVolts/note")
                        .asString(),
                "against a meter on 2026-11-20");

        String withdrawn = log + "/" + meter.get("id").asString() + "/withdrawn";
        JsonNode without = json(liv.put(withdrawn, JSON.createObjectNode().put("withdrawn", true)));
        assertFalse(due(without, "DEVICE_AGAINST_METER").equals("2027-05-21"), "what is withdrawn does not count");
        JsonNode back = json(liv.put(withdrawn, JSON.createObjectNode().put("withdrawn", false)));
        assertEquals(due(back, "DEVICE_AGAINST_METER"), "2027-05-21");
        JsonNode never = json(liv.put(
                "/api/sites/kvarno/upkeep/WATER_ADDED", JSON.createObjectNode().put("everyDays", 0)));
        assertEquals(due(never, "WATER_ADDED"), "");
        ObjectNode soon = JSON.createObjectNode().put("everyDays", 1);
        String next = due(json(liv.put("/api/sites/kvarno/upkeep/DEVICE_AGAINST_METER", soon)), "DEVICE_AGAINST_METER");
        assertEquals(next, "2026-11-21", "the day after it was done last");
        JsonNode listed = json(liv.get("/api/sites?search=kvarn")).at("/sites/0/due");
        assertEquals(listed.get("on").asString(), next, "the list has what is due next");
        assertEquals(listed.get("what").asString(), "device against meter");

        HttpResponse<String> nobody = liv.post(log, entry("SPARE_TRIED").put("part", "nobody"));
        assertEquals(nobody.statusCode(), 422, nobody.body());
        assertTrue(nobody.body().contains("nobody"), nobody.body());
        JsonNode trail = json(signedIn("signe").get("/api/audit?site=kvarno"));
        assertTrue(trail.toString().contains("LOG_ENTRY_WITHDRAWN"), "all of it is in the trail");
    }

    private static String due(JsonNode view, String kind) {
        return view.get("due")
                .valueStream()
                .filter(one -> one.get("kind").asString().equals(kind))
                .map(one -> one.get("due").asString())
                .findFirst()
                .orElse("");
    }

    /** Days are kept all or none, a file of them is read as it is written, and the levels they reached are told. */
    @Test
    public void daysAreKeptAllOrNone() throws Exception {
        Browser liv = signedIn("liv");
        ObjectNode days = JSON.createObjectNode();
        ArrayNode list = days.putArray("days");
        list.addObject().put("day", "2026-11-01").put("lowestVolts", 49.1).put("highestVolts", 55.2);
        list.addObject().put("day", "2026-11-02").put("lowestVolts", 50.4).put("highestVolts", 48);
        HttpResponse<String> wrong = liv.put(SITE + "/daily", days);
        assertEquals(wrong.statusCode(), 422, wrong.body());
        assertTrue(wrong.body().contains("48 V is below the lowest of the day, 50.4 V"), wrong.body());
        assertEquals(json(liv.get(SITE + "/daily")).size(), 0);
        ((ObjectNode) list.get(1)).put("highestVolts", 54);
        assertEquals(json(liv.put(SITE + "/daily", days)).size(), 2);
        String file = "Day,Min V,Max V\n2026-11-02,47.0,54.5\n2026-11-03,48.9,53.0\n";
        HttpResponse<String> taken = csv(liv, SITE + "/daily?" + ZONE, file);
        assertEquals(taken.statusCode(), 201, taken.body());
        assertEquals(json(taken).size(), 3);
        assertEquals(json(taken).at("/1/lowestVolts").asDouble(), 47.0, "the file's day is what it is now");
        assertTrue(json(liv.get("/api/reading/skarvholm/daily-replay")).size() > 0);
        assertEquals(
                json(liv.send("DELETE", SITE + "/daily/2026-11-02", "application/json", ""))
                        .size(),
                2);
    }

    /** What is due, in a calendar under an address that nobody else knows, until it is withdrawn. */
    @Test
    public void whatIsDueIsInACalendar() throws Exception {
        Browser liv = signedIn("liv");
        JsonNode made = json(
                liv.post("/api/account/calendar-feeds", JSON.createObjectNode().put("site", "kvarno")));
        Browser stranger = new Browser();
        HttpResponse<String> calendar = stranger.get(made.get("path").asString());
        assertTrue(calendar.headers().firstValue("Content-Type").orElse("").startsWith("text/calendar"));
        String plain = calendar.body().replace("\r\n ", "");
        assertTrue(plain.startsWith("BEGIN:VCALENDAR") && plain.contains("DTSTART;VALUE=DATE:20270219"), plain);
        assertTrue(plain.contains("Kvarnö seed bank: specific gravity\\, every 91 d"), plain);
        assertFalse(plain.contains("Skarvholm"), "of one site");
        String feed = "/api/account/calendar-feeds/" + made.at("/feed/id").asString();
        assertEquals(liv.send("DELETE", feed, "application/json", "").statusCode(), 204);
        assertEquals(stranger.get(made.get("path").asString()).statusCode(), 404);
    }

    /** An EPW file of another place says how far that is. */
    @Test
    public void aFarPlaceIsTold() throws Exception {
        Browser liv = signedIn("liv");
        String epw = "LOCATION,Elsewhere,-,-,-,0,60.0,10.0,1.0,50.0\n" + "x\n".repeat(7)
                + "2005,1,1,1,0,?,-3.5,0,0,0,0,0,0,0,0,0" + ",0".repeat(19) + "\n"
                + "2005,1,1,2,0,?,-3.5,0,0,0,0,0,0,0,0,0" + ",0".repeat(19) + "\n";
        JsonNode look = json(csv(liv, "/api/reading/skarvholm/file?kind=WEATHER&" + ZONE, epw));
        assertTrue(look.get("notes").toString().contains("km from the site: 60°, 10°"), look.toString());
    }

    private static byte[] png() throws Exception {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB), "png", bytes);
        return bytes.toByteArray();
    }

    /** A photo of an entry is kept once, drawn anew; what is none is refused, and who only looks adds none. */
    @Test
    public void anEntryHasPhotos() throws Exception {
        Browser liv = signedIn("liv");
        ObjectNode note = entry("NOTE").put("note", "salt on the terminals");
        String log = SITE + "/log";
        assertEquals(liv.post(log, note).statusCode(), 201);
        String photos = log + "/" + note.get("id").asString() + "/photos";
        ObjectNode photo =
                JSON.createObjectNode().put("id", UUID.randomUUID().toString()).put("picture", png());
        assertEquals(signedIn("odd").post(photos, photo).statusCode(), 403);
        assertEquals(liv.post(photos, photo).statusCode(), 201);
        JsonNode kept = json(liv.post(photos, photo)).get("entries");
        assertEquals(kept.at("/0/photos").size(), 1, "sent again, as its answer was lost: " + kept);
        HttpResponse<String> picture = signedIn("odd")
                .get(SITE + "/log-photos/" + kept.at("/0/photos/0").asString());
        assertEquals(picture.headers().firstValue("Content-Type").orElse(""), "image/jpeg");
        HttpResponse<String> none = liv.post(
                photos,
                JSON.createObjectNode()
                        .put("id", UUID.randomUUID().toString())
                        .put("picture", "<svg/>".getBytes(StandardCharsets.US_ASCII)));
        assertEquals(none.statusCode(), 422, none.body());
        assertTrue(none.body().contains("JPEG and PNG are taken"), none.body());
        assertEquals(
                liv.post(
                                photos.replace(
                                        note.get("id").asString(),
                                        UUID.randomUUID().toString()),
                                photo)
                        .statusCode(),
                404,
                "of no entry");
    }

    /** A calendar of all sites has those that its owner's crews see, and none that they do not. */
    @Test
    public void aCalendarHasWhatItsOwnersCrewsSee() throws Exception {
        Browser liv = signedIn("liv");
        String path = json(liv.post("/api/account/calendar-feeds", JSON.createObjectNode()))
                .get("path")
                .asString();
        Browser stranger = new Browser();
        String all = stranger.get(path).body();
        assertTrue(all.contains("kvarno-") && all.contains("skarvholm-"), all);
        ObjectNode crew = JSON.createObjectNode().put("name", "North").put("version", 0);
        crew.putArray("members").addObject().put("account", "odd").put("changes", true);
        crew.putArray("sites").add("kvarno");
        assertEquals(signedIn("signe").post("/api/crews", crew).statusCode(), 201);
        String less = stranger.get(path).body();
        assertTrue(!less.contains("kvarno-") && less.contains("skarvholm-"), less);
        HttpResponse<String> hidden =
                liv.post("/api/account/calendar-feeds", JSON.createObjectNode().put("site", "kvarno"));
        assertEquals(hidden.statusCode(), 404, hidden.body());
    }

    /** Who only looks reads all of it, and every act of changing is refused before anything is. */
    @Test
    public void anObserverReadsAndChangesNothing() throws Exception {
        Browser odd = signedIn("odd");
        for (String read : List.of(
                "/api/sites/hallgrund/logger-files",
                "/api/sites/hallgrund/recorded",
                "/api/reading/hallgrund/history",
                "/api/reading/hallgrund/replay?revision=0",
                "/api/sites/kvarno/log",
                "/api/sites/kvarno/log/kinds",
                "/api/sites/kvarno/daily",
                "/api/reading/kvarno/daily-replay")) {
            HttpResponse<String> answer = odd.get(read);
            assertEquals(answer.statusCode(), 200, read + ": " + answer.body());
        }
        String file =
                json(odd.get("/api/sites/hallgrund/logger-files")).at("/0/id").asString();
        JsonNode nothing = JSON.createObjectNode();
        assertEquals(
                odd.send("DELETE", "/api/sites/hallgrund/logger-files/" + file, "application/json", "")
                        .statusCode(),
                403);
        assertEquals(odd.put("/api/sites/kvarno/daily", nothing).statusCode(), 403);
        assertEquals(
                odd.send("DELETE", "/api/sites/kvarno/daily/2026-11-01", "application/json", "")
                        .statusCode(),
                403);
        assertEquals(odd.put("/api/sites/kvarno/upkeep/WATER_ADDED", nothing).statusCode(), 403);
        assertEquals(csv(odd, "/api/sites/kvarno/daily?" + ZONE, "x").statusCode(), 403);
        assertEquals(json(odd.get("/api/sites/kvarno/daily")).size(), 24);
        assertEquals(odd.get("/api/sites/skarvholm/recorded").statusCode(), 404, "nothing was recorded there");
    }
}
