package sparen.check;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.site.Cable;
import sparen.site.Fuse;

/** A conductor has to bear what its fuse lets through, a fuse what its load draws, and break the voltage. */
final class ConductorAndFuse implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        double highest = Math.max(plan.bank().highestVolts(), plan.highestRegulation());
        Stream<Finding> loads = plan.site().loads().stream()
                .filter(load -> load.feed().isEmpty())
                .flatMap(load -> look(
                        plan,
                        "site/loads/" + load.id() + "/cable",
                        load.id(),
                        load.cable(),
                        plan.worstAmperes(load.id(), plan.bank().lowestVolts()),
                        highest));
        Stream<Finding> controllers = plan.site().controllers().stream()
                .flatMap(controller -> look(
                        plan,
                        "site/controllers/" + controller.id() + "/cable",
                        controller.id(),
                        controller.cable(),
                        plan.limitAmperes(controller),
                        highest));
        Stream<Finding> main = look(
                plan,
                "site/mainCable",
                "",
                plan.site().mainCable(),
                plan.worstAmperesOfAll(plan.bank().lowestVolts() * 1.05),
                highest);
        return Stream.of(loads, controllers, main).flatMap(Function.identity());
    }

    private Stream<Finding> look(
            PlanFacts plan, String path, String at, Cable cable, double amperes, double highestVolts) {
        List<Finding> found = new ArrayList<>();
        double bears = cable.ampacityAmperes().orElse(Double.POSITIVE_INFINITY);
        double rated = cable.fuse().map(Fuse::ratedAmperes).orElse(Double.POSITIVE_INFINITY);
        double breaks = cable.fuse().map(Fuse::ratedVolts).orElse(Double.POSITIVE_INFINITY);
        if (rated != Double.POSITIVE_INFINITY && rated > bears) {
            found.add(finding(
                            Hazard.OVERLOAD,
                            Severity.DANGER,
                            at,
                            "The fuse lets through more than the conductor bears.")
                    .about(path)
                    .number("fuse", rated, "A")
                    .number("conductor bears", bears, "A", plan.origin(path)));
        }
        if (amperes > cable.mostAmperes().orElse(Double.POSITIVE_INFINITY)) {
            found.add(finding(
                            Hazard.OVERLOAD,
                            Severity.CAUTION,
                            at,
                            amperes > rated
                                    ? "It can draw more than its fuse is rated for: the fuse ages and goes."
                                    : "It can draw more than its conductor bears.")
                    .about(path)
                    .number("it can draw", amperes, "A")
                    .number("fuse or conductor", cable.mostAmperes().orElseThrow(), "A"));
        }
        if (highestVolts > breaks) {
            found.add(finding(
                            Hazard.OVERLOAD,
                            Severity.DANGER,
                            at,
                            "The fuse is not rated to break direct current at this voltage: it burns on.")
                    .about(path)
                    .number("highest voltage", highestVolts, "V")
                    .number("fuse breaks up to", breaks, "V"));
        }
        return found.stream();
    }
}
