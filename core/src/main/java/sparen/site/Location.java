package sparen.site;

import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.Optional;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

/**
 * Where a site is.
 *
 * @param latitudeDegrees north positive (°), −90 to 90
 * @param longitudeDegrees east positive (°), −180 to 180
 * @param elevationMetres above sea level (m), −500 to 9000
 * @param timeZone the zone all its times are shown in, such as {@code Europe/Oslo}
 * @param turbidity how hazy its clear air is; absent for what is usual
 */
public record Location(
        double latitudeDegrees,
        double longitudeDegrees,
        double elevationMetres,
        String timeZone,
        Optional<Turbidity> turbidity) {
    public Location {
        Bounds.within("latitudeDegrees", latitudeDegrees, -90, 90);
        Bounds.within("longitudeDegrees", longitudeDegrees, -180, 180);
        Bounds.within("elevationMetres", elevationMetres, -500, 9000);
        Bounds.present("timeZone", timeZone);
        turbidity = Bounds.orEmpty(turbidity);
        try {
            ZoneId.of(timeZone);
        } catch (DateTimeException unknown) {
            throw new InvalidQuantity("timeZone", "\"" + timeZone + "\" is not a time zone such as Europe/Oslo or UTC");
        }
    }

    /** A place with the air that is usual. */
    public Location(double latitudeDegrees, double longitudeDegrees, double elevationMetres, String timeZone) {
        this(latitudeDegrees, longitudeDegrees, elevationMetres, timeZone, Optional.empty());
    }

    /** The site's own time zone. */
    public ZoneId zone() {
        return ZoneId.of(timeZone);
    }
}
