package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.examined.Tolerance;
import sparen.program.Level;

/** A warning has to come before the disconnect it warns of. */
final class WarningOrder implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        double highest = plan.levels(Level.Role.DISCONNECT, Level.Role.CUT_OFF)
                .filter(low -> low.output().loads().stream().anyMatch(load -> isCritical(plan, load)))
                .mapToDouble(plan::trueVolts)
                .max()
                .orElse(Double.NEGATIVE_INFINITY);
        return plan.levels(Level.Role.WARNING)
                .filter(warning -> plan.trueVolts(warning) <= highest)
                .map(warning -> Cures.level(
                        finding(
                                        Hazard.LOSS_OF_CONTROL,
                                        Severity.CAUTION,
                                        warning.output().id(),
                                        "The warning comes at or below the disconnect of a critical load: when it is heard,"
                                                + " the load is gone.")
                                .about(warning.path())
                                .number("warning", plan.trueVolts(warning), "V", plan.origin(warning.path()))
                                .number("highest LVD of a critical load", highest, "V")
                                .sure(Tolerance.below(
                                        plan.trueVolts(warning),
                                        Tolerance.METER * warning.value(),
                                        highest + 2 * Tolerance.METER * highest,
                                        Tolerance.METER * highest)),
                        warning,
                        highest + 0.3 * plan.site().nominalVolts() / 12));
    }

    private static boolean isCritical(PlanFacts plan, String id) {
        return plan.site().loads().stream()
                .anyMatch(load -> load.critical()
                        && (load.id().equals(id)
                                || load.feed().filter(id::equals).isPresent()));
    }
}
