package sparen.app;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.ByteArrayInputStream;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.app.web.ApiExamples;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The API over real HTTP with a real database. */
public class ApiTest extends OverHttp {

    @Test
    public void nothingIsToldWithoutSigningInAndHeadersAreStrict() throws Exception {
        Browser stranger = new Browser();
        for (String path :
                List.of("/api/sites", "/api/sites/hallgrund/revisions/latest", "/v3/api-docs", "/actuator/env")) {
            assertEquals(stranger.get(path).statusCode(), 401, path);
        }
        HttpResponse<String> page = stranger.get("/actuator/health");
        String policy = page.headers().firstValue("Content-Security-Policy").orElseThrow();
        assertTrue(policy.startsWith("default-src 'none'; script-src 'self'; style-src 'self';"), policy);
        assertFalse(policy.contains("unsafe"));
        assertEquals(page.headers().firstValue("X-Content-Type-Options").orElseThrow(), "nosniff");
    }

    @Test
    public void sessionCookieIsOutOfReachOfScriptsAndOtherSites() throws Exception {
        HttpResponse<String> response = new Browser().signIn("liv", "havorn-demo");
        String cookie = response.headers().allValues("Set-Cookie").stream()
                .filter(one -> one.startsWith("sparen="))
                .findFirst()
                .orElse("");
        // The first answer of this browser made the session; signing in must have renewed it.
        assertTrue(cookie.contains("HttpOnly") && cookie.contains("SameSite=Strict"), cookie);
    }

    @Test
    public void refusesAForgedRequest() throws Exception {
        Browser browser = signedIn("liv");
        HttpRequest forged = HttpRequest.newBuilder(
                        URI.create("http://127.0.0.1:" + port + "/api/sites/hallgrund/revisions"))
                .POST(HttpRequest.BodyPublishers.ofString("{}"))
                .header("Content-Type", "application/json")
                .build();
        assertEquals(
                browser.client
                        .send(forged, HttpResponse.BodyHandlers.ofString())
                        .statusCode(),
                403);
    }

    @Test
    public void slowsDownGuessing() throws Exception {
        Browser guesser = new Browser();
        for (int i = 0; i < 5; i++) {
            assertEquals(guesser.signIn("nobody", "guess" + i).statusCode(), 401);
        }
        assertEquals(guesser.signIn("nobody", "guess").statusCode(), 429);
        assertEquals(new Browser().signIn("odd", "havorn-demo").statusCode(), 200, "others still get in");
    }

    /** Forty guesses at once are looked at no oftener than forty in a row. */
    @Test
    public void guessesAtOnceAreCountedBeforeTheyAreAnswered() throws Exception {
        Browser guesser = new Browser();
        guesser.get("/api/session");
        ExecutorService atOnce = Executors.newFixedThreadPool(20);
        List<CompletableFuture<Integer>> guesses = IntStream.range(0, 40)
                .mapToObj(i -> CompletableFuture.supplyAsync(
                        () -> {
                            try {
                                return guesser.guess("liv", "guess" + i);
                            } catch (Exception broken) {
                                throw new IllegalStateException(broken);
                            }
                        },
                        atOnce))
                .toList();
        List<Integer> answers = guesses.stream().map(CompletableFuture::join).toList();
        atOnce.shutdown();
        assertEquals(answers.stream().filter(status -> status == 401).count(), 5, answers.toString());
        assertEquals(answers.stream().filter(status -> status == 429).count(), 35, answers.toString());
    }

    @Test
    public void anObserverReadsAndChangesNothing() throws Exception {
        Browser observer = signedIn("odd");
        ObjectNode loaded = latest(observer);
        assertEquals(observer.post("/api/reading/hallgrund", loaded.get("plan")).statusCode(), 200);
        HttpResponse<String> refused =
                observer.post("/api/sites/hallgrund/revisions", newRevision(loaded, withLvd(loaded, 11.5)));
        assertEquals(refused.statusCode(), 403);
        assertTrue(json(refused).get("detail").asString().contains("may read this but not change it"));
    }

