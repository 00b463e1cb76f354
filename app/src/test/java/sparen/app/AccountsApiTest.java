package sparen.app;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.StreamSupport;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;
import org.springframework.beans.factory.annotation.Autowired;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.app.account.OneTimeLinks;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Accounts, roles, crews, tokens and the trail, over real HTTP with a real database. */
public class AccountsApiTest extends OverHttp {
    /** Several words that do not belong together. */
    private static final String GOOD = "tern lantern gravel sleet";

    private static final List<String> ROLES = List.of("OBSERVER", "TECHNICIAN", "ADMINISTRATOR");
    private static final Map<String, String> SOMEBODY =
            Map.of("OBSERVER", "odd", "TECHNICIAN", "liv", "ADMINISTRATOR", "signe");

    @Autowired
    private OneTimeLinks links;

    private static ObjectNode standing(String fullName, String role, boolean active) {
        return JSON.createObjectNode()
                .put("fullName", fullName)
                .put("role", role)
                .put("writesToDevices", false)
                .put("active", active);
    }

    private static ObjectNode account(String name, String role) {
        ObjectNode wanted = JSON.createObjectNode().put("name", name);
        wanted.set("standing", standing("Runa Skjelvik", role, true));
        return wanted;
    }

    private static String secretOf(JsonNode link) {
        String path = link.get("path").asString();
        return path.substring(path.lastIndexOf('/') + 1);
    }

    private HttpResponse<String> use(String secret, String password) throws Exception {
        Browser stranger = new Browser();
        stranger.get("/api/session");
        return stranger.post(
                "/api/one-time-links/use",
                JSON.createObjectNode().put("secret", secret).put("password", password));
    }

    /** Made by an administrator, a password by link, signed in: and the link is used up. */
    @Test
    public void aPersonSetsAPasswordByALinkOnce() throws Exception {
        Browser signe = signedIn("signe");
        HttpResponse<String> made = signe.post("/api/accounts", account("runa", "TECHNICIAN"));
        assertEquals(made.statusCode(), 201);
        assertEquals(signe.post("/api/accounts", account("runa", "OBSERVER")).statusCode(), 409);
        String secret = secretOf(json(made));
        assertEquals(use(secret, "short").statusCode(), 422);
        HttpResponse<String> common = use(secret, "password1234");
        assertEquals(json(common).at("/errors/0/pointer").asString(), "/password");
        assertFalse(common.body().contains("password1234"), "what was tried is not said again");
        assertEquals(use(secret, "Runa Skjelvik runa").statusCode(), 422);
        assertEquals(use(secret, GOOD).statusCode(), 200);
        assertEquals(use(secret, GOOD).statusCode(), 404);
        Browser runa = new Browser();
        assertEquals(json(runa.signIn("runa", GOOD)).get("role").asString(), "TECHNICIAN");
        assertTrue(TestDatabase.shared().ask("select 1 from one_time_link").isEmpty());
        assertTrue(TestDatabase.shared()
                .ask("select 1 from account where password_hash like '%lantern%'")
                .isEmpty());
    }

    /** Only as long as there is no administrator is there a link for the first. */
    @Test
    public void theFirstAdministratorComesByALink() throws Exception {
        assertTrue(links.makeFirst().isEmpty(), "the demo has one");
        TestDatabase.shared().ask("update account set role = 'TECHNICIAN' where name = 'signe'");
        String secret = links.makeFirst().orElseThrow().path().replaceFirst(".*/", "");
        Browser stranger = new Browser();
        stranger.get("/api/session");
        ObjectNode wanted = JSON.createObjectNode().put("secret", secret).put("password", GOOD);
        wanted.set("first", JSON.createObjectNode().put("name", "runa").put("fullName", "Runa Skjelvik"));
        assertEquals(stranger.post("/api/one-time-links/use", wanted).statusCode(), 200);
        assertEquals(json(stranger.signIn("runa", GOOD)).get("role").asString(), "ADMINISTRATOR");
        assertTrue(links.makeFirst().isEmpty());
    }

