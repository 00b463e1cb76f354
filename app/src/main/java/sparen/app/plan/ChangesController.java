package sparen.app.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.profile.ProfileService;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.site.SiteService;
import sparen.app.web.Refusal;
import sparen.check.Checks;
import sparen.check.Finding;
import sparen.examined.Cure;
import sparen.format.Profile;
import sparen.gauge.Scaled;
import sparen.program.Dismissal;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Rule;
import sparen.program.Surroundings;
import sparen.program.rule.Purpose;
import sparen.program.rule.Rules;
import sparen.quantity.Bounds;
import sparen.quantity.Fields;
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

    /**
     * A finding that is to be left as it is.
     *
     * @param check simple name of its check
     * @param at what it stands at; may be empty
     * @param path of its field; may be empty
     */
    record NewDismissal(Plan plan, String check, String at, String path, String reason) {
        NewDismissal {
            Bounds.present("plan", plan);
            Bounds.present("check", check);
            Bounds.present("at", at);
            Bounds.present("path", path);
            Bounds.present("reason", reason);
        }
    }

    /** The plan with a finding left as it is, for the numbers it has now. */
    @PostMapping("/api/dismissals/{siteId}")
    @Allowed(Role.TECHNICIAN)
    ChangedPlan dismiss(@PathVariable String siteId, @RequestBody NewDismissal wanted) {
        sites.mustExist(siteId);
        Plan plan = wanted.plan();
        Finding finding = Checks.of(plan, profiles.namedIn(siteId, plan)).stream()
                .filter(one -> one.check().equals(wanted.check())
                        && one.at().equals(wanted.at())
                        && one.path().equals(wanted.path()))
                .findFirst()
                .orElseThrow(() -> Refusal.notFound("A finding of " + wanted.check()));
        List<Dismissal> kept = new ArrayList<>(plan.program().dismissed().stream()
                .filter(one -> !one.check().equals(finding.check())
                        || !one.at().equals(finding.at())
                        || !one.path().equals(finding.path()))
                .toList());
        kept.add(new Dismissal(finding.check(), finding.at(), finding.path(), finding.numbers(), wanted.reason()));
        return new ChangedPlan(Fields.withAt(plan, "program/dismissed", kept));
    }

    /** Levels given as those of a 12 V battery. */
    record NewLevels(Plan plan, List<Scaled.Wanted> levels) {
        NewLevels {
            Bounds.present("plan", plan);
            levels = List.copyOf(Bounds.present("levels", levels));
            Bounds.within("levels", levels.size(), "levels", 1, 50);
        }
    }

    /** The plan with levels scaled to its bank, each to all outputs and chargers that have it. */
    @PostMapping("/api/scaled/{siteId}")
    @Allowed(Role.TECHNICIAN)
    ChangedPlan scale(@PathVariable String siteId, @RequestBody NewLevels wanted) {
        sites.mustExist(siteId);
        return new ChangedPlan(Scaled.set(wanted.plan(), wanted.levels()));
    }

    /** The plan with a cure of a finding, or the number of a working, taken into it; nothing is saved. */
    @PostMapping("/api/changes/{siteId}")
    @Allowed(Role.TECHNICIAN)
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
                .map(cure -> new ChangedPlan(cure.apply(proposed.plan())))
                .orElseThrow(() -> Refusal.notFound("A change that says \"" + proposed.says() + "\""));
    }

    /** Every kind of rule, with its usual numbers and its sentence at an output. */
    @PostMapping("/api/offers/{siteId}")
    @Allowed(Role.TECHNICIAN)
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
