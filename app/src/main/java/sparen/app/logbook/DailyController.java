package sparen.app.logbook;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.file.FileLayouts;
import sparen.app.plan.PlanService;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.site.SiteService;
import sparen.app.web.Refusal;
import sparen.bench.DailyReplay;
import sparen.format.DailyFigure;
import sparen.format.DailyReader;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import sparen.table.FileKind;

/** Days as devices keep them: lowest and highest volts, energy in and out. */
@RestController
class DailyController {
    private final Logbook logbook;
    private final FileLayouts layouts;
    private final PlanService plans;
    private final SiteService sites;

    DailyController(Logbook logbook, FileLayouts layouts, PlanService plans, SiteService sites) {
        this.logbook = logbook;
        this.layouts = layouts;
        this.plans = plans;
        this.sites = sites;
    }

    /** The days of a site, in their order. */
    @GetMapping("/api/sites/{siteId}/daily")
    @Allowed(Role.OBSERVER)
    List<DailyFigure> days(@PathVariable String siteId) {
        sites.mustExist(siteId);
        return logbook.days(siteId);
    }

    /**
     * Days as a device showed them.
     *
     * @param days 1 to 11,000 of them
     */
    record NewDays(List<DailyFigure> days) {
        NewDays {
            days = Bounds.list("days", days, 1, DailyReader.MOST_DAYS);
            Bounds.unique("days", days.stream().map(one -> one.day().toString()).toList());
        }
    }

    /** Keeps days, all or none; one that is there already is what it is now. */
    @PutMapping("/api/sites/{siteId}/daily")
    @Allowed(Role.TECHNICIAN)
    List<DailyFigure> put(@PathVariable String siteId, @RequestBody NewDays days, Authentication who) {
        logbook.putDays(siteId, days.days(), who.getName());
        return days(siteId);
    }

    /**
     * Takes days out of a file, all or none.
     *
     * @param layout in JSON; absent for as the last with these headings was, or as found
     */
    @PostMapping(path = "/api/sites/{siteId}/daily", consumes = "text/csv")
    @Allowed(Role.TECHNICIAN)
    @ResponseStatus(HttpStatus.CREATED)
    @Transactional
    public List<DailyFigure> take(
            @PathVariable String siteId,
            @RequestParam ZoneId zone,
            @RequestParam Optional<String> layout,
            @RequestBody byte[] file,
            Authentication who) {
        sites.mustExist(siteId);
        FileLayouts.LaidOut laid = layouts.of(siteId, FileKind.DAILY, file, layout);
        DailyReader.Reading reading = DailyReader.read(laid.text(), laid.layout(), zone);
        if (reading.badLineCount() > 0) {
            throw FileLayouts.refused("bad-daily-figures", reading.badLines(), reading.badLineCount());
        }
        logbook.putDays(siteId, reading.days(), who.getName());
        layouts.remember(siteId, FileKind.DAILY, laid, who.getName());
        return days(siteId);
    }

    /** Takes a day away. */
    @DeleteMapping("/api/sites/{siteId}/daily/{day}")
    @Allowed(Role.TECHNICIAN)
    List<DailyFigure> remove(@PathVariable String siteId, @PathVariable LocalDate day) {
        logbook.removeDay(siteId, day);
        return days(siteId);
    }

    /** On which days the levels of a revision were reached; for how long, daily figures cannot tell. */
    @GetMapping("/api/reading/{siteId}/daily-replay")
    @Allowed(Role.OBSERVER)
    List<DailyReplay> replay(@PathVariable String siteId, @RequestParam Optional<Integer> revision) {
        sites.mustExist(siteId);
        Plan plan = revision.map(number -> plans.revision(siteId, number))
                .or(() -> plans.latest(siteId))
                .orElseThrow(() -> Refusal.notFound("A plan of the site"))
                .plan();
        return DailyReplay.of(plan, logbook.days(siteId));
    }
}
