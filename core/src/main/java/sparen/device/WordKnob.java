package sparen.device;

import java.util.List;
import java.util.Optional;
import sparen.quantity.Bounds;

/**
 * A choice of the plan, or a yes or no, that a device lets be made, or has made.
 *
 * @param setting what it sets, as in {@link NumberKnob#setting()}, such as {@code ac.source}
 * @param label what the device calls it
 * @param choices what can be chosen, 1 to 50; one where it is fixed
 * @param needs what must be set or enabled first; absent for nothing
 * @param menu number or path of its menu, as the device shows it; absent where it has none
 * @param factory what is entered as it comes, one of the choices; absent where nobody knows
 * @param shown from when, with what and under what condition it is seen; absent for always, on the device itself
 */
public record WordKnob(
        String setting,
        String label,
        List<MenuChoice> choices,
        Optional<String> needs,
        Optional<String> menu,
        Optional<String> factory,
        Optional<Shown> shown)
        implements Knob, WordKnobWith {
    public WordKnob {
        NumberKnob.setting(setting);
        Bounds.name("label", label);
        choices = Bounds.list("choices", choices, 1, MenuChoice.MOST);
        List<String> entered = MenuChoice.entered(choices);
        Bounds.unique("choices", choices.stream().map(MenuChoice::is).toList());
        needs = Bounds.name("needs", needs);
        menu = Bounds.name("menu", menu);
        factory = Bounds.orEmpty(factory);
        factory.ifPresent(one -> Bounds.known("factory", one, entered));
        shown = Bounds.orEmpty(shown);
    }

    @Override
    public String key() {
        return setting;
    }
}
