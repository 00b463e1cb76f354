package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.rule.GeneratorStart;
import sparen.quantity.Fields;

/** Fuel spent on the last percents, or on equalizing from empty, gives what the sun would have given. */
final class GeneratorWaste implements Check {
    private static final double LATE = 90;

    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.rules()
                .filter(placed -> placed.rule() instanceof GeneratorStart)
                .filter(placed -> ((GeneratorStart) placed.rule()).stopPercent() > LATE
                        || ((GeneratorStart) placed.rule())
                                .finishesEqualization()
                                .orElse(false))
                .map(placed -> {
                    GeneratorStart rule = (GeneratorStart) placed.rule();
                    Finding finding = finding(
                                    Hazard.WASTE,
                                    Severity.NOTE,
                                    placed.output().id(),
                                    "The last percents go slowly: the generator burns fuel for what the sun gives for"
                                            + " nothing.")
                            .about(PlanFacts.path(placed.output(), placed.slot(), "stopPercent"))
                            .number("stops at", rule.stopPercent(), "%");
                    return rule.stopPercent() > LATE
                            ? finding.cure(
                                    "stop at 80 %", Cures.rule(placed, one -> Fields.with(one, "stopPercent", 80.0)))
                            : finding;
                });
    }
}
