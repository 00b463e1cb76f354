package sparen.e2e;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import sparen.app.Patience;
import sparen.app.TestDatabase;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** What docs/operating.md says, done: installed from the archive, run for real, backed up, killed and restored. */
public class OperatingTest {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String PASSWORD = "tern lantern gravel sleet";

    private final int port = TestDatabase.freePort();
    private final int databasePort = TestDatabase.freePort();
    private final CookieManager cookies = new CookieManager();
    private final HttpClient client =
            HttpClient.newBuilder().cookieHandler(cookies).build();
    /** What it is started with besides folder and ports. */
    private final Map<String, String> environment = new HashMap<>();

    private Path folder;
    private Path data;
    private Process running;

    @BeforeClass
    public void install() throws Exception {
        folder = Files.createTempDirectory("sparen-installed-");
        Files.setPosixFilePermissions(folder, PosixFilePermissions.fromString("rwxr-xr-x"));
        data = folder.resolve("data");
        Path archive = folder.resolve("sparen.tar.gz");
        shell(Path.of(".."), "scripts/package " + archive);
        shell(folder, "tar -xzf " + archive);
    }

    @AfterClass(alwaysRun = true)
    public void stop() {
        if (running != null && running.isAlive()) {
            running.destroy();
            Patience.until("it stops", () -> !running.isAlive());
        }
    }

    /** What the document says between two lines, both included, without its indentation. */
    private static String documented(String first, String last) throws IOException {
        String text = Files.readString(Path.of("../docs/operating.md"));
        int from = text.indexOf("    " + first + "\n");
        return text.substring(from, text.indexOf("\n    " + last + "\n", from) + last.length() + 6)
                .stripIndent();
    }

    private ProcessBuilder builder(Path in, String command) {
        ProcessBuilder builder = new ProcessBuilder("bash", "-c", command).directory(in.toFile());
        builder.environment().put("SPAREN_DATA", data.toString());
        builder.environment().put("SPAREN_PORT", String.valueOf(port));
        builder.environment().put("SPAREN_DB_PORT", String.valueOf(databasePort));
        builder.environment().put("SPAREN_DEVICES", "no");
        builder.environment().putAll(environment);
        return builder.redirectErrorStream(true);
    }

    /** Runs a command to its end; what it said. */
    private String shell(Path in, String command) throws IOException {
        Path said = Files.createTempFile("sparen", ".out");
        Process process = builder(in, command).redirectOutput(said.toFile()).start();
        Patience.until(command + " ends", () -> !process.isAlive());
        String text = Files.readString(said);
        assertEquals(process.exitValue(), 0, command + ": " + text);
        return text;
    }

    /** Starts it; what it said until it runs. */
    private String start(String name) throws IOException {
        Path said = folder.resolve(name + ".out");
        running = builder(folder.resolve("sparen"), "exec ./start --real")
                .redirectOutput(said.toFile())
                .start();
        Patience.until("it runs; see " + said, () -> {
            if (!running.isAlive()) {
                throw new IllegalStateException(said(said));
            }
            return said(said).contains("Ctrl+C stops it");
        });
        return said(said);
    }

