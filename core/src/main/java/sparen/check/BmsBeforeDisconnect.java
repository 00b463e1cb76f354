package sparen.check;

import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.result.Change;
import sparen.result.Event;
import sparen.result.RunResult;

/** The last line of defence acted in the run: what should have come before it did not. */
final class BmsBeforeDisconnect implements RunCheck {
    @Override
    public Stream<Finding> look(PlanFacts plan, RunResult run) {
        return run.events().stream()
                .filter(event -> event.has(Change.CHARGE_PATH_OPENED) || event.has(Change.DISCHARGE_PATH_OPENED))
                .collect(Collectors.groupingBy(Event::subject))
                .entrySet()
                .stream()
                .sorted(Map.Entry.comparingByKey())
                .map(entry -> finding(
                                Hazard.LOSS_OF_CONTROL,
                                Severity.CAUTION,
                                entry.getKey(),
                                "In the run its BMS opened: "
                                        + entry.getValue().get(0).reason() + ".")
                        .number("times", entry.getValue().size(), "")
                        .number("first after", entry.getValue().get(0).seconds() / 86_400, "d"));
    }
}
