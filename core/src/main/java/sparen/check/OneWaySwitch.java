package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.Contact;
import sparen.program.Output;
import sparen.site.Inverter;

/**
 * A transistor that blocks one way only cannot disconnect what also feeds back: an inverter that charges, or a line with a load and a
 * charger on it. In a line that only the sun feeds the current has one way.
 */
final class OneWaySwitch implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.outputs().stream()
                .filter(output -> output.contact()
                        .map(contact -> contact.kind() == Contact.Kind.SOLID_STATE_ONE_WAY)
                        .orElse(false))
                .filter(output -> bothWays(plan, output))
                .map(output -> finding(
                                Hazard.LOSS_OF_CONTROL,
                                Severity.DANGER,
                                output.id(),
                                "A one-way solid-state switch stands in line with something that can also charge: current"
                                        + " the other way passes its body diode.")
                        .about("program/outputs/" + output.id() + "/contact/kind"));
    }

    private static boolean bothWays(PlanFacts plan, Output output) {
        boolean charges = plan.site()
                .inverter()
                .filter(inverter -> inverter.charger().isPresent())
                .map(Inverter::id)
                .filter(output.loads()::contains)
                .isPresent();
        boolean inLine = output.side().orElse(Output.Side.ENABLE) != Output.Side.ENABLE;
        boolean isFed = plan.site().controllers().stream()
                .anyMatch(controller -> output.loads().contains(controller.id()));
        boolean draws =
                plan.site().loads().stream().anyMatch(load -> output.loads().contains(load.id()));
        return charges || inLine && isFed && draws;
    }
}
