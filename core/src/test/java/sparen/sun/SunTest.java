package sparen.sun;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.Arrays;
import org.testng.annotations.Test;
import sparen.site.Location;

public class SunTest {
    /** Published example of NREL/TP-560-34302 (Reda and Andreas), appendix: zenith 50.11162° with refraction, azimuth 194.34024°. */
    @Test
    public void positionAgreesWithThePublishedExample() {
        Location golden = new Location(39.742476, -105.1786, 1830.14, "UTC");
        SunPosition position = SunPosition.at(Instant.parse("2003-10-17T19:30:30Z"), golden);
        assertEquals(position.azimuthDegrees(), 194.34024, 0.0005);
        // Airless: the published value without its refraction, 50.12795° by an independent ephemeris.
        assertEquals(90 - position.altitudeDegrees(), 50.12795, 0.0005);
    }

    /** Between the half-hour knots the direction is interpolated; it must stay far below the 0.02° wanted of the sun tables. */
    @Test
    public void interpolatedPathKeepsToTheExactOne() {
        Location place = new Location(63, 10.4, 0, "UTC");
        Instant start = Instant.parse("2025-06-21T00:00:00Z");
        Weather weather = WeatherGenerator.generate(place, start, 1440, DayType.CLEAR, 10, 1);
        for (int minute = 7; minute < 1440; minute += 101) {
            double exact =
                    SunPosition.at(start.plusSeconds(60L * minute), place).altitudeDegrees();
            assertEquals(weather.sunAltitudeDegrees()[minute], exact, 0.001, "minute " + minute);
        }
        // 18:00 UTC by an independent ephemeris (VSOP87): altitude 16.4141°.
        assertEquals(weather.sunAltitudeDegrees()[18 * 60], 16.4141, 0.02);
    }

    /** Worked numbers of Liu and Jordan's isotropic sky, recomputed independently. */
    @Test
    public void planeOfArrayAgreesWithWorkedNumbers() {
        assertEquals(plane(750, 110, 25, 50, 30, 0.2), 790.2947, 1e-3);
        assertEquals(plane(820, 70, 35, 72, 70, 0.7), 793.1507, 1e-3);
    }

    private static double plane(
            double beam, double diffuse, double incidence, double zenith, double tilt, double ground) {
        return ArrayOutput.planeWatts(beam, diffuse, cos(incidence), cos(zenith), cos(tilt), ground);
    }

    private static double cos(double degrees) {
        return Math.cos(Math.toRadians(degrees));
    }

    /** Erbs, Klein and Duffie 1982, values of the published fit. */
    @Test
    public void diffuseShareFollowsErbs() {
        double[][] table = {{0.10, 0.991}, {0.30, 0.948596}, {0.50, 0.659150}, {0.70, 0.243980}, {0.85, 0.165}};
        for (double[] row : table) {
            assertEquals(ErbsDiffuse.share(row[0]), row[1], 1e-5, "kt " + row[0]);
        }
    }

    @Test
    public void sameSeedMakesTheSameWeatherAndDullIsDarkerThanMixedThanClear() {
        Location place = new Location(63, 19, 0, "UTC");
        Instant start = Instant.parse("2026-09-01T00:00:00Z");
        double[] sums = new double[DayType.values().length];
        for (DayType type : DayType.values()) {
            Weather once = WeatherGenerator.generate(place, start, 14_400, type, 8, 42);
            Weather again = WeatherGenerator.generate(place, start, 14_400, type, 8, 42);
            assertEquals(again.beamWatts(), once.beamWatts());
            sums[type.ordinal()] = Arrays.stream(once.beamWatts()).sum()
                    + Arrays.stream(once.diffuseWatts()).sum();
        }
        assertTrue(sums[0] > 1.2 * sums[1] && sums[1] > 1.5 * sums[2], Arrays.toString(sums));
    }
}
