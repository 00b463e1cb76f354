package sparen.sun;

import java.time.Instant;
import java.time.ZoneId;
import sparen.site.SolarArray;
import sparen.site.SolarArray.HorizonPoint;
import sparen.site.SolarArray.ModuleString;
import sparen.site.SolarArray.Sky;

/**
 * What an array gives at its maximum power point, and its voltage.
 *
 * <p>Sources: isotropic sky, B. Y. H. Liu and R. C. Jordan, Solar Energy 7 (1963); circumsolar part, J. E. Hay and J. A. Davies,
 * 1980; cell temperature from NOCT, IEC 61215's conditions (800 W/m², 20 °C); open-circuit voltage by the diode law, all from
 * memory.
 */
public final class ArrayOutput {
    private static final double GROUND_REFLECTANCE = 0.2;
    private static final double BOLTZMANN_OVER_CHARGE = 8.617333e-5;
    /** Ideality of a silicon cell; from memory. */
    private static final double IDEALITY = 1.2;

    private static final double KELVIN = 273.15;
    private static final double DARK_WATTS = 0.05;
    private static final double HAIR = 1e-9;

    private ArrayOutput() {}

    /** Power (W) at the array's terminals, minute by minute, of weather that begins at an instant, by the months of a zone. */
    public static double[] watts(SolarArray array, Weather weather, Instant start, ZoneId zone) {
        Plane plane = new Plane(array);
        double[] watts = new double[weather.minutes()];
        for (int i = 0; i < watts.length; i++) {
            if (i % 1440 == 0) {
                plane.setMonth(start.plusSeconds(60L * i).atZone(zone).getMonthValue());
            }
            if (weather.diffuseWatts()[i] > 0 || weather.beamWatts()[i] > 0) {
                double inPlane = plane.irradiance(weather, i);
                double cell = cellCelsius(array, weather.ambientCelsius()[i], inPlane);
                watts[i] = Math.max(0, plane.factor * inPlane * (1 + array.powerPerKelvin() * (cell - 25)));
            }
        }
        return watts;
    }

    /** Power (W) of an array without snow, minute by minute. */
    public static double[] watts(SolarArray array, Weather weather) {
        return watts(array, weather, Instant.EPOCH, ZoneId.of("UTC"));
    }

    /** Open-circuit voltage (V) of the strings of an array that has them told, minute by minute; see {@link #watts}. */
    public static double[] openCircuitVolts(SolarArray array, Weather weather, Instant start, ZoneId zone) {
        Plane plane = new Plane(array);
        ModuleString string = array.string().orElseThrow();
        double[] volts = new double[weather.minutes()];
        for (int i = 0; i < volts.length; i++) {
            if (i % 1440 == 0) {
                plane.setMonth(start.plusSeconds(60L * i).atZone(zone).getMonthValue());
            }
            if (weather.diffuseWatts()[i] > 0 || weather.beamWatts()[i] > 0) {
                double inPlane = plane.irradiance(weather, i) * plane.factor / plane.clean;
                double cell = cellCelsius(array, weather.ambientCelsius()[i], inPlane);
                volts[i] = openCircuitVolts(string, inPlane, cell);
            }
        }
        return volts;
    }

    /** Temperature of its cells (°C) under an irradiance in its plane (W/m²). */
    public static double cellCelsius(SolarArray array, double ambientCelsius, double inPlaneWatts) {
        return ambientCelsius + inPlaneWatts / 800 * (array.nominalCellCelsius() - 20);
    }

    /**
     * Open-circuit voltage of a string (V): what a dusk switch at the array sees. It falls with the logarithm of the light.
     *
     * @param inPlaneWatts irradiance in the array's plane (W/m²), 0 or more; below 0.05 W/m² the voltage is 0
     * @param cellCelsius temperature of the cells (°C)
     */
    public static double openCircuitVolts(ModuleString string, double inPlaneWatts, double cellCelsius) {
        if (inPlaneWatts < DARK_WATTS) {
            return 0;
        }
        double thermal = IDEALITY * string.cellsInSeries() * BOLTZMANN_OVER_CHARGE * (cellCelsius + KELVIN);
        double warm = string.openCircuitVolts() * (1 + string.voltsPerKelvinFraction() * (cellCelsius - 25));
        return Math.max(0, warm + thermal * StrictMath.log(inPlaneWatts / 1000));
    }

