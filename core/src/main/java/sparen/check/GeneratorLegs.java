package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.site.AcSource;

/** A generator of several legs behind a transfer switch of one leaves the others idle and the first overloaded. */
final class GeneratorLegs implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        int used = plan.site().loads().stream()
                .filter(load -> load.feed().isPresent())
                .mapToInt(load -> load.leg().orElse(1))
                .max()
                .orElse(1);
        return plan.site().acSources().stream()
                .filter(AcSource.Generator.class::isInstance)
                .filter(source -> source.legs() > used)
                .map(source -> finding(
                                Hazard.OVERLOAD,
                                Severity.NOTE,
                                source.id(),
                                "It has more legs than the site uses: each gives its part only, and the charger must live"
                                        + " with one.")
                        .about("site/acSources/" + source.id() + "/legs")
                        .number("legs", source.legs(), "")
                        .number("used", used, "")
                        .number("one gives", source.legWatts(230), "W"));
    }
}
