package sparen.app.season;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import sparen.simulation.Scenario;
import sparen.study.Circumstances;

/**
 * What to run. A run is its inputs: the same ones give the same run.
 *
 * @param plan site and program, saved or not
 * @param from first day, in the site's zone, years 2000 to 2100
 * @param days how many, 1 to 3660
 * @param weather of these days
 * @param seed same seed, same weather and people, 0 to 1e15
 * @param circumstances other than the site tells; absent for none
 */
public record RunInputs(
        Plan plan, LocalDate from, int days, WeatherChoice weather, long seed, Optional<Circumstances> circumstances) {
    public RunInputs {
        Bounds.present("plan", plan);
        Bounds.present("from", from);
        Bounds.within("from", from.getYear(), "(year)", 2000, 2100);
        Bounds.within("days", days, 1, Scenario.MOST_DAYS);
        Bounds.present("weather", weather);
        Bounds.within("seed", seed, 0, 1e15);
        circumstances = Bounds.orEmpty(circumstances);
    }

    Instant start() {
        return from.atStartOfDay(plan.site().location().zone()).toInstant();
    }

    double seconds() {
        return days * 86_400.0;
    }

    /** The same from its first day on, for no longer than this. */
    RunInputs noLongerThan(int mostDays) {
        return new RunInputs(plan, from, Math.min(days, mostDays), weather, seed, circumstances);
    }

    RunInputs withSeed(long other) {
        return new RunInputs(plan, from, days, weather, other, circumstances);
    }
}
