package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.result.OutputFigures;
import sparen.result.RunResult;

/** An output that switched so fast that it had to be bounded. */
final class Chattered implements RunCheck {
    @Override
    public Stream<Finding> look(PlanFacts plan, RunResult run) {
        return run.outputs().stream().filter(OutputFigures::chattered).map(output -> finding(
                        Hazard.NUISANCE,
                        Severity.DANGER,
                        output.output(),
                        "In the run it chattered: six switchings within a second and more.")
                .number("switchings", output.switchings(), ""));
    }
}
