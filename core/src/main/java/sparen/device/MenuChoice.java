package sparen.device;

import java.util.List;
import java.util.Map;
import sparen.quantity.Bounds;

/**
 * One thing that can be chosen in a device's menu.
 *
 * @param enter what the device shows for it
 * @param is what it means: the plan's word as in documents, {@code true}, {@code false} or {@link #ABSENT}; or any words, of an entry that
 *     stands for nothing in a plan
 * @param forces what it makes of numbers the device has an entry for, whatever is entered there, by setting, in the document's units, 0 to 50
 * @param chooses what it makes of choices the device has an entry for, whatever is entered there, by setting, each as that choice means, 0 to
 *     50
 */
public record MenuChoice(String enter, String is, Map<String, Double> forces, Map<String, String> chooses) {
    /** The plan says nothing. */
    public static final String ABSENT = "absent";

    static final int MOST = 50;

    public MenuChoice {
        Bounds.name("enter", enter);
        Bounds.name("is", is);
        forces = Bounds.ordered(forces);
        Bounds.within("forces", forces.size(), "settings", 0, MOST);
        forces.forEach((setting, value) -> Bounds.within("forces." + setting, value, "", -1e6, 1e6));
        chooses = Bounds.ordered(chooses);
        Bounds.within("chooses", chooses.size(), "settings", 0, MOST);
        chooses.forEach((setting, made) -> Bounds.name("chooses." + setting, made));
    }

    /** One that makes nothing of any other entry. */
    public static MenuChoice plain(String enter, String is) {
        return new MenuChoice(enter, is, Map.of(), Map.of());
    }

    /** What the device shows for each of some, which no two share. */
    static List<String> entered(List<MenuChoice> choices) {
        List<String> entered = choices.stream().map(MenuChoice::enter).toList();
        Bounds.unique("choices", entered);
        return entered;
    }
}
