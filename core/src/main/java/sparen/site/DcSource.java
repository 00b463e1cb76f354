package sparen.site;

import sparen.quantity.Bounds;

/**
 * A generator of direct current by profile: wind, water, an engine's alternator. It has no regulation but a brake.
 *
 * @param id its name in references
 * @param name what the crew calls it
 * @param profile id of the profile of its power
 * @param brakeVolts at or above this at the bus it is stopped (V), 0 to 1000
 * @param releaseVolts at or below this it runs again (V), 0 to brakeVolts
 */
public record DcSource(String id, String name, String profile, double brakeVolts, double releaseVolts) {
    public DcSource {
        Bounds.id("id", id);
        Bounds.name("name", name);
        Bounds.id("profile", profile);
        Bounds.within("brakeVolts", brakeVolts, 0, 1000);
        Bounds.within("releaseVolts", releaseVolts, 0, brakeVolts);
    }
}
