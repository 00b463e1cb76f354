package sparen.check;

import java.util.Map;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.site.Chemistry;

/** Absorption that does not suit the chemistry: a factory profile left as it came. Usual voltages of a cell, common practice, no source; the maker decides. */
final class ProfileOfAnotherChemistry implements Check {
    private static final Map<Chemistry, double[]> USUAL = Map.of(
            Chemistry.FLOODED, new double[] {2.33, 2.5},
            Chemistry.AGM, new double[] {2.33, 2.47},
            Chemistry.GEL, new double[] {2.3, 2.42},
            Chemistry.LITHIUM_IRON_PHOSPHATE, new double[] {3.38, 3.65},
            Chemistry.NMC, new double[] {3.95, 4.2});

    @Override
    public Stream<Finding> look(PlanFacts plan) {
        double[] usual = USUAL.get(plan.bank().chemistry());
        int cells = plan.bank().cellsInSeries();
        return usual == null
                ? Stream.empty()
                : plan.program().charging().stream()
                        .filter(one ->
                                one.absorptionVolts() < usual[0] * cells || one.absorptionVolts() > usual[1] * cells)
                        .map(one -> finding(
                                        one.absorptionVolts() > usual[1] * cells
                                                ? Hazard.OVER_CHARGE
                                                : Hazard.OVER_DISCHARGE,
                                        Severity.CAUTION,
                                        one.controller(),
                                        "Its absorption does not suit the chemistry: a factory profile, or one of another"
                                                + " battery?")
                                .about("program/charging/" + one.controller() + "/absorptionVolts")
                                .number("absorption of a cell", one.absorptionVolts() / cells, "V")
                                .number("usual from", usual[0], "V", "common practice")
                                .number("to", usual[1], "V", "common practice"));
    }
}
