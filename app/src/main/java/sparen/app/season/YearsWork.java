package sparen.app.season;

import java.util.List;
import org.springframework.stereotype.Component;
import sparen.app.work.Work;
import sparen.app.work.WorkKind;
import sparen.app.work.WorkReport;
import sparen.quantity.Bounds;
import sparen.question.RunInputs;
import sparen.study.Years;
import tools.jackson.databind.json.JsonMapper;

/** The same plan in several seeded years, each a part: years that were done when a node was lost are not done again. */
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
    public int parts(Work work) {
        return request(work).count();
    }

    @Override
    public Object part(Work work, int part, WorkReport report) {
        RunInputs first = request(work).run();
        long weatherNumber = first.weatherNumber() + part;
        return Years.one(
                weatherNumber, runs.scenario(work.siteId(), first.withWeatherNumber(weatherNumber), report), report);
    }

    @Override
    public Object whole(Work work, List<String> parts, WorkReport report) {
        return new YearsAnswer(years(parts));
    }

    private YearsRequest request(Work work) {
        return json.readValue(work.request(), YearsRequest.class);
    }

    /** The years that are done, as they were kept. */
    List<Years.Year> years(List<String> parts) {
        return parts.stream()
                .map(part -> json.readValue(part, Years.Year.class))
                .toList();
    }
}
