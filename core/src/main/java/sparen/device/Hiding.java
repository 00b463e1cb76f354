package sparen.device;

import sparen.quantity.Bounds;

/**
 * A rule that hides, forces or overrides another in the same device.
 *
 * @param rule kind of rule that does it, as in documents
 * @param hides kind of rule that has no effect then
 * @param says how, in words
 */
public record Hiding(String rule, String hides, String says) {
    public Hiding {
        Bounds.name("rule", rule);
        Bounds.name("hides", hides);
        Bounds.name("says", says);
    }
}
