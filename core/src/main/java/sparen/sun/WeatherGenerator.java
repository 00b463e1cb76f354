package sparen.sun;

import java.time.Instant;
import java.util.Random;
import sparen.quantity.Bounds;
import sparen.site.Location;

/**
 * Makes weather from a seed: a clear sky, clouds that come and go, and the share of diffuse light that goes with them.
 *
 * <p>Sources: clear-sky irradiance on the level B. Haurwitz, J. Meteorology 2 (1945), 1098 cos z exp(−0.057 / cos z) W/m², from
 * memory; diffuse share {@link ErbsDiffuse}; solar constant 1361 W/m². The clouds' lengths and depths are judgement. Air
 * temperature is a plain daily swing about a given mean.
 */
public final class WeatherGenerator {
    private static final double SOLAR_CONSTANT = 1361;
    private static final double MEAN_CLOUD_MINUTES = 12;
    private static final double DAILY_SWING_KELVIN = 4;
    private static final double LOWEST_COS_ZENITH = 0.02;

    private WeatherGenerator() {}

    /**
     * @param location where
     * @param start the first minute
     * @param minutes how many, 1 to 600,000
     * @param type kind of days
     * @param meanCelsius mean air temperature (°C), −60 to 50
     * @param seed same seed, same weather
     */
    public static Weather generate(
            Location location, Instant start, int minutes, DayType type, double meanCelsius, long seed) {
        Bounds.within("minutes", minutes, "min", 1, 600_000);
        Bounds.within("meanCelsius", meanCelsius, "°C", -60, 50);
        Weather weather = new Weather(
                new double[minutes],
                new double[minutes],
                new double[minutes],
                new double[minutes + 1],
                new double[minutes],
                new double[minutes],
                new double[minutes]);
        SunPath path = new SunPath(location, start, minutes);
        Clouds clouds = new Clouds(type, seed);
        double[] direction = new double[3];
        double solarNoonMinute = 720 - location.longitudeDegrees() * 4;
        long firstMinuteOfDay = Math.floorMod(start.getEpochSecond() / 60, 1440L);
        for (int i = 0; i <= minutes; i++) {
            path.direction(i, direction);
            weather.sunAltitudeDegrees()[i] = StrictMath.toDegrees(StrictMath.asin(clamp(direction[2])));
            if (i == minutes) {
                break;
            }
            path.direction(i + 0.5, direction);
            weather.east()[i] = direction[0];
            weather.north()[i] = direction[1];
            weather.up()[i] = direction[2];
            irradiance(weather, i, clouds.nextTransmission());
            double phase = 2 * Math.PI * (firstMinuteOfDay + i - solarNoonMinute - 150) / 1440;
            weather.ambientCelsius()[i] = meanCelsius + DAILY_SWING_KELVIN * StrictMath.cos(phase);
        }
        return weather;
    }

    private static void irradiance(Weather weather, int minute, double transmission) {
        double cosZenith = weather.up()[minute];
        if (cosZenith <= 0) {
            return;
        }
        double level = transmission * 1098 * cosZenith * StrictMath.exp(-0.057 / cosZenith);
        double clearness = Math.min(1, level / (SOLAR_CONSTANT * cosZenith));
        double diffuse = level * ErbsDiffuse.share(clearness);
        weather.diffuseWatts()[minute] = diffuse;
        weather.beamWatts()[minute] = (level - diffuse) / Math.max(cosZenith, LOWEST_COS_ZENITH);
    }

    private static double clamp(double sine) {
        return Math.max(-1, Math.min(1, sine));
    }

    /** Clouds passing over: two states that last for random whiles, their depth different each time and each day. */
    private static final class Clouds {
        private final DayType type;
        private final Random random;
        private boolean covered;
        private double target;
        private double transmission;
        private int minutesLeft;

        Clouds(DayType type, long seed) {
            this.type = type;
            random = new Random(seed);
            covered = random.nextDouble() < type.cloudShare;
            next();
            transmission = target;
        }

        double nextTransmission() {
            if (minutesLeft-- <= 0) {
                covered = !covered;
                next();
            }
            transmission += 0.5 * (target - transmission);
            return transmission;
        }

        private void next() {
            double share = covered ? type.cloudShare : 1 - type.cloudShare;
            double meanMinutes = 2 * MEAN_CLOUD_MINUTES * share;
            minutesLeft = 1 + (int) (-meanMinutes * StrictMath.log(1 - random.nextDouble()));
            double base = covered ? type.underClouds : type.betweenClouds;
            target = Math.min(1, Math.max(0.03, base * (1 + 0.25 * (random.nextDouble() - 0.5))));
        }
    }
}
