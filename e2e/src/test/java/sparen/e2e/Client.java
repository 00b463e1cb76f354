package sparen.e2e;

import static org.testng.Assert.assertEquals;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import sparen.app.Patience;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** One who signs in without a browser and keeps their cookies. */
final class Client {
    static final JsonMapper JSON = JsonMapper.builder().build();

    private final CookieManager cookies = new CookieManager();
    private final HttpClient http;
    private final String address;
    private final String name;

    /** Signs in; a database that was killed goes through its recovery first, and the application says 503 so long. */
    Client(String address, String name) throws Exception {
        this(HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(60)), address, name);
    }

    private Client(HttpClient.Builder http, String address, String name) throws Exception {
        this.http = http.cookieHandler(cookies).build();
        this.address = address;
        this.name = name;
        send("GET", "/api/session", "");
        int[] status = new int[1];
        Patience.until("the database is back", () -> {
            status[0] = signIn();
            return status[0] != 503;
        });
        assertEquals(status[0], 200, name);
    }

    private int signIn() throws Exception {
        ObjectNode credentials = JSON.createObjectNode().put("name", name).put("password", "havorn-demo");
        return send("POST", "/api/session", credentials.toString()).statusCode();
    }

    HttpResponse<String> send(String method, String path, String body) throws IOException, InterruptedException {
        return send(method, path, body, "application/json");
    }

    HttpResponse<String> send(String method, String path, String body, String type)
            throws IOException, InterruptedException {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address + path))
                .timeout(Duration.ofSeconds(60))
                .header("Content-Type", type)
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

    /** Asks for long work and returns where it is looked at. */
    String begin(String site, String what, JsonNode request) throws IOException, InterruptedException {
        HttpResponse<String> response = send("POST", "/api/season/" + site + "/" + what, request.toString());
        assertEquals(response.statusCode(), 202, response.body());
        return "/api/season/" + site + "/work/"
                + JSON.readTree(response.body()).at("/work/id").asString();
    }
}
