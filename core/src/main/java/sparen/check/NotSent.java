package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;

/** Settings that stand in the plan and not yet in the device: what is simulated is not what acts. */
final class NotSent implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.program().unsent().stream().map(device -> finding(
                        Hazard.LOSS_OF_CONTROL,
                        Severity.CAUTION,
                        device,
                        "Its settings have not been sent, or not been saved in it: it goes on with the old ones.")
                .about("program/unsent"));
    }
}
