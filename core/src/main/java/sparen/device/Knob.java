package sparen.device;

import java.util.List;
import java.util.Optional;

/** One entry of a device's menu, in the order of the menu: a number or a word of the plan, or something no plan has. */
public sealed interface Knob permits NumberKnob, WordKnob, NotedKnob {
    /** What tells it from the others of its device: the setting of the plan that it holds, or an id of its own. */
    String key();

    /** What the device calls it. */
    String label();

    /** Number or path of its menu, as the device shows it; absent where it has none. */
    Optional<String> menu();

    /** What must be set or enabled first; absent for nothing. */
    Optional<String> needs();

    /** What can be chosen; none where a number or anything can be entered. */
    List<MenuChoice> choices();

    /** From when, with what and under what condition it is seen; absent for always, on the device itself. */
    Optional<Shown> shown();
}
