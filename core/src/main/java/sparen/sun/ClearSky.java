package sparen.sun;

import java.time.Instant;
import java.time.ZoneOffset;
import sparen.site.Location;
import sparen.site.Turbidity;

/**
 * What a sky without clouds lets through on one day at one place: a beam and a diffuse light of their own.
 *
 * <p>Sources, all from memory: P. Ineichen and R. Perez, Solar Energy 73 (2002) 151–157, for both, from Linke turbidity and elevation;
 * air mass F. Kasten and A. T. Young, Applied Optics 28 (1989) 4735–4738, at the apparent altitude; refraction Þ. Sæmundsson, Sky &amp;
 * Telescope 72 (1986) 70; the sun's distance and declination J. W. Spencer, Search 2 (1971) 172; solar constant 1361 W/m² (G. Kopp
 * and J. L. Lean, 2011); scale height of the air 8434.5 m, standard atmosphere.
 */
final class ClearSky {
    private static final double SOLAR_CONSTANT = 1361;
    /** Scale height of the air (m). */
    private static final double AIR_METRES = 8434.5;
    /** Steps in half a day over which a day's light is summed. */
    private static final int HALF_A_DAY = 72;

    /** Air mass and sine of the apparent altitude, by the root of the sine of the altitude: near the horizon both change quickly. */
    private static final int TABLE = 4096;

    private static final double[] AIR = new double[TABLE + 1];
    private static final double[] APPARENT = new double[TABLE + 1];

    static {
        for (int i = 0; i <= TABLE; i++) {
            double apparent = apparentDegrees((double) i * i / TABLE / TABLE);
            AIR[i] = airMass(Math.min(90, apparent));
            APPARENT[i] = StrictMath.sin(StrictMath.toRadians(apparent));
        }
    }

    private final double extraterrestrialWatts;
    private final double pressure;
    private final double beamWithoutAir;
    private final double beamPerAir;
    private final double mostOfLevelInBeam;
    private final double levelWithoutAir;
    private final double levelPerAir;
    private double beamWatts;
    private double diffuseWatts;

    /**
     * @param elevationMetres above sea level (m)
     * @param turbidity Linke's at air mass 2 (ratio)
     * @param extraterrestrialWatts above the air, facing the sun (W/m²)
     */
    ClearSky(double elevationMetres, double turbidity, double extraterrestrialWatts) {
        this.extraterrestrialWatts = extraterrestrialWatts;
        pressure = StrictMath.exp(-elevationMetres / AIR_METRES);
        double fh1 = StrictMath.exp(-elevationMetres / 8000);
        double fh2 = StrictMath.exp(-elevationMetres / 1250);
        beamWithoutAir = 0.664 + 0.163 / fh1;
        beamPerAir = -0.09 * (turbidity - 1);
        mostOfLevelInBeam = 1 - (0.1 - 0.2 * StrictMath.exp(-turbidity)) / (0.1 + 0.882 / fh1);
        levelWithoutAir = 5.09e-5 * elevationMetres + 0.868;
        levelPerAir = -(3.92e-5 * elevationMetres + 0.0387) * (fh1 + fh2 * (turbidity - 1));
    }

    /** The clear sky of the day that holds an instant. */
    static ClearSky of(Location location, Instant day) {
        return of(location, dayOfYear(day));
    }

    /** The clear sky of a day of the year, 1 to 366. */
    static ClearSky of(Location location, int dayOfYear) {
        double turbidity = location.turbidity().orElse(Turbidity.USUAL).on(dayOfYear, location.latitudeDegrees());
        return new ClearSky(location.elevationMetres(), turbidity, extraterrestrialWatts(dayOfYear));
    }

    /** Irradiance above the air on a plane facing the sun (W/m²) on a day of the year, 1 to 366. */
    static double extraterrestrialWatts(int dayOfYear) {
        double angle = yearAngle(dayOfYear);
        return SOLAR_CONSTANT
                * (1.00011
                        + 0.034221 * StrictMath.cos(angle)
                        + 0.00128 * StrictMath.sin(angle)
                        + 0.000719 * StrictMath.cos(2 * angle)
                        + 0.000077 * StrictMath.sin(2 * angle));
    }

