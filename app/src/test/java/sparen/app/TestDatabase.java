package sparen.app;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** A PostgreSQL of the tests' own: a real one, on loopback, in a folder that is thrown away. */
public final class TestDatabase {
    private static final Path SCRIPT =
            Path.of("../scripts/postgres").toAbsolutePath().normalize();
    private static TestDatabase shared;

    private final Path data;
    private final int port;
    private boolean kept;

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

    /** Where the passwords of its roles are, a file each. */
    public Path secrets() {
        return data.resolve("secrets");
    }

    /** Where the application finds it, with which passwords. */
    public Map<String, String> properties() {
        return Map.of(
                "spring.datasource.url",
                "jdbc:postgresql://127.0.0.1:" + port + "/sparen",
                "sparen.database.password",
                secret("secrets/sparen.database.password"),
                "sparen.database.owner-password",
                secret("secrets/sparen.database.owner-password"),
                "sparen.second-factor.key",
                secret("secrets/sparen.second-factor.key"));
    }

    /** The same as arguments of an application, behind some. */
    public String[] arguments(String... first) {
        return Stream.concat(
                        Stream.of(first),
                        properties().entrySet().stream().map(one -> "--" + one.getKey() + "=" + one.getValue()))
                .toArray(String[]::new);
    }

    private String secret(String file) {
        try {
            return Files.readString(data.resolve(file)).strip();
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        }
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

    /** The first column of a question's rows. */
    public List<String> ask(String question) {
        return ask(question, "sparen", "superuser");
    }

    /** The same as the application may. */
    public List<String> askAsApplication(String question) {
        return ask(question, "sparen_application", "secrets/sparen.database.password");
    }

    private List<String> ask(String question, String role, String password) {
        String url = "jdbc:postgresql://127.0.0.1:" + port + "/sparen";
        try (Connection connection = DriverManager.getConnection(url, role, secret(password));
                Statement statement = connection.createStatement()) {
            List<String> answers = new ArrayList<>();
            if (statement.execute(question)) {
                ResultSet rows = statement.getResultSet();
                while (rows.next()) {
                    answers.add(rows.getString(1));
                }
            }
            return answers;
        } catch (SQLException failure) {
            throw new IllegalStateException(question, failure);
        }
    }

    /**
     * The first time it remembers what stands in every table but those of signed-in people; later it puts that back, so that no test
     * meets what another left. Long work that still goes on is cancelled first.
     */
    public void asAtFirst() {
        StringBuilder all = new StringBuilder();
        if (kept) {
            ask("update work set cancel_wanted = true where state in ('waiting', 'running')");
            Patience.until("no node is at work", () -> ask("select 1 from scheduled_tasks where picked")
                    .isEmpty());
            // As tables are copied: in any order, whatever refers to what.
            all.append("set session_replication_role = replica;");
            tables().forEach(table -> all.append(
                    "delete from public.%1$s; insert into public.%1$s overriding system value table kept.%1$s;"
                            .formatted(table)));
        } else {
            // What is ahead of the sites is worked out by itself after the start: it is remembered too, and not done
            // before each test.
            Patience.until(
                    "what is ahead is worked out",
                    () -> ask("update scheduled_tasks set execution_time = least(execution_time, now())"
                                    + " where task_name = 'outlook' returning 1")
                            .isEmpty());
            all.append("create schema kept;");
            tables().forEach(table -> all.append("create table kept.%1$s as table public.%1$s;".formatted(table)));
        }
        ask(all.toString());
        kept = true;
    }

    private List<String> tables() {
        return ask("select table_name from information_schema.tables where table_schema = 'public'"
                + " and table_name not like 'flyway%' and table_name not like 'spring_session%' order by 1");
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
            Patience.until(String.join(" ", command) + " ends", () -> !process.isAlive());
            if (process.exitValue() != 0) {
                throw new IllegalStateException(String.join(" ", command) + " failed");
            }
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        }
    }
}
