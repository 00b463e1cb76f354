package sparen.check;

import java.util.Optional;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.Output;
import sparen.site.ChargeController;
import sparen.site.Inverter;

/** A contact in a controller's line to the battery takes the battery from a live array: its voltage then runs up in the controller. */
final class LiveArrayCutOff implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.outputs().stream()
                .filter(output -> output.side().orElse(Output.Side.ENABLE) == Output.Side.BATTERY)
                .flatMap(output -> plan.site().controllers().stream()
                        .filter(controller -> output.loads().contains(controller.id()))
                        .map(controller -> finding(
                                output,
                                controller,
                                plan.site()
                                        .inverter()
                                        .map(Inverter::id)
                                        .filter(output.loads()::contains)
                                        .isPresent())));
    }

    private Finding finding(Output output, ChargeController controller, boolean withInverter) {
        return finding(
                        Hazard.OVERLOAD,
                        Severity.DANGER,
                        output.id(),
                        "Its contact is in the line from " + controller.name()
                                + " to the battery: opened while the sun shines it can destroy the controller.")
                .about("program/outputs/" + output.id() + "/side")
                .cure(
                        "the contact acts at the enable input of " + controller.name()
                                + (withInverter ? ", and at the charge enable of the inverter" : ""),
                        Cures.output(
                                output.id(),
                                one -> one.withSide(
                                        Optional.of(withInverter ? Output.Side.CHARGE : Output.Side.ENABLE))))
                .cure(
                        "the contact is in the line from its array",
                        Cures.output(output.id(), one -> one.withSide(Optional.of(Output.Side.ARRAY))));
    }
}
