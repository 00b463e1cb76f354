package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.result.RunResult;

/** An output that did not move once in a year of simulated weather: its rule is untried, or of no use. */
final class NeverExercised implements RunCheck {
    private static final double YEAR_SECONDS = 360 * 86_400.0;

    @Override
    public Stream<Finding> look(PlanFacts plan, RunResult run) {
        return run.seconds() < YEAR_SECONDS
                ? Stream.empty()
                : run.outputs().stream()
                        .filter(output -> output.switchings() == 0)
                        .map(output -> finding(
                                Hazard.LOSS_OF_CONTROL,
                                Severity.NOTE,
                                output.output(),
                                "In a simulated year it did not move once: try it by hand before relying on it."));
    }
}
