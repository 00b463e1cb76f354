package sparen.check;

import java.util.Optional;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.Contact;
import sparen.program.Level;
import sparen.program.Output;
import sparen.program.rule.VentilationByGassing;

/** The position a contact takes when its device is dead must be the harmless one for its hazard. */
final class DangerousDeadState implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.outputs().stream()
                .filter(output -> !output.loads().isEmpty())
                .flatMap(output -> {
                    boolean closed = output.withoutPower().orElse(Output.Position.OPEN) == Output.Position.CLOSED
                            || output.contact()
                                    .map(contact -> contact.kind() == Contact.Kind.LATCHING)
                                    .orElse(false);
                    boolean guards = plan.levels(Level.Role.DISCONNECT, Level.Role.CUT_OFF, Level.Role.DISCONNECT_SOC)
                            .anyMatch(
                                    low -> low.output() == output && low.slot().equals("protection"));
                    boolean vents = plan.rules()
                            .anyMatch(rule -> rule.output() == output && rule.rule() instanceof VentilationByGassing);
                    if (closed && guards) {
                        return Stream.of(finding(
                                        Hazard.OVER_DISCHARGE,
                                        Severity.CAUTION,
                                        output.id(),
                                        "Without power the contact stays closed: then nothing keeps the battery from"
                                                + " emptying.")
                                .about("program/outputs/" + output.id() + "/dead"));
                    }
                    return !closed && vents && output.supply().isPresent()
                            ? Stream.of(finding(
                                            Hazard.GAS,
                                            Severity.CAUTION,
                                            output.id(),
                                            "Without power the fan stands still while the array goes on charging.")
                                    .about("program/outputs/" + output.id() + "/dead")
                                    .cure(
                                            "feed it from the main bus",
                                            Cures.output(output.id(), one -> one.withSupply(Optional.empty()))))
                            : Stream.empty();
                });
    }
}