    @Test
    public void anOutdatedSaveIsRefusedAndTellsTheNewest() throws Exception {
        Browser liv = signedIn("liv");
        ObjectNode loaded = latest(liv);
        ObjectNode first = newRevision(loaded, withLvd(loaded, 11.61));
        assertEquals(liv.post("/api/sites/hallgrund/revisions", first).statusCode(), 201);
        HttpResponse<String> second =
                liv.post("/api/sites/hallgrund/revisions", newRevision(loaded, withLvd(loaded, 11.62)));
        assertEquals(second.statusCode(), 409);
        assertEquals(second.headers().firstValue("Content-Type").orElseThrow(), "application/problem+json");
        int number = loaded.at("/revision/number").asInt() + 1;
        assertEquals(json(second).at("/latest/number").asInt(), number);
        assertEquals(
                latest(liv).at("/plan/program/outputs/0/protection/lvdVolts").asDouble(), 11.61);
        JsonNode before =
                json(liv.get("/api/sites/hallgrund/revisions/" + (number - 1))).get("plan");
        assertTrue(before.equals(loaded.get("plan")), "the one before stays as it was");
    }

    /** Of many saves on one parent exactly one is taken. */
    @Test
    public void ofSimultaneousSavesOneWins() throws Exception {
        Browser liv = signedIn("liv");
        ObjectNode loaded = latest(liv);
        ExecutorService pool = Executors.newFixedThreadPool(6);
        List<Callable<Integer>> saves = IntStream.range(0, 6)
                .<Callable<Integer>>mapToObj(i -> () -> liv.post(
                                "/api/sites/hallgrund/revisions", newRevision(loaded, withLvd(loaded, 11 + i / 100.0)))
                        .statusCode())
                .toList();
        int created = 0;
        for (Future<Integer> answer : pool.invokeAll(saves)) {
            created += answer.get() == 201 ? 1 : 0;
            assertTrue(answer.get() == 201 || answer.get() == 409, "status " + answer.get());
        }
        pool.shutdown();
        assertEquals(created, 1);
        assertEquals(
                latest(liv).at("/revision/number").asInt(),
                loaded.at("/revision/number").asInt() + 1);
    }

    /** One plan that cannot be read hides no other site; it says why, and an older revision is brought back on top of it. */
    @Test
    public void anUnreadablePlanIsToldAndRepaired() throws Exception {
        Browser liv = signedIn("liv");
        TestDatabase.shared()
                .ask("update revision set document = jsonb_set(document, '{plan,site,nominalVolts}', '-12')"
                        + " where site_id = 'kvarno' and number = 1");
        // What was worked out by another engine is looked at anew.
        TestDatabase.shared().ask("update site_summary set engine = 'another'");
        TestDatabase.shared()
                .ask("insert into draft select site_id, 'liv', 0, document, now() from revision"
                        + " where site_id = 'kvarno' and number = 1");
        HttpResponse<String> list = liv.get("/api/sites");
        assertEquals(list.statusCode(), 200, list.body());
        JsonNode sites = json(list).get("sites");
        assertEquals(sites.size(), 3);
        assertEquals(sites.at("/0/id").asString(), "kvarno", "it comes first");
        JsonNode kvarno = site(sites, "kvarno");
        assertTrue(kvarno.get("unreadable").asString().contains("nominalVolts: -12 V"), kvarno.toString());
        assertFalse(kvarno.has("plan"));
        assertTrue(site(sites, "hallgrund").has("plan"));
        HttpResponse<String> latest = liv.get("/api/sites/kvarno/revisions/latest");
        assertEquals(latest.statusCode(), 409);
        assertTrue(json(latest).get("detail").asString().contains("Revision 1"), latest.body());
        JsonNode drafts = json(liv.get("/api/sites/kvarno/drafts"));
        assertTrue(drafts.get("unreadable").asString().contains("The draft of liv"), drafts.toString());
        HttpResponse<String> repaired = liv.post("/api/sites/kvarno/repair", JSON.createObjectNode());
        assertEquals(repaired.statusCode(), 201, repaired.body());
        assertEquals(json(repaired).at("/plan/revision/number").asInt(), 2);
        assertEquals(
                json(liv.get("/api/sites/kvarno/revisions/latest")).get("plan"),
                json(liv.get("/api/sites/kvarno/revisions/0")).get("plan"));
        assertEquals(
                liv.post("/api/sites/kvarno/repair", JSON.createObjectNode()).statusCode(), 409);
    }

