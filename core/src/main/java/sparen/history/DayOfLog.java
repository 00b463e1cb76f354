package sparen.history;

import java.time.LocalDate;
import java.util.Optional;

/**
 * One local day as it was recorded.
 *
 * @param date in the site's zone
 * @param knownHours of which something was recorded (h)
 * @param lowestVolts of the battery (V)
 * @param highestVolts of the battery (V)
 * @param lowestCharge reported (fraction); absent where it was not recorded
 * @param arrayWattHours from the arrays (Wh)
 * @param loadWattHours to the loads (Wh)
 * @param inAmpereHours into the battery (Ah)
 * @param outAmpereHours out of the battery (Ah)
 * @param absorptionHours at absorption voltage or above (h)
 * @param floatHours at float voltage with sun on the arrays (h)
 * @param nightWatts mean draw from midnight to four (W)
 */
public record DayOfLog(
        LocalDate date,
        double knownHours,
        double lowestVolts,
        double highestVolts,
        Optional<Double> lowestCharge,
        Optional<Double> arrayWattHours,
        Optional<Double> loadWattHours,
        Optional<Double> inAmpereHours,
        Optional<Double> outAmpereHours,
        double absorptionHours,
        Optional<Double> floatHours,
        Optional<Double> nightWatts) {}
