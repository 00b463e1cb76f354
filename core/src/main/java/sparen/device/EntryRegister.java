package sparen.device;

import java.util.List;
import java.util.Optional;
import sparen.device.Register.WordOrder;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

/**
 * Where an entry of the menu lies on the wire. A number counts in the entry's own unit; a choice is its place in the list, from 0.
 *
 * @param entry the entry, as in {@link Knob#key()}
 * @param register of the entry; of an output's, at the device's first output
 * @param perOutput how many registers further the same entry of the next output lies, 0 to 10000; absent for 0
 */
public record EntryRegister(String entry, Register register, Optional<Integer> perOutput) implements EntryRegisterWith {
    public EntryRegister {
        Bounds.name("entry", entry);
        Bounds.present("register", register);
        perOutput = Bounds.orEmpty(perOutput);
        perOutput.ifPresent(further -> Bounds.within("perOutput", further, "registers", 0, 10_000));
    }

    /** Where it lies for one of the device's outputs, 0 for the first and for what belongs to none. */
    public Register at(int output) {
        return register.further(perOutput.orElse(0) * output);
    }

    /**
     * What is entered, as it lies in the registers.
     *
     * @throws InvalidQuantity when it is nothing they can hold
     */
    public List<Integer> raw(Knob knob, String entered, WordOrder order) {
        List<MenuChoice> choices = knob.choices();
        for (int i = 0; i < choices.size(); i++) {
            if (choices.get(i).enter().equals(entered)) {
                return register.raw(i * register.scale(), order);
            }
        }
        if (!choices.isEmpty()) {
            throw new InvalidQuantity(knob.label(), "\"" + entered + "\" is none of its choices");
        }
        return register.raw(number(knob, entered), order);
    }

    private static double number(Knob knob, String entered) {
        try {
            return Double.parseDouble(entered);
        } catch (NumberFormatException noNumber) {
            throw new InvalidQuantity(knob.label(), "\"" + entered + "\" is not a number");
        }
    }

    /** What stands in the registers, as the device's menu has it; for a count that is no choice, the count. */
    public String text(Knob knob, List<Integer> raw, WordOrder order) {
        double number = register.number(raw, order);
        List<MenuChoice> choices = knob.choices();
        if (choices.isEmpty()) {
            return Bounds.number(number);
        }
        int place = (int) Math.rint(number / register.scale());
        return place >= 0 && place < choices.size() ? choices.get(place).enter() : Bounds.number(place);
    }
}