    private static JsonNode site(JsonNode list, String id) {
        for (JsonNode one : list) {
            if (one.get("id").asString().equals(id)) {
                return one;
            }
        }
        throw new AssertionError("no " + id + " in " + list);
    }

    @Test
    public void aRefusedValueIsPointedAt() throws Exception {
        Browser liv = signedIn("liv");
        ObjectNode loaded = latest(liv);
        HttpResponse<String> refused =
                liv.post("/api/sites/hallgrund/revisions", newRevision(loaded, withLvd(loaded, -4)));
        assertEquals(refused.statusCode(), 422);
        JsonNode error = json(refused).at("/errors/0");
        assertEquals(
                error.get("pointer").asString(), "/plan/program/outputs/transmitter-disconnect/protection/lvdVolts");
        assertEquals(error.get("detail").asString(), "lvdVolts: -4 V is outside 0 to 1000 V");
        assertTrue(latest(liv).equals(loaded), "nothing was saved");
    }

    /** What is in a text or a list, where it is pointed at, and what is said. */
    @DataProvider
    private Object[][] unfit() {
        return new Object[][] {
            {"\"name\":\"Hällgrund", "\"name\":\"H\\u0000\u00e4llgrund", "/plan/site", "U+0000 is not taken"},
            {"\"name\":\"Hällgrund", "\"name\":\"H\\u202eällgrund", "/plan/site", "U+202E is not taken"},
            {"\"name\":\"Hällgrund", "\"name\":\"H\\nällgrund", "/plan/site/name", "in one line"},
            {"\"origins\":{", "\"origins\":{\"a\\u0000\":{\"kind\":\"GUESS\",\"note\":\"\"},", "/plan", "U+0000"},
            {"\"loads\":[", "\"loads\":[null,", "/plan/site/loads", "nothing (null)"},
            {"\"note\":\"", "\"note\":\"\\u0007", "/note", "U+0007 is not taken"},
        };
    }

    /** Texts that no database keeps or that hide what they say, and lists with nothing in them, are refused where they stand. */
    @Test(dataProvider = "unfit")
    public void refusesWhatNobodyCanSee(String good, String bad, String pointer, String words) throws Exception {
        Browser liv = signedIn("liv");
        ObjectNode loaded = latest(liv);
        String body = newRevision(loaded, withLvd(loaded, 11.6)).toString();
        assertTrue(body.contains(good), good + " in " + body.substring(0, 300));
        HttpResponse<String> refused = liv.send(
                "POST",
                "/api/sites/hallgrund/revisions",
                "application/json",
                body.replaceFirst(Pattern.quote(good), Matcher.quoteReplacement(bad)));
        assertEquals(refused.statusCode(), 422, refused.body());
        assertTrue(json(refused).at("/errors/0/pointer").asString().startsWith(pointer), refused.body());
        assertTrue(json(refused).at("/detail").asString().contains(words), refused.body());
        assertTrue(latest(liv).equals(loaded), "nothing was saved");
    }

