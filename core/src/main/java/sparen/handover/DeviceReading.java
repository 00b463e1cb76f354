package sparen.handover;

import java.time.Instant;
import java.util.Map;

/**
 * What was read off a device at one time.
 *
 * @param at when
 * @param by who
 * @param values by the place of the entry; of what was not looked at there is none
 */
public record DeviceReading(Instant at, String by, Map<String, ReadValue> values) {
    /**
     * What one entry was.
     *
     * @param read as the device has it
     * @param planned what the plan wanted there then; empty where it wanted nothing it could hold
     */
    public record ReadValue(String read, String planned) {}
}