    /** What ends the sessions that somebody has open elsewhere. */
    @DataProvider
    private Object[][] endings() {
        return new Object[][] {
            {
                "another role",
                (Ending) signe -> signe.put("/api/accounts/liv", standing("Liv Nordhavn", "OBSERVER", true))
            },
            {"disabled", (Ending) signe -> signe.put("/api/accounts/liv", standing("Liv Nordhavn", "TECHNICIAN", false))
            },
            {"signed out", (Ending) signe -> signe.post("/api/accounts/liv/sign-out", JSON.createObjectNode())},
            {
                "a new password",
                (Ending) signe ->
                        use(secretOf(json(signe.post("/api/accounts/liv/link", JSON.createObjectNode()))), GOOD)
            },
        };
    }

    @FunctionalInterface
    private interface Ending {
        HttpResponse<String> of(Browser signe) throws Exception;
    }

    @Test(dataProvider = "endings")
    public void sessionsEndWith(String what, Ending ending) throws Exception {
        Browser liv = signedIn("liv");
        assertEquals(liv.get("/api/sites").statusCode(), 200);
        assertTrue(ending.of(signedIn("signe")).statusCode() < 300, what);
        assertEquals(liv.get("/api/sites").statusCode(), 401, what);
    }

    /** A name alone is no reason to sign anybody out. */
    @Test
    public void anotherFullNameEndsNothing() throws Exception {
        Browser liv = signedIn("liv");
        ObjectNode same = standing("Liv N.", "TECHNICIAN", true).put("writesToDevices", true);
        assertEquals(signedIn("signe").put("/api/accounts/liv", same).statusCode(), 200);
        assertEquals(json(liv.get("/api/session")).get("fullName").asString(), "Liv N.");
    }

    @Test
    public void theLastAdministratorStays() throws Exception {
        Browser signe = signedIn("signe");
        for (ObjectNode less :
                List.of(standing("Signe", "TECHNICIAN", true), standing("Signe", "ADMINISTRATOR", false))) {
            assertEquals(
                    json(signe.put("/api/accounts/signe", less)).get("type").asString(),
                    "urn:sparen:problem:last-administrator");
        }
        signe.put("/api/accounts/liv", standing("Liv Nordhavn", "ADMINISTRATOR", true));
        assertEquals(
                signe.put("/api/accounts/signe", standing("Signe", "TECHNICIAN", true))
                        .statusCode(),
                200);
    }

    /** One's own password: with the one that holds; elsewhere one is signed out, here not. */
    @Test
    public void onesOwnPasswordIsChanged() throws Exception {
        Browser here = signedIn("liv");
        Browser elsewhere = signedIn("liv");
        ObjectNode wanted = JSON.createObjectNode().put("current", "wrong").put("next", GOOD);
        assertEquals(
                json(here.post("/api/account/password", wanted))
                        .at("/errors/0/pointer")
                        .asString(),
                "/current");
        assertEquals(
                here.post("/api/account/password", wanted.put("current", "havorn-demo"))
                        .statusCode(),
                204);
        assertEquals(here.get("/api/sites").statusCode(), 200);
        assertEquals(elsewhere.get("/api/sites").statusCode(), 401);
        assertEquals(new Browser().signIn("liv", "havorn-demo").statusCode(), 401);
    }

    /** What an authenticator shows at a time, worked out by the library that the application uses: RFC 6238. */
    private static String code(String secret, Instant at) throws Exception {
        TimeBasedOneTimePasswordGenerator generator = new TimeBasedOneTimePasswordGenerator();
        return generator.generateOneTimePasswordString(
                new SecretKeySpec(new Base32().decode(secret), generator.getAlgorithm()), at);
    }

    private static HttpResponse<String> signIn(Browser browser, String name, String code) throws Exception {
        browser.get("/api/session");
        ObjectNode credentials = JSON.createObjectNode()
                .put("name", name)
                .put("password", "havorn-demo")
                .put("code", code);
        return browser.post("/api/session", credentials);
    }

