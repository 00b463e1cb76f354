package sparen.app.overview;

import java.time.LocalDate;
import java.util.List;
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
import sparen.app.plan.PlanService;
import sparen.app.profile.ProfileService;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.site.SiteService;
import sparen.app.site.SiteState;
import sparen.app.web.Refusal;
import sparen.document.PlanDocument;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import sparen.revision.StartingPoint;

/** The list of sites. */
@RestController
class SitesController {
    private final SiteService sites;
    private final PlanService plans;
    private final ProfileService profiles;
    private final Crews crews;
    private final Summaries summaries;
    private final SitesInList inList;

    SitesController(
            SiteService sites,
            PlanService plans,
            ProfileService profiles,
            Crews crews,
            Summaries summaries,
            SitesInList inList) {
        this.inList = inList;
        this.summaries = summaries;
        this.crews = crews;
        this.sites = sites;
        this.plans = plans;
        this.profiles = profiles;
    }

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
                listed.stream().map(inList::of).toList(),
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
            return inList.one(id.get(), who);
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
        return inList.one(siteId, who);
    }

    /** Puts a site away, deletes it, or brings it back. */
    @PostMapping("/api/sites/{siteId}/state")
    @Allowed(Role.TECHNICIAN)
    SiteInList setState(@PathVariable String siteId, @RequestBody NewState wanted, Authentication who) {
        sites.setState(siteId, wanted.state());
        return inList.one(siteId, who);
    }

    /** Notes when a site was last tested, and when somebody has to go there. */
    @PostMapping("/api/sites/{siteId}/care")
    @Allowed(Role.TECHNICIAN)
    SiteInList setCare(@PathVariable String siteId, @RequestBody NewCare care, Authentication who) {
        sites.setCare(siteId, care.benchTest(), care.upkeep());
        return inList.one(siteId, who);
    }

    private SiteInList add(String id, Plan plan, String note, Authentication who, Optional<UUID> request) {
        crews.addSite(id, who);
        plans.save(id, Optional.empty(), note, plan, who.getName(), request);
        return inList.one(id, who);
    }
}
