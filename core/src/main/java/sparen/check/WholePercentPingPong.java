package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.Level;
import sparen.site.BatteryMonitor;

/** A monitor that reports whole percents cannot tell levels a point apart. */
final class WholePercentPingPong implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.levels(Level.Role.SURPLUS_OFF_SOC, Level.Role.DISCONNECT_SOC, Level.Role.GENERATOR_START_SOC)
                .flatMap(low -> plan
                        .partner(
                                low, Level.Role.SURPLUS_ON_SOC, Level.Role.RECONNECT_SOC, Level.Role.GENERATOR_STOP_SOC)
                        .filter(high -> high.value() - low.value() <= 2 * step(plan))
                        .stream()
                        .map(high -> Cures.level(
                                finding(
                                                Hazard.NUISANCE,
                                                high.value() <= low.value() ? Severity.DANGER : Severity.CAUTION,
                                                low.output().id(),
                                                "The two levels are so near each other that the monitor's steps make it go"
                                                        + " back and forth.")
                                        .about(high.path())
                                        .number(high.level().term(), high.value(), "%")
                                        .number(low.level().term(), low.value(), "%")
                                        .number("the monitor's step", step(plan), "%"),
                                low,
                                Math.max(0, high.value() - 5))));
    }

    private static double step(PlanFacts plan) {
        return plan.site().monitors().stream()
                .mapToDouble(BatteryMonitor::stepPercent)
                .max()
                .orElse(1);
    }
}
