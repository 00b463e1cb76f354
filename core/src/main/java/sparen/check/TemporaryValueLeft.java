package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;

/** A setting changed for a test has to be put back before leaving. */
final class TemporaryValueLeft implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.program().temporary().stream().map(value -> finding(
                        Hazard.LOSS_OF_CONTROL,
                        Severity.CAUTION,
                        value.path().startsWith("program/outputs/")
                                ? value.path().split("/")[2]
                                : "",
                        "Changed for a test and not yet put back: " + value.name() + ".")
                .about(value.path())
                .number("put back to", value.normalValue(), value.unit()));
    }
}
