package sparen.program;

import java.util.List;
import java.util.Optional;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

/**
 * A relay, auxiliary output or load terminal. Its contact follows wish and protection; a test force goes past both.
 *
 * @param id its name in references
 * @param name what the crew calls it
 * @param loads ids of the loads behind its contact; none for a signalling contact
 * @param wish off, on, or automatic by the rule below
 * @param automatic the rule of an automatic wish; kept while the wish is off or on
 * @param protection guard that opens the contact whatever the wish
 * @param testForce temporary force past wish and protection
 */
public record Output(
        String id,
        String name,
        List<String> loads,
        Wish wish,
        Optional<Rule> automatic,
        Optional<Rule> protection,
        TestForce testForce) {
    public Output {
        Bounds.id("id", id);
        Bounds.name("name", name);
        loads = List.copyOf(Bounds.present("loads", loads));
        Bounds.unique("loads", loads);
        Bounds.present("wish", wish);
        Bounds.present("testForce", testForce);
        automatic = Bounds.orEmpty(automatic);
        protection = Bounds.orEmpty(protection);
        if (wish == Wish.AUTOMATIC && automatic.isEmpty()) {
            throw new InvalidQuantity("wish", "AUTOMATIC needs an automatic rule; this output has none");
        }
    }
}
