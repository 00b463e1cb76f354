package sparen.device;

import java.util.Optional;
import sparen.quantity.Bounds;

/**
 * What an entry of a device's menu is that stands for nothing in the plan.
 *
 * @param id of the entry
 * @param value what is entered
 * @param remark why, or who said so, to 300 characters; absent for none
 */
public record NotedValue(String id, String value, Optional<String> remark) {
    public NotedValue {
        Bounds.id("id", id);
        Bounds.name("value", value);
        remark = Bounds.orEmpty(remark);
        remark.ifPresent(text -> Bounds.within("remark", text.length(), "characters", 0, 300));
    }
}
