package sparen.simulation;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import sparen.format.Profile;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;
import sparen.sun.Weather;

/**
 * What is run: a plan, from an instant on, under given weather.
 *
 * @param plan site and program
 * @param start the first instant
 * @param durationSeconds for how long (s), 1 to 3.2e8: a decade
 * @param weather minutes from start on, enough for the duration
 * @param profiles profiles by id, at least those that loads and sources name
 * @param weatherNumber of people about the house, outages and failed starts
 * @param talkLosses times in which the batteries' data line is silent
 * @param requests what is requested by hand or from afar
 */
public record Scenario(
        Plan plan,
        Instant start,
        double durationSeconds,
        Weather weather,
        Map<String, Profile> profiles,
        long weatherNumber,
        List<TalkLoss> talkLosses,
        List<Request> requests)
        implements ScenarioWith {
    /** The longest run in days: ten years. */
    public static final int MOST_DAYS = 3660;

    public Scenario {
        Bounds.present("plan", plan);
        Bounds.present("start", start);
        Bounds.present("weather", weather);
        profiles = Bounds.ordered(Bounds.present("profiles", profiles));
        talkLosses = Bounds.orNone(talkLosses);
        requests = Bounds.orNone(requests);
        Bounds.within("durationSeconds", durationSeconds, 1, 3.2e8);
        if (weather.minutes() * 60.0 < durationSeconds) {
            throw new InvalidQuantity(
                    "weather", weather.minutes() + " min of it for " + Bounds.number(durationSeconds) + " s");
        }
        for (String profile : plan.site().profiles()) {
            if (!profiles.containsKey(profile)) {
                throw new InvalidQuantity("profile", "the profile \"" + profile + "\" is not at hand");
            }
        }
    }

    /** A run in which nobody is silent, with the first weather number. */
    public Scenario(Plan plan, Instant start, double durationSeconds, Weather weather, Map<String, Profile> profiles) {
        this(plan, start, durationSeconds, weather, profiles, 1, List.of());
    }

    /** A run in which nobody requests anything. */
    public Scenario(
            Plan plan,
            Instant start,
            double durationSeconds,
            Weather weather,
            Map<String, Profile> profiles,
            long weatherNumber,
            List<TalkLoss> talkLosses) {
        this(plan, start, durationSeconds, weather, profiles, weatherNumber, talkLosses, List.of());
    }
}
