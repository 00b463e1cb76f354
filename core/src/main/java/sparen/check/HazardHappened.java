package sparen.check;

import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.result.Event;
import sparen.result.RunResult;

/** Something happened in the run that can destroy equipment. */
final class HazardHappened implements RunCheck {
    @Override
    public Stream<Finding> look(PlanFacts plan, RunResult run) {
        return run.events().stream()
                .filter(event -> event.kind() == Event.Kind.HAZARD || event.kind() == Event.Kind.FUSE)
                .collect(Collectors.groupingBy(Event::subject))
                .entrySet()
                .stream()
                .sorted(Map.Entry.comparingByKey())
                .map(entry -> finding(
                                Hazard.OVERLOAD,
                                Severity.DANGER,
                                entry.getKey(),
                                "In the run: " + entry.getValue().get(0).reason() + ".")
                        .number("times", entry.getValue().size(), "")
                        .number("first after", entry.getValue().get(0).seconds() / 86_400, "d"));
    }
}
