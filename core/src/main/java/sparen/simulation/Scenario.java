package sparen.simulation;

import java.time.Instant;
import java.util.Map;
import sparen.format.Profile;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;
import sparen.site.Consumption;
import sparen.site.Load;
import sparen.sun.Weather;

/**
 * What is run: a plan, from an instant on, under given weather.
 *
 * @param plan site and program
 * @param start the first instant
 * @param durationSeconds for how long (s), 1 to 36,000,000
 * @param weather minutes from start on, enough for the duration
 * @param profiles consumption profiles by id, at least those the plan's loads name
 */
public record Scenario(
        Plan plan, Instant start, double durationSeconds, Weather weather, Map<String, Profile> profiles) {
    public Scenario {
        Bounds.present("plan", plan);
        Bounds.present("start", start);
        Bounds.present("weather", weather);
        profiles = Map.copyOf(profiles);
        Bounds.within("durationSeconds", durationSeconds, "s", 1, 3.6e7);
        if (weather.minutes() * 60.0 < durationSeconds) {
            throw new InvalidQuantity(
                    "weather", weather.minutes() + " min of it for " + Bounds.number(durationSeconds) + " s");
        }
        for (Load load : plan.site().loads()) {
            if (load.consumption() instanceof Consumption.ImportedProfile imported
                    && !profiles.containsKey(imported.profile())) {
                throw new InvalidQuantity(
                        "loads." + load.id() + ".consumption.profile",
                        "the profile \"" + imported.profile() + "\" is not at hand");
            }
        }
    }
}
