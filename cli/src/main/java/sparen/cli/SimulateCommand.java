package sparen.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;
import sparen.document.Documents;
import sparen.document.LedgerInWattHours;
import sparen.program.Plan;
import sparen.quantity.InvalidQuantity;
import sparen.result.BatteryFigures;
import sparen.result.GeneratorFigures;
import sparen.result.LoadFigures;
import sparen.result.OutputFigures;
import sparen.result.RunResult;
import sparen.result.Window;
import sparen.simulation.Scenario;
import sparen.simulation.Simulation;

/** Runs a plan and prints ledger and figures. */
@Command(
        name = "simulate",
        mixinStandardHelpOptions = true,
        description = "Runs a plan document through weather drawn by a number. Prints ledger (Wh) and figures as JSON.")
final class SimulateCommand implements Callable<Integer> {
    private static final int MOST_BUCKETS = 20_000;

    @Mixin
    private DocumentInput input;

    @Mixin
    private ScenarioOptions options;

    @Option(names = "--out", paramLabel = "DIR", description = "where to write events.csv and trace.csv")
    private Path directory;

    @Spec
    private CommandSpec spec;

    /** What is printed. */
    private record Summary(
            String simulated,
            Instant from,
            double durationSeconds,
            RunResult.Status status,
            int events,
            RunResult.Lowest lowestStateOfCharge,
            RunResult.Lowest lowestBatteryVolts,
            double endStateOfCharge,
            double endBatteryVolts,
            List<OutputFigures> outputs,
            List<LoadFigures> loads,
            BatteryFigures battery,
            List<GeneratorFigures> generators,
            LedgerInWattHours ledgerWattHours) {}

    @Override
    public Integer call() throws BadInput {
        Plan plan = input.plan();
        try {
            Scenario scenario = options.scenario(plan, input.profiles(plan));
            double duration = scenario.durationSeconds();
            int buckets = (int) Math.max(1, Math.min(MOST_BUCKETS, duration / 60));
            RunResult result = Simulation.run(scenario, new Window(0, duration, buckets));
            if (directory != null) {
                ResultFiles.write(directory, result, scenario.start());
            }
            spec.commandLine().getOut().println(Documents.writeAny(summary(scenario, result)));
            return 0;
        } catch (InvalidQuantity invalid) {
            throw new BadInput(invalid.getMessage(), invalid);
        } catch (IOException unwritable) {
            throw new BadInput("--out " + directory + ": cannot be written: " + unwritable.getMessage(), unwritable);
        }
    }

    private static Summary summary(Scenario scenario, RunResult result) {
        return new Summary(
                "planning figures from a model, no proof of safety",
                scenario.start(),
                scenario.durationSeconds(),
                result.status(),
                result.events().size() + result.eventsLeftOut(),
                result.lowestStateOfCharge(),
                result.lowestBatteryVolts(),
                result.endStateOfCharge(),
                result.endBatteryVolts(),
                result.outputs(),
                result.loads(),
                result.battery(),
                result.generators(),
                LedgerInWattHours.of(result.ledger()));
    }
}
