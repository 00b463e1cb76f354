package sparen.app.season;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.site.SiteService;
import sparen.quantity.Bounds;
import sparen.result.Event;
import sparen.result.OutputFigures;
import sparen.result.RunResult;
import sparen.result.Window;
import sparen.simulation.Scenario;
import sparen.simulation.Simulation;
import sparen.sun.Climate;

/** Runs a plan while it is edited and answers with what the small tape shows. Nothing of it is kept. */
@RestController
class SeasonController {
    /** The longest run that is done while one waits. */
    static final int MOST_DAYS = 31;

    private final Runs runs;
    private final SiteService sites;

    SeasonController(Runs runs, SiteService sites) {
        this.runs = runs;
        this.sites = sites;
    }

    /**
     * What to run.
     *
     * @param run of a longer one than is run here its beginning
     * @param window what the trace is to show; as much of it as is run
     */
    record SeasonRequest(RunInputs run, Window window) {
        SeasonRequest {
            Bounds.present("run", run);
            Bounds.present("window", window);
            run = run.noLongerThan(MOST_DAYS);
            window = window.within(run.seconds());
        }
    }

    /**
     * What came of it; the outputs here tell when they moved.
     *
     * @param mostDays the longest that is run here (d)
     */
    record SeasonAnswer(RunSummary run, List<OutputFigures> outputs, List<Event> events, RunView view, int mostDays) {}

    /** The months of a place as its latitude suggests them, to be told better by who knows. */
    @GetMapping("/api/season/{siteId}/climate")
    @Allowed(Role.OBSERVER)
    Climate climate(@PathVariable String siteId, @RequestParam double latitude) {
        sites.mustExist(siteId);
        Bounds.within("latitude", latitude, "°", -90, 90);
        return Climate.atLatitude(latitude);
    }

    @PostMapping("/api/season/{siteId}")
    @Allowed(Role.OBSERVER)
    SeasonAnswer run(@PathVariable String siteId, @RequestBody SeasonRequest request) {
        sites.mustExist(siteId);
        Scenario scenario = runs.scenario(siteId, request.run());
        RunResult result = Simulation.run(scenario, request.window());
        return new SeasonAnswer(
                RunSummary.of(scenario, result),
                result.outputs(),
                result.events(),
                RunView.of(result, result.trace(), request.window()),
                MOST_DAYS);
    }
}
