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
    private static final double WARMEST_AFTER_NOON_MINUTES = 150;
    /** How much of a day's weather goes on the next day, and how far days spread; judgement. */
    private static final double SPELL = 0.4;

    private static final double CLEARNESS_SPREAD = 0.45;
    private static final double WARMTH_KELVIN = 3;

    private WeatherGenerator() {}

    /**
     * @param location where
     * @param start the first minute
     * @param minutes how many, 1 to 5,300,000
     * @param type kind of days
     * @param meanCelsius mean air temperature (°C), −60 to 50
     * @param seed same seed, same weather
     */
    public static Weather generate(
            Location location, Instant start, int minutes, DayType type, double meanCelsius, long seed) {
        Bounds.within("meanCelsius", meanCelsius, -60, 50);
        Weather weather = Weather.underTheSun(location, start, minutes);
        Clouds clouds = new Clouds(type, seed);
        for (int i = 0; i < minutes; i++) {
            irradiance(weather, i, clouds.nextTransmission());
            weather.ambientCelsius()[i] =
                    meanCelsius + DAILY_SWING_KELVIN * StrictMath.cos(dayPhase(location, start, i));
        }
        return weather;
    }

    /**
     * Makes weather of a climate: each day's clearness is drawn about its month's mean and hangs together with the day before.
     *
     * @param location where
     * @param start the first minute
     * @param minutes how many, 1 to 5,300,000
     * @param climate what the months are like
     * @param seed same seed, same weather
     */
    public static Weather generate(Location location, Instant start, int minutes, Climate climate, long seed) {
        Weather weather = Weather.underTheSun(location, start, minutes);
        Random random = new Random(seed);
        Clouds clouds = new Clouds(DayType.MIXED, random.nextLong());
        double spell = random.nextGaussian();
        double warmth = random.nextGaussian();
        for (int day = 0; day * 1440 < minutes; day++) {
            int from = day * 1440;
            int to = Math.min(minutes, from + 1440);
            int month = start.plusSeconds(60L * from + 43_200)
                            .atZone(location.zone())
                            .getMonthValue()
                    - 1;
            spell = SPELL * spell + StrictMath.sqrt(1 - SPELL * SPELL) * random.nextGaussian();
            warmth = SPELL * warmth + StrictMath.sqrt(1 - SPELL * SPELL) * random.nextGaussian();
            double index = climate.clearness().get(month) * (1 + CLEARNESS_SPREAD * spell);
            clouds.aimAt(Math.max(0.06, Math.min(1, index / clearDayIndex(weather, from, to))));
            double mean = climate.meanCelsius().get(month) + WARMTH_KELVIN * warmth;
            for (int i = from; i < to; i++) {
                irradiance(weather, i, clouds.nextTransmission());
                weather.ambientCelsius()[i] =
                        mean + climate.dailySwingKelvin() * StrictMath.cos(dayPhase(location, start, i));
            }
        }
        return weather;
    }

    /** Clearness index of a cloudless day. */
    private static double clearDayIndex(Weather weather, int from, int to) {
        double clear = 0;
        double above = 0;
        for (int i = from; i < to; i += 10) {
            double cosZenith = weather.up()[i];
            if (cosZenith > 0) {
                clear += clearSkyWatts(cosZenith);
                above += SOLAR_CONSTANT * cosZenith;
            }
        }
        return above == 0 ? 1 : Math.max(0.1, clear / above);
    }

    /** Where in its day a minute is, from the warmest time on (rad). */
    private static double dayPhase(Location location, Instant start, int minute) {
        double solarNoonMinute = 720 - location.longitudeDegrees() * 4;
        long firstMinuteOfDay = Math.floorMod(start.getEpochSecond() / 60, 1440L);
        return 2 * Math.PI * (firstMinuteOfDay + minute - solarNoonMinute - WARMEST_AFTER_NOON_MINUTES) / 1440;
    }

    private static double clearSkyWatts(double cosZenith) {
        return 1098 * cosZenith * StrictMath.exp(-0.057 / cosZenith);
    }

    private static void irradiance(Weather weather, int minute, double transmission) {
        double cosZenith = weather.up()[minute];
        if (cosZenith <= 0) {
            return;
        }
        weather.setLevelWatts(minute, transmission * clearSkyWatts(cosZenith));
    }

    /** Clouds passing over: two states that last for random whiles, their depth different each time and each day. */
    private static final class Clouds {
        private final Random random;
        private double cloudShare;
        private double underClouds;
        private double betweenClouds;
        private boolean covered;
        private double target;
        private double transmission;
        private int minutesLeft;

        Clouds(DayType type, long seed) {
            cloudShare = type.cloudShare;
            underClouds = type.underClouds;
            betweenClouds = type.betweenClouds;
            random = new Random(seed);
            covered = random.nextDouble() < cloudShare;
            next();
            transmission = target;
        }

        /** Takes as much cloud as leaves this share of the clear sky's light. */
        void aimAt(double share) {
            betweenClouds = DayType.CLEAR.betweenClouds;
            underClouds = Math.min(DayType.MIXED.underClouds, share * 0.8);
            cloudShare = Math.max(0.02, Math.min(0.98, (betweenClouds - share) / (betweenClouds - underClouds)));
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
            double share = covered ? cloudShare : 1 - cloudShare;
            double meanMinutes = 2 * MEAN_CLOUD_MINUTES * share;
            minutesLeft = 1 + (int) (-meanMinutes * StrictMath.log(1 - random.nextDouble()));
            double base = covered ? underClouds : betweenClouds;
            target = Math.min(1, Math.max(0.03, base * (1 + 0.25 * (random.nextDouble() - 0.5))));
        }
    }
}
