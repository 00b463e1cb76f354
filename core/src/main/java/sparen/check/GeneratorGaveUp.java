package sparen.check;

import java.util.stream.Collectors;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.result.Change;
import sparen.result.Event;
import sparen.result.RunResult;

/** A generator that gave up after its tries and waits for a hand. */
final class GeneratorGaveUp implements RunCheck {
    @Override
    public Stream<Finding> look(PlanFacts plan, RunResult run) {
        return run.events().stream()
                .filter(event -> event.has(Change.GAVE_UP))
                .collect(Collectors.groupingBy(Event::subject))
                .entrySet()
                .stream()
                .map(entry -> finding(
                                Hazard.LOSS_OF_CONTROL,
                                Severity.CAUTION,
                                entry.getKey(),
                                "In the run the generator gave up after its tries, and nobody came.")
                        .number("times", entry.getValue().size(), ""));
    }
}
