package sparen.check;

import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.site.Inverter;
import sparen.site.Load;

/** Loads of together more than the inverter carries, or a start surge beyond it; on each leg of its AC side for itself. */
final class InverterOverload implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.site().inverter().stream()
                .flatMap(inverter ->
                        IntStream.rangeClosed(1, inverter.legs()).boxed().flatMap(leg -> look(plan, inverter, leg)));
    }

    private Stream<Finding> look(PlanFacts plan, Inverter inverter, int leg) {
        List<Load> behind = plan.site().loads().stream()
                .filter(load -> load.feed().filter(inverter.id()::equals).isPresent())
                .filter(load -> Math.min(load.leg().orElse(1), inverter.legs()) == leg)
                .toList();
        ToDoubleFunction<Load> watts = load -> plan.worstWatts(load.id());
        double running = behind.stream()
                .filter(load -> !load.diverts())
                .mapToDouble(watts)
                .sum();
        double diverted =
                behind.stream().filter(Load::diverts).mapToDouble(watts).sum();
        double worstSurge = behind.stream()
                .mapToDouble(load -> watts.applyAsDouble(load)
                        * (load.surge().map(surge -> surge.factor()).orElse(1.0) - 1))
                .max()
                .orElse(0);
        double carries = inverter.continuousWatts() / inverter.legs();
        double most = carries * inverter.surgeFactor();
        if (running <= carries && running + worstSurge <= most && running + diverted <= most) {
            return Stream.empty();
        }
        Finding finding = finding(
                        Hazard.OVERLOAD,
                        Severity.CAUTION,
                        inverter.id(),
                        "All its loads together, or one starting beside the others, are more than it carries: it retries"
                                + " every 3 min and gives up after 5.")
                .about("site/inverter/continuousWatts")
                .number("loads together", running, "W")
                .number("with the heaviest start", running + worstSurge, "W")
                .number("diversion behind it", diverted, "W")
                .number("it carries", carries, "W")
                .number("for a surge", most, "W");
        return Stream.of(inverter.legs() == 1 ? finding : finding.number("on leg", leg, ""));
    }
}
