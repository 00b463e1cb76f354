package sparen.app.overview;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.plan.PlanService;
import sparen.app.profile.ProfileService;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.site.SiteService;
import sparen.app.web.Refusal;
import sparen.check.Checks;
import sparen.check.Finding;
import sparen.format.Profile;
import sparen.gauge.Scaled;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;
import sparen.revision.Changes;

/** The same change for many sites, seen at each of them before anything is saved. */
@RestController
class ProposalsController {
    private final PlanService plans;
    private final ProfileService profiles;
    private final SiteService sites;

    ProposalsController(PlanService plans, ProfileService profiles, SiteService sites) {
        this.plans = plans;
        this.profiles = profiles;
        this.sites = sites;
    }

    /**
     * Levels for many sites.
     *
     * @param sites their ids, 1 to 200
     * @param levels as those of a 12 V battery, 1 to 50
     */
    record NewProposal(List<String> sites, List<Scaled.Wanted> levels) {
        NewProposal {
            sites = List.copyOf(Bounds.present("sites", sites));
            Bounds.within("sites", sites.size(), "sites", 1, 200);
            levels = List.copyOf(Bounds.present("levels", levels));
            Bounds.within("levels", levels.size(), "levels", 1, 50);
        }
    }

    /**
     * What a change would do at one site.
     *
     * @param parent the revision it would be saved on
     * @param changes in sentences; none where the site has no such level
     * @param appears findings that come by it
     * @param clears findings that go by it
     * @param refused why a rule or setpoint there refuses its number; absent where it can be saved
     * @param plan the plan with the change; absent where it is refused
     */
    record SiteProposal(
            String site,
            String name,
            int parent,
            List<String> changes,
            List<Finding> appears,
            List<Finding> clears,
            Optional<String> refused,
            Optional<Plan> plan) {}

    /** What could be set on each of many sites at once, and what each site would then say; nothing is saved. */
    @PostMapping("/api/proposals")
    @Allowed(Role.TECHNICIAN)
    List<SiteProposal> propose(@RequestBody NewProposal wanted) {
        return wanted.sites().stream().map(site -> at(site, wanted.levels())).toList();
    }

    private SiteProposal at(String site, List<Scaled.Wanted> levels) {
        sites.mustExist(site);
        PlanService.Loaded latest =
                plans.latest(site).orElseThrow(() -> Refusal.notFound("A plan of the site \"" + site + "\""));
        String name = latest.plan().site().name();
        int parent = latest.revision().number();
        try {
            Plan changed = Scaled.set(latest.plan(), levels);
            Map<String, Profile> named = profiles.namedIn(site, changed);
            List<Finding> before = open(latest.plan(), named);
            List<Finding> after = open(changed, named);
            return new SiteProposal(
                    site,
                    name,
                    parent,
                    Changes.between(latest.plan(), changed).stream()
                            .map(Changes.Change::says)
                            .toList(),
                    after.stream().filter(isNotIn(before)).toList(),
                    before.stream().filter(isNotIn(after)).toList(),
                    Optional.empty(),
                    Optional.of(changed));
        } catch (InvalidQuantity refused) {
            return new SiteProposal(
                    site,
                    name,
                    parent,
                    List.of(),
                    List.of(),
                    List.of(),
                    Optional.of(refused.getMessage()),
                    Optional.empty());
        }
    }

    private static List<Finding> open(Plan plan, Map<String, Profile> named) {
        return Checks.of(plan, named).stream().filter(Finding::isOpen).toList();
    }

    private static Predicate<Finding> isNotIn(List<Finding> others) {
        return one -> others.stream()
                .noneMatch(other -> other.check().equals(one.check())
                        && other.at().equals(one.at())
                        && other.path().equals(one.path()));
    }
}
