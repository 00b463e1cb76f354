package sparen.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import sparen.app.Patience;
import sparen.app.TestDatabase;

/** The packaged application as a process of its own, with demo data. */
final class RunningApplication {
    private static final Path JAR = Path.of("../app/target/sparen.jar").toAbsolutePath();

    /** Quickly, for a test's application lives for minutes; as ./start has it where times are measured. */
    private static final String COMPILING =
            Boolean.getBoolean("sparen.as-served") ? "-XX:+TieredCompilation" : "-XX:TieredStopAtLevel=1";

    private final TestDatabase database;
    private final int port = TestDatabase.freePort();
    private Process process;

    RunningApplication(TestDatabase database) {
        this.database = database;
    }

    void start() {
        try {
            ProcessBuilder builder = new ProcessBuilder(
                    "java",
                    "-XX:+UseSerialGC",
                    COMPILING,
                    "-jar",
                    JAR.toString(),
                    "--sparen.demo=true",
                    "--sparen.outlook-after=PT1H",
                    "--sparen.measure-every=PT0S");
            builder.environment().put("SPAREN_PORT", String.valueOf(port));
            builder.environment().put("SPAREN_DB_PORT", String.valueOf(database.port()));
            builder.environment().put("SPAREN_SECRETS", database.secrets().toString());
            process = builder.redirectErrorStream(true)
                    .redirectOutput(
                            Path.of("target/application-" + port + ".log").toFile())
                    .start();
            awaitReady();
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        }
    }

    private void awaitReady() {
        HttpClient client = HttpClient.newHttpClient();
        HttpRequest question = HttpRequest.newBuilder(URI.create(address() + "/actuator/health"))
                .build();
        Patience.until("the application comes up; see target/application-" + port + ".log", () -> {
            if (!process.isAlive()) {
                throw new IllegalStateException("the application ended; see target/application-" + port + ".log");
            }
            try {
                return client.send(question, HttpResponse.BodyHandlers.ofString())
                        .body()
                        .contains("\"UP\"");
            } catch (IOException notYet) {
                // It is still starting.
                return false;
            }
        });
    }

    /** In order. */
    void stop() {
        end(process.toHandle(), false);
    }

    /** As kill -9 does. */
    void kill() {
        end(process.toHandle(), true);
    }

    private static void end(ProcessHandle handle, boolean hard) {
        if (hard) {
            handle.destroyForcibly();
        } else {
            handle.destroy();
        }
        Patience.until("the application ends", () -> !handle.isAlive());
    }

    String address() {
        return "http://127.0.0.1:" + port;
    }
}
