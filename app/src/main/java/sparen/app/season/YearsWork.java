package sparen.app.season;

import java.util.List;
import org.springframework.stereotype.Component;
import sparen.app.work.Work;
import sparen.app.work.WorkKind;
import sparen.app.work.WorkReport;
import sparen.quantity.Bounds;
import sparen.study.Years;
import tools.jackson.databind.json.JsonMapper;

/** The same plan in several seeded years. Years that were done when a node was lost are not done again. */
@Component
class YearsWork implements WorkKind {
    static final String NAME = "years";

    private final Runs runs;
    private final JsonMapper json;

    YearsWork(Runs runs, JsonMapper json) {
        this.runs = runs;
        this.json = json;
    }

    /**
     * What is asked.
     *
     * @param run of the first year; the others have the seeds after its own
     * @param count how many years, 2 to 30
     */
    record YearsRequest(RunInputs run, int count) {
        YearsRequest {
            Bounds.present("run", run);
            Bounds.within("count", count, "years", 2, 30);
        }
    }

    /** What came of it, in the order of the seeds. */
    record YearsAnswer(List<Years.Year> years) {}

    @Override
    public String name() {
        return NAME;
    }

    @Override
    public boolean goesOn() {
        return true;
    }

    @Override
    public Object run(Work work, WorkReport report) {
        YearsRequest request = json.readValue(work.request(), YearsRequest.class);
        return new YearsAnswer(Years.of(
                before(work),
                request.run().seed(),
                request.count(),
                seed -> runs.scenario(work.siteId(), request.run().withSeed(seed)),
                years -> report.partial(() -> years),
                report));
    }

    private List<Years.Year> before(Work work) {
        return work.partial() == null ? List.of() : List.of(json.readValue(work.partial(), Years.Year[].class));
    }
}
