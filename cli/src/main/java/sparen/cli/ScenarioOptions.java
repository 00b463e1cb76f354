package sparen.cli;

import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import picocli.CommandLine.Option;
import sparen.format.Profile;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import sparen.simulation.Scenario;
import sparen.site.Location;
import sparen.sun.Climate;
import sparen.sun.DayType;
import sparen.sun.ImportedWeather;
import sparen.sun.Weather;
import sparen.sun.WeatherGenerator;

/** When a run begins, how long it is, and in what weather. */
final class ScenarioOptions {
    @Option(
            names = "--from",
            paramLabel = "DATE",
            description = "first day, in the site's zone (default ${DEFAULT-VALUE})")
    private LocalDate from = LocalDate.of(2026, 11, 2);

    @Option(names = "--days", paramLabel = "N", description = "how many days, 1 to 3660 (default ${DEFAULT-VALUE})")
    private int days = 14;

    @Option(names = "--seconds", paramLabel = "N", description = "how many seconds, instead of --days")
    private Double seconds;

    @Option(
            names = {"--weather-number", "--seed"},
            paramLabel = "N",
            description = "weather no.: the same number, the same weather (default ${DEFAULT-VALUE})")
    private long weatherNumber = 1;

    @Option(names = "--weather", description = "${COMPLETION-CANDIDATES} (default ${DEFAULT-VALUE})")
    private DayType weather = DayType.DULL;

    @Option(names = "--celsius", paramLabel = "T", description = "mean air temperature (°C, default ${DEFAULT-VALUE})")
    private double celsius = 5;

    @Option(
            names = "--climate",
            description = "weather drawn from the place's months instead of one kind of days; judged by latitude alone")
    private boolean climate;

    @Option(
            names = "--weather-file",
            paramLabel = "FILE",
            description = "EPW, or a table with times, light and temperature; another year is taken by its day")
    private Path weatherFile;

    @Option(
            names = "--weather-layout",
            paramLabel = "FILE",
            description = "how it is laid out (JSON, see sparen layout), where it is not found out right")
    private Path weatherLayout;

    Scenario scenario(Plan plan, Map<String, Profile> profiles) throws BadInput {
        Bounds.within("--days", days, "d", 1, Scenario.MOST_DAYS);
        double duration = seconds == null ? days * 86_400.0 : seconds;
        Bounds.within("--seconds", duration, "s", 1, Scenario.MOST_DAYS * 86_400.0);
        Instant start = from.atStartOfDay(plan.site().location().zone()).toInstant();
        int minutes = (int) Math.ceil(duration / 60);
        return new Scenario(
                plan,
                start,
                duration,
                weather(plan.site().location(), start, minutes),
                profiles,
                weatherNumber,
                List.of());
    }

    private Weather weather(Location location, Instant start, int minutes) throws BadInput {
        if (weatherFile != null) {
            return ImportedWeather.of(
                    Inputs.weather(weatherFile, Inputs.layout(weatherLayout), location.zone()),
                    location,
                    start,
                    minutes);
        }
        return climate
                ? WeatherGenerator.generate(
                        location, start, minutes, Climate.atLatitude(location.latitudeDegrees()), weatherNumber)
                : WeatherGenerator.generate(location, start, minutes, weather, celsius, weatherNumber);
    }
}
