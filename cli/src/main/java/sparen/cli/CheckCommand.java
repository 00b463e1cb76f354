package sparen.cli;

import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Spec;
import sparen.check.Checks;
import sparen.document.Documents;
import sparen.program.Plan;

/** Prints what the checks find in a plan. */
@Command(
        name = "check",
        mixinStandardHelpOptions = true,
        description =
                "Prints the findings of a plan document as JSON, the worst first; an empty list when there are none.")
final class CheckCommand implements Callable<Integer> {
    @Mixin
    private DocumentInput input;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws BadInput {
        Plan plan = input.plan();
        spec.commandLine().getOut().println(Documents.writeAny(Checks.of(plan, input.profiles(plan))));
        return 0;
    }
}
