package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.Level;

/** The hard cut-off lies below every delayed disconnect: it is the last, not the first. */
final class HardCutOffOrder implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.levels(Level.Role.CUT_OFF).flatMap(cut -> plan.levels(Level.Role.DISCONNECT)
                .filter(low ->
                        low.output().loads().stream().anyMatch(cut.output().loads()::contains)
                                || low.output() == cut.output())
                .filter(low -> plan.trueVolts(low) <= plan.trueVolts(cut))
                .map(low -> finding(
                                Hazard.NUISANCE,
                                Severity.CAUTION,
                                cut.output().id(),
                                "The hard cut-off is not below the delayed disconnect: every short sag opens it, and the"
                                        + " delay is of no use.")
                        .about(cut.path())
                        .number("hard cut-off", plan.trueVolts(cut), "V")
                        .number("LVD", plan.trueVolts(low), "V")));
    }
}
