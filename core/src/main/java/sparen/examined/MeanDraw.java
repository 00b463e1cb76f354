package sparen.examined;

import java.util.Map;
import sparen.format.Profile;
import sparen.site.Load;

/** The mean draw of a load over a usual week. */
public final class MeanDraw {
    private MeanDraw() {}

    /** Mean power (W) at a voltage (V); a load whose profile is missing counts as drawing nothing. */
    public static double watts(Load load, double volts, Map<String, Profile> profiles) {
        return load.consumption()
                .meanWatts(
                        volts, id -> profiles.containsKey(id) ? profiles.get(id).meanWatts() : 0);
    }
}
