package sparen.app.logger;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.plan.PlanService;
import sparen.app.profile.ProfileService;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.site.SiteService;
import sparen.app.web.Refusal;
import sparen.bench.Replay;
import sparen.fit.BatteryFit;
import sparen.fit.Estimate;
import sparen.fit.FitResult;
import sparen.fit.FittedPlan;
import sparen.format.LoggerFile;
import sparen.history.Advice;
import sparen.history.ArrayYield;
import sparen.history.History;
import sparen.history.RecordedTrace;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import sparen.quantity.Standard;
import sparen.result.DayFigures;
import sparen.result.Window;
import sparen.simulation.Scenario;
import sparen.simulation.Simulation;
import sparen.sun.Climate;
import sparen.sun.WeatherGenerator;

/** What was recorded at a site, and what it teaches. */
@RestController
class RecordedController {
    /** A fit looks at the last so many days: more do not tell more of a battery that ages. */
    private static final int FITTED_DAYS = 62;

    private static final int SIMULATED_DAYS = 400;
    private static final int MOST_KEPT = 16;

    private final LoggerFiles files;
    private final PlanService plans;
    private final ProfileService profiles;
    private final SiteService sites;
    private final Cache<String, FitResult> fits = Caffeine.newBuilder()
            .maximumSize(MOST_KEPT)
            .expireAfterAccess(Duration.ofHours(1))
            .build();

    RecordedController(LoggerFiles files, PlanService plans, ProfileService profiles, SiteService sites) {
        this.files = files;
        this.plans = plans;
        this.profiles = profiles;
        this.sites = sites;
    }

    private LoggerFile log(String siteId) {
        sites.mustExist(siteId);
        return files.joined(siteId).orElseThrow(() -> Refusal.notFound("What a logger recorded at the site"));
    }

    private PlanService.Loaded latest(String siteId) {
        return plans.latest(siteId).orElseThrow(() -> Refusal.notFound("A plan of the site"));
    }

    /**
     * What was recorded, for a picture.
     *
     * @param from absent for the beginning
     * @param to absent for the end
     * @param buckets into which the time between them is parted, 1 to 3000; null where nothing was recorded in one
     */
    @GetMapping("/api/sites/{siteId}/recorded")
    @Allowed(Role.OBSERVER)
    RecordedTrace recorded(
            @PathVariable String siteId,
            @RequestParam Optional<Instant> from,
            @RequestParam Optional<Instant> to,
            @RequestParam(defaultValue = "800") int buckets) {
        LoggerFile log = log(siteId);
        return RecordedTrace.of(log, seconds(from.orElse(log.from())), seconds(to.orElse(log.to())), buckets);
    }

    private static double seconds(Instant at) {
        return at.toEpochMilli() / 1000.0;
    }

    /**
     * What recorded days say.
     *
     * @param revision of the plan they are read beside
     * @param fitted of the battery; absent before anybody has asked for a fit of these days
     */
    record HistoryView(int revision, History history, List<Advice> advice, boolean fitted) {}

    /** What recorded days say beside the newest revision. */
    @GetMapping("/api/reading/{siteId}/history")
    @Allowed(Role.OBSERVER)
    HistoryView history(@PathVariable String siteId) {
        LoggerFile log = log(siteId);
        PlanService.Loaded loaded = latest(siteId);
        History history = History.of(loaded.plan(), log);
        Optional<FitResult> fit = Optional.ofNullable(fits.getIfPresent(key(siteId, loaded)));
        return new HistoryView(
                loaded.revision().number(),
                history,
                Advice.of(loaded.plan(), history, fit.map(FitResult::estimates).orElse(List.of())),
                fit.isPresent());
    }

    private String key(String siteId, PlanService.Loaded loaded) {
        return siteId + " " + loaded.revision().number() + " " + files.list(siteId);
    }

    /** What the rules of a revision would have switched on what was recorded. */
    @GetMapping("/api/reading/{siteId}/replay")
    @Allowed(Role.OBSERVER)
    Replay replay(@PathVariable String siteId, @RequestParam Optional<Integer> revision) {
        LoggerFile log = log(siteId);
        Plan plan = revision.map(number -> plans.revision(siteId, number).plan())
                .orElseGet(() -> latest(siteId).plan());
        return Replay.of(plan, log);
    }