    /** More than a name and a password is not read, whether its length is told or not; what the server refuses is no page. */
    @Test
    public void readsNoFurtherThanItMust() throws Exception {
        Browser stranger = new Browser();
        HttpResponse<String> told = stranger.signIn("liv", "x".repeat(20_000));
        assertEquals(told.statusCode(), 413);
        assertEquals(json(told).get("type").asString(), "urn:sparen:problem:too-large");
        byte[] body =
                ("{\"name\":\"liv\",\"password\":\"" + "x".repeat(20_000) + "\"}").getBytes(StandardCharsets.UTF_8);
        HttpResponse<String> untold = stranger.client.send(
                HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/api/session"))
                        .POST(HttpRequest.BodyPublishers.ofInputStream(() -> new ByteArrayInputStream(body)))
                        .header("Content-Type", "application/json")
                        .header("X-XSRF-TOKEN", stranger.token())
                        .build(),
                HttpResponse.BodyHandlers.ofString());
        assertEquals(untold.statusCode(), 413, untold.body());
        for (String path : List.of("/api/sites/%00/revisions/latest", "/error", "/api/sites/a%2fb")) {
            HttpResponse<String> none = stranger.get(path);
            assertTrue(none.statusCode() == 400 || none.statusCode() == 404, path + " " + none.statusCode());
            assertTrue(!none.body().contains("<html"), path + ": " + none.body());
        }
    }

    @Test
    public void saysThePlanAndItsFindings() throws Exception {
        Browser odd = signedIn("odd");
        JsonNode asFound = json(odd.get("/api/sites/hallgrund/revisions/0")).get("plan");
        JsonNode reading = json(odd.post("/api/reading/hallgrund", asFound));
        assertEquals(reading.at("/findings/0/severity").asString(), "DANGER");
        JsonNode chip = reading.at("/outputs/0/protection/parts/3");
        assertEquals(chip.get("label").asString(), "LVD");
        assertEquals(chip.get("unit").asString(), "V");
    }

    /** A cure of a finding is applied to the plan that is sent, and to nothing else; one that is out of date is not found. */
    @Test
    public void appliesACureAndSavesNothing() throws Exception {
        Browser liv = signedIn("liv");
        JsonNode asFound = json(liv.get("/api/sites/kvarno/revisions/0")).get("plan");
        JsonNode finding = null;
        for (JsonNode one : json(liv.post("/api/reading/kvarno", asFound)).get("findings")) {
            finding = finding == null && one.get("cures").size() > 0 ? one : finding;
        }
        ObjectNode proposed = JSON.createObjectNode()
                .put("path", finding.get("path").asString())
                .put("says", finding.at("/cures/0/says").asString());
        proposed.set("plan", asFound);
        JsonNode cured = json(liv.post("/api/changes/kvarno", proposed)).get("plan");
        assertFalse(cured.equals(asFound));
        String check = finding.get("check").asString();
        String at = finding.get("at").asString();
        for (JsonNode one : json(liv.post("/api/reading/kvarno", cured)).get("findings")) {
            assertFalse(one.get("check").asString().equals(check)
                    && one.get("at").asString().equals(at));
        }
        proposed.set("plan", cured);
        assertEquals(liv.post("/api/changes/kvarno", proposed).statusCode(), 404);
        assertTrue(json(liv.get("/api/sites/kvarno/revisions/0")).get("plan").equals(asFound), "nothing was saved");
    }

    private static final String START =
            """
            {"start": {"name": "%s", "location": {"latitudeDegrees": 61, "longitudeDegrees": 9, "elevationMetres": 0,
              "timeZone": "Europe/Oslo"}, "nominalVolts": 24, "chemistry": "GEL", "capacityAmpereHours": %s,
              "arrayWatts": 900, "inverter": true, "generator": false, "feeder": false, "surplusLoad": true}}
            """;

    private JsonNode site(Browser who, String id) throws Exception {
        for (JsonNode one : json(who.get("/api/sites")).get("sites")) {
            if (one.get("id").asString().equals(id)) {
                return one;
            }
        }
        return null;
    }

