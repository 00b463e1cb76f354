package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;

/** A device that was read back and holds other numbers than the plan: somebody has turned a knob, or it has forgotten. */
final class Drifted implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.program().drifted().stream().map(device -> finding(
                        Hazard.LOSS_OF_CONTROL,
                        Severity.CAUTION,
                        device,
                        "Read back, it holds other numbers than the plan: what is simulated is not what acts.")
                .about("program/drifted"));
    }
}
