package sparen.app.demo;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import sparen.app.account.Accounts;
import sparen.app.account.DeviceNetworks;
import sparen.app.file.FileLayouts;
import sparen.app.logbook.Logbook;
import sparen.app.logger.LoggerFiles;
import sparen.app.plan.PlanService;
import sparen.app.right.Role;
import sparen.app.site.SiteService;
import sparen.app.wire.Connection;
import sparen.app.wire.Connections;
import sparen.document.DocumentProblem;
import sparen.document.Documents;
import sparen.format.DailyReader;
import sparen.logbook.EntryKind;
import sparen.logbook.LogEntry;
import sparen.program.Plan;
import sparen.table.Column;
import sparen.table.ColumnUnit;
import sparen.table.FileKind;
import sparen.table.Meaning;

/** Puts the demo's accounts and sites into an application that has none of them yet. */
@Component
@ConditionalOnProperty("sparen.demo")
class DemoData implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(DemoData.class);
    private static final String TECHNICIAN = "liv";
    private static final List<String> WIRED = List.of("house-box", "shunt-box");
    private static final String KNOWN = "havorn-demo";
    private static final int MARKER_COLUMN = 6;

    private final Accounts accounts;
    private final SiteService sites;
    private final PlanService plans;
    private final TransactionTemplate transaction;
    private final Connections connections;
    private final DeviceNetworks networks;
    private final LoggerFiles logger;
    private final FileLayouts layouts;
    private final Logbook logbook;
    private final String password;
    private final Optional<Integer> devicesPort;

    DemoData(
            Accounts accounts,
            SiteService sites,
            PlanService plans,
            TransactionTemplate transaction,
            Connections connections,
            DeviceNetworks networks,
            LoggerFiles logger,
            FileLayouts layouts,
            Logbook logbook,
            @Value("${sparen.demo-password}") String password,
            @Value("${sparen.demo-devices-port:#{null}}") Optional<Integer> devicesPort) {
        this.accounts = accounts;
        this.sites = sites;
        this.plans = plans;
        this.transaction = transaction;
        this.connections = connections;
        this.networks = networks;
        this.logger = logger;
        this.layouts = layouts;
        this.logbook = logbook;
        this.password = password;
        this.devicesPort = devicesPort;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        transaction.executeWithoutResult(status -> {
            // Who has a password of their own keeps it; the one that everybody knows gives way to one that is given.
            accounts.replacePassword(KNOWN, password);
            accounts.add("signe", "Signe Holmvik", password, Role.ADMINISTRATOR);
            accounts.add(TECHNICIAN, "Liv Nordhavn", password, Role.TECHNICIAN);
            accounts.add("odd", "Odd Skjærgård", password, Role.OBSERVER);
            boolean isNew = add("hallgrund", "Hällgrund fog-signal relay", "Levels set, test force withdrawn");
            add("kvarno", "Kvarnö seed bank", "Levels, absorption and monitor set for the bank");
            add("skarvholm", "Skarvholm bird observatory", "Levels set above the batteries' own, test force withdrawn");
            devicesPort.ifPresent(this::connect);
            if (isNew) {
                recorded();
                noted();
            }
        });
    }

    /** The observatory's devices are those that the stand-in stands for. */
    private void connect(int port) {
        networks.allowAtFirst("127.0.0.0/8");
        Set<String> connected = connections.of("skarvholm").keySet();
        for (int unit = 1; unit <= WIRED.size(); unit++) {
            if (!connected.contains(WIRED.get(unit - 1))) {
                connections.put(
                        "skarvholm",
                        WIRED.get(unit - 1),
                        new Connection("127.0.0.1", port, unit),
                        Optional.of(24),
                        TECHNICIAN);
            }
        }
    }

    /** A month that a logger recorded at the relay. */
    private void recorded() {
        FileLayouts.LaidOut found =
                layouts.of("hallgrund", FileKind.LOGGER, bytes("hallgrund-october.csv"), Optional.empty());
        List<Column> columns = new ArrayList<>(found.layout().columns());
        columns.add(new Column(
                MARKER_COLUMN,
                Meaning.CONTACT,
                ColumnUnit.YES_OR_NO,
                Optional.of("marker-light-output"),
                Optional.empty()));
        FileLayouts.LaidOut laid =
                new FileLayouts.LaidOut(found.text(), found.layout().withColumns(columns), found.found(), false);
        logger.take("hallgrund", "hallgrund-october.csv", laid, ZoneId.of("Europe/Stockholm"), TECHNICIAN);
    }

    /** What a device of the seed bank kept of its days, and what somebody measured there. */
    private void noted() {
        FileLayouts.LaidOut laid = layouts.of("kvarno", FileKind.DAILY, bytes("kvarno-daily.csv"), Optional.empty());
        logbook.putDays(
                "kvarno",
                DailyReader.read(laid.text(), laid.layout(), ZoneId.of("Europe/Stockholm"))
                        .days(),
                TECHNICIAN);
        logbook.keep(
                "kvarno",
                new LogEntry(
                        UUID.fromString("7f0c1f34-6f5e-4d6e-9f43-0a6b5f3a9d01"),
                        EntryKind.SPECIFIC_GRAVITY,
                        Instant.parse("2026-11-20T10:30:00Z"),
                        Optional.empty(),
                        Map.of("electrolyteCelsius", 12.0),
                        List.of(1.246, 1.244, 1.248, 1.241, 1.212, 1.245, 1.247, 1.243, 1.246, 1.244, 1.242, 1.245),
                        "Cell 5 again. Topped up by a litre after."),
                TECHNICIAN);
    }

    private static byte[] bytes(String name) {
        try (InputStream stream = new ClassPathResource("demo/" + name).getInputStream()) {
            return stream.readAllBytes();
        } catch (IOException broken) {
            throw new UncheckedIOException("the demo file " + name + " cannot be read", broken);
        }
    }

    /** Whether it was not there before: what somebody has taken out of the demo stays out. */
    private boolean add(String id, String name, String note) {
        sites.add(id, name);
        boolean isNew = plans.latest(id).isEmpty();
        if (isNew) {
            plans.save(id, Optional.empty(), "As found", plan(id + "-as-found"), TECHNICIAN);
            plans.save(id, Optional.of(0), note, plan(id), TECHNICIAN);
            LOG.info("demo data of {} is in place", id);
        }
        return isNew;
    }

    private static Plan plan(String name) {
        try (InputStream stream = new ClassPathResource("demo/" + name + ".json").getInputStream()) {
            return Documents.read(new String(stream.readAllBytes(), StandardCharsets.UTF_8))
                    .plan();
        } catch (IOException | DocumentProblem broken) {
            throw new IllegalStateException("the demo document " + name + " cannot be read", broken);
        }
    }
}
