package sparen.check;

import java.util.Optional;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.Contact;
import sparen.program.Contact.Carrier;
import sparen.program.Contact.CoilFeed;
import sparen.program.Output;
import sparen.quantity.Bounds;

/** A coil that takes more than what carries its current bears burns that out, or never pulls in. I = P / U at the bank's lowest voltage. */
final class CoilBeyondCarrier implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.outputs().stream().flatMap(output -> output.contact().stream()
                .flatMap(contact -> contact.coilFeed().stream())
                .flatMap(feed -> of(plan, output, feed)));
    }

    private Stream<Finding> of(PlanFacts plan, Output output, CoilFeed feed) {
        double watts = Math.max(
                output.coilWatts().orElse(0.0),
                output.contact().flatMap(Contact::pullInWatts).orElse(0.0));
        double amperes = watts / plan.bank().lowestVolts();
        if (amperes <= feed.amperes()) {
            return Stream.empty();
        }
        double enough = Math.ceil(amperes);
        Finding finding = finding(
                        Hazard.LOSS_OF_CONTROL,
                        Severity.CAUTION,
                        output.id(),
                        "The coil takes more than what carries its current bears: that burns out, or the coil never pulls in.")
                .about("program/outputs/" + output.id() + "/contact/coilFeed/amperes")
                .number("coil takes", amperes, "A")
                .number("bears", feed.amperes(), "A");
        return Stream.of(
                feed.carrier() == Carrier.PILOT_RELAY
                        ? finding
                        : finding.cure(
                                "a relay between them that bears " + Bounds.number(enough) + " A",
                                Cures.output(
                                        output.id(),
                                        one -> one.withContact(one.contact()
                                                .map(contact -> contact.withCoilFeed(
                                                        Optional.of(new CoilFeed(Carrier.PILOT_RELAY, enough))))))));
    }
}