    @Test
    public void aSecondFactorIsAskedForAndEachCodeTakenOnce() throws Exception {
        Browser liv = signedIn("liv");
        String secret = json(liv.post("/api/account/second-factor", JSON.createObjectNode()))
                .get("secret")
                .asString();
        assertEquals(new Browser().signIn("liv", "havorn-demo").statusCode(), 200, "not before it is confirmed");
        String first = code(secret, Instant.now());
        HttpResponse<String> confirmed = liv.post(
                "/api/account/second-factor/confirm", JSON.createObjectNode().put("code", first));
        assertEquals(confirmed.statusCode(), 200, confirmed.body());
        String kept = "select second_factor from account where name = 'liv'";
        assertFalse(
                TestDatabase.shared().ask(kept).toString().contains(secret), "who reads the database makes no codes");
        assertEquals(
                json(new Browser().signIn("liv", "havorn-demo")).get("type").asString(),
                "urn:sparen:problem:code-wanted");
        assertEquals(signIn(new Browser(), "liv", first).statusCode(), 401, "used already");
        // The clock of the authenticator may be a step ahead.
        String next = code(secret, Instant.now().plusSeconds(30));
        assertNotEquals(next, first);
        assertEquals(signIn(new Browser(), "liv", next).statusCode(), 200);
        assertEquals(signIn(new Browser(), "liv", next).statusCode(), 401, "used already");
        String written = json(confirmed).at("/codes/3").asString();
        assertEquals(json(confirmed).get("codes").size(), 10);
        assertEquals(signIn(new Browser(), "liv", written).statusCode(), 200, "the authenticator is lost");
        assertEquals(signIn(new Browser(), "liv", written).statusCode(), 401, "used already");
        assertEquals(json(liv.get("/api/session")).get("recoveryCodesLeft").asInt(), 9);
        assertTrue(TestDatabase.shared()
                .ask("select 1 from recovery_code where hash like '%-%'")
                .isEmpty());
        ObjectNode sure = JSON.createObjectNode().put("password", "havorn-demo");
        String other = json(liv.post("/api/account/second-factor/recovery-codes", sure))
                .at("/codes/0")
                .asString();
        String old = json(confirmed).at("/codes/4").asString();
        assertEquals(signIn(new Browser(), "liv", old).statusCode(), 401, "others hold now");
        assertEquals(signIn(new Browser(), "liv", other).statusCode(), 200);
        // As in a restored database beside which another key lies.
        TestDatabase.shared().ask("update account set second_factor = 'sealed:' || repeat('A', 88) where name = 'liv'");
        HttpResponse<String> noKey = signIn(new Browser(), "liv", "123456");
        assertEquals(noKey.statusCode(), 503);
        assertTrue(noKey.body().contains("A recovery code lets you in"), noKey.body());
        Browser signe = signedIn("signe");
        assertEquals(
                signe.send("DELETE", "/api/accounts/liv/second-factor", "application/json", "")
                        .statusCode(),
                200);
        assertEquals(new Browser().signIn("liv", "havorn-demo").statusCode(), 200);
    }

    /** One sees where one is signed in, among the hundreds that the other tests leave, ends one of these, and sees nobody else's. */
    @Test
    public void sessionsAreSeenAndEnded() throws Exception {
        Browser liv = signedIn("liv");
        Browser elsewhere = signedIn("liv");
        Browser odd = signedIn("odd");
        HttpResponse<String> seen = elsewhere.get("/api/account/sessions");
        JsonNode other = StreamSupport.stream(json(seen).spliterator(), false)
                .filter(session -> session.path("here").asBoolean())
                .findFirst()
                .orElseThrow(() -> new AssertionError(seen.statusCode() + " " + seen.body()));
        assertEquals(other.get("address").asString(), "127.0.0.1");
        int open = json(liv.get("/api/account/sessions")).size();
        String path = "/api/account/sessions/" + other.get("id").asString();
        assertEquals(odd.send("DELETE", path, "application/json", "").statusCode(), 404);
        assertEquals(json(liv.send("DELETE", path, "application/json", "")).size(), open - 1);
        assertEquals(elsewhere.get("/api/sites").statusCode(), 401);
        assertEquals(liv.get("/api/sites").statusCode(), 200);
        assertEquals(liv.send("DELETE", path, "application/json", "").statusCode(), 404, "no longer there");
    }

    /** To know the password is no way to guess codes: each try counts, also one without a code. */
    @Test
    public void guessingCodesIsSlowedDown() throws Exception {
        TestDatabase.shared()
                .ask("update account set second_factor = 'GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ' where name = 'liv'");
        for (int i = 0; i < 5; i++) {
            Browser guesser = new Browser();
            int status = i % 2 == 0
                    ? guesser.signIn("liv", "havorn-demo").statusCode()
                    : signIn(guesser, "liv", "000000").statusCode();
            assertEquals(status, 401);
        }
        assertEquals(signIn(new Browser(), "liv", "000001").statusCode(), 429);
    }

