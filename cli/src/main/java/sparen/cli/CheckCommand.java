package sparen.cli;

import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
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
    @Parameters(paramLabel = "DOCUMENT.json", description = "a plan document, see docs/schema")
    private Path document;

    @Option(
            names = "--profile",
            paramLabel = "[ID=]FILE",
            description = "consumption profile (CSV) for the loads that take an imported one")
    private List<String> profiles = List.of();

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws BadInput {
        Plan plan = Inputs.plan(document);
        spec.commandLine().getOut().println(Documents.writeAny(Checks.of(plan, Inputs.profiles(profiles, plan))));
        return 0;
    }
}
