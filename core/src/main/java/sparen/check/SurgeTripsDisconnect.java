package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.rule.VoltageDisconnect;
import sparen.quantity.Bounds;
import sparen.quantity.Fields;

/** A disconnect without delay opens on the start surge of its own load. */
final class SurgeTripsDisconnect implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.rules()
                .filter(placed -> placed.rule() instanceof VoltageDisconnect)
                .flatMap(placed -> {
                    VoltageDisconnect rule = (VoltageDisconnect) placed.rule();
                    double surgeSeconds = plan.site().loads().stream()
                            .filter(load -> placed.output().loads().contains(load.id()))
                            .flatMap(load -> load.surge().stream())
                            .mapToDouble(surge -> surge.seconds())
                            .max()
                            .orElse(0);
                    return surgeSeconds == 0 || rule.lvdDelaySeconds() > surgeSeconds
                            ? Stream.empty()
                            : Stream.of(finding(
                                            Hazard.NUISANCE,
                                            Severity.CAUTION,
                                            placed.output().id(),
                                            "The disconnect does not wait out the start of its load: each start on a low"
                                                    + " battery opens it.")
                                    .about(PlanFacts.path(placed.output(), placed.slot(), "lvdDelaySeconds"))
                                    .number("LVD delay", rule.lvdDelaySeconds(), "s")
                                    .number("start surge", surgeSeconds, "s")
                                    .cure(
                                            "LVD delay to " + Bounds.number(Math.ceil(surgeSeconds) + 5) + " s",
                                            Cures.rule(
                                                    placed,
                                                    one -> Fields.with(
                                                            one, "lvdDelaySeconds", Math.ceil(surgeSeconds) + 5))));
                });
    }
}
