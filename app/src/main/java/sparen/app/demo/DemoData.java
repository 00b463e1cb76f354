package sparen.app.demo;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
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
import sparen.app.plan.PlanService;
import sparen.app.right.Role;
import sparen.app.site.SiteService;
import sparen.document.DocumentProblem;
import sparen.document.Documents;
import sparen.program.Plan;

/** Puts the demo's accounts and sites into an application that has none of them yet. */
@Component
@ConditionalOnProperty("sparen.demo")
class DemoData implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(DemoData.class);
    private static final String TECHNICIAN = "liv";
    private static final String KNOWN = "havorn-demo";

    private final Accounts accounts;
    private final SiteService sites;
    private final PlanService plans;
    private final TransactionTemplate transaction;
    private final String password;

    DemoData(
            Accounts accounts,
            SiteService sites,
            PlanService plans,
            TransactionTemplate transaction,
            @Value("${sparen.demo-password}") String password) {
        this.accounts = accounts;
        this.sites = sites;
        this.plans = plans;
        this.transaction = transaction;
        this.password = password;
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
        });
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
