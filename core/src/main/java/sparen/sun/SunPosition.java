package sparen.sun;

import java.time.Instant;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import net.e175.klaus.solarpositioning.DeltaT;
import net.e175.klaus.solarpositioning.SPA;
import net.e175.klaus.solarpositioning.SolarPosition;
import sparen.site.Location;

/**
 * Where the sun stands.
 *
 * <p>Source: I. Reda and A. Andreas, Solar Position Algorithm for Solar Radiation Applications, NREL/TP-560-34302, as carried out
 * by the library; without refraction.
 *
 * @param altitudeDegrees of the sun's centre above the horizon, airless (°)
 * @param azimuthDegrees from north through east (°)
 */
public record SunPosition(double altitudeDegrees, double azimuthDegrees) {

    /** The position at an instant, seen from a place. */
    public static SunPosition at(Instant instant, Location location) {
        ZonedDateTime time = instant.atZone(ZoneOffset.UTC);
        SolarPosition position = SPA.calculateSolarPosition(
                time,
                location.latitudeDegrees(),
                location.longitudeDegrees(),
                location.elevationMetres(),
                DeltaT.estimate(time.toLocalDate()));
        return new SunPosition(90 - position.zenithAngle(), position.azimuth());
    }
}
