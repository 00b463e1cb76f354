package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;

/** A source of AC with fewer legs than the inverter makes: it is never taken. */
final class SourceLegs implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.site().inverter().stream().flatMap(inverter -> plan.site().acSources().stream()
                .filter(source -> source.legs() < inverter.legs())
                .map(source -> finding(
                                Hazard.LOSS_OF_CONTROL,
                                Severity.CAUTION,
                                source.id(),
                                "It has fewer legs than the inverter makes: the inverter never takes it, and nothing is charged from it.")
                        .about("site/acSources/" + source.id() + "/legs")
                        .number("legs", source.legs(), "")
                        .number("the inverter’s", inverter.legs(), "")));
    }
}
