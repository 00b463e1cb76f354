package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.Contact;
import sparen.program.Level;

/** A coil that lets go at a voltage the bus still has under load opens its contact before any rule does. */
final class CoilDropsOut implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.outputs().stream()
                .filter(output ->
                        output.contact().flatMap(Contact::dropOutVolts).isPresent())
                .flatMap(output -> {
                    double dropOut =
                            output.contact().flatMap(Contact::dropOutVolts).orElseThrow();
                    double lowest = plan.levels(Level.Role.DISCONNECT, Level.Role.CUT_OFF, Level.Role.SHED)
                            .filter(low -> low.output() == output)
                            .mapToDouble(plan::trueVolts)
                            .min()
                            .orElse(plan.bank().lowestVolts());
                    double sag =
                            plan.worstAmperesOfAll(lowest) * (plan.battery().ohmicOhms() * 0.5 + plan.mainCableOhms());
                    return dropOut < lowest - sag
                            ? Stream.empty()
                            : Stream.of(finding(
                                            Hazard.LOSS_OF_CONTROL,
                                            Severity.CAUTION,
                                            output.id(),
                                            "The coil lets go on a sagging bus before its rule acts, and pulls in again"
                                                    + " with the rebound.")
                                    .about("program/outputs/" + output.id() + "/contact/dropOutVolts")
                                    .number("coil lets go below", dropOut, "V")
                                    .number("its rule acts at", lowest, "V")
                                    .number("sag at full load", sag, "V"));
                });
    }
}
