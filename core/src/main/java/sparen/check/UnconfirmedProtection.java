package sparen.check;

import java.util.Map;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.Origin;
import sparen.quantity.Place;

/** A guess in a number that protects. */
final class UnconfirmedProtection implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.plan().origins().entrySet().stream()
                .filter(entry -> entry.getValue().kind() == Origin.Kind.GUESS)
                .map(Map.Entry::getKey)
                .filter(path -> path.contains("/protection/")
                        || path.equals("site/battery/lowestVolts")
                        || path.equals("site/battery/highestVolts")
                        || path.contains("/bms/"))
                .sorted()
                .map(path -> finding(
                                Hazard.LOSS_OF_CONTROL,
                                Severity.CAUTION,
                                Place.outputOf(path),
                                "A number that protects is a guess: confirm it before relying on it.")
                        .about(path));
    }
}