    /** Made, copied, put away, deleted and brought back: a site keeps its plan all the way. */
    @Test
    public void aSiteCanBeMadeCopiedAndDeletedWithoutLoss() throws Exception {
        Browser liv = signedIn("liv");
        JsonNode made = json(liv.send("POST", "/api/sites", "application/json", START.formatted("Östra Skäret", 150)));
        assertEquals(made.get("id").asString(), "ostra-skaret");
        assertEquals(made.at("/plan/findings").toString(), "{}");
        HttpResponse<String> blank =
                liv.send("POST", "/api/sites/ostra-skaret/copies", "application/json", "{\"name\": \" \"}");
        assertEquals(blank.statusCode(), 422);
        assertEquals(json(blank).at("/errors/0/pointer").asString(), "/name");
        JsonNode copy = json(liv.send(
                "POST", "/api/sites/ostra-skaret/copies", "application/json", "{\"name\": \"Västra Skäret\"}"));
        assertEquals(copy.get("id").asString(), "vastra-skaret");
        String copied = copy.get("id").asString();
        JsonNode plan = json(liv.get("/api/sites/" + copied + "/revisions/0")).get("plan");
        assertEquals(plan.at("/site/name").asString(), "Västra Skäret");
        for (String state : new String[] {"ARCHIVED", "DELETED"}) {
            liv.send("POST", "/api/sites/" + copied + "/state", "application/json", "{\"state\": \"" + state + "\"}");
        }
        assertEquals(site(liv, copied), null);
        assertEquals(liv.get("/api/sites/" + copied + "/revisions/0").statusCode(), 404);
        liv.send("POST", "/api/sites/" + copied + "/state", "application/json", "{\"state\": \"ACTIVE\"}");
        assertTrue(json(liv.get("/api/sites/" + copied + "/revisions/0"))
                .get("plan")
                .equals(plan));
        assertEquals(
                signedIn("odd")
                        .send("POST", "/api/sites", "application/json", START.formatted("x", 1))
                        .statusCode(),
                403);
    }

    /** A refused start or document makes no site, and says which field. */
    @Test
    public void aBrokenSiteIsRefusedWhole() throws Exception {
        Browser liv = signedIn("liv");
        int before = json(liv.get("/api/sites")).get("sites").size();
        HttpResponse<String> refused = liv.send("POST", "/api/sites", "application/json", START.formatted("Norra", -5));
        assertEquals(json(refused).at("/errors/0/pointer").asString(), "/start/capacityAmpereHours");
        String document = Files.readString(Path.of("../demo/hallgrund.json"));
        HttpResponse<String> broken = liv.send(
                "POST",
                "/api/sites/documents",
                "application/json",
                document.replaceFirst("\"lvdVolts\": [0-9.]+", "\"lvdVolts\": -1"));
        assertEquals(
                json(broken).at("/errors/0/pointer").asString(),
                "/plan/program/outputs/transmitter-disconnect/protection/lvdVolts");
        assertEquals(json(liv.get("/api/sites")).get("sites").size(), before);
        JsonNode taken = json(liv.send("POST", "/api/sites/documents", "application/json", document));
        assertTrue(taken.get("id").asString().startsWith("hallgrund-fog-signal-relay"), taken.toString());
        liv.send(
                "POST",
                "/api/sites/" + taken.get("id").asString() + "/state",
                "application/json",
                "{\"state\": \"DELETED\"}");
    }