    /** Codes of RFC 6238, appendix B, of its secret, shortened to the six digits that are used here. */
    @Test
    public void codesAreThoseOfTheStandard() throws Exception {
        String secret = new Base32().encodeToString("12345678901234567890".getBytes(StandardCharsets.US_ASCII));
        assertEquals(code(secret, Instant.ofEpochSecond(59)), "287082");
        assertEquals(code(secret, Instant.ofEpochSecond(1_111_111_109)), "081804");
        assertEquals(code(secret, Instant.ofEpochSecond(20_000_000_000L)), "353130");
    }

    @Test
    public void anOrganisationCanAskForASecondFactor() throws Exception {
        Browser signe = signedIn("signe");
        ObjectNode ours = JSON.createObjectNode()
                .put("name", "Havørn")
                .put("secondFactorRequired", true)
                .put("deviceNetworks", "")
                .put("offlineDays", 91);
        assertEquals(signe.put("/api/organisation", ours).statusCode(), 422);
        ours.put("offlineDays", 3);
        assertEquals(signe.put("/api/organisation", ours).statusCode(), 200);
        Browser liv = signedIn("liv");
        assertTrue(json(liv.get("/api/session")).get("secondFactorWanted").asBoolean());
        assertEquals(json(liv.get("/api/session")).get("offlineDays").asInt(), 3);
        assertEquals(json(liv.get("/api/sites")).get("type").asString(), "urn:sparen:problem:second-factor-wanted");
        assertEquals(
                liv.post("/api/account/second-factor", JSON.createObjectNode()).statusCode(), 200);
    }

    /** Work that was never sent is left only of an account that was withdrawn, once, and for administrators. */
    @Test
    public void whatAWithdrawnAccountNeverSentIsKept() throws Exception {
        Browser odd = signedIn("odd");
        Browser signe = signedIn("signe");
        JsonNode secret = json(odd.post("/api/along", JSON.createObjectNode()));
        Browser stranger = new Browser();
        stranger.get("/api/session");
        ObjectNode left = ((ObjectNode) secret.deepCopy())
                .put("id", "0d3f7c6e-5d1b-4a92-8b35-3f3f4a7f4c11")
                .put("says", "log: note")
                .put("work", "{\"note\": \"corrosion at the shunt\"}");
        assertEquals(
                json(stranger.post("/api/along/contact", secret))
                        .get("standing")
                        .asString(),
                "KNOWN");
        assertEquals(stranger.post("/api/along/left", left).statusCode(), 403, "it may still send it itself");
        assertEquals(
                signe.put("/api/accounts/odd", standing("Odd Fjære", "OBSERVER", false))
                        .statusCode(),
                200);
        assertEquals(
                json(stranger.post("/api/along/contact", secret))
                        .get("standing")
                        .asString(),
                "WITHDRAWN");
        assertEquals(stranger.post("/api/along/left", left).statusCode(), 204);
        assertEquals(stranger.post("/api/along/left", left).statusCode(), 204, "sent twice");
        assertEquals(
                json(stranger.post(
                                "/api/along/contact",
                                left.deepCopy().retain("secret").put("secret", "x")))
                        .get("standing")
                        .asString(),
                "UNKNOWN");
        JsonNode all = json(signe.get("/api/left-work"));
        assertEquals(all.size(), 1, all.toString());
        String one = "/api/left-work/" + all.get(0).get("id").asString();
        assertEquals(json(signe.get(one)).get("note").asString(), "corrosion at the shunt");
        assertEquals(signedIn("liv").get(one).statusCode(), 403);
        assertEquals(signe.send("DELETE", one, "application/json", "").statusCode(), 204);
        assertEquals(json(signe.get("/api/left-work")).size(), 0);
        assertEquals(
                signe.put("/api/accounts/odd", standing("Odd Fjære", "OBSERVER", true))
                        .statusCode(),
                200);
    }

