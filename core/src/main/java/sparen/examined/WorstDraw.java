package sparen.examined;

import java.util.Map;
import sparen.format.Profile;
import sparen.site.Consumption;
import sparen.site.Converter;
import sparen.site.Inverter;
import sparen.site.Load;
import sparen.site.Site;

/** The most that something behind a contact draws from the main bus, start surges left aside. */
final class WorstDraw {
    private WorstDraw() {}

    /**
     * Its current (A) at a voltage of the main bus (V): of a load, or of all loads on a converter or inverter together; 0 for what does
     * not draw.
     *
     * @param profiles the consumption profiles that loads name; a load whose profile is missing counts as drawing nothing
     */
    static double amperes(Site site, String device, double volts, Map<String, Profile> profiles) {
        for (Load load : site.loads()) {
            if (load.id().equals(device)) {
                return load.feed().isPresent()
                        ? inputWatts(site, load.feed().get(), watts(load.consumption(), volts, profiles)) / volts
                        : watts(load.consumption(), volts, profiles) / volts;
            }
        }
        double watts = site.loads().stream()
                .filter(load -> load.feed().filter(device::equals).isPresent())
                .mapToDouble(load -> watts(load.consumption(), volts, profiles))
                .sum();
        return inputWatts(site, device, watts) / volts;
    }

    private static double inputWatts(Site site, String feed, double watts) {
        for (Converter converter : site.converters()) {
            if (converter.id().equals(feed)) {
                return converter.idleWatts() + watts / converter.efficiency();
            }
        }
        return site.inverter()
                .filter(inverter -> inverter.id().equals(feed))
                .map((Inverter inverter) -> inverter.dcWatts(watts))
                .orElse(0.0);
    }

    /** The power (W) of a load by its id, at the site's nominal voltage; 0 for what is no load. */
    static double watts(Site site, String id, Map<String, Profile> profiles) {
        return site.loads().stream()
                .filter(load -> load.id().equals(id))
                .mapToDouble(load -> watts(load.consumption(), site.nominalVolts(), profiles))
                .sum();
    }

    private static double watts(Consumption consumption, double volts, Map<String, Profile> profiles) {
        return consumption.highestWatts(
                volts, id -> profiles.containsKey(id) ? profiles.get(id).highestWatts() : 0);
    }
}
