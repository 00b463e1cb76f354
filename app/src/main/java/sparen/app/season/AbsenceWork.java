package sparen.app.season;

import java.util.List;
import java.util.function.LongFunction;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import sparen.app.work.Work;
import sparen.app.work.WorkKind;
import sparen.app.work.WorkReport;
import sparen.quantity.Bounds;
import sparen.question.RunInputs;
import sparen.simulation.Scenario;
import sparen.study.Absence;
import tools.jackson.databind.json.JsonMapper;

/** Until I am back: chances of a cut, and the setting that helps most. */
@Component
class AbsenceWork implements WorkKind {
    static final String NAME = "absence";
    /** Some four weeks each: a part is over in a second or two. */
    private static final int WEATHERS_OF_A_PART = 8;

    private final Runs runs;
    private final JsonMapper json;

    AbsenceWork(Runs runs, JsonMapper json) {
        this.runs = runs;
        this.json = json;
    }

    /**
     * What is asked.
     *
     * @param run from today to the visit; its weather number is that of the question
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
    public int parts(Work work) {
        return (request(work).question().runs() + WEATHERS_OF_A_PART - 1) / WEATHERS_OF_A_PART;
    }

    @Override
    public Object part(Work work, int part, WorkReport report) {
        AbsenceRequest request = request(work);
        int from = part * WEATHERS_OF_A_PART;
        int to = Math.min(request.question().runs(), from + WEATHERS_OF_A_PART);
        List<Absence.Outcome> outcomes =
                Absence.outcomes(request.question(), from, to, scenarios(work, request, report), report);
        return parts(work) == 1 ? answer(work, outcomes, report) : outcomes;
    }

    @Override
    public Object whole(Work work, List<String> parts, WorkReport report) {
        List<Absence.Outcome> outcomes = parts.stream()
                .flatMap(part -> Stream.of(json.readValue(part, Absence.Outcome[].class)))
                .toList();
        return answer(work, outcomes, report);
    }

    private Absence.Answer answer(Work work, List<Absence.Outcome> outcomes, WorkReport report) {
        AbsenceRequest request = request(work);
        return Absence.of(request.question(), outcomes, scenarios(work, request, report), report);
    }

    private LongFunction<Scenario> scenarios(Work work, AbsenceRequest request, WorkReport report) {
        return weatherNumber -> runs.scenario(work.siteId(), request.run().withWeatherNumber(weatherNumber), report);
    }

    private AbsenceRequest request(Work work) {
        return json.readValue(work.request(), AbsenceRequest.class);
    }
}
