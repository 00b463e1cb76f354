package sparen.setting;

import java.util.Optional;
import sparen.device.Shown;

/**
 * One entry of a device's menu as it is to be set.
 *
 * @param kind what it is
 * @param device id of the device
 * @param at id of the output, charger, inverter or monitor it belongs to; of the device for what is only noted
 * @param path of the number or choice in the plan, as in origins
 * @param entry what tells the entry from the others of its device, as in {@link sparen.device.Knob#key()}; absent where it has none
 * @param menu number or path of its menu; absent where it has none
 * @param label what the device calls it, or the field where it has no such setting or a coded switch sets it
 * @param enter what is entered, as the device has it; for a coded switch its position; empty where it cannot be
 * @param unit the device's; may be empty
 * @param planUnit of wanted and effective; empty for a ratio
 * @param wanted the plan's number, in planUnit; 0 for what is no number
 * @param effective what the device makes of it, in planUnit
 * @param step between two numbers that it takes, in planUnit; 0 where it takes no other, and for what is no number
 * @param wantedWord what the plan has chosen, as in documents, or what is noted means; absent for a number, and for what nobody has noted
 * @param effectiveWord what the device makes of it; absent for a number
 * @param needs what must be set or enabled first; absent for nothing
 * @param assumed whether the device's bounds are assumed until measured
 * @param factory what is entered there as the device comes; absent where nobody knows
 * @param shown from when, with what and under what condition it is seen; absent for always, on the device itself
 * @param hidden whether that condition is not met
 * @param forced which other entry makes it what it is; absent where what is entered acts
 * @param problem why the device cannot hold it; absent where it can
 */
public record Setting(
        Kind kind,
        String device,
        String at,
        String path,
        Optional<String> entry,
        Optional<String> menu,
        String label,
        String enter,
        String unit,
        String planUnit,
        double wanted,
        double effective,
        double step,
        Optional<String> wantedWord,
        Optional<String> effectiveWord,
        Optional<String> needs,
        boolean assumed,
        Optional<String> factory,
        Optional<Shown> shown,
        boolean hidden,
        Optional<String> forced,
        Optional<String> problem)
        implements SettingWith {
    /** What an entry of a device's menu is. */
    public enum Kind {
        NUMBER,
        /** A number that one position of a coded switch sets together with others. */
        POSITION,
        /** A choice, or a yes or no. */
        WORD,
        /** Nothing of the plan. */
        NOTED,
        /** A rule that it cannot carry. */
        RULE
    }

    /** What tells the entry from the others of its device: two outputs have the same entries. */
    public String place() {
        return at + "/" + entry.orElse("position");
    }

    /** Whether there is an entry for it, which can be seen as the device is set. */
    public boolean standsInMenu() {
        return (entry.isPresent() || kind == Kind.POSITION) && !hidden;
    }

    /** Whether the device makes something else of it than the plan wants. */
    public boolean actsOtherwise() {
        return effective != wanted || kind == Kind.WORD && !effectiveWord.equals(wantedWord);
    }
}
