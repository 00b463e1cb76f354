package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.site.Inverter;

/** What the inverter and other devices draw for themselves, day and night, against what the arrays bring in the dark month. */
final class IdleDraw implements Check {
    /** Worth telling above this share of what the arrays bring on a dull winter day (fraction); judgement, no source. */
    private static final double TELLING = 0.5;

    /** Hours at full power on such a day (h); judgement, no source. */
    private static final double WINTER_HOURS = 0.5;

    @Override
    public Stream<Finding> look(PlanFacts plan) {
        boolean switched = plan.site()
                .inverter()
                .map(inverter -> inverter.search().isPresent()
                        || plan.outputs().stream()
                                .anyMatch(output -> output.loads().contains(inverter.id())))
                .orElse(true);
        double watts = plan.site().inverter().map(Inverter::idleWatts).orElse(0.0);
        double brings =
                plan.site().controllers().stream().mapToDouble(plan::peakWatts).sum() * WINTER_HOURS;
        return switched || watts * 24 <= TELLING * brings
                ? Stream.empty()
                : Stream.of(finding(
                                Hazard.WASTE,
                                Severity.NOTE,
                                plan.site().inverter().orElseThrow().id(),
                                "The inverter idles all night, with neither search mode nor a contact to switch it off.")
                        .about("site/inverter/idleWatts")
                        .number("idle in a day", watts * 24, "Wh")
                        .number("arrays on a dull winter day", brings, "Wh"));
    }
}
