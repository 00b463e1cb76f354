package sparen.app.plan;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.profile.ProfileService;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.site.SiteService;
import sparen.app.web.Refusal;
import sparen.device.DeviceProfile;
import sparen.document.DeviceProfiles;
import sparen.document.PlanDocument;
import sparen.format.Profile;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import sparen.question.Reading;
import sparen.revision.Changes;
import sparen.setting.Settables;

/** Plans: reading them, saving them, and what they say. */
@RestController
class PlanController {
    private static final int LONGEST_NOTE = 300;
    private static final int MOST_READINGS = 32;

    private final PlanService plans;
    private final ProfileService profiles;
    private final SiteService sites;
    /** One place after the other asks about the same plan; what it says is worked out once. */
    private final Cache<Asked, Reading> recent =
            Caffeine.newBuilder().maximumSize(MOST_READINGS).build();

    PlanController(PlanService plans, ProfileService profiles, SiteService sites) {
        this.plans = plans;
        this.profiles = profiles;
        this.sites = sites;
    }

    /**
     * A plan to be saved.
     *
     * @param parent number of the revision it was made from
     * @param note what was changed
     * @param request made once by whoever sends it: sent twice, it is saved once
     */
    record NewRevision(Optional<Integer> parent, String note, Plan plan, Optional<UUID> request) {
        NewRevision {
            request = Bounds.orEmpty(request);
            parent = Bounds.orEmpty(parent);
            Bounds.present("note", note);
            Bounds.within("note", note.length(), "characters", 0, LONGEST_NOTE);
            Bounds.present("plan", plan);
        }
    }

    /** A revision with its plan. */
    record LoadedRevision(Revision revision, Plan plan) {}

    /** A plan with the profiles that it names. */
    private record Asked(Plan plan, Map<String, Profile> profiles) {}

    /** A name for a revision; absent to take it away. */
    record NewName(Optional<String> name) {
        NewName {
            name = Bounds.orEmpty(name).filter(given -> !given.isBlank());
            name.ifPresent(given -> Bounds.name("name", given));
        }
    }

    /** The latest revision of a site with its plan. */
    @GetMapping("/api/sites/{siteId}/revisions/latest")
    @Allowed(Role.OBSERVER)
    LoadedRevision latest(@PathVariable String siteId) {
        sites.mustExist(siteId);
        return format(plans.latest(siteId).orElseThrow(() -> Refusal.notFound("A plan of this site")));
    }

    /** The revisions of a site, newest first, without their plans. */
    @GetMapping("/api/sites/{siteId}/revisions")
    @Allowed(Role.OBSERVER)
    List<Revision> history(@PathVariable String siteId) {
        sites.mustExist(siteId);
        return plans.history(siteId);
    }

    /** A revision with its plan. */
    @GetMapping("/api/sites/{siteId}/revisions/{number}")
    @Allowed(Role.OBSERVER)
    LoadedRevision revision(@PathVariable String siteId, @PathVariable int number) {
        sites.mustExist(siteId);
        return format(plans.revision(siteId, number));
    }

    /** A revision as a document that can be imported again. */
    @GetMapping("/api/sites/{siteId}/revisions/{number}/document")
    @Allowed(Role.OBSERVER)
    PlanDocument document(@PathVariable String siteId, @PathVariable int number) {
        sites.mustExist(siteId);
        return PlanDocument.of(plans.revision(siteId, number).plan());
    }

    /** Saves a plan as the next revision, where nobody saved since the one it was made from. */
    @PostMapping("/api/sites/{siteId}/revisions")
    @Allowed(Role.TECHNICIAN)
    @ResponseStatus(HttpStatus.CREATED)
    LoadedRevision save(@PathVariable String siteId, @RequestBody NewRevision revision, Authentication authentication) {
        sites.mustExist(siteId);
        return format(plans.save(
                siteId,
                revision.parent(),
                revision.note(),
                revision.plan(),
                authentication.getName(),
                revision.request()));
    }

    /** What is different in one revision from another, in sentences. */
    @GetMapping("/api/sites/{siteId}/revisions/{number}/changes/{to}")
    @Allowed(Role.OBSERVER)
    List<Changes.Change> changes(@PathVariable String siteId, @PathVariable int number, @PathVariable int to) {
        sites.mustExist(siteId);
        return plans.changes(siteId, number, to);
    }

    /** Gives a revision a name of its own, or takes it away. */
    @PostMapping("/api/sites/{siteId}/revisions/{number}/name")
    @Allowed(Role.TECHNICIAN)
    Revision rename(@PathVariable String siteId, @PathVariable int number, @RequestBody NewName name) {
        sites.mustExist(siteId);
        return plans.rename(siteId, number, name.name());
    }

    /** The generic kinds of devices that can be fitted. */
    @GetMapping("/api/device-profiles")
    @Allowed(Role.OBSERVER)
    List<DeviceProfile> deviceProfiles() {
        return DeviceProfiles.shipped();
    }

    /** What of a plan a device can let be set, by the names that kinds of devices use. */
    @GetMapping("/api/settables")
    @Allowed(Role.OBSERVER)
    List<Settables.Settable> settables() {
        return Settables.all();
    }

    /** Takes a kind of device as it is, or refuses it at the entry that names what no plan has. */
    @PostMapping("/api/device-profiles/check")
    @Allowed(Role.TECHNICIAN)
    DeviceProfile checkProfile(@RequestBody DeviceProfile profile) {
        Settables.check(profile);
        return profile;
    }

    /** What a plan says: sentences, levels, findings, workings and what it changes. */
    @PostMapping("/api/reading/{siteId}")
    @Allowed(Role.OBSERVER)
    Reading read(@PathVariable String siteId, @RequestBody Plan plan) {
        sites.mustExist(siteId);
        return recent.get(
                new Asked(plan, profiles.namedIn(siteId, plan)), asked -> Reading.of(asked.plan(), asked.profiles()));
    }

    private static LoadedRevision format(PlanService.Loaded loaded) {
        return new LoadedRevision(loaded.revision(), loaded.plan());
    }
}
