package sparen.app.overview;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.crew.Crews;
import sparen.app.live.Measurements;
import sparen.app.live.Measurements.MeasuredNow;
import sparen.app.plan.PlanService;
import sparen.app.plan.Revision;
import sparen.app.profile.ProfileService;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.season.Outlooks;
import sparen.app.site.SiteService;
import sparen.app.site.SiteState;
import sparen.app.web.Refusal;
import sparen.check.Severity;
import sparen.document.PlanDocument;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import sparen.revision.StartingPoint;
import tools.jackson.databind.json.JsonMapper;

/** The list of sites. */
@RestController
class SitesController {
    private final SiteService sites;
    private final PlanService plans;
    private final ProfileService profiles;
    private final Outlooks outlooks;
    private final Crews crews;
    private final Summaries summaries;
    private final Measurements measurements;
    private final JsonMapper json;

    SitesController(
            SiteService sites,
            PlanService plans,
            ProfileService profiles,
            Outlooks outlooks,
            Crews crews,
            Summaries summaries,
            Measurements measurements,
            JsonMapper json) {
        this.measurements = measurements;
        this.summaries = summaries;
        this.json = json;
        this.crews = crews;
        this.outlooks = outlooks;
        this.sites = sites;
        this.plans = plans;
        this.profiles = profiles;
    }

    /**
     * A site in the list.
     *
     * @param due what of the upkeep in the log is due next; absent where nothing is
     * @param plan absent while the site is still to be taken down, or its newest revision cannot be read
     * @param unreadable why the newest revision cannot be read; absent where it can
     * @param ahead what the coming days probably bring; absent until that has been worked out
     * @param now what is measured there; absent where nothing is connected, or nothing answers
     * @param rank how much it needs somebody: 3 danger, 2 caution, 1 to be done some time, 0 calm
     */
    record SiteInList(
            String id,
            String name,
            SiteState state,
            Optional<LocalDate> benchTest,
            Optional<LocalDate> upkeep,
            Optional<DueNext> due,
            Optional<PlanInList> plan,
            Optional<String> unreadable,
            Optional<Outlooks.Ahead> ahead,
            Optional<MeasuredNow> now,
            int rank) {}

    /**
     * What of the upkeep in the log is due next.
     *
     * @param what is done, in words
     */
    record DueNext(String what, LocalDate on) {}

    /**
     * A part of the list, the neediest first.
     *
     * @param total how many there are with all parts
     * @param putAway how many are archived, whatever was asked
     */
    record SitePage(List<SiteInList> sites, long total, int putAway) {}

    /**
     * When a site was and will be looked after.
     *
     * @param benchTest last test on the bench; absent for never
     * @param upkeep next visit; absent where nobody has said
     */
    record NewCare(Optional<LocalDate> benchTest, Optional<LocalDate> upkeep) {
        NewCare {
            benchTest = Bounds.orEmpty(benchTest);
            upkeep = Bounds.orEmpty(upkeep);
            benchTest.ifPresent(day -> Bounds.within("benchTest", day.getYear(), "(year)", 1990, 2100));
            upkeep.ifPresent(day -> Bounds.within("upkeep", day.getYear(), "(year)", 1990, 2100));
        }
    }

    /**
     * A site to be made from the little that is known of it.
     *
     * @param begun where it was begun without a network; absent for one that begins here
     */
    record NewSite(StartingPoint start, Optional<BegunSite> begun) {
        NewSite {
            Bounds.present("start", start);
            begun = Bounds.orEmpty(begun);
        }
    }

    /**
     * A site that was begun without a network.
     *
     * @param id by which it was worked on there, and is called here too
     * @param request made by who began it: asked twice it is made once
     */
    record BegunSite(String id, UUID request) {
        BegunSite {
            Bounds.id("id", id);
            Bounds.present("request", request);
        }
    }

    /** What a copy of a site is to be called. */
    record CopyName(String name) {
        CopyName {
            Bounds.name("name", name);
        }
    }

    /** What is to become of a site. */
    record NewState(SiteState state) {
        NewState {
            Bounds.present("state", state);
        }
    }

    /**
     * What the list tells of a site's plan.
     *
     * @param findings how many are open, by severity
     * @param unsent how many devices do not hold their settings yet
     * @param drifted how many were read back and hold other numbers
     * @param drafts who has unsaved changes there
     */
    record PlanInList(
            Revision revision,
            double nominalVolts,
            String battery,
            double capacityAmpereHours,
            double arrayWatts,
            int outputs,
            Map<Severity, Long> findings,
            int unsent,
            int drifted,
            List<String> drafts) {}

    /**
     * The sites that somebody sees.
     *
     * @param archived those that are put away instead of those that are looked after
     * @param search part of a name
     * @param filter all, findings, drafts, unsent, drifted or upkeep
     * @param offset how many come before
     * @param size how many are told, 1 to 200
     */
    @GetMapping("/api/sites")
    @Allowed(Role.OBSERVER)
    SitePage list(
            @RequestParam(defaultValue = "false") boolean archived,
            @RequestParam(defaultValue = "") String search,
            @RequestParam(defaultValue = "all") String filter,
            @RequestParam(defaultValue = "0") int offset,
            @RequestParam(defaultValue = "100") int size,
            Authentication who) {
        List<SummaryMapper.Listed> listed = summaries.page(who, archived, search, filter, offset, size);
        return new SitePage(
                listed.stream().map(this::inList).toList(),
                listed.stream().findFirst().map(SummaryMapper.Listed::total).orElse((long) 0),
                summaries.countArchived(who));
    }

