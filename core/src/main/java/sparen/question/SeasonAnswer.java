package sparen.question;

import java.util.List;
import sparen.result.Event;
import sparen.result.OutputFigures;
import sparen.result.RunResult;
import sparen.result.Window;
import sparen.simulation.Scenario;
import sparen.simulation.Simulation;

/**
 * What came of a run that was waited for; the outputs here tell when they moved.
 *
 * @param mostDays the longest that is run here (d)
 */
public record SeasonAnswer(
        RunSummary run, List<OutputFigures> outputs, List<Event> events, RunView view, int mostDays) {
    /** Runs what is asked for, with what was measured for the site. */
    public static SeasonAnswer of(SeasonRequest request, SiteFiles files) {
        return of(files.scenario(request.run()), request.window());
    }

    /** Runs a scenario and draws a window of it. */
    public static SeasonAnswer of(Scenario scenario, Window window) {
        RunResult result = Simulation.run(scenario, window);
        return new SeasonAnswer(
                RunSummary.of(scenario, result),
                result.outputs(),
                result.events(),
                RunView.of(result, result.trace(), window),
                SeasonRequest.MOST_DAYS);
    }
}
