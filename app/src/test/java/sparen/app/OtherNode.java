package sparen.app;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;

/**
 * Another node of the application on the tests' database, in a process of its own, that can be killed.
 *
 * @param port where it answers
 */
record OtherNode(Process process, int port) {
    static OtherNode start() throws IOException {
        int port = TestDatabase.freePort();
        Path log = Path.of("target/node-" + port + ".log");
        ProcessBuilder builder = new ProcessBuilder(
                "java",
                "-XX:+UseSerialGC",
                "-XX:TieredStopAtLevel=1",
                "-cp",
                System.getProperty("java.class.path"),
                SparenApplication.class.getName(),
                "--sparen.demo=true",
                "--sparen.measure-every=PT0S");
        builder.environment().put("SPAREN_PORT", String.valueOf(port));
        builder.environment()
                .put("SPAREN_DB_PORT", String.valueOf(TestDatabase.shared().port()));
        builder.environment()
                .put("SPAREN_SECRETS", TestDatabase.shared().secrets().toString());
        OtherNode node = new OtherNode(
                builder.redirectErrorStream(true).redirectOutput(log.toFile()).start(), port);
        HttpRequest question = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/actuator/health"))
                .build();
        Patience.until("the other node comes up; see " + log, () -> {
            if (!node.process().isAlive()) {
                throw new IllegalStateException("the other node ended; see " + log);
            }
            try {
                return HttpClient.newHttpClient()
                                .send(question, HttpResponse.BodyHandlers.discarding())
                                .statusCode()
                        == 200;
            } catch (IOException notYet) {
                return false;
            }
        });
        return node;
    }

    /** As kill -9 does. */
    void kill() {
        process.destroyForcibly();
        Patience.until("the other node ends", () -> !process.isAlive());
    }
}
