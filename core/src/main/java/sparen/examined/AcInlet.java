package sparen.examined;

import sparen.program.AcProgram;
import sparen.site.AcSource;
import sparen.site.Inverter;

/** What comes in to an inverter from an AC source, and what its loads take of it: one answer for sums and checks. */
public final class AcInlet {
    private AcInlet() {}

    /** The most that comes from a source (W), all legs: it, the input limit and the transfer relay bound it. */
    public static double watts(PlanFacts plan, Inverter inverter, AcSource source) {
        double limit = plan.program().ac().orElse(AcProgram.PLAIN).inputLimitAmperes();
        double relay =
                inverter.transfer().map(Inverter.Transfer::maximumAmperes).orElse(0.0);
        double byAmperes = Math.min(limit, relay) * AcSource.legVolts(inverter.acVolts(), source.legs());
        return source.legs() * Math.min(source.legWatts(inverter.acVolts()), byAmperes);
    }

    /** What the loads behind an inverter take in the mean (W); loads that take surplus only are not among them. */
    public static double loadWatts(PlanFacts plan, Inverter inverter) {
        return plan.site().loads().stream()
                .filter(load -> load.feed().filter(inverter.id()::equals).isPresent() && !load.diverts())
                .mapToDouble(load -> MeanDraw.watts(load, inverter.acVolts(), plan.profiles()))
                .sum();
    }
}
