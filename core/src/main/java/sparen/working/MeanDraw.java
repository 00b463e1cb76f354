package sparen.working;

import java.util.Map;
import sparen.format.Profile;
import sparen.site.Consumption;
import sparen.site.Load;

/** The mean draw of a load over a usual day. */
final class MeanDraw {
    private static final double DAY = 86_400;
    private static final double DAYS_A_WEEK = 7;

    private MeanDraw() {}

    /** Mean power (W) at a voltage (V); of a schedule over all weekdays and months it holds in. */
    static double watts(Load load, double volts, Map<String, Profile> profiles) {
        Consumption consumption = load.consumption();
        if (consumption instanceof Consumption.ConstantPower constant) {
            return constant.watts();
        }
        if (consumption instanceof Consumption.ConstantCurrent current) {
            return volts * current.amperes();
        }
        if (consumption instanceof Consumption.Resistance resistance) {
            return volts * volts / resistance.ohms();
        }
        if (consumption instanceof Consumption.Cycling cycling) {
            return cycling.watts() * cycling.runSeconds() / (cycling.runSeconds() + cycling.restSeconds());
        }
        if (consumption instanceof Consumption.Occupancy occupancy) {
            return occupancy.watts() * Math.min(1, occupancy.usesPerDay() * occupancy.meanSeconds() / DAY);
        }
        if (consumption instanceof Consumption.Scheduled scheduled) {
            return scheduled.entries().stream()
                    .mapToDouble(entry -> entry.watts()
                            * entry.when().hours()
                            / 24
                            * (entry.when().weekdays().isEmpty()
                                    ? 1
                                    : entry.when().weekdays().size() / DAYS_A_WEEK))
                    .sum();
        }
        Profile profile = profiles.get(((Consumption.ImportedProfile) consumption).profile());
        return profile == null ? 0 : profile.meanWatts();
    }
}
