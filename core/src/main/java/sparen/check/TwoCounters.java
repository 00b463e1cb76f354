package sparen.check;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.Rule;
import sparen.program.rule.GeneratorStart;
import sparen.program.rule.SocDisconnect;
import sparen.program.rule.SurplusBySoc;

/** Two devices that count for themselves drift apart: what one calls full the other calls low. */
final class TwoCounters implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        List<String> used = plan.rules()
                .flatMap(placed -> monitor(placed.rule()).stream())
                .distinct()
                .toList();
        return used.size() < 2
                ? Stream.empty()
                : Stream.of(finding(
                                Hazard.LOSS_OF_CONTROL,
                                Severity.CAUTION,
                                used.get(1),
                                "Rules go by more than one monitor; their counts drift apart, and the rules with them.")
                        .about("site/monitors/" + used.get(1))
                        .number("monitors that rules go by", used.size(), ""));
    }

    private static Optional<String> monitor(Rule rule) {
        if (rule instanceof SocDisconnect soc) {
            return Optional.of(soc.monitor());
        }
        if (rule instanceof SurplusBySoc surplus) {
            return Optional.of(surplus.monitor());
        }
        return rule instanceof GeneratorStart generator ? Optional.of(generator.monitor()) : Optional.empty();
    }
}
