package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;

/** An output with a protection but nothing behind its contact, or a rule of its own that is switched off. */
final class SupportsNothing implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.outputs().stream()
                .filter(output ->
                        output.loads().isEmpty() && output.protection().isPresent())
                .map(output -> finding(
                                Hazard.LOSS_OF_CONTROL,
                                Severity.NOTE,
                                output.id(),
                                "It has a protection, but nothing is behind its contact: nothing is protected.")
                        .about("program/outputs/" + output.id() + "/loads"));
    }
}
