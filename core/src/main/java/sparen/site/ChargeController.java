package sparen.site;

import java.util.List;
import sparen.quantity.Bounds;

/**
 * A maximum-power-point charge controller: its hardware. What it is set to is in the program.
 *
 * @param id its name in references
 * @param name what the crew calls it
 * @param arrays ids of the arrays on its input, at least one
 * @param maximumAmperes what its output can give (A), above 0 to 1000
 * @param efficiency from array to output (fraction), 0.5 to 1
 * @param idleWatts what it draws from the bus day and night (W), 0 to 500
 * @param cable from its output terminals to the bus; it regulates at its own terminals
 */
public record ChargeController(
        String id,
        String name,
        List<String> arrays,
        double maximumAmperes,
        double efficiency,
        double idleWatts,
        Cable cable) {
    public ChargeController {
        Bounds.id("id", id);
        Bounds.name("name", name);
        arrays = List.copyOf(Bounds.present("arrays", arrays));
        Bounds.within("arrays", arrays.size(), "arrays", 1, 50);
        Bounds.above("maximumAmperes", maximumAmperes, "A", 0, 1000);
        Bounds.within("efficiency", efficiency, "", 0.5, 1);
        Bounds.within("idleWatts", idleWatts, "W", 0, 500);
        Bounds.present("cable", cable);
    }
}
