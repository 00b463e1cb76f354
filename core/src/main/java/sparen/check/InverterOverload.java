package sparen.check;

import java.util.List;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.site.Load;

/** Loads of together more than the inverter carries, or a start surge beyond it. */
final class InverterOverload implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.site().inverter().stream().flatMap(inverter -> {
            List<Load> behind = plan.site().loads().stream()
                    .filter(load -> load.feed().filter(inverter.id()::equals).isPresent())
                    .toList();
            double running = behind.stream()
                    .filter(load -> !load.diverts())
                    .mapToDouble(load -> plan.worstWatts(load.id()))
                    .sum();
            double worstSurge = behind.stream()
                    .mapToDouble(load -> plan.worstWatts(load.id())
                            * (load.surge().map(surge -> surge.factor()).orElse(1.0) - 1))
                    .max()
                    .orElse(0);
            double diverted = behind.stream()
                    .filter(Load::diverts)
                    .mapToDouble(load -> plan.worstWatts(load.id()))
                    .sum();
            double most = inverter.continuousWatts() * inverter.surgeFactor();
            if (running <= inverter.continuousWatts()
                    && running + worstSurge <= most
                    && running + diverted <= inverter.continuousWatts() * inverter.surgeFactor()) {
                return Stream.empty();
            }
            return Stream.of(finding(
                            Hazard.OVERLOAD,
                            Severity.CAUTION,
                            inverter.id(),
                            "All its loads together, or one starting beside the others, are more than it carries: it retries"
                                    + " every 3 min and gives up after 5.")
                    .about("site/inverter/continuousWatts")
                    .number("loads together", running, "W")
                    .number("with the heaviest start", running + worstSurge, "W")
                    .number("diversion behind it", diverted, "W")
                    .number("it carries", inverter.continuousWatts(), "W")
                    .number("for a surge", most, "W"));
        });
    }
}
