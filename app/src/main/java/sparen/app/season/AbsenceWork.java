package sparen.app.season;

import org.springframework.stereotype.Component;
import sparen.app.work.Work;
import sparen.app.work.WorkKind;
import sparen.app.work.WorkReport;
import sparen.quantity.Bounds;
import sparen.study.Absence;
import tools.jackson.databind.json.JsonMapper;

/** Until I am back: chances of a cut, and the setting that helps most. */
@Component
class AbsenceWork implements WorkKind {
    static final String NAME = "absence";

    private final Runs runs;
    private final JsonMapper json;

    AbsenceWork(Runs runs, JsonMapper json) {
        this.runs = runs;
        this.json = json;
    }

    /**
     * What is asked.
     *
     * @param run from today to the visit; its seed is that of the question
     */
    record AbsenceRequest(RunInputs run, Absence.Question question) {
        AbsenceRequest {
            Bounds.present("run", run);
            Bounds.present("question", question);
        }
    }

    @Override
    public String name() {
        return NAME;
    }

    @Override
    public Object run(Work work, WorkReport report) {
        AbsenceRequest request = json.readValue(work.request(), AbsenceRequest.class);
        return Absence.of(
                request.question(),
                seed -> runs.scenario(work.siteId(), request.run().withSeed(seed)),
                report);
    }
}
