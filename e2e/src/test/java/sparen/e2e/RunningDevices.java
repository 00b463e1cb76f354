package sparen.e2e;

import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import sparen.app.Patience;
import sparen.app.TestDatabase;

/** The observatory's devices as they were found: the stand-in, in a process of its own, with its displays on a page. */
final class RunningDevices {
    final int port = TestDatabase.freePort();
    private final int display = TestDatabase.freePort();
    private final Path memory;
    private Process process;

    RunningDevices() {
        try {
            memory = Files.createTempDirectory("sparen-devices-");
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        }
    }

    void start() {
        try (Stream<Path> built = Files.list(Path.of("../standin/target"))) {
            Path jar = built.filter(one -> one.getFileName().toString().endsWith("-run.jar"))
                    .findFirst()
                    .orElseThrow();
            Path log = Path.of("target/devices-" + port + ".log");
            process = new ProcessBuilder(
                            "java",
                            "-XX:+UseSerialGC",
                            "-XX:TieredStopAtLevel=1",
                            "-jar",
                            jar.toString(),
                            "--plan",
                            "../demo/skarvholm-as-found.json",
                            "--memory",
                            memory.toString(),
                            "--port",
                            String.valueOf(port),
                            "--display",
                            String.valueOf(display),
                            "--times",
                            "1")
                    .redirectErrorStream(true)
                    .redirectOutput(log.toFile())
                    .start();
            Patience.until("the devices are on; see " + log, () -> {
                assertTrue(process.isAlive(), "the devices went off; see " + log);
                return Files.readString(log).contains("standing in for 2 devices");
            });
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        }
    }

    /** As when their supply is cut: what they had not stored is gone. */
    void cut() {
        process.destroyForcibly();
        Patience.until("the devices go off", () -> !process.isAlive());
    }

    /** Where their displays are. */
    String displays() {
        return "http://127.0.0.1:" + display;
    }
}
