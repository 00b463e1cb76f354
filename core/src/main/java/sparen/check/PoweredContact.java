package sparen.check;

import java.util.Optional;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.Contact;
import sparen.program.Output;
import sparen.site.Load;

/**
 * A contact that gives a voltage of its own, at an input that wants to be closed: an enable, a start, a charge permission. The voltage
 * goes into the other device, or the input never sees it closed. A relay between them gives a dry contact. Common practice, no source.
 */
final class PoweredContact implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.outputs().stream()
                .filter(output -> output.contact().flatMap(Contact::powered).orElse(false))
                .filter(output -> actsOnInput(plan, output))
                .map(output -> gives(
                                finding(
                                        Hazard.LOSS_OF_CONTROL,
                                        Severity.CAUTION,
                                        output.id(),
                                        "Its contact gives a voltage of its own to an input that wants to be closed, not"
                                                + " fed."),
                                output)
                        .about("program/outputs/" + output.id() + "/contact/powered")
                        .cure(
                                "a relay between them: the contact is dry",
                                Cures.output(
                                        output.id(),
                                        one -> one.withContact(
                                                one.contact().map(contact -> contact.withPowered(Optional.empty())
                                                        .withGivesVolts(Optional.empty()))))));
    }

    private static Finding gives(Finding finding, Output output) {
        return output.contact()
                .flatMap(Contact::givesVolts)
                .map(volts -> finding.number("it gives", volts, "V"))
                .orElse(finding);
    }

    private static boolean actsOnInput(PlanFacts plan, Output output) {
        Output.Side side = output.side().orElse(Output.Side.ENABLE);
        boolean isInput = side == Output.Side.ENABLE || side == Output.Side.CHARGE;
        return isInput
                && output.loads().stream()
                        .anyMatch(
                                id -> plan.site().loads().stream().map(Load::id).noneMatch(id::equals));
    }
}
