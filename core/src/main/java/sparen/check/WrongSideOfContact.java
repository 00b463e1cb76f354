package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.Level;
import sparen.site.SensePoint;

/** A device that measures behind the contact it opens reads nothing once it has opened. */
final class WrongSideOfContact implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.levels(Level.Role.values())
                .filter(placed -> plan.point(placed)
                        .filter(point -> point.place() == SensePoint.Place.BEHIND_CONTACT)
                        .flatMap(SensePoint::device)
                        .filter(placed.output().loads()::contains)
                        .isPresent())
                .map(placed -> finding(
                                Hazard.LOSS_OF_CONTROL,
                                Severity.DANGER,
                                placed.output().id(),
                                "It measures behind its own contact: once that is open it reads nothing, and the load"
                                        + " never comes back, or comes back at once.")
                        .about(placed.path())
                        .number(placed.level().term(), placed.value(), "V"));
    }
}