    private HttpResponse<String> withToken(String token, String method, String path, String body) throws Exception {
        HttpRequest request = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                .method(method, HttpRequest.BodyPublishers.ofString(body))
                .header("Content-Type", "application/json")
                .header("Authorization", "Bearer " + token)
                .build();
        return HttpClient.newHttpClient().send(request, HttpResponse.BodyHandlers.ofString());
    }

    private static String token(Browser browser, String name, boolean changes) throws Exception {
        ObjectNode wanted = JSON.createObjectNode()
                .put("name", name)
                .put("changes", changes)
                .put("days", 30);
        HttpResponse<String> made = browser.post("/api/account/tokens", wanted);
        assertEquals(made.statusCode(), 201);
        return json(made).get("secret").asString();
    }

    /** A token reads, changes where it may, makes nothing of its own like, and ends with its owner, its day or its withdrawal. */
    @Test
    public void aTokenDoesWhatItSays() throws Exception {
        Browser liv = signedIn("liv");
        String reads = token(liv, "reads", false);
        String changes = token(liv, "changes", true);
        ObjectNode loaded = latest(liv);
        String revision = newRevision(loaded, withLvd(loaded, 11.63)).toString();
        String revisions = "/api/sites/hallgrund/revisions";
        HttpResponse<String> read = withToken(reads, "GET", "/api/sites", "");
        assertEquals(read.statusCode(), 200);
        assertTrue(read.headers().allValues("Set-Cookie").stream().noneMatch(one -> one.startsWith("sparen=")));
        assertEquals(withToken(reads, "POST", revisions, revision).statusCode(), 403);
        assertEquals(withToken(changes, "POST", revisions, revision).statusCode(), 201);
        assertEquals(withToken(changes, "GET", "/api/account/tokens", "").statusCode(), 403);
        assertTrue(json(liv.get("/api/account/tokens")).at("/0/lastUsedAt").isString(), "one sees that it is used");
        assertEquals(withToken(reads + "x", "GET", "/api/sites", "").statusCode(), 401);
        String id = json(liv.get("/api/account/tokens")).at("/0/id").asString();
        assertEquals(
                liv.send("DELETE", "/api/account/tokens/" + id, "application/json", "")
                        .statusCode(),
                200);
        assertEquals(withToken(reads, "GET", "/api/sites", "").statusCode(), 401);
        TestDatabase.shared().ask("update api_token set expires_at = now()");
        assertEquals(withToken(changes, "GET", "/api/sites", "").statusCode(), 401);
        assertTrue(TestDatabase.shared()
                .ask("select 1 from api_token where hash like 'sparen%'")
                .isEmpty());
    }

    private static ObjectNode crew(String name, String member, boolean changes, String site) {
        ObjectNode crew = JSON.createObjectNode().put("name", name).put("version", 0);
        crew.putArray("members").addObject().put("account", member).put("changes", changes);
        crew.putArray("sites").add(site);
        return crew;
    }

    private static Set<String> seen(Browser browser) throws Exception {
        Set<String> ids = new TreeSet<>();
        json(browser.get("/api/sites"))
                .get("sites")
                .forEach(site -> ids.add(site.get("id").asString()));
        return ids;
    }

    /** A site of a crew is not there for others; in a crew one may see it only; an administrator sees all. */
    @Test
    public void aSiteOfACrewIsForItsMembers() throws Exception {
        Browser signe = signedIn("signe");
        HttpResponse<String> made = signe.post("/api/crews", crew("North", "odd", true, "kvarno"));
        assertEquals(made.statusCode(), 201);
        assertEquals(
                signe.post("/api/crews", crew("North", "odd", true, "kvarno")).statusCode(), 409);
        assertEquals(
                signe.post("/api/crews", crew("South", "nobody", true, "kvarno"))
                        .statusCode(),
                422);
        Browser liv = signedIn("liv");
        assertEquals(seen(liv), Set.of("hallgrund", "skarvholm"));
        assertEquals(seen(signe), Set.of("hallgrund", "kvarno", "skarvholm"));
        for (String path : List.of("/api/sites/kvarno/revisions/latest", "/api/season/kvarno/work")) {
            assertEquals(liv.get(path).statusCode(), 404, path);
        }
        ObjectNode plan = JSON.createObjectNode();
        assertEquals(liv.post("/api/reading/kvarno", plan).statusCode(), 404);
        JsonNode north = json(made).get(0);
        ObjectNode both = crew("North", "liv", false, "kvarno");
        assertEquals(signe.put("/api/crews/" + north.get("id").asString(), both).statusCode(), 200);
        assertEquals(
                signe.put("/api/crews/" + north.get("id").asString(), both).statusCode(), 409, "changed meanwhile");
        assertEquals(liv.get("/api/sites/kvarno/revisions/latest").statusCode(), 200);
        assertEquals(json(liv.get("/api/session")).at("/onlySees/0").asString(), "kvarno");
        HttpResponse<String> refused =
                liv.post("/api/sites/kvarno/state", JSON.createObjectNode().put("state", "DELETED"));
        assertTrue(json(refused).get("detail").asString().startsWith("In your crew"));
    }

