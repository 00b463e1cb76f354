package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.result.Event;
import sparen.result.RunResult;

/** The battery ran empty, or could not carry its loads. */
final class BatteryRanEmpty implements RunCheck {
    @Override
    public Stream<Finding> look(PlanFacts plan, RunResult run) {
        return run.events().stream()
                .filter(event -> event.kind() == Event.Kind.EMPTY || event.kind() == Event.Kind.COLLAPSE)
                .findFirst()
                .stream()
                .map(event -> finding(
                                Hazard.OVER_DISCHARGE,
                                Severity.DANGER,
                                "",
                                "In the run every load was lost: " + event.reason() + ".")
                        .number("first after", event.seconds() / 86_400, "d")
                        .number(
                                "lowest state of charge",
                                100 * run.lowestStateOfCharge().value(),
                                "%"));
    }
}
