package sparen.app;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.concurrent.TimeUnit;

/** A PostgreSQL of the tests' own: a real one, on loopback, in a folder that is thrown away. */
public final class TestDatabase {
    private static final Path SCRIPT =
            Path.of("../scripts/postgres").toAbsolutePath().normalize();
    private static TestDatabase shared;

    private final Path data;
    private final int port;

    private TestDatabase(Path data, int port) {
        this.data = data;
        this.port = port;
    }

    /** The one database that the tests of this JVM share; stopped when it ends. */
    public static synchronized TestDatabase shared() {
        if (shared == null) {
            shared = create();
            Runtime.getRuntime().addShutdownHook(new Thread(shared::stop));
        }
        return shared;
    }

    /** A database of its own, started. */
    public static TestDatabase create() {
        try {
            // In the system's folder for such things, so that the user postgres can reach it when the tests run as
            // root.
            TestDatabase database = new TestDatabase(Files.createTempDirectory("sparen-test-"), freePort());
            Files.setPosixFilePermissions(database.data, PosixFilePermissions.fromString("rwxr-xr-x"));
            database.start();
            return database;
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        }
    }

    /** A port that nothing listens on now. */
    public static int freePort() {
        try (ServerSocket socket = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            return socket.getLocalPort();
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        }
    }

    public int port() {
        return port;
    }

    public void start() {
        script("start", data.toString(), String.valueOf(port));
    }

    public void stop() {
        script("stop", data.toString());
    }

    /** As a power cut would. */
    public void kill() {
        script("kill", data.toString());
    }

    private static void script(String... arguments) {
        try {
            String[] command = new String[arguments.length + 1];
            command[0] = SCRIPT.toString();
            System.arraycopy(arguments, 0, command, 1, arguments.length);
            Process process = new ProcessBuilder(command)
                    .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                    .redirectError(ProcessBuilder.Redirect.INHERIT)
                    .start();
            if (!process.waitFor(90, TimeUnit.SECONDS) || process.exitValue() != 0) {
                throw new IllegalStateException(String.join(" ", command) + " failed");
            }
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        } catch (InterruptedException interrupted) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(interrupted);
        }
    }
}
