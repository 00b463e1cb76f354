package sparen.cli;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;
import sparen.check.Checks;
import sparen.check.Finding;
import sparen.check.Severity;
import sparen.format.Profile;
import sparen.program.Plan;
import sparen.quantity.InvalidQuantity;
import sparen.result.RunResult;
import sparen.result.Window;
import sparen.simulation.Scenario;
import sparen.simulation.Simulation;

/** Prints what the checks find in a plan. */
@Command(
        name = "check",
        mixinStandardHelpOptions = true,
        description =
                "Prints the findings of a plan document as JSON, the worst first; an empty list when there are none. With"
                        + " --run also those that a simulated run shows.")
final class CheckCommand implements Callable<Integer> {
    private static final int FOUND = 3;

    @Mixin
    private DocumentInput input;

    @Option(names = "--run", description = "simulates too, see the options of simulate, and adds what that shows")
    private boolean run;

    @Option(
            names = "--fail-on",
            paramLabel = "SEVERITY",
            description =
                    "ends with 3 when there is a finding of this severity or a worse one: ${COMPLETION-CANDIDATES}")
    private Severity failOn;

    @Mixin
    private OutputFormat format;

    @Mixin
    private ScenarioOptions options;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws BadInput {
        Plan plan = input.plan();
        Map<String, Profile> profiles = input.profiles(plan);
        List<Finding> findings = new ArrayList<>(Checks.of(plan, profiles));
        if (run) {
            findings.addAll(shownByRun(plan, profiles));
        }
        format.write(
                spec.commandLine().getOut(),
                findings,
                finding -> finding.severity().name().toLowerCase(Locale.ROOT) + "  "
                        + (finding.at().isEmpty() ? "" : finding.at() + ": ") + finding.text());
        boolean found = failOn != null
                && findings.stream().anyMatch(one -> one.severity().ordinal() <= failOn.ordinal());
        return found ? FOUND : 0;
    }

    private List<Finding> shownByRun(Plan plan, Map<String, Profile> profiles) throws BadInput {
        try {
            Scenario scenario = options.scenario(plan, profiles);
            RunResult result = Simulation.run(scenario, new Window(0, scenario.durationSeconds(), 1));
            return Checks.of(plan, profiles, result);
        } catch (InvalidQuantity invalid) {
            throw new BadInput(invalid.getMessage(), invalid);
        }
    }
}