    /** What is offered for an output can be put into the plan as it comes. */
    @Test
    public void offersRulesThatFit() throws Exception {
        Browser liv = signedIn("liv");
        ObjectNode plan =
                (ObjectNode) json(liv.get("/api/sites/skarvholm/revisions/1")).get("plan");
        ObjectNode wanted = JSON.createObjectNode()
                .put("output", plan.at("/program/outputs/0/id").asString());
        wanted.set("plan", plan);
        JsonNode offers = json(liv.post("/api/offers/skarvholm", wanted));
        assertTrue(offers.size() >= 29, offers.size() + " kinds of rules");
        int fitting = 0;
        for (JsonNode offer : offers) {
            if (offer.has("rule")) {
                fitting++;
                ((ObjectNode) plan.at("/program/outputs/0")).set("automatic", offer.get("rule"));
                assertEquals(liv.post("/api/reading/skarvholm", plan).statusCode(), 200, offer.toString());
            }
        }
        assertTrue(fitting >= 27, fitting + " fit this site");
    }

    @Test
    public void runsASeasonAndRecordsOnlyTheWindow() throws Exception {
        Browser odd = signedIn("odd");
        ObjectNode run = JSON.createObjectNode()
                .put("from", "2026-10-05")
                .put("days", 14)
                .put("weatherNumber", 1);
        run.putObject("weather").put("days", "DULL");
        run.set("plan", json(odd.get("/api/sites/hallgrund/revisions/1")).get("plan"));
        ObjectNode request = JSON.createObjectNode();
        request.set("run", run);
        request.set(
                "window",
                JSON.createObjectNode()
                        .put("fromSeconds", 3600)
                        .put("toSeconds", 3660)
                        .put("buckets", 120));
        JsonNode answer = json(odd.post("/api/season/hallgrund", request));
        assertEquals(answer.at("/run/ledger/closingError").asDouble(), 0, 1e-6);
        assertEquals(answer.at("/view/trace/usedWatts").size(), 120);
        assertEquals(answer.at("/view/trace/bucketSeconds").asDouble(), 0.5);
        assertTrue(answer.get("events").size() > 5);
        assertTrue(json(odd.post("/api/season/hallgrund", request)).equals(answer), "a run is its inputs");

        int most = answer.get("mostDays").asInt();
        run.put("days", most + 334);
        request.withObject("/window").put("toSeconds", (most + 334) * 86_400);
        JsonNode cut = json(odd.post("/api/season/hallgrund", request));
        assertEquals(cut.at("/run/days").size(), most, "of a long season its beginning is run");
        assertEquals(cut.at("/view/trace/bucketSeconds").asDouble() * 120, most * 86_400 - 3600, 1e-6);
        request.withObject("/window").put("fromSeconds", most * 86_400);
        HttpResponse<String> beyond = odd.post("/api/season/hallgrund", request);
        assertEquals(beyond.statusCode(), 422, "nothing of it is run");
        assertTrue(beyond.body().contains("fromSeconds"), beyond.body());
    }

    @Test
    public void takesAProfileWholeOrNotAtAll() throws Exception {
        Browser liv = signedIn("liv");
        String zone = "zone=Europe/Stockholm";
        String bad = "time;power\n2026-01-01T00:00;5\n2026-01-01T00:05;much\n";
        JsonNode preview =
                json(liv.send("POST", "/api/reading/hallgrund/file?kind=CONSUMPTION&" + zone, "text/csv", bad));
        assertEquals(preview.at("/badLines/0/line").asInt(), 3);
        String take = "/api/sites/hallgrund/profiles?name=week.csv&" + zone;
        assertEquals(liv.send("POST", take, "text/csv", bad).statusCode(), 422);
        assertEquals(json(liv.get("/api/sites/hallgrund/profiles")).size(), 0);

        String good = Files.readString(Path.of("../demo/transmitter-week.csv"));
        JsonNode taken = json(liv.send("POST", take, "text/csv", good));
        assertEquals(taken.get("lines").asInt(), 2016);
        JsonNode files = json(liv.get("/api/sites/hallgrund/files"));
        JsonNode samples = files.get("profiles").get(taken.get("id").asString());
        assertEquals(samples.get("watts").size(), 2016, "with its samples, for a core elsewhere");
        assertEquals(samples.get("spanSeconds").asDouble(), 7 * 86_400.0);
        ObjectNode loaded = latest(liv);
        ObjectNode plan = loaded.get("plan").deepCopy().asObject();
        ((ObjectNode) plan.at("/site/loads/0"))
                .set(
                        "consumption",
                        JSON.createObjectNode()
                                .put("kind", "importedProfile")
                                .put("profile", taken.get("id").asString()));
        assertEquals(
                liv.post("/api/sites/hallgrund/revisions", newRevision(loaded, plan))
                        .statusCode(),
                201);
        ObjectNode back = latest(liv);
        assertEquals(
                liv.post("/api/sites/hallgrund/revisions", newRevision(back, loaded.get("plan")))
                        .statusCode(),
                201);
    }

