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
 * @param sunAltitudeDegrees one entry more than minutes, so that every minute has an end (°)
 * @param east component of the direction to the sun in the middle of the minute
 * @param north component of that direction
 * @param up component of that direction
 */
public record Weather(
        double[] beamWatts,
        double[] diffuseWatts,
        double[] ambientCelsius,
        double[] sunAltitudeDegrees,
        double[] east,
        double[] north,
        double[] up) {
    private static final double SOLAR_CONSTANT = 1361;
    private static final double LOWEST_COS_ZENITH = 0.02;
    private static final int MOST_MINUTES = 5_300_000;

    /**
     * A span of minutes with the sun's way over it, still dark and at 0 °C.
     *
     * @param minutes 1 to 5,300,000
     */
    static Weather underTheSun(Location location, Instant start, int minutes) {
        Bounds.within("minutes", minutes, "min", 1, MOST_MINUTES);
        Weather weather = new Weather(
                new double[minutes],
                new double[minutes],
                new double[minutes],
                new double[minutes + 1],
                new double[minutes],
                new double[minutes],
                new double[minutes]);
        SunPath path = new SunPath(location, start, minutes);
        double[] direction = new double[3];
        for (int i = 0; i < minutes; i++) {
            path.direction(i, direction);
            weather.sunAltitudeDegrees[i] = degrees(direction[2]);
            path.direction(i + 0.5, direction);
            weather.east[i] = direction[0];
            weather.north[i] = direction[1];
            weather.up[i] = direction[2];
        }
        path.direction(minutes, direction);
        weather.sunAltitudeDegrees[minutes] = degrees(direction[2]);
        return weather;
    }

    private static double degrees(double sine) {
        return StrictMath.toDegrees(StrictMath.asin(Math.max(-1, Math.min(1, sine))));
    }

    /** Splits irradiance on the level (W/m²) in a minute into beam and diffuse, by the clearness. */
    void setLevelWatts(int minute, double levelWatts) {
        double clearness = Math.min(1, levelWatts / (SOLAR_CONSTANT * up[minute]));
        setLevelWatts(minute, levelWatts, ErbsDiffuse.share(clearness));
    }

    /** Splits irradiance on the level (W/m²) in a minute by a known share of diffuse light (fraction). */
    void setLevelWatts(int minute, double levelWatts, double diffuseShare) {
        diffuseWatts[minute] = levelWatts * diffuseShare;
        beamWatts[minute] = levelWatts * (1 - diffuseShare) / Math.max(up[minute], LOWEST_COS_ZENITH);
    }

    /** How many minutes it covers. */
    public int minutes() {
        return beamWatts.length;
    }
}
