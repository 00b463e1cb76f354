package sparen.check;

import java.util.stream.Stream;
import sparen.examined.ContactLoad;
import sparen.examined.PlanFacts;
import sparen.program.Contact;
import sparen.program.Output;

/** More current or voltage through a contact than its maker rates it for. */
final class ContactRating implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.outputs().stream()
                .filter(output ->
                        output.contact().isPresent() && !output.loads().isEmpty())
                .flatMap(output -> Stream.concat(direct(plan, output), alternating(plan, output)));
    }

    private Stream<Finding> direct(PlanFacts plan, Output output) {
        Contact contact = output.contact().orElseThrow();
        boolean isDirect = ContactLoad.isDirect(plan, output);
        double amperes = ContactLoad.dcAmperes(plan, output);
        double highest = Math.max(plan.bank().highestVolts(), plan.highestRegulation());
        double bears = Math.max(
                contact.dcAmperes().orElse(Double.POSITIVE_INFINITY),
                // For how long that is, a run tells.
                contact.intermittent().map(Contact.Intermittent::amperes).orElse(0.0));
        boolean tooMuch = amperes > bears;
        boolean tooHigh = highest > contact.dcVolts().orElse(Double.POSITIVE_INFINITY);
        return isDirect && (tooMuch || tooHigh)
                ? Stream.of(finding(
                                Hazard.OVERLOAD,
                                Severity.DANGER,
                                output.id(),
                                tooMuch
                                        ? "Its load draws more than the contact is rated for with direct current."
                                        : "The contact is not rated to break direct current at this voltage: the arc stays.")
                        .about("program/outputs/" + output.id() + "/contact")
                        .number("load", amperes, "A")
                        .number("contact rated DC", contact.dcAmperes().orElse(Double.NaN), "A")
                        .number("highest voltage", highest, "V")
                        .number("contact rated DC to", contact.dcVolts().orElse(Double.NaN), "V"))
                : Stream.empty();
    }

    private Stream<Finding> alternating(PlanFacts plan, Output output) {
        Contact contact = output.contact().orElseThrow();
        double amperes = ContactLoad.acAmperes(plan, output);
        return amperes > contact.acAmperes().orElse(Double.POSITIVE_INFINITY)
                ? Stream.of(finding(
                                Hazard.OVERLOAD,
                                Severity.DANGER,
                                output.id(),
                                "Its load draws more than the contact is rated for with alternating current.")
                        .about("program/outputs/" + output.id() + "/contact/acAmperes")
                        .number("load", amperes, "A")
                        .number("contact rated AC", contact.acAmperes().orElseThrow(), "A"))
                : Stream.empty();
    }
}
