package sparen.device;

import java.util.List;
import java.util.Optional;
import sparen.device.Register.WordOrder;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

/**
 * How a kind of device is read and set over a wire (Modbus, holding registers).
 *
 * @param order which half of a number of two registers comes first
 * @param entries where entries of its menu lie, 1 to 200; one that is left out is typed by hand
 * @param live what it tells of the moment, 0 to 40
 * @param unlock register that takes a password before anything can be written; absent where it needs none
 * @param save what makes written numbers last; absent where each does at once
 * @param busy register that is not 0 while it saves, and takes nothing; absent where it has none
 */
public record Wire(
        WordOrder order,
        List<EntryRegister> entries,
        List<LiveRegister> live,
        Optional<Integer> unlock,
        Optional<Command> save,
        Optional<Integer> busy)
        implements WireWith {
    /**
     * A number that makes the device do something.
     *
     * @param address of the register it is written to, counted from 0, to 65535
     * @param value the number, 0 to 65535
     */
    public record Command(int address, int value) {
        public Command {
            Bounds.within("address", address, "", 0, Register.LAST);
            Bounds.within("value", value, "", 0, Register.LAST);
        }
    }

    public Wire {
        Bounds.present("order", order);
        entries = Bounds.list("entries", entries, 1, DeviceProfile.MOST_KNOBS);
        Bounds.unique("entries", entries.stream().map(EntryRegister::entry).toList());
        live = Bounds.orNone(live);
        Bounds.within("live", live.size(), "registers", 0, 40);
        Bounds.unique("live", live.stream().map(one -> one.what().name()).toList());
        unlock = Bounds.orEmpty(unlock);
        unlock.ifPresent(address -> Bounds.within("unlock", address, "", 0, Register.LAST));
        save = Bounds.orEmpty(save);
        busy = Bounds.orEmpty(busy);
        busy.ifPresent(address -> Bounds.within("busy", address, "", 0, Register.LAST));
    }

    /** Where an entry lies; empty where it is typed by hand. */
    public Optional<EntryRegister> entry(String key) {
        return entries.stream().filter(one -> one.entry().equals(key)).findFirst();
    }

    /** Where something of the moment lies; empty where the device does not tell it. */
    public Optional<LiveRegister> live(LiveRegister.What what) {
        return live.stream().filter(one -> one.what() == what).findFirst();
    }

    /** Refuses an entry that the menu does not have, and two that lie on each other. */
    void fits(List<Knob> knobs, int outputs) {
        List<String> keys = knobs.stream().map(Knob::key).toList();
        boolean[] taken = new boolean[Register.LAST + 1];
        for (int i = 0; i < entries.size(); i++) {
            EntryRegister entry = entries.get(i);
            String at = "wire.entries." + i;
            Bounds.known(at + ".entry", entry.entry(), keys);
            int times = entry.perOutput().filter(further -> further > 0).isPresent() ? Math.max(1, outputs) : 1;
            for (int output = 0; output < times; output++) {
                Register register = entry.at(output);
                for (int word = 0; word < register.words(); word++) {
                    int address = register.address() + word;
                    if (taken[address]) {
                        throw new InvalidQuantity(
                                at + ".register.address",
                                address + " is taken already: \"" + entry.entry() + "\" would lie on another entry");
                    }
                    taken[address] = true;
                }
            }
        }
    }
}
