package sparen.sun;

import java.time.Instant;
import sparen.site.Location;

/**
 * The sun's way over a span of half minutes, as unit vectors east, north and up.
 *
 * <p>Seen from a frame that turns with the earth once in 24 hours the sun hardly moves. Positions are computed every six hours, turned into
 * that frame, carried between there by cubic Lagrange interpolation and turned back: an error below 0.001°, most of it the sun's parallax.
 */
final class SunPath {
    private static final int HALVES_BETWEEN = 2 * 360;
    private static final int HALVES_OF_A_DAY = 2 * 1440;
    private static final double[] COSINE = new double[HALVES_OF_A_DAY];
    private static final double[] SINE = new double[HALVES_OF_A_DAY];

    static {
        for (int i = 0; i < HALVES_OF_A_DAY; i++) {
            COSINE[i] = StrictMath.cos(2 * Math.PI * i / HALVES_OF_A_DAY);
            SINE[i] = StrictMath.sin(2 * Math.PI * i / HALVES_OF_A_DAY);
        }
    }

    /** Positions in the turning frame: towards the south at noon, towards the west then, towards the pole. */
    private final double[][] knots;

    private final double sineLatitude;
    private final double cosineLatitude;

    SunPath(Location location, Instant start, int minutes) {
        sineLatitude = StrictMath.sin(StrictMath.toRadians(location.latitudeDegrees()));
        cosineLatitude = StrictMath.cos(StrictMath.toRadians(location.latitudeDegrees()));
        knots = new double[2 * minutes / HALVES_BETWEEN + 4][3];
        for (int i = 0; i < knots.length; i++) {
            long halves = (long) HALVES_BETWEEN * (i - 1);
            SunPosition position = SunPosition.at(start.plusSeconds(30 * halves), location);
            double altitude = StrictMath.toRadians(position.altitudeDegrees());
            double azimuth = StrictMath.toRadians(position.azimuthDegrees());
            double west = -StrictMath.cos(altitude) * StrictMath.sin(azimuth);
            double north = StrictMath.cos(altitude) * StrictMath.cos(azimuth);
            double up = StrictMath.sin(altitude);
            double south = cosineLatitude * up - sineLatitude * north;
            int turn = Math.floorMod(halves, HALVES_OF_A_DAY);
            knots[i][0] = COSINE[turn] * south + SINE[turn] * west;
            knots[i][1] = COSINE[turn] * west - SINE[turn] * south;
            knots[i][2] = sineLatitude * up + cosineLatitude * north;
        }
    }

    /** Fills in the direction so many half minutes after the start. */
    void direction(int halves, double[] direction) {
        int knot = halves / HALVES_BETWEEN;
        double x = (double) halves / HALVES_BETWEEN - knot;
        double a = -x * (x - 1) * (x - 2) / 6;
        double b = (x + 1) * (x - 1) * (x - 2) / 2;
        double c = -(x + 1) * x * (x - 2) / 2;
        double d = (x + 1) * x * (x - 1) / 6;
        double[] before = knots[knot];
        double[] from = knots[knot + 1];
        double[] to = knots[knot + 2];
        double[] after = knots[knot + 3];
        double still = a * before[0] + b * from[0] + c * to[0] + d * after[0];
        double aside = a * before[1] + b * from[1] + c * to[1] + d * after[1];
        double pole = a * before[2] + b * from[2] + c * to[2] + d * after[2];
        int turn = halves % HALVES_OF_A_DAY;
        double south = COSINE[turn] * still - SINE[turn] * aside;
        double west = SINE[turn] * still + COSINE[turn] * aside;
        direction[0] = -west;
        direction[1] = cosineLatitude * pole - sineLatitude * south;
        direction[2] = sineLatitude * pole + cosineLatitude * south;
    }
}
