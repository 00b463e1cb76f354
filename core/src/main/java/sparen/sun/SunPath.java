package sparen.sun;

import java.time.Instant;
import sparen.site.Location;

/**
 * The sun's way over a span of minutes, as unit vectors east, north and up.
 *
 * <p>Positions are computed every half hour and the vectors carried between by cubic Lagrange interpolation: the direction turns
 * by 7.5° a half hour, which leaves an error below 0.001°.
 */
final class SunPath {
    private static final int MINUTES_BETWEEN = 30;

    private final double[][] knots;

    SunPath(Location location, Instant start, int minutes) {
        int count = minutes / MINUTES_BETWEEN + 4;
        knots = new double[count][3];
        for (int i = 0; i < count; i++) {
            Instant instant = start.plusSeconds(60L * MINUTES_BETWEEN * (i - 1));
            SunPosition position = SunPosition.at(instant, location);
            double altitude = StrictMath.toRadians(position.altitudeDegrees());
            double azimuth = StrictMath.toRadians(position.azimuthDegrees());
            knots[i][0] = StrictMath.cos(altitude) * StrictMath.sin(azimuth);
            knots[i][1] = StrictMath.cos(altitude) * StrictMath.cos(azimuth);
            knots[i][2] = StrictMath.sin(altitude);
        }
    }

    /** Fills in the direction at a time after the start (min). */
    void direction(double minute, double[] direction) {
        int knot = (int) (minute / MINUTES_BETWEEN);
        double x = minute / MINUTES_BETWEEN - knot;
        double a = -x * (x - 1) * (x - 2) / 6;
        double b = (x + 1) * (x - 1) * (x - 2) / 2;
        double c = -(x + 1) * x * (x - 2) / 2;
        double d = (x + 1) * x * (x - 1) / 6;
        for (int i = 0; i < 3; i++) {
            direction[i] =
                    a * knots[knot][i] + b * knots[knot + 1][i] + c * knots[knot + 2][i] + d * knots[knot + 3][i];
        }
    }
}
