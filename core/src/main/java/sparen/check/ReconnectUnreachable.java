package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.Level;

/** A reconnect level above what charging reaches never brings the load back. */
final class ReconnectUnreachable implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        double highest = plan.highestRegulation();
        return plan.levels(Level.Role.RECONNECT, Level.Role.CLEARS, Level.Role.BACK_TO_BATTERY)
                .filter(high -> highest > 0 && plan.trueVolts(high) >= highest)
                .map(high -> Cures.level(
                        finding(
                                        Hazard.LOSS_OF_CONTROL,
                                        Severity.DANGER,
                                        high.output().id(),
                                        "No charger ever reaches this level: once open, it stays so.")
                                .about(high.path())
                                .number(high.level().term(), plan.trueVolts(high), "V")
                                .number("highest regulation", highest, "V"),
                        high,
                        highest * 0.95 + high.value() - plan.trueVolts(high)));
    }
}
