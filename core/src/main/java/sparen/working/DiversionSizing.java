package sparen.working;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.power.PlanningArithmetic;
import sparen.site.Load;

/** Power and resistance of a diversion load that has to take the arrays; 150 % where it is the only regulation (NEC 690.72(B) before 2017, from memory). */
final class DiversionSizing implements Calculator {
    @Override
    public Stream<Working> work(PlanFacts plan) {
        double peak =
                plan.site().controllers().stream().mapToDouble(plan::peakWatts).sum();
        double volts = plan.highestRegulation();
        return peak == 0 || volts == 0
                ? Stream.empty()
                : plan.site().loads().stream().filter(Load::diverts).map(load -> working(
                                "site/loads/" + load.id() + "/consumption",
                                "Diversion by " + load.name(),
                                plan.worstWatts(load.id()),
                                "W")
                        .line(
                                "it takes %.0f W of %.0f W that the arrays give at best",
                                plan.worstWatts(load.id()), peak)
                        .line(
                                "to take all: %.0f W, %.2f Ω at most at %.1f V on the main bus",
                                peak, PlanningArithmetic.resistanceOhms(volts, peak), volts)
                        .line(
                                "as the only regulation 150 %%: %.0f W, and a second means",
                                PlanningArithmetic.diversionWatts(peak)));
    }
}
