package sparen.gauge;

import java.util.List;
import java.util.Map;
import sparen.program.Plan;
import sparen.quantity.Fields;

/** Levels given as the numbers of a 12 V battery, set at a bank of any voltage. Setpoints scale with the number of cells. */
public final class Scaled {
    private static final double STEP = 100;

    private Scaled() {}

    /**
     * A level as the number of a 12 V battery.
     *
     * @param term the trade's term for it, such as LVD or absorption
     * @param volts of a 12 V set (V)
     */
    public record Wanted(String term, double volts) {}

    /**
     * A plan with every level of these terms set.
     *
     * @throws sparen.quantity.InvalidQuantity when a rule or setpoint refuses its number
     */
    public static Plan set(Plan plan, List<Wanted> wanted) {
        Gauge gauge = Gauge.of(plan, Map.of());
        Plan changed = plan;
        for (Wanted one : wanted) {
            for (Gauge.Peg peg : gauge.pegs()) {
                if (peg.unit().equals("V") && peg.term().equals(one.term())) {
                    changed = Fields.withAt(changed, peg.path(), volts(gauge, one.volts()));
                }
            }
        }
        return changed;
    }

    /** The number of a 12 V set (V) for the whole bank, to the hundredth (V). */
    private static double volts(Gauge gauge, double of12) {
        return Math.round(of12 * gauge.cellsInSeries() / gauge.cellsOf12Volts() * STEP) / STEP;
    }
}
