package sparen.check;

import java.util.List;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.Contact;
import sparen.program.Output;

/** A transistor that blocks one way only cannot disconnect what can also feed back. */
final class OneWaySwitch implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        List<String> feedBack = plan.site().chargers();
        return plan.outputs().stream()
                .filter(output -> output.contact()
                        .map(contact -> contact.kind() == Contact.Kind.SOLID_STATE_ONE_WAY)
                        .orElse(false))
                .filter(output -> output.side().orElse(Output.Side.ENABLE) != Output.Side.ENABLE
                        || output.loads().stream().anyMatch(id -> plan.site()
                                .inverter()
                                .filter(inverter -> inverter.id().equals(id)
                                        && inverter.charger().isPresent())
                                .isPresent()))
                .filter(output -> output.loads().stream().anyMatch(feedBack::contains))
                .map(output -> finding(
                                Hazard.LOSS_OF_CONTROL,
                                Severity.DANGER,
                                output.id(),
                                "A one-way solid-state switch stands in line with something that can also charge: current"
                                        + " the other way passes its body diode.")
                        .about("program/outputs/" + output.id() + "/contact/kind"));
    }
}
