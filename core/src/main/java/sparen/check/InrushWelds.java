package sparen.check;

import java.util.stream.Stream;
import sparen.examined.ContactLoad;
import sparen.examined.PlanFacts;
import sparen.program.Contact;

/** A start surge beyond what a contact may close on welds it shut. */
final class InrushWelds implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.outputs().stream()
                .filter(output ->
                        output.contact().flatMap(Contact::inrushAmperes).isPresent())
                .flatMap(output -> {
                    double bears =
                            output.contact().flatMap(Contact::inrushAmperes).orElseThrow();
                    double inrush = ContactLoad.inrushAmperes(plan, output);
                    return inrush <= bears
                            ? Stream.empty()
                            : Stream.of(finding(
                                            Hazard.LOSS_OF_CONTROL,
                                            Severity.DANGER,
                                            output.id(),
                                            "Its load starts with more than the contact may close on: it welds, and never"
                                                    + " opens again.")
                                    .about("program/outputs/" + output.id() + "/contact/inrushAmperes")
                                    .number("inrush", inrush, "A")
                                    .number("contact may close on", bears, "A"));
                });
    }
}
