package sparen.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;
import sparen.program.Plan;
import sparen.quantity.InvalidQuantity;
import sparen.result.BatteryFigures;
import sparen.result.GeneratorFigures;
import sparen.result.LedgerInWattHours;
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

    @Option(names = "--progress", description = "tells on the error output how far it is")
    private boolean progress;

    @Mixin
    private OutputFormat format;

    @Mixin
    private TraceOptions trace;

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
            int buckets = trace.buckets(duration, MOST_BUCKETS);
            RunResult result = Simulation.run(
                    scenario, new Window(0, duration, buckets), Simulation.Settings.DEFAULT, watch(duration));
            if (directory != null) {
                ResultFiles.write(directory, result, scenario.start(), trace.mark());
            }
            format.write(
                    spec.commandLine().getOut(), List.of(summary(scenario, result)), SimulateCommand::inWords, true);
            return 0;
        } catch (InvalidQuantity invalid) {
            throw new BadInput(invalid.getMessage(), invalid);
        } catch (IOException unwritable) {
            throw new BadInput("--out " + directory + ": cannot be written: " + unwritable.getMessage(), unwritable);
        }
    }

    private Simulation.Watch watch(double duration) {
        PrintWriter err = spec.commandLine().getErr();
        long[] told = {-1};
        return (seconds, days) -> {
            long percent = (long) (100 * seconds / duration);
            if (progress && percent / 5 > told[0]) {
                told[0] = percent / 5;
                err.println("sparen: " + percent + " %");
                err.flush();
            }
            return false;
        };
    }

    private static String inWords(Summary summary) {
        StringBuilder words = new StringBuilder("simulated; no proof of safety\n");
        words.append(String.format(
                Locale.ROOT,
                "%.1f d from %s, %d events, lowest charge %.0f %%, lowest voltage %.2f V",
                summary.durationSeconds() / 86_400,
                summary.from(),
                summary.events(),
                summary.lowestStateOfCharge().value() * 100,
                summary.lowestBatteryVolts().value()));
        summary.loads()
                .forEach(load -> words.append(String.format(
                        Locale.ROOT,
                        "%n%s: fed for %.1f h, lost %d times",
                        load.load(),
                        load.servedSeconds() / 3600,
                        load.losses())));
        return words.toString();
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
