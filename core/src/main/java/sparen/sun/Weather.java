package sparen.sun;

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
    /** How many minutes it covers. */
    public int minutes() {
        return beamWatts.length;
    }
}
