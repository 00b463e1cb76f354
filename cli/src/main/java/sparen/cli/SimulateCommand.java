package sparen.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
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
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;
import sparen.simulation.BatteryFigures;
import sparen.simulation.GeneratorFigures;
import sparen.simulation.LoadFigures;
import sparen.simulation.OutputFigures;
import sparen.simulation.RunResult;
import sparen.simulation.Scenario;
import sparen.simulation.Simulation;
import sparen.simulation.Window;
import sparen.site.Location;
import sparen.sun.Climate;
import sparen.sun.DayType;
import sparen.sun.ImportedWeather;
import sparen.sun.Weather;
import sparen.sun.WeatherGenerator;

/** Runs a plan and prints ledger and figures. */
@Command(
        name = "simulate",
        mixinStandardHelpOptions = true,
        description = "Runs a plan document through seeded weather. Prints ledger (Wh) and figures as JSON.")
final class SimulateCommand implements Callable<Integer> {
    private static final int MOST_DAYS = 400;
    private static final int MOST_BUCKETS = 20_000;

    @Mixin
    private DocumentInput input;

    @Option(
            names = "--from",
            paramLabel = "DATE",
            description = "first day, in the site's zone (default ${DEFAULT-VALUE})")
    private LocalDate from = LocalDate.of(2026, 11, 2);

    @Option(names = "--days", paramLabel = "N", description = "how many days, 1 to 400 (default ${DEFAULT-VALUE})")
    private int days = 14;

    @Option(names = "--seconds", paramLabel = "N", description = "how many seconds, instead of --days")
    private Double seconds;

    @Option(names = "--seed", paramLabel = "N", description = "same seed, same weather (default ${DEFAULT-VALUE})")
    private long seed = 1;

    @Option(names = "--weather", description = "${COMPLETION-CANDIDATES} (default ${DEFAULT-VALUE})")
    private DayType weather = DayType.DULL;

    @Option(names = "--celsius", paramLabel = "T", description = "mean air temperature (°C, default ${DEFAULT-VALUE})")
    private double celsius = 5;

    @Option(
            names = "--climate",
            description = "seeded weather of the place's months instead of one kind of days; judged by latitude alone")
    private boolean climate;

    @Option(
            names = "--weather-file",
            paramLabel = "FILE",
            description = "EPW, or CSV with time, ghi and temperature; another year is taken by its day")
    private Path weatherFile;

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
            Bounds.within("--days", days, "d", 1, MOST_DAYS);
            Scenario scenario = scenario(plan);
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

    private Scenario scenario(Plan plan) throws BadInput {
        double duration = seconds == null ? days * 86_400.0 : seconds;
        Bounds.within("--seconds", duration, "s", 1, MOST_DAYS * 86_400.0);
        Instant start = from.atStartOfDay(plan.site().location().zone()).toInstant();
        int minutes = (int) Math.ceil(duration / 60);
        return new Scenario(
                plan,
                start,
                duration,
                weather(plan.site().location(), start, minutes),
                input.profiles(plan),
                seed,
                List.of());
    }

    private Weather weather(Location location, Instant start, int minutes) throws BadInput {
        if (weatherFile != null) {
            return ImportedWeather.of(Inputs.weather(weatherFile, location.zone()), location, start, minutes);
        }
        return climate
                ? WeatherGenerator.generate(
                        location, start, minutes, Climate.atLatitude(location.latitudeDegrees()), seed)
                : WeatherGenerator.generate(location, start, minutes, weather, celsius, seed);
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
