package sparen.browser;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.DoubleConsumer;
import sparen.question.Linked;
import sparen.question.RunEvents;
import sparen.question.RunLook;
import sparen.question.RunPart;
import sparen.question.RunRequest;
import sparen.question.RunSummary;
import sparen.question.RunView;
import sparen.question.SiteFiles;
import sparen.result.Window;
import sparen.simulation.Scenario;
import sparen.simulation.Simulation;
import sparen.simulation.Simulation.Recorded;

/** The latest runs, kept whole so that looking closer needs no new run: a year has some tens of megabytes. */
final class KeptRuns {
    private static final int MOST = 2;
    private static final Map<String, Recorded> KEPT = new LinkedHashMap<>();

    /** Is told from time to time how far a run is (fraction). */
    static DoubleConsumer tells = share -> {};

    private KeptRuns() {}

    /** Runs it, keeps it, and says what came of it. */
    static RunSummary run(RunRequest request, SiteFiles files) {
        Scenario scenario = files.scenario(request.run());
        Recorded recorded = Simulation.prepare(scenario).record((seconds, days) -> {
            tells.accept(seconds / scenario.durationSeconds());
            return false;
        });
        while (KEPT.size() >= MOST) {
            KEPT.remove(KEPT.keySet().iterator().next());
        }
        KEPT.put(request.id(), recorded);
        return RunSummary.of(scenario, recorded.result());
    }

    static RunView view(RunLook look) {
        Window window = new Window(look.from(), look.to(), look.count());
        Recorded recorded = kept(look);
        return RunView.of(recorded.result(), recorded.recording().trace(window), window);
    }

    static RunEvents events(RunLook look) {
        return RunEvents.of(
                kept(look).result(),
                look.from(),
                look.to(),
                look.subject().orElse(""),
                look.skip().orElse(0),
                look.count());
    }

    static List<Linked> chain(RunLook look) {
        return Linked.of(kept(look).result(), look.count());
    }

    static RunPart part(RunLook look) {
        return RunPart.of(kept(look).part(look.from(), look.to()));
    }

    private static Recorded kept(RunLook look) {
        Recorded recorded = KEPT.get(look.id());
        if (recorded == null) {
            throw new Refused("/id", "the run is not kept here any more");
        }
        return recorded;
    }
}
