package sparen.device;

import sparen.quantity.Bounds;

/**
 * What an entry is of a link to another device.
 *
 * @param port the socket it is about, as the device marks it
 * @param part what it says of the link
 */
public record LinkPart(String port, Part part) {
    /** What both ends of a link have to agree on. */
    public enum Part {
        PROTOCOL,
        SPEED,
        /** No two on a link may have the same. */
        ADDRESS,
        TERMINATOR
    }

    public LinkPart {
        Bounds.name("port", port);
        Bounds.present("part", part);
    }
}
