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

    /** Goes through all minutes from the start on: the sine of the altitude at the beginning of each and at the end of the last. */
    void sinesOfAltitude(double[] sines) {
        double[] still = new double[4];
        double[] aside = new double[4];
        double[] pole = new double[4];
        for (int i = 0; i < sines.length; i++) {
            int halves = 2 * i;
            if (halves % HALVES_BETWEEN == 0) {
                cubics(halves / HALVES_BETWEEN, still, aside, pole);
            }
            double x = (double) (halves % HALVES_BETWEEN) / HALVES_BETWEEN;
            int turn = halves % HALVES_OF_A_DAY;
            double south = COSINE[turn] * at(still, x) - SINE[turn] * at(aside, x);
            sines[i] = sineLatitude * at(pole, x) + cosineLatitude * south;
        }
    }

    /** The same for the direction in the middle of each minute. */
    void directions(double[] east, double[] north, double[] up) {
        double[] still = new double[4];
        double[] aside = new double[4];
        double[] pole = new double[4];
        for (int i = 0; i < up.length; i++) {
            int halves = 2 * i + 1;
            if (i == 0 || halves % HALVES_BETWEEN == 1) {
                cubics(halves / HALVES_BETWEEN, still, aside, pole);
            }
            double x = (double) (halves % HALVES_BETWEEN) / HALVES_BETWEEN;
            int turn = halves % HALVES_OF_A_DAY;
            double stands = at(still, x);
            double goes = at(aside, x);
            double towardsPole = at(pole, x);
            double south = COSINE[turn] * stands - SINE[turn] * goes;
            east[i] = -(SINE[turn] * stands + COSINE[turn] * goes);
            north[i] = cosineLatitude * towardsPole - sineLatitude * south;
            up[i] = sineLatitude * towardsPole + cosineLatitude * south;
        }
    }

    /** Lagrange's cubics through the knots about the span after a knot, by powers of the part of it that is gone. */
    private void cubics(int knot, double[]... into) {
        for (int k = 0; k < into.length; k++) {
            double before = knots[knot][k];
            double from = knots[knot + 1][k];
            double to = knots[knot + 2][k];
            double after = knots[knot + 3][k];
            into[k][0] = from;
            into[k][1] = to - before / 3 - from / 2 - after / 6;
            into[k][2] = (before + to) / 2 - from;
            into[k][3] = (after - before) / 6 + (from - to) / 2;
        }
    }

    private static double at(double[] cubic, double x) {
        return cubic[0] + x * (cubic[1] + x * (cubic[2] + x * cubic[3]));
    }
}
