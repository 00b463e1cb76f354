package sparen.logic;

import java.util.List;
import java.util.Optional;

/**
 * One way in which a switch changes: a condition that must hold unbroken for a delay.
 *
 * @param when what must hold
 * @param delaySeconds for how long (s), 0 or more
 * @param lookSeconds the device looks only at whole multiples of this (s); 0 for all the time
 * @param because the condition in words, as it is told when it has changed the switch
 * @param reading what the device reads then
 */
public record Way(Condition when, double delaySeconds, double lookSeconds, String because, Optional<Reading> reading) {
    /** A way that is looked at all the time and has nothing to read. */
    public static Way when(Condition condition, double delaySeconds, String because) {
        return new Way(condition, delaySeconds, 0, because, Optional.empty());
    }

    /** The same, but only while another condition holds too. */
    public Way andOnlyIf(Condition other, String inWords) {
        return new Way(
                new Condition.AllOf(List.of(when, other)),
                delaySeconds,
                lookSeconds,
                inWords.isEmpty() ? because : because + " " + inWords,
                reading);
    }
}
