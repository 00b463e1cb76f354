package sparen.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.stream.Stream;
import sparen.app.Patience;
import sparen.app.TestDatabase;

/** The packaged application as a process of its own, with demo data. */
final class RunningApplication {
    private static final Path JAR = Path.of("../app/target/sparen.jar").toAbsolutePath();
    private static final Path UNPACKED = Path.of("target/run");
    private static final Path CLASSES = UNPACKED.resolve("classes.jsa");

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
            unpackOnce();
            process = java(
                            "-XX:SharedArchiveFile=" + CLASSES,
                            "-jar",
                            UNPACKED + "/sparen.jar",
                            "--sparen.demo=true",
                            "--sparen.outlook-after=PT1H",
                            "--sparen.measure-every=PT0S")
                    .start();
            awaitReady();
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        }
    }

    private ProcessBuilder java(String... arguments) {
        ProcessBuilder builder =
                new ProcessBuilder(Stream.concat(Stream.of("java", "-XX:+UseSerialGC", COMPILING), Stream.of(arguments))
                        .toList());
        builder.environment().put("SPAREN_PORT", String.valueOf(port));
        builder.environment().put("SPAREN_DB_PORT", String.valueOf(database.port()));
        builder.environment().put("SPAREN_SECRETS", database.secrets().toString());
        return builder.redirectErrorStream(true)
                .redirectOutput(Path.of("target/application-" + port + ".log").toFile());
    }

    /** As ./start has it, unpacked and with an archive of its loaded classes: it comes up in half the time. Done once for all JVMs of tests. */
    private void unpackOnce() throws IOException {
        Files.createDirectories(UNPACKED.getParent());
        try (FileChannel one = FileChannel.open(
                        UNPACKED.resolveSibling("run.lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
                FileLock lock = one.lock()) {
            if (Files.exists(CLASSES)
                    && Files.getLastModifiedTime(CLASSES).compareTo(Files.getLastModifiedTime(JAR)) > 0) {
                return;
            }
            run(java("-Djarmode=tools", "-jar", JAR.toString(), "extract", "--force", "--destination", UNPACKED + ""));
            run(java(
                    "-XX:ArchiveClassesAtExit=" + CLASSES,
                    "-Dspring.context.exit=onRefresh",
                    "-jar",
                    UNPACKED + "/sparen.jar",
                    "--sparen.demo=true"));
        }
    }

    private void run(ProcessBuilder builder) throws IOException {
        Process running = builder.start();
        Patience.until(builder.command() + " ends", () -> !running.isAlive());
        if (running.exitValue() != 0) {
            throw new IllegalStateException(builder.command() + " failed; see target/application-" + port + ".log");
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
