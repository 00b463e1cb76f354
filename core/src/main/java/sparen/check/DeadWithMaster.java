package sparen.check;

import java.util.Optional;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.Output;

/** What decides must not be fed from behind what it controls, nor a fan from what it must cool. The chain is followed to its end. */
final class DeadWithMaster implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.outputs().stream()
                .filter(output -> output.supply().isPresent())
                .flatMap(output -> killers(plan, output.supply().orElseThrow(), output)
                        .map(killer -> finding(
                                        Hazard.LOSS_OF_CONTROL,
                                        Severity.DANGER,
                                        output.id(),
                                        killer == output
                                                ? "The device that decides is fed from behind its own contact: once open it"
                                                        + " is without power, and cannot close again."
                                                : "The device that decides is fed from behind the contact of "
                                                        + killer.name()
                                                        + ", which opens first or depends on it: then it is without power when it is"
                                                        + " needed.")
                                .about("program/outputs/" + output.id() + "/supply")
                                .cure(
                                        "feed it from the main bus",
                                        Cures.output(output.id(), one -> one.withSupply(Optional.empty())))));
    }

    /** Outputs behind whose contact a feed lies, that the output itself controls or that come down with it. */
    private static Stream<Output> killers(PlanFacts plan, String supply, Output deciding) {
        return plan.outputs().stream()
                .filter(other -> other.loads().contains(supply))
                .filter(other -> other == deciding || dependsOn(plan, other, deciding, 0));
    }

    /** Whether an output is itself decided by a device that another kills, over any number of steps. */
    private static boolean dependsOn(PlanFacts plan, Output one, Output deciding, int depth) {
        if (depth > plan.outputs().size()) {
            return false;
        }
        return one.supply().isPresent()
                && plan.outputs().stream()
                        .filter(other -> other.loads().contains(one.supply().orElseThrow()))
                        .anyMatch(other -> other == deciding || dependsOn(plan, other, deciding, depth + 1));
    }
}
