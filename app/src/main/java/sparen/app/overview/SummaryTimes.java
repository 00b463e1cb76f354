package sparen.app.overview;

import java.time.Duration;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import sparen.app.work.Chores;

/** Where the engine is another than last time, summaries are made anew beside each night: soon after the start, while nobody waits. */
@Component
class SummaryTimes {
    private static final Duration AFTER_START = Duration.ofSeconds(5);

    private final Summaries summaries;
    private final Chores chores;

    SummaryTimes(Summaries summaries, Chores chores) {
        this.summaries = summaries;
        this.chores = chores;
    }

    @EventListener(ApplicationReadyEvent.class)
    void onStart() {
        summaries.sites().forEach(site -> chores.add(summaries.name(), site, "start", AFTER_START));
    }
}
