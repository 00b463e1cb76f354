package sparen.app.plan;

import java.util.List;
import java.util.Map;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.profile.ProfileService;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.site.SiteService;
import sparen.app.web.Refusal;
import sparen.program.Plan;
import sparen.question.ChangedPlan;
import sparen.question.NewDismissal;
import sparen.question.NewLevels;
import sparen.question.OfferRequest;
import sparen.question.ProposedChange;
import sparen.question.SiteFiles;

/** Changes that are proposed for a plan: the cures of its findings, numbers that were worked out, and rules for an output. */
@RestController
class ChangesController {
    private final ProfileService profiles;
    private final SiteService sites;

    ChangesController(ProfileService profiles, SiteService sites) {
        this.profiles = profiles;
        this.sites = sites;
    }

    private SiteFiles files(String siteId, Plan plan) {
        return new SiteFiles(profiles.namedIn(siteId, plan), Map.of());
    }

    /** The plan with a finding left as it is, for the numbers it has now. */
    @PostMapping("/api/dismissals/{siteId}")
    @Allowed(Role.TECHNICIAN)
    ChangedPlan dismiss(@PathVariable String siteId, @RequestBody NewDismissal wanted) {
        sites.mustExist(siteId);
        return wanted.take(files(siteId, wanted.plan()))
                .orElseThrow(() -> Refusal.notFound("A finding of " + wanted.check()));
    }

    /** The plan with levels scaled to its bank, each to all outputs and chargers that have it. */
    @PostMapping("/api/scaled/{siteId}")
    @Allowed(Role.TECHNICIAN)
    ChangedPlan scale(@PathVariable String siteId, @RequestBody NewLevels wanted) {
        sites.mustExist(siteId);
        return wanted.scaled();
    }

    /** The plan with a cure of a finding, or the number of a working, taken into it; nothing is saved. */
    @PostMapping("/api/changes/{siteId}")
    @Allowed(Role.TECHNICIAN)
    ChangedPlan change(@PathVariable String siteId, @RequestBody ProposedChange proposed) {
        sites.mustExist(siteId);
        return proposed.take(files(siteId, proposed.plan()))
                .orElseThrow(() -> Refusal.notFound("A change that says \"" + proposed.says() + "\""));
    }

    /** Every kind of rule, with its usual numbers and its sentence at an output. */
    @PostMapping("/api/offers/{siteId}")
    @Allowed(Role.TECHNICIAN)
    List<OfferRequest.Offer> offers(@PathVariable String siteId, @RequestBody OfferRequest wanted) {
        sites.mustExist(siteId);
        return wanted.offers().orElseThrow(() -> Refusal.notFound("An output \"" + wanted.output() + "\""));
    }
}
