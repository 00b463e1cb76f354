package sparen.question;

import java.util.Map;
import sparen.format.Profile;
import sparen.format.WeatherFile;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;
import sparen.simulation.Scenario;
import sparen.sun.Weather;

/**
 * What was measured for a site and taken in, by id: what its plan and its runs name.
 *
 * @param profiles of consumption
 * @param weather files
 */
public record SiteFiles(Map<String, Profile> profiles, Map<String, WeatherFile> weather) {
    /** Nothing was taken in. */
    public static final SiteFiles NONE = new SiteFiles(Map.of(), Map.of());

    public SiteFiles {
        profiles = Bounds.ordered(Bounds.present("profiles", profiles));
        weather = Bounds.ordered(Bounds.present("weather", weather));
    }

    /**
     * A weather file.
     *
     * @throws InvalidQuantity when there is none of that id
     */
    public WeatherFile weatherFile(String id) {
        WeatherFile found = weather.get(id);
        if (found == null) {
            throw new InvalidQuantity("weather.file", "the weather file \"" + id + "\" is not at hand");
        }
        return found;
    }

    /**
     * The weather of a run.
     *
     * @throws InvalidQuantity when it names a file that is not at hand
     */
    Weather weather(RunInputs run) {
        return run.weather()
                .make(
                        run.plan().site().location(),
                        run.start(),
                        run.minutes(),
                        run.weatherNumber(),
                        this::weatherFile,
                        () -> {});
    }

    /** A run as the engine takes it, with what was measured for the site. */
    public Scenario scenario(RunInputs run) {
        return run.scenario(weather(run), profiles);
    }
}
