package sparen.cli;

import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Spec;
import sparen.bench.Replay;
import sparen.document.Documents;
import sparen.program.Plan;

/** Prints what a program would have switched on what was recorded. */
@Command(
        name = "replay",
        mixinStandardHelpOptions = true,
        description =
                "Prints as JSON what the program of a plan document would have switched on the voltages that a logger recorded,"
                        + " and where that is first otherwise than was recorded.")
final class ReplayCommand implements Callable<Integer> {
    @Mixin
    private LogInput input;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws BadInput {
        Plan plan = input.plan();
        spec.commandLine().getOut().println(Documents.writeAny(Replay.of(plan, input.log(plan))));
        return 0;
    }
}
