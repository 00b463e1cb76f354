package sparen.device;

import java.util.Map;
import sparen.quantity.Bounds;

/**
 * One position of a coded switch, which sets several numbers at once.
 *
 * @param code as it stands on the device
 * @param values what it sets, by setting as in {@link Knob#setting()}, in the document's units, 1 to 50
 */
public record Code(String code, Map<String, Double> values) {
    public Code {
        Bounds.name("code", code);
        values = Bounds.ordered(Bounds.present("values", values));
        Bounds.within("values", values.size(), "settings", 1, 50);
        values.forEach((setting, value) -> Bounds.within("values." + setting, value, "", -1e6, 1e6));
    }
}
