package sparen.site;

import java.util.Optional;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

/**
 * A generator of direct current: wind or water by the profile of its power, an engine's alternator or a converter from another battery
 * by the clock. It has no regulation but a brake.
 *
 * @param id its name in references
 * @param name what the crew calls it
 * @param profile id of the profile of its power; absent for one by the clock
 * @param byClock its power and hours; absent for one by a profile
 * @param brakeVolts at or above this at the bus it is stopped (V), 0 to 1000
 * @param releaseVolts at or below this it runs again (V), 0 to brakeVolts
 */
public record DcSource(
        String id,
        String name,
        Optional<String> profile,
        Optional<Steady> byClock,
        double brakeVolts,
        double releaseVolts)
        implements DcSourceWith {
    /**
     * The same power in some hours, nothing in the others.
     *
     * @param watts at the bus (W), 0 to 100,000
     * @param when the hours
     */
    public record Steady(double watts, DailySpan when) {
        public Steady {
            Bounds.within("watts", watts, 0, 100_000);
            Bounds.present("when", when);
        }
    }

    public DcSource {
        Bounds.id("id", id);
        Bounds.name("name", name);
        profile = Bounds.orEmpty(profile);
        profile.ifPresent(named -> Bounds.id("profile", named));
        byClock = Bounds.orEmpty(byClock);
        if (profile.isPresent() == byClock.isPresent()) {
            throw new InvalidQuantity("profile", "it gives by a profile or by the clock: one of the two is to be set");
        }
        Bounds.within("brakeVolts", brakeVolts, 0, 1000);
        Bounds.within("releaseVolts", releaseVolts, 0, brakeVolts);
    }

    /** One by a profile. */
    public DcSource(String id, String name, String profile, double brakeVolts, double releaseVolts) {
        this(id, name, Optional.of(profile), Optional.empty(), brakeVolts, releaseVolts);
    }
}
