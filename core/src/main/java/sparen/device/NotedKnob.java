package sparen.device;

import java.util.List;
import java.util.Optional;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

/**
 * An entry that stands for nothing in a plan, such as the standard of the country, the speed of a link or a buzzer: it is written down,
 * for a wrong one stops the job all the same.
 *
 * @param id its name in references
 * @param label what the device calls it
 * @param unit what it counts in; may be empty
 * @param choices what can be chosen, 0 to 50; none where anything can be entered
 * @param usual what it usually is; one of the choices where there are some
 * @param needs what must be set or enabled first; absent for nothing
 * @param menu number or path of its menu, as the device shows it; absent where it has none
 * @param factory as it comes; absent where nobody knows
 * @param shown from when, with what and under what condition it is seen; absent for always, on the device itself
 * @param link what it is of a link to another device; absent where it belongs to none
 */
public record NotedKnob(
        String id,
        String label,
        String unit,
        List<MenuChoice> choices,
        String usual,
        Optional<String> needs,
        Optional<String> menu,
        Optional<String> factory,
        Optional<Shown> shown,
        Optional<LinkPart> link)
        implements Knob, NotedKnobWith {
    public NotedKnob {
        Bounds.id("id", id);
        Bounds.name("label", label);
        Bounds.present("unit", unit);
        choices = Bounds.orNone(choices);
        Bounds.within("choices", choices.size(), "choices", 0, MenuChoice.MOST);
        MenuChoice.entered(choices);
        takes("usual", usual, choices);
        needs = Bounds.name("needs", needs);
        menu = Bounds.name("menu", menu);
        factory = Bounds.orEmpty(factory);
        if (factory.isPresent()) {
            takes("factory", factory.get(), choices);
        }
        shown = Bounds.orEmpty(shown);
        link = Bounds.orEmpty(link);
    }

    @Override
    public String key() {
        return id;
    }

    /**
     * Refuses what cannot be entered.
     *
     * @throws InvalidQuantity when there are choices and it is none of them
     */
    void takes(String field, String entered) {
        takes(field, entered, choices);
    }

    private static void takes(String field, String entered, List<MenuChoice> choices) {
        Bounds.name(field, entered);
        if (!choices.isEmpty()) {
            Bounds.known(field, entered, choices.stream().map(MenuChoice::enter).toList());
        }
    }
}
