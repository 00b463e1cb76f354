package sparen.app.season;

import org.springframework.stereotype.Component;
import sparen.app.work.Work;
import sparen.app.work.WorkKind;
import sparen.app.work.WorkReport;
import sparen.question.DaySummary;
import sparen.question.RunInputs;
import sparen.question.RunSummary;
import sparen.simulation.Scenario;
import sparen.simulation.Simulation.Recorded;
import tools.jackson.databind.json.JsonMapper;

/** One run. */
@Component
class RunWork implements WorkKind {
    static final String NAME = "run";
    private static final int SHORT_DAYS = 366;

    private final Runs runs;
    private final JsonMapper json;

    RunWork(Runs runs, JsonMapper json) {
        this.runs = runs;
        this.json = json;
    }

    @Override
    public String name() {
        return NAME;
    }

    @Override
    public int priority(Work work) {
        return json.readValue(work.request(), RunInputs.class).days() <= SHORT_DAYS ? SHORT : 0;
    }

    @Override
    public Object part(Work work, int part, WorkReport report) {
        RunInputs inputs = json.readValue(work.request(), RunInputs.class);
        Scenario scenario = runs.scenario(work.siteId(), inputs, report);
        Recorded recorded = runs.run(work.id(), scenario, (seconds, days) -> {
            report.partial(() -> days.get().stream().map(DaySummary::of).toList());
            return report.stops(seconds / scenario.durationSeconds());
        });
        return RunSummary.of(scenario, recorded.result());
    }
}