    /** What the last two months that were recorded say of the battery and the arrays, beside the newest revision. */
    @GetMapping("/api/reading/{siteId}/fit")
    @Allowed(Role.OBSERVER)
    FitResult fit(@PathVariable String siteId) {
        LoggerFile log = log(siteId);
        PlanService.Loaded loaded = latest(siteId);
        return fits.get(key(siteId, loaded), key -> {
            LoggerFile last = log.between(log.to().minus(Duration.ofDays(FITTED_DAYS)), log.to());
            FitResult fit = BatteryFit.fit(loaded.plan().site().battery(), last, Standard.ROOM_CELSIUS);
            Optional<Estimate> arrays = History.of(loaded.plan(), last).yield().map(ArrayYield::factor);
            List<Estimate> all = new ArrayList<>(fit.estimates());
            arrays.ifPresent(all::add);
            return fit.withEstimates(all);
        });
    }

    /**
     * What is to be taken from a fit.
     *
     * @param plan as it is being edited
     * @param quantities that are taken
     * @param sensePoint id of the one whose voltage was recorded, for its offset; absent where that is not taken
     */
    record Taking(Plan plan, List<Estimate.Quantity> quantities, Optional<String> sensePoint) {
        Taking {
            Bounds.present("plan", plan);
            quantities = Bounds.list("quantities", quantities, 1, Estimate.Quantity.values().length);
            sensePoint = Bounds.orEmpty(sensePoint);
        }
    }

    /** A plan with what was fitted in it, with its origin: not saved, for somebody to look at. */
    @PostMapping("/api/reading/{siteId}/fitted")
    @Allowed(Role.OBSERVER)
    Plan fitted(@PathVariable String siteId, @RequestBody Taking taking) {
        LoggerFile log = log(siteId);
        LocalDate until =
                LocalDate.ofInstant(log.to(), taking.plan().site().location().zone());
        return FittedPlan.of(taking.plan(), fit(siteId), taking.quantities(), taking.sensePoint(), until);
    }

    /**
     * A recorded day beside one that was simulated.
     *
     * @param simulatedLowestVolts of one weather that the place's months suggest (V)
     * @param simulatedLowestCharge (fraction)
     */
    record SimulatedDay(LocalDate date, double simulatedLowestVolts, double simulatedLowestCharge) {}

    /** The same days simulated with the newest revision, under one weather of the place's climate; of the last 400 of them. */
    @GetMapping("/api/reading/{siteId}/simulated-days")
    @Allowed(Role.OBSERVER)
    List<SimulatedDay> simulated(@PathVariable String siteId) {
        LoggerFile log = log(siteId);
        Plan plan = latest(siteId).plan();
        var zone = plan.site().location().zone();
        LocalDate last = LocalDate.ofInstant(log.to(), zone);
        LocalDate first = LocalDate.ofInstant(log.from(), zone);
        if (ChronoUnit.DAYS.between(first, last) >= SIMULATED_DAYS) {
            first = last.minusDays(SIMULATED_DAYS - 1L);
        }
        Instant start = first.atStartOfDay(zone).toInstant();
        double seconds = Duration.between(
                        start, last.plusDays(1).atStartOfDay(zone).toInstant())
                .toSeconds();
        Scenario scenario = new Scenario(
                plan,
                start,
                seconds,
                WeatherGenerator.generate(
                        plan.site().location(),
                        start,
                        (int) (seconds / 60),
                        Climate.atLatitude(plan.site().location().latitudeDegrees()),
                        1),
                profiles.namedIn(siteId, plan));
        Map<LocalDate, DayFigures> days = new HashMap<>();
        Simulation.run(scenario, new Window(0, seconds, 1)).days().forEach(day -> days.put(day.date(), day));
        return days.values().stream()
                .sorted((one, other) -> one.date().compareTo(other.date()))
                .map(day -> new SimulatedDay(day.date(), day.lowestBatteryVolts(), day.lowestStateOfCharge()))
                .toList();
    }
}
