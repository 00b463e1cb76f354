package sparen.app.season;

import java.time.Duration;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import sparen.app.plan.PlanSaved;
import sparen.app.site.CarePlanned;
import sparen.app.work.Chores;

/** When the coming days are looked at beside each night: as the application starts, after a save, and when another visit is planned. */
@Component
class OutlookTimes {
    /** What is looked at first is not held up. */
    private static final Duration AFTER_START = Duration.ofSeconds(3);

    private final Outlooks outlooks;
    private final Chores chores;
    private final Duration afterChange;

    OutlookTimes(Outlooks outlooks, Chores chores, @Value("${sparen.outlook-after}") Duration afterChange) {
        this.outlooks = outlooks;
        this.chores = chores;
        this.afterChange = afterChange;
    }

    @EventListener(ApplicationReadyEvent.class)
    void onStart() {
        outlooks.sites().forEach(site -> chores.add(Outlooks.NAME, site, "start", AFTER_START));
    }

    @TransactionalEventListener(fallbackExecution = true)
    void onSave(PlanSaved saved) {
        chores.add(Outlooks.NAME, saved.siteId(), "revision " + saved.revision(), afterChange);
    }

    @TransactionalEventListener(fallbackExecution = true)
    void onCare(CarePlanned planned) {
        chores.add(Outlooks.NAME, planned.siteId(), "visit " + planned.visit(), afterChange);
    }
}
