package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.Mode;
import sparen.quantity.Standard;
import sparen.result.OutputFigures;
import sparen.result.RunResult;

/** A load that was taken off and never came back within the run. */
final class NeverReconnected implements RunCheck {
    private static final double LONG_SECONDS = 2 * 86_400;

    @Override
    public Stream<Finding> look(PlanFacts plan, RunResult run) {
        double end = run.seconds();
        return run.outputs().stream()
                .filter(output -> output.changeSeconds().length > 0 && isOpenAtEnd(output))
                .filter(output -> plan.outputs().stream()
                        .anyMatch(one -> one.id().equals(output.output())
                                && one.mode() == Mode.ON
                                && !one.loads().isEmpty()))
                .filter(output -> end - last(output) > LONG_SECONDS)
                .map(output -> finding(
                                Hazard.LOSS_OF_CONTROL,
                                Severity.CAUTION,
                                output.output(),
                                "In the run it opened and did not close again: its reconnect level is not reached.")
                        .number("open for", Math.round(10 * (end - last(output)) / Standard.DAY) / 10.0, "d"));
    }

    private static boolean isOpenAtEnd(OutputFigures output) {
        return output.startsClosed() == (output.changeSeconds().length % 2 == 1);
    }

    private static double last(OutputFigures output) {
        return output.changeSeconds()[output.changeSeconds().length - 1];
    }
}
