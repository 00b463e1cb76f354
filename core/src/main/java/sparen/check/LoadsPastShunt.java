package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.Mode;

/** What is wired past the shunt drains the battery and is not counted. */
final class LoadsPastShunt implements Check {
    /** So much of the capacity a week makes a difference (fraction); judgement, no source. */
    private static final double TELLING = 0.05;

    private static final double WEEK_HOURS = 168;

    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.site().monitors().stream().flatMap(monitor -> {
            double watts = monitor.unseen().stream()
                    .filter(id -> plan.site().loads().stream()
                            .anyMatch(load -> load.id().equals(id)))
                    .filter(id -> runsAlways(plan, id))
                    .mapToDouble(plan::worstWatts)
                    .sum();
            double share = watts
                    * WEEK_HOURS
                    / plan.site().nominalVolts()
                    / plan.bank().capacityAmpereHours();
            return share < TELLING
                    ? Stream.empty()
                    : Stream.of(finding(
                                    Hazard.OVER_DISCHARGE,
                                    Severity.CAUTION,
                                    monitor.id(),
                                    "Loads past its shunt take this much of the battery in a week without being counted.")
                            .about("site/monitors/" + monitor.id() + "/unseen")
                            .number("in a week", share * 100, "%")
                            .number("unseen", watts, "W"));
        });
    }

    private static boolean runsAlways(PlanFacts plan, String id) {
        return plan.outputs().stream().noneMatch(output -> output.loads().contains(id) && output.mode() != Mode.ON);
    }
}
