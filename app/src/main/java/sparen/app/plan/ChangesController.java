package sparen.app.plan;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.profile.ProfileService;
import sparen.app.site.SiteService;
import sparen.app.web.Refusal;
import sparen.check.Checks;
import sparen.check.Cure;
import sparen.format.Profile;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Purpose;
import sparen.program.Rule;
import sparen.program.Rules;
import sparen.program.Surroundings;
import sparen.quantity.Bounds;
import sparen.working.Workings;

/** Changes that are proposed for a plan: the cures of its findings, numbers that were worked out, and rules for an output. */
@RestController
class ChangesController {
    private final ProfileService profiles;
    private final SiteService sites;

    ChangesController(ProfileService profiles, SiteService sites) {
        this.profiles = profiles;
        this.sites = sites;
    }

    /**
     * A change that was proposed.
     *
     * @param plan it was proposed for
     * @param path of the field it was proposed at
     * @param says what it said
     */
    record ProposedChange(Plan plan, String path, String says) {
        ProposedChange {
            Bounds.present("plan", plan);
            Bounds.present("path", path);
            Bounds.present("says", says);
        }
    }

    /** The plan with a change. */
    record ChangedPlan(Plan plan) {}

    /**
     * An output of a plan that rules are wanted for.
     *
     * @param plan with the output
     * @param output its id
     */
    record OfferRequest(Plan plan, String output) {
        OfferRequest {
            Bounds.present("plan", plan);
            Bounds.id("output", output);
        }
    }

    /**
     * A kind of rule.
     *
     * @param rule one with usual numbers; absent where the site lacks what it needs
     * @param sentence what that says
     */
    record Offer(String name, Purpose purpose, String title, Optional<Rule> rule, Optional<String> sentence) {}

    @PostMapping("/api/changes/{siteId}")
    ChangedPlan change(@PathVariable String siteId, @RequestBody ProposedChange proposed) {
        sites.mustExist(siteId);
        Map<String, Profile> named = profiles.namedIn(siteId, proposed.plan());
        Stream<Cure> cures = Checks.of(proposed.plan(), named).stream()
                .filter(finding -> finding.path().equals(proposed.path()))
                .flatMap(finding -> finding.cures().stream());
        Stream<Cure> workings = Workings.of(proposed.plan(), named).stream()
                .filter(working -> working.path().equals(proposed.path()))
                .flatMap(working -> working.takes().stream());
        return Stream.concat(cures, workings)
                .filter(cure -> cure.says().equals(proposed.says()))
                .findFirst()
                .map(cure -> new ChangedPlan(cure.change().apply(proposed.plan())))
                .orElseThrow(() -> Refusal.notFound("A change that says \"" + proposed.says() + "\""));
    }

    @PostMapping("/api/offers/{siteId}")
    List<Offer> offers(@PathVariable String siteId, @RequestBody OfferRequest wanted) {
        sites.mustExist(siteId);
        Output output = wanted.plan().program().outputs().stream()
                .filter(one -> one.id().equals(wanted.output()))
                .findFirst()
                .orElseThrow(() -> Refusal.notFound("An output \"" + wanted.output() + "\""));
        Surroundings around = Surroundings.of(wanted.plan()).at(output);
        return Rules.ALL.stream()
                .map(kind -> {
                    Optional<Rule> usual = kind.usual().apply(around);
                    return new Offer(
                            kind.name(), kind.purpose(), kind.title(), usual, usual.map(rule -> rule.sentence(around)
                                    .plain()));
                })
                .toList();
    }
}
