package sparen.question;

import java.time.Instant;
import java.util.Optional;
import java.util.function.Function;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;
import sparen.site.Location;
import sparen.sun.Climate;
import sparen.sun.DayType;
import sparen.sun.ImportedWeather;
import sparen.sun.Weather;
import sparen.sun.WeatherGenerator;

/**
 * What weather a run has: one kind of days, seeded years of a place, or a file that was taken in. Exactly one is told.
 *
 * @param days one kind of days throughout
 * @param meanCelsius mean air temperature of these days (°C), −60 to 50; absent for 5
 * @param place seeded weather by the months of the place
 * @param file id of a weather file of the site
 */
public record WeatherChoice(
        Optional<DayType> days, Optional<Double> meanCelsius, Optional<PlaceMonths> place, Optional<String> file) {
    private static final double USUAL_CELSIUS = 5;

    /**
     * The place's months.
     *
     * @param climate its months; absent for those that its latitude suggests
     */
    public record PlaceMonths(Optional<Climate> climate) {
        public PlaceMonths {
            climate = Bounds.orEmpty(climate);
        }
    }

    public WeatherChoice {
        days = Bounds.orEmpty(days);
        meanCelsius = Bounds.optional("meanCelsius", meanCelsius, -60, 50);
        place = Bounds.orEmpty(place);
        file = Bounds.orEmpty(file);
        int told = (days.isPresent() ? 1 : 0) + (place.isPresent() ? 1 : 0) + (file.isPresent() ? 1 : 0);
        if (told != 1) {
            throw new InvalidQuantity("weather", "is told " + told + " times; tell one of days, place and file");
        }
    }

    /**
     * The weather of the days from a start on.
     *
     * @param files what a file of the site holds, by its id
     * @param eachDay told after each day that was made
     */
    public Weather make(
            Location location,
            Instant start,
            int minutes,
            long weatherNumber,
            Function<String, ImportedWeather.Steps> files,
            Runnable eachDay) {
        if (file.isPresent()) {
            return ImportedWeather.of(files.apply(file.get()), location, start, minutes);
        }
        if (days.isPresent()) {
            return WeatherGenerator.generate(
                    location, start, minutes, days.get(), meanCelsius.orElse(USUAL_CELSIUS), weatherNumber, eachDay);
        }
        Climate climate =
                place.flatMap(PlaceMonths::climate).orElseGet(() -> Climate.atLatitude(location.latitudeDegrees()));
        return WeatherGenerator.generate(location, start, minutes, climate, weatherNumber, eachDay);
    }
}
