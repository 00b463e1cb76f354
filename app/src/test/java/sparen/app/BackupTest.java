package sparen.app;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.configuration.FluentConfiguration;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.testng.annotations.Test;

/** What is kept comes back byte by byte, from a backup and through an upgrade; and the application's own role can do no more than it must. */
public class BackupTest {
    private static final String REVISIONS =
            "select site_id || ' ' || number || ' ' || note || ' ' || saved_at || ' ' || document::text from revision order by site_id, number";

    private static CommandsTest.Outcome script(TestDatabase of, String... command) throws Exception {
        return CommandsTest.run(
                Map.of("SPAREN_DATA", of.secrets().getParent().toString(), "SPAREN_DB_PORT", String.valueOf(of.port())),
                command);
    }

    private static ConfigurableApplicationContext application(TestDatabase database) {
        return new SpringApplicationBuilder(SparenApplication.class)
                .run(database.arguments("--server.port=0", "--sparen.demo=true"));
    }

    @Test
    public void aBackupMadeWhileItRunsComesBackByteByByte() throws Exception {
        TestDatabase from = TestDatabase.create();
        TestDatabase into = TestDatabase.create();
        Path file = from.secrets().getParent().resolve("all.backup");
        try {
            List<String> revisions;
            try (ConfigurableApplicationContext running = application(from)) {
                assertTrue(running.isRunning());
                assertEquals(script(from, "scripts/backup", file.toString()).code(), 0);
                revisions = from.ask(REVISIONS);
            }
            assertEquals(revisions.size(), 6, "three sites of the demo, two revisions each");
            assertNotEquals(script(from, "scripts/backup", file.toString()).code(), 0, "it replaces nothing");
            CommandsTest.Outcome tooEarly = script(into, "scripts/restore", file.toString());
            assertTrue(tooEarly.said().contains("stop it first"), tooEarly.said());
            into.stop();
            Path half = Files.write(file.resolveSibling("half"), new byte[] {'P', 'G', 'D', 'M', 'P', 1});
            assertTrue(script(into, "scripts/restore", half.toString()).said().contains("is no backup"));
            CommandsTest.Outcome restored = script(into, "scripts/restore", file.toString());
            assertEquals(restored.code(), 0, restored.said());
            into.start();
            assertEquals(into.ask(REVISIONS), revisions);
            assertEquals(into.ask("select count(*) from account"), List.of("3"));
            into.ask("update account set second_factor = 'GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ' where name = 'liv'");
            try (ConfigurableApplicationContext again = application(into)) {
                assertTrue(again.isRunning());
            }
            assertEquals(
                    into.ask("select left(second_factor, 7) from account where name = 'liv'"),
                    List.of("sealed:"),
                    "kept before there were seals");
            assertEquals(into.ask(REVISIONS), revisions, "and the application goes on with it");
        } finally {
            from.stop();
            into.stop();
        }
    }

    /** From the first version of the tables to the newest: what was saved then is there, byte by byte, and can be used. */
    @Test
    public void anOldDatabaseIsBroughtUp() throws Exception {
        TestDatabase old = TestDatabase.create();
        try {
            Map<String, String> properties = old.properties();
            FluentConfiguration first = Flyway.configure()
                    .dataSource(
                            properties.get("spring.datasource.url"),
                            "sparen_owner",
                            properties.get("sparen.database.owner-password"))
                    .placeholders(Map.of("application", "sparen_application"))
                    .skipDefaultCallbacks(true)
                    .target("1");
            first.load().migrate();
            String document = Files.readString(Path.of("../demo/kvarno.json")).replace("'", "''");
            old.ask("insert into account values ('liv', 'Liv', 'no hash', 'TECHNICIAN');"
                    + "insert into site (id, name) values ('kvarno', 'Kvarnö');"
                    + "insert into revision (site_id, number, schema_version, document, note, author) values ('kvarno', 0, 1, '"
                    + document + "', 'old', 'liv')");
            List<String> before = old.ask("select document::text from revision");
            try (ConfigurableApplicationContext running = application(old)) {
                assertTrue(running.isRunning());
            }
            assertEquals(
                    old.ask("select document::text from revision where site_id = 'kvarno' and number = 0"), before);
            assertEquals(old.ask("select role || active from account where name = 'liv'"), List.of("TECHNICIANtrue"));
        } finally {
            old.stop();
        }
    }

    /** Nothing of the trail is changed or taken away by the application, and no table made. */
    @Test
    public void theApplicationsRoleIsLeast() throws Exception {
        TestDatabase database = TestDatabase.create();
        try (ConfigurableApplicationContext running = application(database)) {
            assertTrue(running.isRunning());
            for (String forbidden : List.of(
                    "update audit set detail = ''",
                    "delete from audit",
                    "truncate audit",
                    "create table more ()",
                    "drop table site",
                    "select * from flyway_schema_history")) {
                expectThrows(IllegalStateException.class, () -> database.askAsApplication(forbidden));
            }
            assertTrue(!database.askAsApplication("select deed from audit").isEmpty());
        } finally {
            database.stop();
        }
    }
}