    /** Who, what, where and from where; and the application's own role cannot change it. */
    @Test
    public void whatIsDoneIsWrittenDown() throws Exception {
        Browser liv = signedIn("liv");
        ObjectNode loaded = latest(liv);
        liv.post("/api/sites/hallgrund/revisions", newRevision(loaded, withLvd(loaded, 11.64)));
        signedIn("odd")
                .post("/api/sites/hallgrund/state", JSON.createObjectNode().put("state", "DELETED"));
        new Browser().signIn("liv", "guess");
        Browser signe = signedIn("signe");
        assertEquals(liv.get("/api/audit").statusCode(), 403);
        JsonNode trail = json(signe.get("/api/audit?site=hallgrund"));
        assertEquals(
                trail.at("/0/deed").asString() + " " + trail.at("/0/account").asString(), "REFUSED odd");
        assertEquals(
                trail.at("/1/deed").asString() + " " + trail.at("/1/account").asString(), "REVISION_SAVED liv");
        assertTrue(trail.at("/1/detail").asString().endsWith(": LVD"));
        assertEquals(trail.at("/1/address").asString(), "127.0.0.1");
        assertEquals(json(signe.get("/api/audit?account=liv")).at("/0/deed").asString(), "REFUSED");
        assertEquals(json(signe.get("/api/audit?account=liv")).at("/1/deed").asString(), "SIGN_IN_REFUSED");
        String table = signe.get("/api/audit.csv?account=odd").body();
        assertTrue(table.startsWith("at,account,token,address,deed,site,detail"), table);
    }

    /** Every operation says which role it is for, and is refused to those below it before anything else is looked at. */
    @Test
    public void everyOperationIsForARole() throws Exception {
        JsonNode paths = JSON.readTree(Files.readString(OPENAPI)).get("paths");
        Map<String, Browser> browsers =
                Map.of("OBSERVER", signedIn("odd"), "TECHNICIAN", signedIn("liv"), "ADMINISTRATOR", signedIn("signe"));
        int tried = 0;
        for (Map.Entry<String, JsonNode> path : paths.properties()) {
            for (Map.Entry<String, JsonNode> operation : path.getValue().properties()) {
                String what = operation.getKey().toUpperCase(Locale.ROOT) + " " + path.getKey();
                String role = operation.getValue().path("x-role").asString("");
                assertTrue(ROLES.contains(role) || role.equals("ANYONE"), what + " is for nobody");
                if (role.equals("ANYONE") || what.contains("sign-out")) {
                    continue;
                }
                String type = operation
                        .getValue()
                        .at("/requestBody/content")
                        .propertyStream()
                        .map(Map.Entry::getKey)
                        .findFirst()
                        .orElse("application/json");
                String address = path.getKey()
                        .replaceAll("\\{(siteId)}", "nowhere")
                        .replaceAll("\\{(crew|id)}", "00000000-0000-0000-0000-000000000000")
                        .replaceAll("\\{[^}]*}", "1");
                for (String held : ROLES) {
                    if (what.equals("DELETE /api/session")) {
                        continue;
                    }
                    boolean isRefused = ROLES.indexOf(held) < ROLES.indexOf(role);
                    int status = browsers.get(held)
                            .send(operation.getKey().toUpperCase(Locale.ROOT), address, type, "{}")
                            .statusCode();
                    assertEquals(status == 403, isRefused, what + " as " + SOMEBODY.get(held) + ": " + status);
                    tried++;
                }
            }
        }
        assertTrue(tried > 150, String.valueOf(tried));
    }
}
