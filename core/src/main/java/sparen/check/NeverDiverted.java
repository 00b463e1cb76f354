package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.result.RunResult;

/** Surplus was thrown away while an output that is there to use it never closed. */
final class NeverDiverted implements RunCheck {
    private static final double TELLING_JOULES = 3.6e6;

    @Override
    public Stream<Finding> look(PlanFacts plan, RunResult run) {
        double thrown = run.ledger().curtailedJoules() + run.ledger().clippedJoules();
        return plan.outputs().stream()
                .filter(output -> plan.site().loads().stream()
                        .anyMatch(load -> load.diverts() && output.loads().contains(load.id())))
                .filter(output -> thrown > TELLING_JOULES
                        && run.outputs().stream()
                                .anyMatch(one -> one.output().equals(output.id())
                                        && one.switchings() == 0
                                        && !one.startsClosed()))
                .map(output -> finding(
                                Hazard.WASTE,
                                Severity.CAUTION,
                                output.id(),
                                "In the run surplus was thrown away while this never closed.")
                        .number("thrown away", thrown / 3.6e6, "kWh"));
    }
}
