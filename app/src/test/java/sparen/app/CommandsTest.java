package sparen.app;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;

/** What the commands say when they cannot start, and that the database keeps what it was given. */
public class CommandsTest {
    private static final Path ROOT = Path.of("..").toAbsolutePath().normalize();

    record Outcome(int code, String said) {}

    static Outcome run(Map<String, String> environment, String... command) throws Exception {
        ProcessBuilder builder =
                new ProcessBuilder(command).directory(ROOT.toFile()).redirectErrorStream(true);
        builder.environment().put("SPAREN_DEVICES", "no");
        builder.environment().putAll(environment);
        Path output = Files.createTempFile("sparen", ".out");
        Process process = builder.redirectOutput(output.toFile()).start();
        Patience.until(String.join(" ", command) + " ends", () -> !process.isAlive());
        return new Outcome(process.exitValue(), Files.readString(output, StandardCharsets.UTF_8));
    }

    private static Path folder() throws IOException {
        Path folder = Files.createTempDirectory("sparen-test-");
        return Files.setPosixFilePermissions(folder, PosixFilePermissions.fromString("rwxr-xr-x"));
    }

    @Test
    public void startSaysThatAPortIsTaken() throws Exception {
        Path data = folder();
        try (ServerSocket taken = new ServerSocket(0, 5, InetAddress.getByName("127.0.0.1"))) {
            String port = String.valueOf(taken.getLocalPort());
            Outcome application = run(Map.of("SPAREN_PORT", port, "SPAREN_DATA", data.toString()), "./start");
            assertEquals(application.code(), 1);
            assertTrue(application.said().contains("port " + port + " is taken"), application.said());
            Outcome database = run(
                    Map.of(
                            "SPAREN_PORT", String.valueOf(TestDatabase.freePort()),
                            "SPAREN_DB_PORT", port,
                            "SPAREN_DATA", data.toString()),
                    "./start");
            assertEquals(database.code(), 1);
            assertTrue(database.said().contains("meant for the database, is taken"), database.said());
        }
        assertFalse(Files.exists(data.resolve("cluster")), "nothing is half-done");
    }

    @Test
    public void startRefusesAnOpenAddressWithTheKnownPassword() throws Exception {
        Outcome outcome = run(Map.of("SPAREN_ADDRESS", "0.0.0.0"), "./start");
        assertEquals(outcome.code(), 1);
        assertTrue(outcome.said().contains("set SPAREN_DEMO_PASSWORD"), outcome.said());
    }

    @Test
    public void aBrokenDataFolderIsNamedAndLeftAlone() throws Exception {
        Path data = folder();
        Path precious =
                Files.writeString(Files.createDirectory(data.resolve("cluster")).resolve("notes.txt"), "mine");
        Outcome outcome =
                run(Map.of(), "scripts/postgres", "start", data.toString(), String.valueOf(TestDatabase.freePort()));
        assertEquals(outcome.code(), 1);
        assertTrue(outcome.said().contains("is not a PostgreSQL data folder"), outcome.said());
        assertEquals(Files.readString(precious), "mine");
    }

    @Test
    public void theDatabaseKeepsWhatItWasGivenThroughStopAndKill() throws Exception {
        TestDatabase database = TestDatabase.create();
        try {
            database.ask("create table kept (what text); insert into kept values ('a')");
            database.stop();
            database.start();
            database.ask("insert into kept values ('b')");
            database.kill();
            database.start();
            assertEquals(database.ask("select what from kept order by 1"), List.of("a", "b"));
        } finally {
            database.stop();
        }
    }
}
