package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.site.Load;

/** A surplus load that takes less than the array throws away leaves most of it. */
final class DiversionTooSmall implements Check {
    private static final double WORTH = 0.1;

    @Override
    public Stream<Finding> look(PlanFacts plan) {
        double peak =
                plan.site().controllers().stream().mapToDouble(plan::peakWatts).sum();
        double takes = plan.site().loads().stream()
                .filter(Load::diverts)
                .mapToDouble(load -> plan.worstWatts(load.id()))
                .sum();
        return takes == 0 || takes >= WORTH * peak
                ? Stream.empty()
                : Stream.of(finding(
                                Hazard.WASTE,
                                Severity.NOTE,
                                "",
                                "All surplus loads together take little of what the arrays can give.")
                        .about("site/loads")
                        .number("they take", takes, "W")
                        .number("arrays", peak, "W"));
    }
}
