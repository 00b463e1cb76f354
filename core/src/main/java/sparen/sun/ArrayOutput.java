package sparen.sun;

import sparen.site.SolarArray;

/**
 * What an array gives at its maximum power point.
 *
 * <p>Sources: isotropic sky, B. Y. H. Liu and R. C. Jordan, Solar Energy 7 (1963); cell temperature from NOCT, IEC 61215's
 * conditions (800 W/m², 20 °C), both from memory.
 */
public final class ArrayOutput {
    private static final double GROUND_REFLECTANCE = 0.2;

    private ArrayOutput() {}

    /** Power (W) at the array's terminals, minute by minute. */
    public static double[] watts(SolarArray array, Weather weather) {
        double tilt = StrictMath.toRadians(array.tiltDegrees());
        double azimuth = StrictMath.toRadians(array.azimuthDegrees());
        double east = StrictMath.sin(tilt) * StrictMath.sin(azimuth);
        double north = StrictMath.sin(tilt) * StrictMath.cos(azimuth);
        double up = StrictMath.cos(tilt);
        double[] watts = new double[weather.minutes()];
        for (int i = 0; i < watts.length; i++) {
            double cosIncidence = weather.east()[i] * east + weather.north()[i] * north + weather.up()[i] * up;
            double inPlane = planeWatts(
                    weather.beamWatts()[i],
                    weather.diffuseWatts()[i],
                    cosIncidence,
                    weather.up()[i],
                    up,
                    GROUND_REFLECTANCE);
            double cell = weather.ambientCelsius()[i] + inPlane / 800 * (array.nominalCellCelsius() - 20);
            double power = array.peakWatts()
                    * inPlane
                    / 1000
                    * (1 + array.powerPerKelvin() * (cell - 25))
                    * (1 - array.lossFraction());
            watts[i] = Math.max(0, power);
        }
        return watts;
    }

    /**
     * Irradiance in a tilted plane (W/m²).
     *
     * @param beamWatts direct, on a plane facing the sun (W/m²)
     * @param diffuseWatts diffuse, on the level (W/m²)
     * @param cosIncidence of the angle between sun and the plane's normal
     * @param cosZenith of the sun's zenith angle
     * @param cosTilt of the plane's tilt from level
     * @param reflectance of the ground (0 to 1)
     */
    public static double planeWatts(
            double beamWatts,
            double diffuseWatts,
            double cosIncidence,
            double cosZenith,
            double cosTilt,
            double reflectance) {
        double level = diffuseWatts + beamWatts * Math.max(0, cosZenith);
        return beamWatts * Math.max(0, cosIncidence)
                + diffuseWatts * (1 + cosTilt) / 2
                + level * reflectance * (1 - cosTilt) / 2;
    }
}
