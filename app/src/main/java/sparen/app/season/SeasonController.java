package sparen.app.season;

import java.time.Instant;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.profile.ProfileService;
import sparen.app.site.SiteService;
import sparen.check.Checks;
import sparen.check.Finding;
import sparen.document.LedgerInWattHours;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import sparen.simulation.BatteryFigures;
import sparen.simulation.DayFigures;
import sparen.simulation.Event;
import sparen.simulation.GeneratorFigures;
import sparen.simulation.LoadFigures;
import sparen.simulation.OutputFigures;
import sparen.simulation.RunResult;
import sparen.simulation.Scenario;
import sparen.simulation.Simulation;
import sparen.simulation.Trace;
import sparen.simulation.Window;
import sparen.sun.DayType;
import sparen.working.FloorFromHistory;
import sparen.working.WhyNot;
import sparen.working.Working;

/** Runs a plan, saved or not, and answers with what the tape shows. A run is its inputs: nothing of it is stored. */
@RestController
class SeasonController {
    private static final int MOST_DAYS = 400;
    private static final int MOST_BUCKETS = 4000;

    private final WeatherCache weather;
    private final ProfileService profiles;
    private final SiteService sites;

    SeasonController(WeatherCache weather, ProfileService profiles, SiteService sites) {
        this.weather = weather;
        this.profiles = profiles;
        this.sites = sites;
    }

    /**
     * What to run.
     *
     * @param plan site and program
     * @param from first day, in the site's zone
     * @param days how many, 1 to 400
     * @param weather kind of days
     * @param seed same seed, same weather
     * @param meanCelsius mean air temperature (°C)
     * @param window what the trace is to show
     */
    record SeasonRequest(
            Plan plan, LocalDate from, int days, DayType weather, long seed, double meanCelsius, Window window) {
        SeasonRequest {
            Bounds.present("plan", plan);
            Bounds.present("from", from);
            Bounds.within("from", from.getYear(), "(year)", 2000, 2100);
            Bounds.within("days", days, "d", 1, MOST_DAYS);
            Bounds.present("weather", weather);
            Bounds.within("meanCelsius", meanCelsius, "°C", -60, 50);
            Bounds.present("window", window);
            Bounds.within("window.buckets", window.buckets(), "buckets", 1, MOST_BUCKETS);
        }
    }

    /** What came of it; {@code whyNot} tells of each output that stayed still why. Energies are in watt-hours; times are seconds since start. */
    record SeasonAnswer(
            Instant start,
            double durationSeconds,
            RunResult.Status status,
            List<Event> events,
            int eventsLeftOut,
            LedgerInWattHours ledger,
            List<OutputFigures> outputs,
            List<LoadFigures> loads,
            BatteryFigures battery,
            List<GeneratorFigures> generators,
            RunResult.Lowest lowestStateOfCharge,
            RunResult.Lowest lowestBatteryVolts,
            double endStateOfCharge,
            List<Finding> findings,
            Optional<Working> floor,
            Map<String, String> whyNot,
            Trace trace) {}

    @PostMapping("/api/season/{siteId}")
    SeasonAnswer run(@PathVariable String siteId, @RequestBody SeasonRequest request) {
        sites.mustExist(siteId);
        Plan plan = request.plan();
        Instant start =
                request.from().atStartOfDay(plan.site().location().zone()).toInstant();
        int minutes = request.days() * 1440;
        Scenario scenario = new Scenario(
                plan,
                start,
                minutes * 60.0,
                weather.get(new WeatherCache.Key(
                        plan.site().location(),
                        start,
                        minutes,
                        request.weather(),
                        request.meanCelsius(),
                        request.seed())),
                profiles.namedIn(siteId, plan),
                request.seed(),
                List.of());
        RunResult result = Simulation.run(scenario, request.window());
        return new SeasonAnswer(
                start,
                scenario.durationSeconds(),
                result.status(),
                result.events(),
                result.eventsLeftOut(),
                LedgerInWattHours.of(result.ledger()),
                result.outputs(),
                result.loads(),
                result.battery(),
                result.generators(),
                result.lowestStateOfCharge(),
                result.lowestBatteryVolts(),
                result.endStateOfCharge(),
                Checks.of(plan, scenario.profiles(), result),
                FloorFromHistory.of(result.days().stream()
                        .mapToDouble(DayFigures::lowestStateOfCharge)
                        .toArray()),
                whyNot(plan, result),
                result.trace());
    }

    /** Why outputs stayed still, by their ids. */
    private static Map<String, String> whyNot(Plan plan, RunResult result) {
        Map<String, String> reasons = new LinkedHashMap<>();
        plan.program().outputs().forEach(output -> WhyNot.of(plan, result, output.id())
                .ifPresent(reason -> reasons.put(output.id(), reason)));
        return reasons;
    }
}
