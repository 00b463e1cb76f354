package sparen.app.season;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.site.SiteService;
import sparen.app.work.Work;
import sparen.app.work.WorkService;
import sparen.question.DaySummary;
import sparen.question.RunInputs;
import sparen.question.RunSummary;
import sparen.question.SeasonRequest;
import sparen.study.Absence;
import sparen.study.Years;
import tools.jackson.databind.JsonNode;

/** Asks for runs and studies of several runs, tells how far they are and what came of them. Short runs are done at once. */
@RestController
class RunsController {
    private static final int LATEST = 12;

    private final WorkService works;
    private final SiteService sites;
    private final YearsWork yearsWork;

    RunsController(WorkService works, SiteService sites, YearsWork yearsWork) {
        this.works = works;
        this.yearsWork = yearsWork;
        this.sites = sites;
    }

    /**
     * A piece of long work in a list.
     *
     * @param progress share that is done (fraction)
     * @param before how many others go before it, while it waits
     */
    record WorkAbout(
            String id, String kind, Work.State state, double progress, int before, String account, Instant createdAt) {}

    private WorkAbout about(Work work) {
        return new WorkAbout(
                work.id(),
                work.kind(),
                work.state(),
                work.progress(),
                works.before(work),
                work.account(),
                work.createdAt());
    }

    /**
     * How far a piece of work is, and what came of it.
     *
     * @param message why it failed; empty otherwise
     * @param days of a run that are over
     * @param yearsSoFar of several years
     * @param request what was asked for a run, where that is wanted: it is as long as a plan
     */
    record WorkView(
            WorkAbout work,
            String message,
            List<DaySummary> days,
            List<Years.Year> yearsSoFar,
            Optional<RunInputs> request,
            @Schema(implementation = RunSummary.class) Optional<JsonNode> run,
            @Schema(implementation = ComparisonWork.ComparedRuns.class) Optional<JsonNode> comparison,
            @Schema(implementation = YearsWork.YearsAnswer.class) Optional<JsonNode> years,
            @Schema(implementation = Absence.Answer.class) Optional<JsonNode> absence) {}

    /** Runs a plan over a season; up to 31 days at once, longer ones as long work. */
    @PostMapping("/api/season/{siteId}/runs")
    @Allowed(Role.OBSERVER)
    @ResponseStatus(HttpStatus.ACCEPTED)
    WorkView run(@PathVariable String siteId, @RequestBody RunInputs inputs, Authentication who) {
        sites.mustExist(siteId);
        return view(
                inputs.days() <= SeasonRequest.MOST_DAYS
                        ? works.doNow(siteId, RunWork.NAME, inputs, who.getName())
                        : works.begin(siteId, RunWork.NAME, inputs, who.getName()));
    }

    /** Runs two plans over the same weather and says what differs, as long work. */
    @PostMapping("/api/season/{siteId}/comparisons")
    @Allowed(Role.OBSERVER)
    @ResponseStatus(HttpStatus.ACCEPTED)
    WorkView compare(
            @PathVariable String siteId, @RequestBody ComparisonWork.ComparisonRequest request, Authentication who) {
        sites.mustExist(siteId);
        return view(works.begin(siteId, ComparisonWork.NAME, request, who.getName()));
    }

    /** Runs a plan over several years, as long work. */
    @PostMapping("/api/season/{siteId}/years")
    @Allowed(Role.OBSERVER)
    @ResponseStatus(HttpStatus.ACCEPTED)
    WorkView years(@PathVariable String siteId, @RequestBody YearsWork.YearsRequest request, Authentication who) {
        sites.mustExist(siteId);
        return view(works.begin(siteId, YearsWork.NAME, request, who.getName()));
    }

    /** Asks how long nobody need come, as long work. */
    @PostMapping("/api/season/{siteId}/absences")
    @Allowed(Role.OBSERVER)
    @ResponseStatus(HttpStatus.ACCEPTED)
    WorkView absence(@PathVariable String siteId, @RequestBody AbsenceWork.AbsenceRequest request, Authentication who) {
        sites.mustExist(siteId);
        return view(works.begin(siteId, AbsenceWork.NAME, request, who.getName()));
    }

    /** The latest work of a site, newest first. */
    @GetMapping("/api/season/{siteId}/work")
    @Allowed(Role.OBSERVER)
    List<WorkAbout> latest(@PathVariable String siteId) {
        sites.mustExist(siteId);
        return works.latest(siteId, LATEST).stream().map(this::about).toList();
    }

    /** How far a piece of long work is, and what came of it. */
    @GetMapping("/api/season/{siteId}/work/{id}")
    @Allowed(Role.OBSERVER)
    WorkView look(
            @PathVariable String siteId, @PathVariable String id, @RequestParam(defaultValue = "false") boolean asked) {
        return view(works.find(siteId, id), asked);
    }

    /** Cancels a piece of long work. */
    @PostMapping("/api/season/{siteId}/work/{id}/cancel")
    @Allowed(Role.OBSERVER)
    WorkView cancel(@PathVariable String siteId, @PathVariable String id, Authentication who) {
        return view(works.cancel(siteId, id, who.getName(), Role.of(who).reaches(Role.TECHNICIAN)));
    }

    private WorkView view(Work work) {
        return view(work, false);
    }

    private WorkView view(Work work, boolean asked) {
        boolean run = work.kind().equals(RunWork.NAME);
        return new WorkView(
                about(work),
                work.message(),
                run && !work.state().over() && work.partial() != null
                        ? List.of(works.read(work.partial(), DaySummary[].class))
                        : List.of(),
                work.kind().equals(YearsWork.NAME) ? yearsWork.years(works.parts(work)) : List.of(),
                run && asked ? Optional.of(works.read(work.request(), RunInputs.class)) : Optional.empty(),
                result(work, RunWork.NAME),
                result(work, ComparisonWork.NAME),
                result(work, YearsWork.NAME),
                result(work, AbsenceWork.NAME));
    }

    /** What came of it is passed on as it was kept. */
    private Optional<JsonNode> result(Work work, String kind) {
        return work.kind().equals(kind) && work.result() != null
                ? Optional.of(works.read(work.result(), JsonNode.class))
                : Optional.empty();
    }
}
