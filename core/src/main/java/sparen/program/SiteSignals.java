package sparen.program;

import sparen.logic.Signal;
import sparen.quantity.Bounds;
import sparen.site.BatteryMonitor;
import sparen.site.SensePoint;
import sparen.site.Site;

/** Which signal stands for what at a site: the fixed ones, then one a monitor, then one a sense point at a device. */
public final class SiteSignals {
    private SiteSignals() {}

    /** How many signals a site has. */
    public static int count(Site site) {
        int atDevices = (int) site.sensePoints().stream()
                .filter(point -> point.place().isAtDevice())
                .count();
        return Signal.FIRST_OF_SITE + site.monitors().size() + atDevices;
    }

    /** The state of charge a monitor reports (fraction). */
    public static int reportedCharge(Site site, String monitor) {
        BatteryMonitor found = site.monitor(monitor);
        return Signal.FIRST_OF_SITE + site.monitors().indexOf(found);
    }

    /** The true voltage at a sense point (V). */
    public static int voltage(Site site, SensePoint point) {
        return switch (point.place()) {
            case BATTERY_TERMINALS -> Signal.BATTERY_VOLTS;
            case BUS -> Signal.BUS_VOLTS;
            case DEVICE_TERMINALS, BEHIND_CONTACT -> firstAtDevice(site) + rankAtDevice(site, point);
        };
    }

    /** Index of the first sense point at a device; the others follow in the site's order. */
    public static int firstAtDevice(Site site) {
        return Signal.FIRST_OF_SITE + site.monitors().size();
    }

    private static int rankAtDevice(Site site, SensePoint point) {
        int rank = 0;
        for (SensePoint other : site.sensePoints()) {
            if (other.id().equals(point.id())) {
                return rank;
            }
            if (other.place().isAtDevice()) {
                rank++;
            }
        }
        throw new IllegalArgumentException("sensePoint: \"" + point.id() + "\" is not of this site; it has "
                + Bounds.number(site.sensePoints().size()));
    }
}
