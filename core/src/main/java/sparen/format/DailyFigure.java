package sparen.format;

import java.time.LocalDate;
import java.util.Optional;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

/**
 * A day as a device keeps it in its history.
 *
 * @param day local date
 * @param lowestVolts of the battery (V), above 0 to 1000
 * @param highestVolts of the battery (V), the lowest or more, to 1000
 * @param inWattHours from the arrays (Wh), 0 to 1e6
 * @param outWattHours to the loads (Wh), 0 to 1e6
 */
public record DailyFigure(
        LocalDate day,
        double lowestVolts,
        Optional<Double> highestVolts,
        Optional<Double> inWattHours,
        Optional<Double> outWattHours) {
    public DailyFigure {
        Bounds.present("day", day);
        Bounds.above("lowestVolts", lowestVolts, 0, 1000);
        highestVolts = Bounds.optional("highestVolts", highestVolts, 0, 1000);
        inWattHours = Bounds.optional("inWattHours", inWattHours, 0, 1e6);
        outWattHours = Bounds.optional("outWattHours", outWattHours, 0, 1e6);
        double lowest = lowestVolts;
        highestVolts.filter(highest -> highest < lowest).ifPresent(highest -> {
            throw new InvalidQuantity(
                    "highestVolts",
                    Bounds.number(highest) + " V is below the lowest of the day, " + Bounds.number(lowest) + " V");
        });
    }
}
