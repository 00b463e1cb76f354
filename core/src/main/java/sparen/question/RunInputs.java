package sparen.question;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import sparen.format.Profile;
import sparen.program.Plan;
import sparen.program.Surroundings;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;
import sparen.simulation.Scenario;
import sparen.study.ByHand;
import sparen.study.Circumstances;
import sparen.sun.Weather;

/**
 * What to run. A run is its inputs: the same ones give the same run.
 *
 * @param plan site and program, saved or not
 * @param from first day, in the site's zone, years 2000 to 2100
 * @param days how many, 1 to 3660
 * @param weather of these days
 * @param weatherNumber the same number, the same weather and people, 0 to 1e15
 * @param circumstances other than the site tells; absent for none
 */
public record RunInputs(
        Plan plan,
        LocalDate from,
        int days,
        WeatherChoice weather,
        long weatherNumber,
        Optional<Circumstances> circumstances) {
    public RunInputs {
        Bounds.present("plan", plan);
        Bounds.present("from", from);
        Bounds.within("from", from.getYear(), "(year)", 2000, 2100);
        Bounds.within("days", days, 1, Scenario.MOST_DAYS);
        Bounds.present("weather", weather);
        Bounds.within("weatherNumber", weatherNumber, 0, 1e15);
        circumstances = Bounds.orEmpty(circumstances);
        if (circumstances.isPresent()) {
            mustBeAskedFor(plan, circumstances.get().byHand());
        }
    }

    /** A request that nothing of the plan waits for would do nothing: it is refused, not left out. */
    private static void mustBeAskedFor(Plan plan, List<ByHand> byHand) {
        List<String> known = Surroundings.of(plan).requests();
        for (int i = 0; i < byHand.size(); i++) {
            if (!known.contains(byHand.get(i).request())) {
                throw new InvalidQuantity(
                        "circumstances.byHand." + i + ".request",
                        "\"" + byHand.get(i).request() + "\" is a request that nothing in the plan waits for");
            }
        }
    }

    /** When it begins. */
    public Instant start() {
        return from.atStartOfDay(plan.site().location().zone()).toInstant();
    }

    /** How long it is (s). */
    public double seconds() {
        return days * 86_400.0;
    }

    /** How many minutes of weather it has. */
    public int minutes() {
        return days * 1440;
    }

    /** The same from its first day on, for no longer than this. */
    public RunInputs noLongerThan(int mostDays) {
        return new RunInputs(plan, from, Math.min(days, mostDays), weather, weatherNumber, circumstances);
    }

    /** The same with another weather number. */
    public RunInputs withWeatherNumber(long other) {
        return new RunInputs(plan, from, days, weather, other, circumstances);
    }

    /** As the engine takes it, with the weather of its days and the profiles that its plan names. */
    public Scenario scenario(Weather weathers, Map<String, Profile> profiles) {
        Circumstances other = circumstances.orElse(Circumstances.AS_TOLD);
        return new Scenario(
                planAsRun(),
                start(),
                seconds(),
                weathers,
                other.on(plan, profiles),
                weatherNumber,
                List.of(),
                other.requests(start(), plan.site().location().zone()));
    }

    /** The plan under the circumstances it is run under. */
    public Plan planAsRun() {
        return circumstances.orElse(Circumstances.AS_TOLD).on(plan);
    }
}
