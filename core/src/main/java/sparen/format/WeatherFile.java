package sparen.format;

import java.time.Instant;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.util.List;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;
import sparen.quantity.Standard;
import sparen.sun.ImportedWeather;

/**
 * Weather as a file brought it: equal steps over a year or a part of it, in the file's own standard time.
 *
 * @param first beginning of the first step
 * @param stepSeconds length of each (s), 60 to 3600
 * @param globalWatts irradiance on the level, mean of each step (W/m²), 0 to 1500
 * @param diffuseWatts diffuse part of it (W/m²), NaN where the file does not tell
 * @param celsius air temperature (°C), −80 to 65
 * @param notes what was taken how: filled gaps, other year, decomposed light
 */
public record WeatherFile(
        Instant first,
        int stepSeconds,
        double[] globalWatts,
        double[] diffuseWatts,
        double[] celsius,
        List<String> notes)
        implements ImportedWeather.Steps {
    public WeatherFile {
        Bounds.present("first", first);
        Bounds.within("stepSeconds", stepSeconds, 60, 3600);
        Bounds.within("steps", globalWatts.length, "steps", 1, WeatherReader.MOST_LINES);
        if (diffuseWatts.length != globalWatts.length || celsius.length != globalWatts.length) {
            throw new InvalidQuantity(
                    "steps",
                    globalWatts.length + " of light, " + diffuseWatts.length + " of diffuse light, " + celsius.length
                            + " of temperature");
        }
        notes = List.copyOf(notes);
    }

    /** How many steps it has. */
    public int steps() {
        return globalWatts.length;
    }

    /**
     * The step that holds an instant of any year: the same month, day and time of day in the file's year. A leap day that the file does
     * not have is the day before.
     *
     * @return its index, −1 where the file has nothing for that time of the year
     */
    @Override
    public int stepAt(Instant instant) {
        int index = index(instant);
        if (index >= 0) {
            return index;
        }
        ZonedDateTime wanted = instant.atZone(ZoneOffset.UTC);
        int firstYear = first.atZone(ZoneOffset.UTC).getYear();
        for (int year = firstYear; year <= firstYear + (int) (span() / (365 * Standard.DAY)) + 1; year++) {
            // withYear takes 29 February to 28 February in a year that has none.
            int there = index(wanted.withYear(year).toInstant());
            if (there >= 0) {
                return there;
            }
        }
        return -1;
    }

    @Override
    public double globalWatts(int step) {
        return globalWatts[step];
    }

    @Override
    public double diffuseWatts(int step) {
        return diffuseWatts[step];
    }

    @Override
    public double celsius(int step) {
        return celsius[step];
    }

    private int index(Instant instant) {
        long seconds = instant.getEpochSecond() - first.getEpochSecond();
        return seconds < 0 || seconds >= span() ? -1 : (int) (seconds / stepSeconds);
    }

    private double span() {
        return (double) steps() * stepSeconds;
    }
}
