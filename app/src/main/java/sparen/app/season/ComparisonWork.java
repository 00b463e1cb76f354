package sparen.app.season;

import org.springframework.stereotype.Component;
import sparen.app.work.Work;
import sparen.app.work.WorkKind;
import sparen.app.work.WorkReport;
import sparen.quantity.Bounds;
import sparen.question.RunInputs;
import sparen.question.RunSummary;
import sparen.simulation.Scenario;
import sparen.simulation.Simulation.Recorded;
import sparen.study.Comparison;
import tools.jackson.databind.json.JsonMapper;

/** Two runs side by side. */
@Component
class ComparisonWork implements WorkKind {
    static final String NAME = "comparison";

    private final Runs runs;
    private final JsonMapper json;

    ComparisonWork(Runs runs, JsonMapper json) {
        this.runs = runs;
        this.json = json;
    }

    /** What is compared: two revisions, or another weather, age or load. */
    record ComparisonRequest(RunInputs before, RunInputs after) {
        ComparisonRequest {
            Bounds.present("before", before);
            Bounds.present("after", after);
            Bounds.within("after.days", after.days(), before.days(), before.days());
        }

        RunInputs side(boolean second) {
            return second ? after : before;
        }
    }

    /** What came of it. */
    record ComparedRuns(RunSummary before, RunSummary after, Comparison comparison) {}

    /** Under which key a side's run is kept. */
    static String key(Work work, boolean second) {
        return work.id() + (second ? "/after" : "/before");
    }

    @Override
    public String name() {
        return NAME;
    }

    @Override
    public Object part(Work work, int part, WorkReport report) {
        ComparisonRequest request = json.readValue(work.request(), ComparisonRequest.class);
        Scenario first = runs.scenario(work.siteId(), request.before(), report);
        Scenario second = runs.scenario(work.siteId(), request.after(), report);
        Recorded before = runs.run(
                key(work, false), first, (seconds, days) -> report.stops(seconds / first.durationSeconds() / 2));
        Recorded after = runs.run(
                key(work, true), second, (seconds, days) -> report.stops((1 + seconds / second.durationSeconds()) / 2));
        return new ComparedRuns(
                RunSummary.of(first, before.result()),
                RunSummary.of(second, after.result()),
                Comparison.of(first.plan(), before.result(), second.plan(), after.result()));
    }
}
