package sparen.app;

import static org.testng.Assert.assertEquals;

import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.context.testng.AbstractTestNGSpringContextTests;
import org.testng.annotations.BeforeMethod;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Speaks to the application over real HTTP, with a real database, as a browser does. */
@SpringBootTest(
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = {
            "sparen.demo=true",
            "sparen.outlook-after=PT1H",
            "sparen.measure-every=PT0S",
            "springdoc.paths-to-match=/api/**",
            "springdoc.default-produces-media-type=application/json",
            "springdoc.default-consumes-media-type=application/json",
            "springdoc.writer-with-order-by-keys=true"
        })
abstract class OverHttp extends AbstractTestNGSpringContextTests {
    /** The description of the API, from which the interface's types are made. */
    static final Path OPENAPI = Path.of("../web/openapi.json");

    static final JsonMapper JSON = JsonMapper.builder().build();

    @LocalServerPort
    int port;

    @DynamicPropertySource
    static void database(DynamicPropertyRegistry registry) {
        TestDatabase.shared().properties().forEach((name, value) -> registry.add(name, () -> value));
    }

    @BeforeMethod
    public void nothingIsLeftOfAnotherTest() {
        TestDatabase.shared().asAtFirst();
    }

    /** A browser's part: cookies and the token against forgery. */
    final class Browser {
        private final CookieManager cookies = new CookieManager();
        final HttpClient client = HttpClient.newBuilder().cookieHandler(cookies).build();
        /** Port of the node it speaks to. */
        int node = port;
        /** What it sends with every request besides. */
        final Map<String, String> headers = new HashMap<>();

        HttpResponse<String> send(String method, String path, String type, String body) throws Exception {
            return send(method, path, type, body.getBytes(StandardCharsets.UTF_8));
        }

        HttpResponse<String> send(String method, String path, String type, byte[] body) throws Exception {
            HttpRequest.Builder request = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + node + path))
                    .method(method, HttpRequest.BodyPublishers.ofByteArray(body))
                    .header("Content-Type", type);
            headers.forEach(request::header);
            if (!token().isEmpty()) {
                request.header("X-XSRF-TOKEN", token());
            }
            return client.send(request.build(), HttpResponse.BodyHandlers.ofString());
        }

        /** The token against forgery; empty before the first answer. */
        String token() {
            return cookies.getCookieStore().getCookies().stream()
                    .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                    .map(HttpCookie::getValue)
                    .findFirst()
                    .orElse("");
        }

        HttpResponse<String> get(String path) throws Exception {
            return send("GET", path, "application/json", "");
        }

        /** A file as it comes. */
        byte[] file(String path) throws Exception {
            HttpRequest request = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                    .build();
            HttpResponse<byte[]> answer = client.send(request, HttpResponse.BodyHandlers.ofByteArray());
            assertEquals(answer.statusCode(), 200, path);
            return answer.body();
        }

        HttpResponse<String> post(String path, JsonNode body) throws Exception {
            return send("POST", path, "application/json", body.toString());
        }

        HttpResponse<String> put(String path, JsonNode body) throws Exception {
            return send("PUT", path, "application/json", body.toString());
        }

        /** The status of a sign-in that asks for no token first. */
        int guess(String name, String password) throws Exception {
            return post(
                            "/api/session",
                            JSON.createObjectNode().put("name", name).put("password", password))
                    .statusCode();
        }

        HttpResponse<String> signIn(String name, String password) throws Exception {
            get("/api/session");
            return post(
                    "/api/session", JSON.createObjectNode().put("name", name).put("password", password));
        }
    }

    Browser signedIn(String name) throws Exception {
        Browser browser = new Browser();
        assertEquals(browser.signIn(name, "havorn-demo").statusCode(), 200);
        return browser;
    }

    static JsonNode json(HttpResponse<String> response) {
        return JSON.readTree(response.body());
    }

    static ObjectNode latest(Browser browser) throws Exception {
        return (ObjectNode) json(browser.get("/api/sites/hallgrund/revisions/latest"));
    }

    static ObjectNode withLvd(JsonNode loaded, double volts) {
        ObjectNode plan = loaded.get("plan").deepCopy().asObject();
        ((ObjectNode) plan.at("/program/outputs/0/protection")).put("lvdVolts", volts);
        return plan;
    }

    static ObjectNode newRevision(JsonNode loaded, JsonNode plan) {
        ObjectNode body = JSON.createObjectNode()
                .put("parent", loaded.at("/revision/number").asInt())
                .put("note", "LVD");
        body.set("plan", plan);
        return body;
    }
}
