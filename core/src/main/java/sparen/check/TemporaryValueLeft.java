package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.quantity.Place;

/** A setting changed for a test has to be put back before leaving. */
final class TemporaryValueLeft implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.program().temporary().stream().map(value -> finding(
                        Hazard.LOSS_OF_CONTROL,
                        Severity.CAUTION,
                        Place.outputOf(value.path()),
                        "Changed for a test and not yet put back: " + value.name() + ".")
                .about(value.path())
                .number("put back to", value.normalValue(), value.unit()));
    }
}
