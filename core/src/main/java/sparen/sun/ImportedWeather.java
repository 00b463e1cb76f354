package sparen.sun;

import java.time.Instant;
import sparen.quantity.InvalidQuantity;
import sparen.site.Location;

/**
 * Weather minute by minute out of a file's steps. Within a step the clearness stays the same while the sun moves, so that light begins
 * and ends with the sun and the step's energy is kept.
 */
public final class ImportedWeather {
    private static final int MOST_STEP_MINUTES = 60;

    private ImportedWeather() {}

    /** A file's steps: light on the level, its diffuse part (NaN for unknown), air temperature; and how to find one. */
    public interface Steps {
        /** Index of the step that holds an instant, −1 for none. */
        int stepAt(Instant instant);

        /** Length of a step (s). */
        int stepSeconds();

        /** Irradiance on the level in a step (W/m²). */
        double globalWatts(int step);

        /** Diffuse part (W/m²), NaN where it is not known. */
        double diffuseWatts(int step);

        /** Air temperature in a step (°C). */
        double celsius(int step);
    }

    /**
     * Makes weather for a span.
     *
     * @param minutes 1 to 5,300,000
     * @throws InvalidQuantity when the file has nothing for a part of the span
     */
    public static Weather of(Steps steps, Location location, Instant start, int minutes) {
        Weather weather = Weather.underTheSun(location, start, minutes);
        int minute = 0;
        while (minute < minutes) {
            Instant instant = start.plusSeconds(60L * minute);
            int step = steps.stepAt(instant);
            if (step < 0) {
                throw new InvalidQuantity("weather", "the file has nothing for " + instant);
            }
            int end = minute + 1;
            while (end < minutes
                    && end - minute < MOST_STEP_MINUTES
                    && steps.stepAt(start.plusSeconds(60L * end)) == step) {
                end++;
            }
            spread(weather, steps, step, minute, end);
            minute = end;
        }
        return weather;
    }

    private static void spread(Weather weather, Steps steps, int step, int from, int to) {
        double above = 0;
        for (int i = from; i < to; i++) {
            above += weather.aboveWatts(i) * Math.max(0, weather.up()[i]);
        }
        above /= to - from;
        double clearness = above > 0 ? Math.min(1, steps.globalWatts(step) / above) : 0;
        double known = steps.diffuseWatts(step);
        double share = Double.isNaN(known) || steps.globalWatts(step) <= 0
                ? ErbsDiffuse.share(clearness)
                : Math.min(1, known / steps.globalWatts(step));
        for (int i = from; i < to; i++) {
            weather.ambientCelsius()[i] = steps.celsius(step);
            if (weather.up()[i] > 0) {
                weather.setLevelWatts(i, clearness * weather.aboveWatts(i) * weather.up()[i], share);
            }
        }
    }
}
