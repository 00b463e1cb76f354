package sparen.device;

import java.util.List;
import sparen.quantity.Bounds;

/**
 * A data line between two devices.
 *
 * @param id its name in references
 * @param name what the crew calls it
 * @param ends two, in different devices
 */
public record DeviceLink(String id, String name, List<End> ends) {
    /**
     * Where a link ends.
     *
     * @param fitted id of the device
     * @param port the socket, as the device marks it
     */
    public record End(String fitted, String port) {
        public End {
            Bounds.present("fitted", fitted);
            Bounds.name("port", port);
        }
    }

    public DeviceLink {
        Bounds.id("id", id);
        Bounds.name("name", name);
        ends = Bounds.list("ends", ends, 2, 2);
        Bounds.unique("ends", ends.stream().map(End::fitted).toList());
    }
}
