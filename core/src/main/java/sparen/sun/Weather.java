package sparen.sun;

import java.time.Instant;
import sparen.quantity.Bounds;
import sparen.site.Location;

/**
 * Weather minute by minute, each value the mean of its minute; positions are those of its beginning.
 *
 * @param beamWatts direct irradiance on a plane facing the sun (W/m²)
 * @param diffuseWatts diffuse irradiance on the level (W/m²)
 * @param ambientCelsius air temperature (°C)
 * @param sinesOfAltitude of the sun at the beginning of each minute; one entry more than minutes, so that every minute has an end
 * @param east component of the direction to the sun in the middle of the minute
 * @param north component of that direction
 * @param up component of that direction
 * @param aboveWatts irradiance above the air on a plane facing the sun, of each 24 hours from the first minute on (W/m²)
 */
public record Weather(
        double[] beamWatts,
        double[] diffuseWatts,
        double[] ambientCelsius,
        double[] sinesOfAltitude,
        double[] east,
        double[] north,
        double[] up,
        double[] aboveWatts) {
    private static final int MINUTES_OF_A_DAY = 1440;
    private static final double LOWEST_COS_ZENITH = 0.02;
    private static final int MOST_MINUTES = 5_300_000;

    /**
     * A span of minutes with the sun's way over it, still dark and at 0 °C.
     *
     * @param minutes 1 to 5,300,000
     */
    public static Weather underTheSun(Location location, Instant start, int minutes) {
        Bounds.within("minutes", minutes, "min", 1, MOST_MINUTES);
        Weather weather = new Weather(
                new double[minutes],
                new double[minutes],
                new double[minutes],
                new double[minutes + 1],
                new double[minutes],
                new double[minutes],
                new double[minutes],
                new double[(minutes + MINUTES_OF_A_DAY - 1) / MINUTES_OF_A_DAY]);
        for (int day = 0; day < weather.aboveWatts.length; day++) {
            weather.aboveWatts[day] =
                    ClearSky.extraterrestrialWatts(ClearSky.dayOfYear(start.plusSeconds(86_400L * day)));
        }
        SunPath path = new SunPath(location, start, minutes);
        path.sinesOfAltitude(weather.sinesOfAltitude);
        path.directions(weather.east, weather.north, weather.up);
        return weather;
    }

    /** The sun's altitude by its sine (°). */
    public static double degrees(double sine) {
        return StrictMath.toDegrees(StrictMath.asin(Math.max(-1, Math.min(1, sine))));
    }

    /** Splits irradiance on the level (W/m²) in a minute by a known share of diffuse light (fraction). */
    void setLevelWatts(int minute, double levelWatts, double diffuseShare) {
        diffuseWatts[minute] = levelWatts * diffuseShare;
        beamWatts[minute] = levelWatts * (1 - diffuseShare) / Math.max(up[minute], LOWEST_COS_ZENITH);
    }

    /** Irradiance above the air in a minute, on a plane facing the sun (W/m²). */
    public double aboveWatts(int minute) {
        return aboveWatts[minute / MINUTES_OF_A_DAY];
    }

    /** The same sun's way with other light from the whole sky (W/m²) and other air (°C), minute by minute. */
    public Weather under(double[] diffuse, double[] celsius) {
        return new Weather(new double[minutes()], diffuse, celsius, sinesOfAltitude, east, north, up, aboveWatts);
    }

    /** How many minutes it covers. */
    public int minutes() {
        return beamWatts.length;
    }
}
