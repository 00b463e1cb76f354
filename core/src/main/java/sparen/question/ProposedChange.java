package sparen.question;

import java.util.Optional;
import java.util.stream.Stream;
import sparen.check.Checks;
import sparen.examined.Cure;
import sparen.examined.PlanFacts;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import sparen.working.Workings;

/**
 * A change that was proposed: the cure of a finding, or a number that was worked out.
 *
 * @param plan it was proposed for
 * @param path of the field it was proposed at
 * @param says what it said
 */
public record ProposedChange(Plan plan, String path, String says) {
    public ProposedChange {
        Bounds.present("plan", plan);
        Bounds.present("path", path);
        Bounds.present("says", says);
    }

    /** The plan with it; empty where nothing there says so. */
    public Optional<ChangedPlan> take(SiteFiles files) {
        PlanFacts facts = new PlanFacts(plan, files.profiles());
        Stream<Cure> cures = Checks.of(facts).stream()
                .filter(finding -> finding.path().equals(path))
                .flatMap(finding -> finding.cures().stream());
        Stream<Cure> workings = Workings.of(facts).stream()
                .filter(working -> working.path().equals(path))
                .flatMap(working -> working.takes().stream());
        return Stream.concat(cures, workings)
                .filter(cure -> cure.says().equals(says))
                .findFirst()
                .map(cure -> new ChangedPlan(cure.apply(plan)));
    }
}
