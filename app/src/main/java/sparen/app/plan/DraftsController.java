package sparen.app.plan;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.site.SiteService;
import sparen.program.Plan;
import sparen.quantity.Bounds;

/** What people have changed and not saved as a revision: kept as they go, each person's own. */
@RestController
class DraftsController {
    private final PlanService plans;
    private final SiteService sites;

    DraftsController(PlanService plans, SiteService sites) {
        this.plans = plans;
        this.sites = sites;
    }

    /**
     * Changes to be kept.
     *
     * @param parent number of the revision they were made from
     */
    record NewDraft(int parent, Plan plan) {
        NewDraft {
            Bounds.within("parent", parent, 0, Integer.MAX_VALUE);
            Bounds.present("plan", plan);
        }
    }

    /** When changes were kept. */
    record Kept(Instant savedAt) {}

    /** One's own kept changes. */
    record Draft(int parent, Instant savedAt, Plan plan) {}

    /** That somebody else has unsaved changes. */
    record OthersDraft(String author, Instant savedAt) {}

    /**
     * Unsaved changes at a site.
     *
     * @param mine absent for none
     * @param unreadable why one's own, which is there, cannot be read; absent where it can
     */
    record Drafts(Optional<Draft> mine, Optional<String> unreadable, List<OthersDraft> others) {}

    /** One's own unsaved plan of a site, and who else is at theirs. */
    @GetMapping("/api/sites/{siteId}/drafts")
    @Allowed(Role.OBSERVER)
    Drafts drafts(@PathVariable String siteId, Authentication who) {
        sites.mustExist(siteId);
        List<RevisionMapper.Draft> all = plans.drafts(siteId);
        Optional<RevisionMapper.Draft> own = all.stream()
                .filter(draft -> draft.account().equals(who.getName()))
                .findFirst();
        Optional<Draft> mine = Optional.empty();
        Optional<String> unreadable = Optional.empty();
        try {
            mine = own.map(draft -> new Draft(draft.parent(), draft.savedAt(), PlanService.plan(draft)));
        } catch (UnreadablePlan broken) {
            unreadable = Optional.of(broken.getMessage());
        }
        return new Drafts(
                mine,
                unreadable,
                all.stream()
                        .filter(draft -> !draft.account().equals(who.getName()))
                        .map(draft -> new OthersDraft(draft.author(), draft.savedAt()))
                        .toList());
    }

    /** Keeps one's unsaved plan until it is saved or discarded. */
    @PutMapping("/api/sites/{siteId}/drafts")
    @Allowed(Role.TECHNICIAN)
    Kept keep(@PathVariable String siteId, @RequestBody NewDraft draft, Authentication who) {
        sites.mustExist(siteId);
        return new Kept(plans.keep(siteId, who.getName(), draft.parent(), draft.plan()));
    }

    /** Throws one's unsaved plan away. */
    @DeleteMapping("/api/sites/{siteId}/drafts")
    @Allowed(Role.TECHNICIAN)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void discard(@PathVariable String siteId, Authentication who) {
        sites.mustExist(siteId);
        plans.discard(siteId, who.getName());
    }
}
