package sparen.app.season;

import java.util.Optional;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;
import sparen.sun.Climate;
import sparen.sun.DayType;

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
}
