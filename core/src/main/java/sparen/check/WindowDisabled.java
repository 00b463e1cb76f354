package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.Mode;
import sparen.site.Inverter;

/** Windows that need an inverter whose permission is off never act. */
final class WindowDisabled implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        boolean windows = plan.program().ac().map(ac -> !ac.windows().isEmpty()).orElse(false);
        return plan.outputs().stream()
                .filter(output -> windows && output.mode() == Mode.OFF)
                .filter(output -> plan.site()
                        .inverter()
                        .map(Inverter::id)
                        .filter(output.loads()::contains)
                        .isPresent())
                .map(output -> finding(
                                Hazard.LOSS_OF_CONTROL,
                                Severity.CAUTION,
                                output.id(),
                                "Windows are programmed, but the inverter's permission is off: they never act.")
                        .about("program/outputs/" + output.id() + "/mode"));
    }
}