    /** The sun's apparent altitude (°) at 1010 hPa and 10 °C, by the sine of that without refraction, above 0. */
    static double apparentDegrees(double sine) {
        double altitude = StrictMath.toDegrees(StrictMath.asin(Math.min(1, sine)));
        return altitude + 1.02 / 60 / StrictMath.tan(StrictMath.toRadians(altitude + 10.3 / (altitude + 5.11)));
    }

    /** How much air the light comes through, of that in the zenith at sea level, by the apparent altitude (°), from 0 on. */
    static double airMass(double apparentDegrees) {
        return 1
                / (StrictMath.sin(StrictMath.toRadians(apparentDegrees))
                        + 0.50572 * StrictMath.pow(apparentDegrees + 6.07995, -1.6364));
    }

    /** Looks at the sun at a height: the sine of its altitude without refraction, above 0 to 1. */
    void look(double sine) {
        double place = Math.sqrt(Math.min(1, sine)) * TABLE;
        int from = Math.min(TABLE - 1, (int) place);
        double share = place - from;
        double air = pressure * (AIR[from] + share * (AIR[from + 1] - AIR[from]));
        double level = levelWithoutAir * StrictMath.exp(levelPerAir * air);
        double beam = Math.min(beamWithoutAir * StrictMath.exp(beamPerAir * air), mostOfLevelInBeam * level);
        double apparentSine = APPARENT[from] + share * (APPARENT[from + 1] - APPARENT[from]);
        beamWatts = extraterrestrialWatts * beam;
        diffuseWatts = extraterrestrialWatts * (level - beam) * apparentSine;
    }

    /** Direct irradiance on a plane facing the sun where it was last looked at (W/m²). */
    double beamWatts() {
        return beamWatts;
    }

    /** Diffuse irradiance on the level then (W/m²). */
    double diffuseWatts() {
        return diffuseWatts;
    }

    /**
     * Clearness index of a day without a cloud: its light on the level as a share of what falls there above the air; 0 where the sun does
     * not rise.
     *
     * @param latitudeDegrees north positive (°)
     * @param dayOfYear 1 to 366
     */
    double dayIndex(double latitudeDegrees, int dayOfYear) {
        double latitude = StrictMath.toRadians(latitudeDegrees);
        double declination = declination(dayOfYear);
        double clear = 0;
        double above = 0;
        for (int i = 0; i < HALF_A_DAY; i++) {
            double sine = StrictMath.sin(latitude) * StrictMath.sin(declination)
                    + StrictMath.cos(latitude)
                            * StrictMath.cos(declination)
                            * StrictMath.cos(Math.PI * (i + 0.5) / HALF_A_DAY);
            if (sine > 0) {
                look(sine);
                clear += beamWatts * sine + diffuseWatts;
                above += extraterrestrialWatts * sine;
            }
        }
        return above == 0 ? 0 : clear / above;
    }

    /** How far north of the equator the sun stands (rad), to 0.04°. */
    private static double declination(int dayOfYear) {
        double angle = yearAngle(dayOfYear);
        return 0.006918
                - 0.399912 * StrictMath.cos(angle)
                + 0.070257 * StrictMath.sin(angle)
                - 0.006758 * StrictMath.cos(2 * angle)
                + 0.000907 * StrictMath.sin(2 * angle)
                - 0.002697 * StrictMath.cos(3 * angle)
                + 0.00148 * StrictMath.sin(3 * angle);
    }

    static int dayOfYear(Instant instant) {
        return instant.atZone(ZoneOffset.UTC).getDayOfYear();
    }

    private static double yearAngle(int dayOfYear) {
        return 2 * Math.PI * (dayOfYear - 1) / 365;
    }
}
