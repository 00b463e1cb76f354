package sparen.site;

import java.util.List;
import java.util.Optional;
import sparen.quantity.Bounds;

/**
 * A charge controller: its hardware. What it is set to is in the program.
 *
 * @param id its name in references
 * @param name what the crew calls it
 * @param arrays ids of the arrays on its trackers, at least one; all share the output limit
 * @param maximumAmperes what its output can give (A), above 0 to 1000
 * @param efficiency from array to output (fraction), 0.5 to 1
 * @param idleWatts what it draws from the bus day and night (W), 0 to 500
 * @param cable from its output terminals to the bus; it regulates at its own terminals
 * @param kind how it takes the array's power; absent for {@link Kind#MPPT}
 * @param maximumInputVolts the highest array voltage it survives (V), above 0 to 2000
 * @param startsWithoutBattery whether it can show a sleeping battery a voltage; absent for no
 */
public record ChargeController(
        String id,
        String name,
        List<String> arrays,
        double maximumAmperes,
        double efficiency,
        double idleWatts,
        Cable cable,
        Optional<Kind> kind,
        Optional<Double> maximumInputVolts,
        Optional<Boolean> startsWithoutBattery)
        implements ChargeControllerWith {
    /** How a controller takes the array's power. */
    public enum Kind {
        /** Follows the maximum power point. */
        MPPT,
        /** Ties the array to the battery by pulses: the array gives its current at the battery's voltage. */
        PWM
    }

    public ChargeController {
        Bounds.id("id", id);
        Bounds.name("name", name);
        arrays = List.copyOf(Bounds.present("arrays", arrays));
        Bounds.within("arrays", arrays.size(), "arrays", 1, 50);
        Bounds.above("maximumAmperes", maximumAmperes, 0, 1000);
        Bounds.within("efficiency", efficiency, 0.5, 1);
        Bounds.within("idleWatts", idleWatts, 0, 500);
        Bounds.present("cable", cable);
        kind = Bounds.orEmpty(kind);
        maximumInputVolts = Bounds.orEmpty(maximumInputVolts);
        maximumInputVolts.ifPresent(volts -> Bounds.above("maximumInputVolts", volts, 0, 2000));
        startsWithoutBattery = Bounds.orEmpty(startsWithoutBattery);
    }

    /** A maximum-power-point controller that needs a battery to start. */
    public ChargeController(
            String id,
            String name,
            List<String> arrays,
            double maximumAmperes,
            double efficiency,
            double idleWatts,
            Cable cable) {
        this(
                id,
                name,
                arrays,
                maximumAmperes,
                efficiency,
                idleWatts,
                cable,
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    /** Whether it ties the array to the battery by pulses. */
    public boolean pulses() {
        return kind.orElse(Kind.MPPT) == Kind.PWM;
    }
}
