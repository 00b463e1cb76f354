package sparen.check;

import java.util.List;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.Level;
import sparen.site.Load;

/** Where the inverter itself stops first, the disconnect of what it feeds has no say. */
final class DisconnectBelowInverter implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.site().inverter().stream().flatMap(inverter -> {
            List<String> behind = plan.site().loads().stream()
                    .filter(load -> load.feed().filter(inverter.id()::equals).isPresent())
                    .map(Load::id)
                    .toList();
            double stops = inverter.window().lowShutdownVolts();
            return plan.levels(Level.Role.DISCONNECT, Level.Role.SHED)
                    .filter(low -> low.output().loads().contains(inverter.id())
                            || low.output().loads().stream().anyMatch(behind::contains))
                    .filter(low -> plan.trueVolts(low) <= stops)
                    .map(low -> Cures.level(
                            finding(
                                            Hazard.LOSS_OF_CONTROL,
                                            Severity.CAUTION,
                                            low.output().id(),
                                            "The inverter stops by itself before this acts, and comes back by its own level,"
                                                    + " not by this one.")
                                    .about(low.path())
                                    .number(low.level().term(), plan.trueVolts(low), "V")
                                    .number(
                                            "inverter stops",
                                            stops,
                                            "V",
                                            plan.origin("site/inverter/window/lowShutdownVolts")),
                            low,
                            stops * 1.03 + low.value() - plan.trueVolts(low)));
        });
    }
}
