package sparen.app.season;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
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
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Two runs side by side, each a part: two nodes do them at once. */
@Component
class ComparisonWork implements WorkKind {
    static final String NAME = "comparison";
    private static final int SIDES = 2;

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
    record ComparedRuns(
            @Schema(implementation = RunSummary.class) JsonNode before,
            @Schema(implementation = RunSummary.class) JsonNode after,
            Comparison comparison) {}

    /** Under which key a side's run is kept. */
    static String key(Work work, boolean second) {
        return work.id() + (second ? "/after" : "/before");
    }

    @Override
    public String name() {
        return NAME;
    }

    /**
     * What came of one side.
     *
     * @param run a {@link RunSummary} as it is told: more is said of it than it is made of
     */
    record SideDone(JsonNode run, Comparison.Side side) {}

    @Override
    public int parts(Work work) {
        return SIDES;
    }

    @Override
    public Object part(Work work, int part, WorkReport report) {
        boolean second = part == 1;
        Scenario scenario = runs.scenario(work.siteId(), request(work).side(second), report);
        Recorded made = runs.run(
                key(work, second), scenario, (seconds, days) -> report.stops(seconds / scenario.durationSeconds()));
        return new SideDone(
                json.valueToTree(RunSummary.of(scenario, made.result())), Comparison.Side.of(made.result()));
    }

    @Override
    public Object whole(Work work, List<String> parts, WorkReport report) {
        ComparisonRequest request = request(work);
        SideDone before = json.readValue(parts.get(0), SideDone.class);
        SideDone after = json.readValue(parts.get(1), SideDone.class);
        return new ComparedRuns(
                before.run(),
                after.run(),
                Comparison.of(
                        request.before().planAsRun(),
                        before.side(),
                        request.after().planAsRun(),
                        after.side()));
    }

    private ComparisonRequest request(Work work) {
        return json.readValue(work.request(), ComparisonRequest.class);
    }
}
