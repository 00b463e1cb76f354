package sparen.site;

import sparen.quantity.Bounds;

/** How a load draws on the bus while its contact is closed. */
public sealed interface Consumption {

    /**
     * The same power at any voltage, as behind an electronic supply: the current rises as the voltage sags.
     *
     * @param watts (W), 0 to 100,000
     */
    record ConstantPower(double watts) implements Consumption {
        public ConstantPower {
            Bounds.within("watts", watts, "W", 0, 100_000);
        }
    }

    /**
     * A resistance, as a heater or lamp: the current falls as the voltage sags.
     *
     * @param ohms (Ω), 0.001 to 1e6
     */
    record Resistance(double ohms) implements Consumption {
        public Resistance {
            Bounds.within("ohms", ohms, "Ω", 0.001, 1e6);
        }
    }

    /**
     * Power by an imported consumption profile, constant from each of its lines to the next.
     *
     * @param profile id of the profile the site holds
     */
    record ImportedProfile(String profile) implements Consumption {
        public ImportedProfile {
            Bounds.id("profile", profile);
        }
    }
}
