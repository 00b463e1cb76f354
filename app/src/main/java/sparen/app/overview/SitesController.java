package sparen.app.overview;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.crew.Crews;
import sparen.app.plan.PlanService;
import sparen.app.plan.Revision;
import sparen.app.plan.UnreadablePlan;
import sparen.app.profile.ProfileService;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.season.Outlooks;
import sparen.app.site.Site;
import sparen.app.site.SiteService;
import sparen.app.site.SiteState;
import sparen.app.web.Refusal;
import sparen.check.Checks;
import sparen.check.Finding;
import sparen.check.Severity;
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
    private final Outlooks outlooks;
    private final Crews crews;

    SitesController(SiteService sites, PlanService plans, ProfileService profiles, Outlooks outlooks, Crews crews) {
        this.crews = crews;
        this.outlooks = outlooks;
        this.sites = sites;
        this.plans = plans;
        this.profiles = profiles;
    }

    /**
     * A site in the list.
     *
     * @param plan absent while the site is still to be taken down, or its newest revision cannot be read
     * @param unreadable why the newest revision cannot be read; absent where it can
     * @param ahead what the coming days probably bring; absent until that has been worked out
     */
    record SiteInList(
            String id,
            String name,
            SiteState state,
            Optional<LocalDate> benchTest,
            Optional<LocalDate> upkeep,
            Optional<PlanInList> plan,
            Optional<String> unreadable,
            Optional<Outlooks.Ahead> ahead) {}

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

    /** A site to be made from the little that is known of it. */
    record NewSite(StartingPoint start) {
        NewSite {
            Bounds.present("start", start);
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

    @GetMapping("/api/sites")
    @Allowed(Role.OBSERVER)
    List<SiteInList> list(Authentication who) {
        Map<String, Outlooks.Ahead> ahead = outlooks.all();
        Set<String> hidden = crews.hiddenFrom(who);
        return sites.list().stream()
                .filter(site -> !hidden.contains(site.id()))
                .map(site -> inList(site, ahead))
                .toList();
    }

    /** Makes a site with a complete program from the little that is known of it. */
    @PostMapping("/api/sites")
    @Allowed(Role.TECHNICIAN)
    @ResponseStatus(HttpStatus.CREATED)
    @Transactional
    SiteInList make(@RequestBody NewSite wanted, Authentication who) {
        return add(wanted.start().name(), wanted.start().plan(), "Started from what is known", who);
    }

    /** Makes a site from a document. */
    @PostMapping("/api/sites/documents")
    @Allowed(Role.TECHNICIAN)
    @ResponseStatus(HttpStatus.CREATED)
    @Transactional
    SiteInList take(@RequestBody PlanDocument document, Authentication who) {
        return add(document.plan().site().name(), document.plan(), "Imported as a document", who);
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
        SiteInList made = add(wanted.name(), named, "Copied from " + siteId, who);
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
        return inList(sites.find(siteId));
    }

    /** Puts a site away, deletes it, or brings it back. */
    @PostMapping("/api/sites/{siteId}/state")
    @Allowed(Role.TECHNICIAN)
    SiteInList setState(@PathVariable String siteId, @RequestBody NewState wanted) {
        return inList(sites.setState(siteId, wanted.state()));
    }

    /** Notes when a site was last tested, and when somebody has to go there. */
    @PostMapping("/api/sites/{siteId}/care")
    @Allowed(Role.TECHNICIAN)
    SiteInList setCare(@PathVariable String siteId, @RequestBody NewCare care) {
        return inList(sites.setCare(siteId, care.benchTest(), care.upkeep()));
    }

    private SiteInList add(String name, Plan plan, String note, Authentication who) {
        String id = sites.addNamed(name);
        crews.addSite(id, who);
        plans.save(id, Optional.empty(), note, plan, who.getName());
        return inList(sites.find(id));
    }

    private SiteInList inList(Site site) {
        return inList(site, outlooks.all());
    }

    private SiteInList inList(Site site, Map<String, Outlooks.Ahead> ahead) {
        Optional<PlanInList> plan = Optional.empty();
        Optional<String> unreadable = Optional.empty();
        try {
            plan = plans.latest(site.id()).map(loaded -> format(site.id(), loaded));
        } catch (UnreadablePlan broken) {
            unreadable = Optional.of(broken.getMessage());
        }
        return new SiteInList(
                site.id(),
                site.name(),
                site.state(),
                site.benchTest(),
                site.upkeep(),
                plan,
                unreadable,
                Optional.ofNullable(ahead.get(site.id())));
    }

    private PlanInList format(String siteId, PlanService.Loaded loaded) {
        Plan plan = loaded.plan();
        return new PlanInList(
                loaded.revision(),
                plan.site().nominalVolts(),
                plan.site().battery().name(),
                plan.site().battery().capacityAmpereHours(),
                plan.site().arrays().stream()
                        .mapToDouble(array -> array.peakWatts())
                        .sum(),
                plan.program().outputs().size(),
                Checks.of(plan, profiles.namedIn(siteId, plan)).stream()
                        .filter(Finding::isOpen)
                        .collect(Collectors.groupingBy(Finding::severity, Collectors.counting())),
                plan.program().unsent().size(),
                plan.program().drifted().size(),
                plans.draftAuthors(siteId));
    }
}