    /** All that are looked after, by name: for crews. */
    @GetMapping("/api/sites/names")
    @Allowed(Role.ADMINISTRATOR)
    List<SummaryMapper.Named> names() {
        return summaries.names();
    }

    /** Makes a site with a complete program from the little that is known of it. */
    @PostMapping("/api/sites")
    @Allowed(Role.TECHNICIAN)
    @ResponseStatus(HttpStatus.CREATED)
    @Transactional
    SiteInList make(@RequestBody NewSite wanted, Authentication who) {
        String name = wanted.start().name();
        Optional<UUID> request = wanted.begun().map(BegunSite::request);
        Optional<String> id = wanted.begun().map(BegunSite::id);
        if (id.isPresent() && plans.isMade(id.get(), request.orElseThrow())) {
            return inList(id.get(), who);
        }
        String site = id.map(own -> sites.addAs(own, name)).orElseGet(() -> sites.addNamed(name));
        return add(site, wanted.start().plan(), "Started from what is known", who, request);
    }

    /** Makes a site from a document. */
    @PostMapping("/api/sites/documents")
    @Allowed(Role.TECHNICIAN)
    @ResponseStatus(HttpStatus.CREATED)
    @Transactional
    SiteInList take(@RequestBody PlanDocument document, Authentication who) {
        String site = sites.addNamed(document.plan().site().name());
        return add(site, document.plan(), "Imported as a document", who, Optional.empty());
    }

    /** Makes another site like one that is there, with its newest plan and its profiles. */
    @PostMapping("/api/sites/{siteId}/copies")
    @Allowed(Role.TECHNICIAN)
    @ResponseStatus(HttpStatus.CREATED)
    @Transactional
    SiteInList copy(@PathVariable String siteId, @RequestBody CopyName wanted, Authentication who) {
        sites.mustExist(siteId);
        Plan plan = plans.latest(siteId)
                .orElseThrow(() -> Refusal.notFound("A plan of this site"))
                .plan();
        Plan named = plan.withSite(plan.site().withName(wanted.name()));
        SiteInList made = add(sites.addNamed(wanted.name()), named, "Copied from " + siteId, who, Optional.empty());
        profiles.copy(siteId, made.id());
        return made;
    }

    /** Brings back the newest revision that can be read, where the newest cannot. */
    @PostMapping("/api/sites/{siteId}/repair")
    @Allowed(Role.TECHNICIAN)
    @ResponseStatus(HttpStatus.CREATED)
    @Transactional
    SiteInList repair(@PathVariable String siteId, Authentication who) {
        sites.mustExist(siteId);
        plans.repair(siteId, who.getName());
        return inList(siteId, who);
    }

    /** Puts a site away, deletes it, or brings it back. */
    @PostMapping("/api/sites/{siteId}/state")
    @Allowed(Role.TECHNICIAN)
    SiteInList setState(@PathVariable String siteId, @RequestBody NewState wanted, Authentication who) {
        sites.setState(siteId, wanted.state());
        return inList(siteId, who);
    }

    /** Notes when a site was last tested, and when somebody has to go there. */
    @PostMapping("/api/sites/{siteId}/care")
    @Allowed(Role.TECHNICIAN)
    SiteInList setCare(@PathVariable String siteId, @RequestBody NewCare care, Authentication who) {
        sites.setCare(siteId, care.benchTest(), care.upkeep());
        return inList(siteId, who);
    }

    private SiteInList add(String id, Plan plan, String note, Authentication who, Optional<UUID> request) {
        crews.addSite(id, who);
        plans.save(id, Optional.empty(), note, plan, who.getName(), request);
        return inList(id, who);
    }

    private SiteInList inList(String siteId, Authentication who) {
        return inList(summaries.one(who, siteId));
    }

    private SiteInList inList(SummaryMapper.Listed row) {
        return new SiteInList(
                row.id(),
                row.name(),
                row.state(),
                Optional.ofNullable(row.benchTest()),
                Optional.ofNullable(row.upkeep()),
                Optional.ofNullable(row.due()).map(on -> new DueNext(row.dueKind(), on)),
                Optional.ofNullable(row.plan())
                        .map(plan -> inList(row, json.readValue(plan, Summaries.PlanSummary.class))),
                Optional.ofNullable(row.unreadable()),
                Optional.ofNullable(row.workedOut())
                        .map(known -> outlooks.read(row.aheadRevision(), row.aheadBegins(), row.aheadDays(), known)),
                Optional.ofNullable(row.measuredAt())
                        .map(at -> measurements.now(at, row.measured().lines().toList())),
                row.rank());
    }

    private static PlanInList inList(SummaryMapper.Listed row, Summaries.PlanSummary plan) {
        Revision revision = new Revision(
                row.number(),
                Optional.ofNullable(row.parent()),
                row.note(),
                row.author(),
                row.savedAt(),
                Optional.ofNullable(row.revisionName()),
                row.changes().lines().toList());
        return new PlanInList(
                revision,
                plan.nominalVolts(),
                plan.battery(),
                plan.capacityAmpereHours(),
                plan.arrayWatts(),
                plan.outputs(),
                plan.findings(),
                plan.unsent(),
                plan.drifted(),
                row.drafts() == null ? List.of() : row.drafts().lines().toList());
    }
}
