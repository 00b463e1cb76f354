package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.Output;
import sparen.program.rule.GeneratorStart;
import sparen.result.Change;
import sparen.result.Event;
import sparen.result.RunResult;

/** An equalization from a generator that the quiet hours end before its time is up, and the next one again: the cells stay uneven. */
final class EqualizationCutShort implements RunCheck {
    @Override
    public Stream<Finding> look(PlanFacts plan, RunResult run) {
        String charger = plan.site().inverter().map(one -> one.id()).orElse("");
        return plan.outputs().stream().flatMap(output -> output.automatic().stream()
                .filter(GeneratorStart.class::isInstance)
                .map(GeneratorStart.class::cast)
                .filter(rule -> rule.quietHours().isPresent())
                .flatMap(rule -> look(output, rule, charger, run)));
    }

    private Stream<Finding> look(Output output, GeneratorStart rule, String charger, RunResult run) {
        int cut = 0;
        boolean equalizes = false;
        for (Event event : run.events()) {
            if (event.subject().equals(charger) && event.kind() == Event.Kind.STAGE) {
                equalizes = event.has(Change.EQUALIZATION_BEGAN);
            } else if (equalizes && event.subject().equals(output.id()) && event.kind() == Event.Kind.OPENED) {
                // A rule of this kind stops by what a monitor reads, or by its quiet hours, which read nothing.
                cut += event.has(Change.BY_RULE) ? 1 : 0;
                equalizes = false;
            }
        }
        return cut == 0
                ? Stream.empty()
                : Stream.of(finding(
                                Hazard.OVER_DISCHARGE,
                                Severity.CAUTION,
                                output.id(),
                                "In the run the quiet hours ended an equalization before its time was up: the cells stay"
                                        + " uneven. Let it begin in the morning after a day of full sun, or let the quiet"
                                        + " hours begin later on that day.")
                        .about("program/outputs/" + output.id() + "/automatic/quietFromHour")
                        .number("times cut short", cut, "")
                        .number("quiet from", rule.quietFromHour(), "h"));
    }
}
