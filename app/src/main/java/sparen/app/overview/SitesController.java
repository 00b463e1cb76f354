package sparen.app.overview;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.plan.PlanService;
import sparen.app.plan.Revision;
import sparen.app.profile.ProfileService;
import sparen.app.site.SiteService;
import sparen.check.Checks;
import sparen.check.Finding;
import sparen.check.Severity;
import sparen.program.Plan;

/** The list of sites. */
@RestController
class SitesController {
    private final SiteService sites;
    private final PlanService plans;
    private final ProfileService profiles;

    SitesController(SiteService sites, PlanService plans, ProfileService profiles) {
        this.sites = sites;
        this.plans = plans;
        this.profiles = profiles;
    }

    /**
     * A site in the list.
     *
     * @param plan absent while the site is still to be taken down
     */
    record SiteInList(String id, String name, Optional<PlanInList> plan) {}

    /** What the list tells of a site's plan. */
    record PlanInList(
            Revision revision,
            double nominalVolts,
            String battery,
            double capacityAmpereHours,
            double arrayWatts,
            int outputs,
            Map<Severity, Long> findings) {}

    @GetMapping("/api/sites")
    List<SiteInList> list() {
        return sites.list().stream()
                .map(site -> new SiteInList(
                        site.id(), site.name(), plans.latest(site.id()).map(loaded -> told(site.id(), loaded))))
                .toList();
    }

    private PlanInList told(String siteId, PlanService.Loaded loaded) {
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
                        .collect(Collectors.groupingBy(Finding::severity, Collectors.counting())));
    }
}