    /**
     * Irradiance in a tilted plane under an even sky (W/m²).
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

    /**
     * The same with a part of the diffuse light from about the sun, by Hay and Davies.
     *
     * @param aboveWatts irradiance above the air, facing the sun (W/m²)
     */
    public static double planeWattsHayDavies(
            double aboveWatts,
            double beamWatts,
            double diffuseWatts,
            double cosIncidence,
            double cosZenith,
            double cosTilt,
            double reflectance) {
        double anisotropy = Math.min(1, beamWatts / aboveWatts);
        double tilted = Math.max(0, cosIncidence) / Math.max(0.017, cosZenith);
        double level = diffuseWatts + beamWatts * Math.max(0, cosZenith);
        return beamWatts * Math.max(0, cosIncidence)
                + diffuseWatts * (anisotropy * tilted + (1 - anisotropy) * (1 + cosTilt) / 2)
                + level * reflectance * (1 - cosTilt) / 2;
    }

    /** An array's plane, with what is the same for all minutes worked out once. */
    private static final class Plane {
        private final SolarArray array;
        private final double east;
        private final double north;
        private final double up;
        private final boolean hayDavies;
        private final double clean;
        /** Above this the sun stands above all of the horizon, whatever its azimuth: the sine of its altitude. */
        private final double clearOfHorizon;

        private double factor;

        Plane(SolarArray array) {
            this.array = array;
            double tilt = StrictMath.toRadians(array.tiltDegrees());
            double azimuth = StrictMath.toRadians(array.azimuthDegrees());
            east = StrictMath.sin(tilt) * StrictMath.sin(azimuth);
            north = StrictMath.sin(tilt) * StrictMath.cos(azimuth);
            up = StrictMath.cos(tilt);
            hayDavies = array.sky().orElse(Sky.ISOTROPIC) == Sky.HAY_DAVIES;
            clean = array.peakWatts() / 1000 * (1 - array.lossFraction());
            factor = clean;
            clearOfHorizon = array.horizon().stream()
                            .mapToDouble(HorizonPoint::altitudeDegrees)
                            .map(degrees -> StrictMath.sin(StrictMath.toRadians(degrees)))
                            .max()
                            .orElse(-1)
                    + HAIR;
        }

        void setMonth(int month) {
            factor = clean
                    * (1
                            - array.snow()
                                    .filter(snow -> snow.months().contains(month))
                                    .map(SolarArray.Snow::coverFraction)
                                    .orElse(0.0));
        }

        double irradiance(Weather weather, int i) {
            double sunEast = weather.east()[i];
            double sunNorth = weather.north()[i];
            double sunUp = weather.up()[i];
            double cosIncidence = sunEast * east + sunNorth * north + sunUp * up;
            boolean hidden =
                    sunUp < clearOfHorizon && !array.horizon().isEmpty() && isBelowHorizon(sunEast, sunNorth, sunUp);
            double beam = hidden ? 0 : weather.beamWatts()[i];
            double diffuse = weather.diffuseWatts()[i];
            return hayDavies
                    ? planeWattsHayDavies(
                            weather.aboveWatts(i), beam, diffuse, cosIncidence, sunUp, up, GROUND_REFLECTANCE)
                    : planeWatts(beam, diffuse, cosIncidence, sunUp, up, GROUND_REFLECTANCE);
        }

        private boolean isBelowHorizon(double sunEast, double sunNorth, double sunUp) {
            double azimuth = (StrictMath.toDegrees(StrictMath.atan2(sunEast, sunNorth)) + 360) % 360;
            double altitude = StrictMath.toDegrees(StrictMath.asin(Math.max(-1, Math.min(1, sunUp))));
            return altitude < horizonDegrees(azimuth);
        }

        private double horizonDegrees(double azimuth) {
            var points = array.horizon();
            HorizonPoint last = points.get(points.size() - 1);
            HorizonPoint before = new HorizonPoint(0, last.altitudeDegrees());
            double from = last.azimuthDegrees() - 360;
            for (HorizonPoint point : points) {
                if (azimuth <= point.azimuthDegrees()) {
                    return between(azimuth, from, before.altitudeDegrees(), point);
                }
                before = point;
                from = point.azimuthDegrees();
            }
            HorizonPoint first = points.get(0);
            double share = (azimuth - from) / (first.azimuthDegrees() + 360 - from);
            return before.altitudeDegrees() + share * (first.altitudeDegrees() - before.altitudeDegrees());
        }

        private static double between(double azimuth, double from, double fromAltitude, HorizonPoint to) {
            double width = to.azimuthDegrees() - from;
            double share = width == 0 ? 1 : (azimuth - from) / width;
            return fromAltitude + share * (to.altitudeDegrees() - fromAltitude);
        }
    }
}
