package sparen.gauge;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import sparen.examined.ContactLoad;
import sparen.examined.PlanFacts;
import sparen.format.Profile;
import sparen.program.Contact;
import sparen.program.Output;
import sparen.program.Plan;

/**
 * How much of what something bears is used at the worst.
 *
 * @param output id of the output it belongs to
 * @param name what bears it
 * @param used at the worst, in the unit
 * @param bears what it is rated for, in the unit
 * @param unit A or V
 */
public record Rating(String output, String name, double used, double bears, String unit) {
    private static final String AMPERES = "A";

    /** The ratings of all outputs, as far as they are told. */
    public static List<Rating> of(Plan plan, Map<String, Profile> profiles) {
        return of(new PlanFacts(plan, profiles));
    }

    /** The same of a plan of which the facts are there. */
    public static List<Rating> of(PlanFacts examined) {
        Plan plan = examined.asWanted();
        List<Rating> ratings = new ArrayList<>();
        for (Output output : plan.program().outputs()) {
            output.contact().ifPresent(contact -> contact(ratings, examined, output, contact));
            conductors(ratings, examined, output);
        }
        return ratings;
    }

    private static void contact(List<Rating> into, PlanFacts plan, Output output, Contact contact) {
        String id = output.id();
        if (ContactLoad.isDirect(plan, output)) {
            contact.dcAmperes()
                    .ifPresent(bears -> into.add(new Rating(
                            id, "contact, direct current", ContactLoad.dcAmperes(plan, output), bears, AMPERES)));
            double highest = Math.max(plan.bank().highestVolts(), plan.highestRegulation());
            contact.dcVolts()
                    .ifPresent(bears -> into.add(new Rating(id, "contact, breaking voltage", highest, bears, "V")));
        }
        contact.acAmperes()
                .ifPresent(bears -> into.add(new Rating(
                        id, "contact, alternating current", ContactLoad.acAmperes(plan, output), bears, AMPERES)));
        contact.inrushAmperes()
                .ifPresent(bears -> into.add(
                        new Rating(id, "contact, inrush", ContactLoad.inrushAmperes(plan, output), bears, AMPERES)));
    }

    private static void conductors(List<Rating> into, PlanFacts plan, Output output) {
        plan.site().loads().stream()
                .filter(load -> output.loads().contains(load.id()))
                .filter(load -> load.feed().isEmpty())
                .forEach(load -> load.cable()
                        .ampacityAmperes()
                        .ifPresent(bears -> into.add(new Rating(
                                output.id(),
                                "conductor to " + load.name(),
                                plan.worstAmperes(load.id(), plan.site().nominalVolts()),
                                bears,
                                AMPERES))));
    }
}
