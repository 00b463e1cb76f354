package sparen.sun;

import java.time.Instant;
import java.util.Random;
import sparen.quantity.Bounds;
import sparen.site.Location;

/**
 * Makes weather from a seed: {@link ClearSky}, and clouds that come and go before it.
 *
 * <p>Clouds that leave a share k of the clear sky's light on the level leave (k − 0.38 (1 − k))^2.5 of its beam, and turn the rest of
 * what they leave into diffuse light. Source: R. Müller, J. Trentmann and others, the satellite climatology of direct irradiance, Remote
 * Sensing 7 (2015) 8067, after A. Skartveit, J. A. Olseth and M. E. Tuft (1998); from memory. The clouds' lengths and depths are
 * judgement. Air temperature is a plain daily swing about a given mean.
 */
public final class WeatherGenerator {
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
        return generate(location, start, minutes, type, meanCelsius, seed, () -> {});
    }

    /**
     * The same, told of each day.
     *
     * @param eachDay called before each day is made; what it throws ends the making
     */
    public static Weather generate(
            Location location,
            Instant start,
            int minutes,
            DayType type,
            double meanCelsius,
            long seed,
            Runnable eachDay) {
        Bounds.within("meanCelsius", meanCelsius, -60, 50);
        Weather weather = Weather.underTheSun(location, start, minutes);
        Clouds clouds = new Clouds(type, seed);
        double[] swing = dailySwing(location, start);
        ClearSky sky = null;
        for (int i = 0; i < minutes; i++) {
            if (i % 1440 == 0) {
                eachDay.run();
                sky = ClearSky.of(location, start.plusSeconds(60L * i));
            }
            irradiance(weather, sky, i, clouds.nextTransmission());
            weather.ambientCelsius()[i] = meanCelsius + DAILY_SWING_KELVIN * swing[i % 1440];
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
        return generate(location, start, minutes, climate, seed, () -> {});
    }

    /**
     * The same, told of each day.
     *
     * @param eachDay called before each day is made; what it throws ends the making
     */
    public static Weather generate(
            Location location, Instant start, int minutes, Climate climate, long seed, Runnable eachDay) {
        Weather weather = Weather.underTheSun(location, start, minutes);
        Random random = new Random(seed);
        Clouds clouds = new Clouds(DayType.MIXED, random.nextLong());
        double[] swing = dailySwing(location, start);
        double spell = random.nextGaussian();
        double warmth = random.nextGaussian();
        for (int day = 0; day * 1440 < minutes; day++) {
            eachDay.run();
            int from = day * 1440;
            int to = Math.min(minutes, from + 1440);
            int month = start.plusSeconds(60L * from + 43_200)
                            .atZone(location.zone())
                            .getMonthValue()
                    - 1;
            spell = SPELL * spell + StrictMath.sqrt(1 - SPELL * SPELL) * random.nextGaussian();
            warmth = SPELL * warmth + StrictMath.sqrt(1 - SPELL * SPELL) * random.nextGaussian();
            int dayOfYear = ClearSky.dayOfYear(start.plusSeconds(60L * from));
            ClearSky sky = ClearSky.of(location, dayOfYear);
            double index = climate.clearness().get(month) * (1 + CLEARNESS_SPREAD * spell);
            clouds.aimAt(Math.max(0.06, Math.min(1, index / sky.dayIndex(location.latitudeDegrees(), dayOfYear))));
            double mean = climate.meanCelsius().get(month) + WARMTH_KELVIN * warmth;
            for (int i = from; i < to; i++) {
                irradiance(weather, sky, i, clouds.nextTransmission());
                weather.ambientCelsius()[i] = mean + climate.dailySwingKelvin() * swing[i - from];
            }
        }
        return weather;
    }

    /** How far each minute of the day is from the mean, from −1 at the coldest to 1 at the warmest; minutes are counted from the start. */
    private static double[] dailySwing(Location location, Instant start) {
        double solarNoonMinute = 720 - location.longitudeDegrees() * 4;
        long firstMinuteOfDay = Math.floorMod(start.getEpochSecond() / 60, 1440L);
        double[] swing = new double[1440];
        for (int minute = 0; minute < swing.length; minute++) {
            double after = firstMinuteOfDay + minute - solarNoonMinute - WARMEST_AFTER_NOON_MINUTES;
            swing[minute] = StrictMath.cos(2 * Math.PI * after / 1440);
        }
        return swing;
    }

    private static void irradiance(Weather weather, ClearSky sky, int minute, double transmission) {
        double up = weather.up()[minute];
        if (up <= 0) {
            return;
        }
        sky.look(up);
        double clearBeam = sky.beamWatts();
        double level = transmission * (clearBeam * up + sky.diffuseWatts());
        double beam = clearBeam * beamShare(transmission);
        weather.beamWatts()[minute] = beam;
        weather.diffuseWatts()[minute] = level - beam * up;
    }

    /** What clouds leave of the beam, by what they leave of the light on the level; both as shares of the clear sky's. */
    static double beamShare(double transmission) {
        double share = Math.max(0, transmission - 0.38 * (1 - transmission));
        return share * share * StrictMath.sqrt(share);
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
            double opacity = (1 - base) * (1 + 0.25 * (random.nextDouble() - 0.5));
            target = Math.max(0.03, 1 - opacity);
        }
    }
}