    private static String said(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException broken) {
            throw new IllegalStateException(broken);
        }
    }

    private HttpResponse<String> send(String method, String path, JsonNode body) throws Exception {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                .method(method, HttpRequest.BodyPublishers.ofString(body.toString()))
                .header("Content-Type", "application/json");
        cookies.getCookieStore().getCookies().stream()
                .filter(one -> one.getName().equals("XSRF-TOKEN"))
                .forEach(one -> request.header("X-XSRF-TOKEN", one.getValue()));
        return client.send(request.build(), HttpResponse.BodyHandlers.ofString());
    }

    private HttpResponse<String> get(String path) throws Exception {
        return send("GET", path, JSON.createObjectNode());
    }

    private static ObjectNode named(String name) {
        return JSON.createObjectNode().put("name", name);
    }

    @Test
    public void anOrganisationRunsIt() throws Exception {
        String said = start("first");
        assertFalse(said.contains("welcome"), "no secret in what may be kept: " + said);
        Path link = data.resolve("first-link");
        assertEquals(PosixFilePermissions.toString(Files.getPosixFilePermissions(link)), "rw-------");
        ObjectNode use = JSON.createObjectNode()
                .put("secret", Files.readString(link).strip().replaceFirst(".*/", ""))
                .put("password", PASSWORD);
        use.set("first", named("runa").put("fullName", "Runa Skjelvik"));
        get("/api/session");
        assertEquals(send("POST", "/api/one-time-links/use", use).statusCode(), 200);
        assertEquals(
                send("POST", "/api/session", named("runa").put("password", PASSWORD))
                        .statusCode(),
                200);
        assertEquals(JSON.readTree(get("/api/sites").body()).get("total").asInt(), 0, "nothing of the demo");
        assertEquals(
                send("POST", "/api/session", named("liv").put("password", "havorn-demo"))
                        .statusCode(),
                401,
                "and nobody");
        assertEquals(send("POST", "/api/crews", crew("North")).statusCode(), 201);

        // The database dies: it is started again, and the session goes on.
        shell(folder.resolve("sparen"), "scripts/postgres kill " + data);
        Patience.until(
                "the database is back", () -> said(folder.resolve("first.out")).contains("the database is back"));
        Patience.until("it answers", () -> answers("/api/crews"));

        // In one command, while it runs; what comes after is not in it.
        Path backup = folder.resolve("one.backup");
        shell(folder.resolve("sparen"), "scripts/backup " + backup);
        assertEquals(PosixFilePermissions.toString(Files.getPosixFilePermissions(backup)), "rw-------");
        send("POST", "/api/crews", crew("South"));

        // The start is killed: the next one takes over, and nobody is signed out.
        ProcessHandle killed = running.toHandle();
        killed.destroyForcibly();
        Patience.until("it is dead", () -> !killed.isAlive());
        assertTrue(start("second").contains("stopping it and taking over"));
        assertEquals(JSON.readTree(get("/api/crews").body()).size(), 2);
        assertTrue(shell(folder.resolve("sparen"), "! ./start --real").contains("already, started by process"));

        running.destroy();
        Patience.until("it stops", () -> !running.isAlive());
        assertTrue(said(folder.resolve("second.out")).contains("stopped"));
        assertFalse(Files.exists(data.resolve("application.pid")));
        shell(folder.resolve("sparen"), "scripts/restore " + backup);
        start("third");
        // Sessions are not in a backup.
        assertEquals(get("/api/crews").statusCode(), 401);
        assertEquals(
                send("POST", "/api/session", named("runa").put("password", PASSWORD))
                        .statusCode(),
                200);
        assertEquals(JSON.readTree(get("/api/crews").body()).size(), 1, "as it was at the backup");
        assertTrue(
                Files.readAllLines(data.resolve("log/application.log")).get(0).startsWith("{\"@timestamp\""));
        assertTrue(get("/actuator/prometheus").body().contains("hikaricp_connections"));
        assertEquals(
                HttpClient.newHttpClient()
                        .send(
                                HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/actuator/prometheus"))
                                        .build(),
                                HttpResponse.BodyHandlers.ofString())
                        .statusCode(),
                401);
    }

    /** Behind the proxy of the document, with certificates as it makes them: cookies are Secure, and the trail has the address of who asked, not the proxy's. */
    @Test(dependsOnMethods = "anOrganisationRunsIt")
    public void behindAProxyWithTls() throws Exception {
        running.destroy();
        Patience.until("it stops", () -> !running.isAlive());
        environment.put("SPAREN_BEHIND_PROXY", "yes");
        environment.put("SPAREN_URL", "https://sparen.example");
        start("proxied");
        int tls = TestDatabase.freePort();
        // An authority of the hut's own, as the document makes it: whoever trusts it needs no exception.
        shell(
                folder,
                documented(
                        "openssl req -x509 -newkey rsa:3072 -nodes -days 3650 -subj \"/CN=Hut authority\""
                                + " -keyout hut-authority.key -out hut-authority.pem",
                        "openssl x509 -req -in sparen.csr -CA hut-authority.pem -CAkey hut-authority.key -CAcreateserial"
                                + " -days 397 -extfile sparen.ext -out fullchain.pem"));
        Path configuration = folder.resolve("nginx.conf");
        String server = documented("server {", "}")
                .replace("listen 443", "listen 127.0.0.1:" + tls)
                .replace("/etc/ssl/sparen", folder.toString())
                .replace("8350", String.valueOf(port));
        Files.writeString(
                configuration,
                "error_log stderr; pid nginx.pid; events {} http { access_log off; client_body_temp_path body;"
                        + " proxy_temp_path proxy; fastcgi_temp_path fastcgi; uwsgi_temp_path uwsgi; scgi_temp_path scgi;\n"
                        + server + "\n}");
        shell(folder, "nginx -p . -c nginx.conf");
        try {
            String curl =
                    "curl -si --cacert hut-authority.pem --resolve sparen.hut:" + tls + ":127.0.0.1 -b jar -c jar";
            String address = " https://sparen.hut:" + tls;
            String token = " -H \"X-XSRF-TOKEN: $(awk '/XSRF/{print $7}' jar)\"";
            shell(folder, curl + address + "/api/session");
            String body = " -H 'Content-Type: application/json' -H 'X-Forwarded-For: 203.0.113.9' -d '"
                    + named("runa").put("password", PASSWORD) + "'";
            String signedIn = shell(folder, curl + token + body + address + "/api/session");
            assertTrue(signedIn.matches("(?si).*set-cookie: sparen=[^\n]*Secure.*"), signedIn);
            String trail = shell(folder, curl + address + "/api/audit?size=1");
            assertTrue(trail.contains("203.0.113.9"), trail);
            assertTrue(shell(folder, curl + address + "/actuator/prometheus").contains("403"), "not for everybody");
        } finally {
            shell(folder, "nginx -p . -c nginx.conf -s stop");
        }
    }

    /** The unit of the document is one that systemd understands. */
    @Test
    public void systemdUnderstandsTheUnit() throws IOException {
        String unit = documented("[Unit]", "WantedBy=multi-user.target")
                .replace("/opt/sparen", folder.resolve("sparen").toString());
        Files.writeString(folder.resolve("sparen.service"), unit);
        shell(folder, "systemd-analyze verify ./sparen.service");
    }

    private boolean answers(String path) {
        try {
            return get(path).statusCode() == 200;
        } catch (Exception notYet) {
            // The database is still coming back.
            return false;
        }
    }

    private static ObjectNode crew(String name) {
        ObjectNode crew = named(name).put("version", 0);
        crew.putArray("members");
        crew.putArray("sites");
        return crew;
    }

    /** What cannot be is said in one line, and nothing is left behind. */
    @Test
    public void whatCannotBeIsSaidInALine() throws IOException {
        for (List<String> one : List.of(
                List.of("SPAREN_PORT=99999", "has to be a port, 1 to 65535"),
                List.of("SPAREN_PORT=x", "has to be a port"),
                List.of("SPAREN_DB_PORT=$SPAREN_PORT", "they have to differ"),
                List.of("SPAREN_ADDRESS=0.0.0.0", "put a proxy with TLS before it"),
                List.of("SPAREN_DATA=/proc/sparen", "cannot be made"))) {
            String said = shell(folder.resolve("sparen"), "! " + one.get(0) + " ./start --real");
            assertTrue(said.contains(one.get(1)), said);
            assertEquals(said.lines().count(), 1, said);
        }
        assertTrue(shell(folder.resolve("sparen"), "! ./start --unreal").contains("has one option"));
    }
}
