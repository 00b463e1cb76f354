package sparen.examined;

import java.util.stream.Stream;
import sparen.program.Output;
import sparen.site.Inverter;
import sparen.site.Load;

/** What the loads behind an output's contact ask of it at the worst. */
public final class ContactLoad {
    /** Voltage of an AC side that is not told (V). */
    private static final double MAINS_VOLTS = 230;

    private ContactLoad() {}

    private static Stream<Load> loads(PlanFacts plan, Output output) {
        return plan.site().loads().stream().filter(load -> output.loads().contains(load.id()));
    }

    private static boolean isAlternating(PlanFacts plan, Load load) {
        return load.feed()
                .filter(feed -> plan.site().converters().stream()
                        .noneMatch(one -> one.id().equals(feed)))
                .isPresent();
    }

    private static double acVolts(PlanFacts plan) {
        return plan.site().inverter().map(Inverter::acVolts).orElse(MAINS_VOLTS);
    }

    /** Whether something behind it hangs on the main bus. */
    public static boolean isDirect(PlanFacts plan, Output output) {
        return loads(plan, output).anyMatch(load -> load.feed().isEmpty());
    }

    /** Direct current at the site's nominal voltage (A). */
    public static double dcAmperes(PlanFacts plan, Output output) {
        return plan.worstAmperes(output, plan.site().nominalVolts());
    }

    /** Alternating current (A). */
    public static double acAmperes(PlanFacts plan, Output output) {
        return loads(plan, output)
                        .filter(load -> isAlternating(plan, load))
                        .mapToDouble(load ->
                                plan.worstWatts(load.id()) / load.powerFactor().orElse(1.0))
                        .sum()
                / acVolts(plan);
    }

    /** What all of it starts with together (A). */
    public static double inrushAmperes(PlanFacts plan, Output output) {
        return loads(plan, output)
                .mapToDouble(load -> load.surge().map(surge -> surge.factor()).orElse(1.0)
                        * plan.worstWatts(load.id())
                        / (isAlternating(plan, load)
                                ? acVolts(plan)
                                : plan.site().nominalVolts()))
                .sum();
    }
}