    /** The interface's types are generated from this file; {@code -Dsparen.write-openapi=true} writes it anew. */
    @Test
    public void theDescriptionOfTheApiIsUpToDate() throws Exception {
        JsonNode description = json(signedIn("liv").get("/v3/api-docs"));
        if (Boolean.getBoolean("sparen.write-openapi")) {
            Files.writeString(OPENAPI, JSON.writerWithDefaultPrettyPrinter().writeValueAsString(description) + "\n");
        }
        boolean same = description.equals(JSON.readTree(Files.readString(OPENAPI)));
        assertTrue(same, "web/openapi.json does not describe the API as it is; run scripts/openapi");
    }

    /** Every operation says what it does, by a name of its own, how one signs in for it and how it refuses. */
    @Test
    public void theDescriptionOfTheApiSaysWhatEachOperationDoes() throws Exception {
        JsonNode description = JSON.readTree(Files.readString(OPENAPI));
        Set<String> names = new HashSet<>();
        for (JsonNode path : description.get("paths")) {
            for (JsonNode operation : path) {
                String name = operation.get("operationId").asString();
                assertTrue(names.add(name), "two operations are called " + name);
                assertTrue(operation.path("summary").asString("").endsWith("."), name + " says nothing");
                assertTrue(operation.get("responses").has("default"), name);
                assertEquals(
                        operation.path("security").size(),
                        operation.get("x-role").asString().equals("ANYONE") ? 0 : 2,
                        name);
            }
        }
        for (Map.Entry<String, JsonNode> type :
                description.at("/components/schemas").properties()) {
            assertFalse(type.getValue().path("title").asString("").isBlank(), type.getKey() + " has no title");
        }
    }

    /** Every example in the description is taken as it stands. */
    @Test(dataProvider = "examples")
    public void examplesOfTheDescriptionAreTaken(String operation, String body) throws Exception {
        String[] methodAndPath = operation.split(" ");
        HttpResponse<String> taken = signedIn("signe")
                .send(methodAndPath[0], ApiExamples.address(methodAndPath[1]), "application/json", body);
        assertTrue(taken.statusCode() / 100 == 2, operation + ": " + taken.statusCode() + taken.body());
    }

    @DataProvider
    public static Object[][] examples() {
        return ApiExamples.BODIES.entrySet().stream()
                .map(one -> new Object[] {one.getKey(), one.getValue()})
                .toArray(Object[][]::new);
    }

    /** What documents and the API are like is at a stable path, for everybody, and a document may say where. */
    @Test
    public void theSchemaIsAtAStablePath() throws Exception {
        Browser stranger = new Browser();
        JsonNode schema = json(stranger.get("/schema/plan-1.schema.json"));
        assertEquals(schema.get("$id").asString(), "urn:sparen:schema:plan:1");
        assertEquals(
                json(stranger.get("/schema/openapi.json")).at("/info/title").asString(), "Sparen");
        ObjectNode document = (ObjectNode) json(signedIn("liv").get("/api/sites/hallgrund/revisions/0/document"));
        document.put("$schema", "http://127.0.0.1:" + port + "/schema/plan-1.schema.json");
        assertEquals(signedIn("liv").post("/api/sites/documents", document).statusCode(), 201);
    }
}
