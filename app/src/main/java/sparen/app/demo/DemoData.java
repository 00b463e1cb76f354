package sparen.app.demo;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.Set;
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
import sparen.app.plan.PlanService;
import sparen.app.right.Role;
import sparen.app.site.SiteService;
import sparen.app.wire.Connection;
import sparen.app.wire.Connections;
import sparen.document.DocumentProblem;
import sparen.document.Documents;
import sparen.program.Plan;

/** Puts the demo's accounts and sites into an application that has none of them yet. */
@Component
@ConditionalOnProperty("sparen.demo")
class DemoData implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(DemoData.class);
    private static final String TECHNICIAN = "liv";
    private static final List<String> WIRED = List.of("house-box", "shunt-box");
    private static final String KNOWN = "havorn-demo";

    private final Accounts accounts;
    private final SiteService sites;
    private final PlanService plans;
    private final TransactionTemplate transaction;
    private final Connections connections;
    private final DeviceNetworks networks;
    private final String password;
    private final Optional<Integer> devicesPort;

    DemoData(
            Accounts accounts,
            SiteService sites,
            PlanService plans,
            TransactionTemplate transaction,
            Connections connections,
            DeviceNetworks networks,
            @Value("${sparen.demo-password}") String password,
            @Value("${sparen.demo-devices-port:#{null}}") Optional<Integer> devicesPort) {
        this.accounts = accounts;
        this.sites = sites;
        this.plans = plans;
        this.transaction = transaction;
        this.connections = connections;
        this.networks = networks;
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
            add("hallgrund", "Hällgrund fog-signal relay", "Levels set, test force withdrawn");
            add("kvarno", "Kvarnö seed bank", "Levels, absorption and monitor set for the bank");
            add("skarvholm", "Skarvholm bird observatory", "Levels set above the batteries' own, test force withdrawn");
            devicesPort.ifPresent(this::connect);
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

    private void add(String id, String name, String note) {
        sites.add(id, name);
        if (plans.latest(id).isEmpty()) {
            plans.save(id, Optional.empty(), "As found", plan(id + "-as-found"), TECHNICIAN);
            plans.save(id, Optional.of(0), note, plan(id), TECHNICIAN);
            LOG.info("demo data of {} is in place", id);
        }
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
