package sparen.handover;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import sparen.device.EntryRegister;
import sparen.device.FittedDevice;
import sparen.device.Knob;
import sparen.device.Register;
import sparen.device.Register.WordOrder;
import sparen.device.Wire;
import sparen.program.Plan;
import sparen.quantity.InvalidQuantity;
import sparen.setting.Setting;

/**
 * An entry of a device's menu that lies on its wire.
 *
 * @param setting what is to stand there
 * @param knob the entry
 * @param code how it lies in registers
 * @param register where
 * @param order of its words
 */
public record WiredEntry(Setting setting, Knob knob, EntryRegister code, Register register, WordOrder order) {
    /** The entries of a device that lie on its wire, in the order of its menu; none where it has no wire. */
    public static List<WiredEntry> of(Plan plan, FittedDevice device) {
        return device.profile().wire().stream()
                .flatMap(wire -> DeviceComparison.settings(plan, device).values().stream()
                        .flatMap(setting -> of(device, wire, setting)))
                .toList();
    }

    private static Stream<WiredEntry> of(FittedDevice device, Wire wire, Setting setting) {
        int output = Math.max(0, device.outputs().indexOf(setting.at()));
        return setting.entry().stream()
                .flatMap(key -> wire.entry(key).stream().flatMap(code -> device.profile().knob(key).stream()
                        .map(knob -> new WiredEntry(setting, knob, code, code.at(output), wire.order()))));
    }

    /** The same where something else is wanted. */
    public WiredEntry wanting(String entered) {
        return new WiredEntry(setting.withEnter(entered), knob, code, register, order);
    }

    /** What tells it from the others of its device. */
    public String place() {
        return setting.place();
    }

    /** What the device's menu shows for what stands in its registers. */
    public String text(List<Integer> raw) {
        return code.text(knob, raw, order);
    }

    /**
     * What has to stand in its registers for something to stand in the menu.
     *
     * @throws InvalidQuantity when they cannot hold it
     */
    public List<Integer> raw(String entered) {
        return code.raw(knob, entered, order);
    }

    /**
     * What has to be written so that a device holds what is planned, in a safe order: what goes up from the highest on, then what goes
     * down from the lowest on, so that no level ever passes the next one; choices last, so that what begins to act has its numbers.
     * What the device cannot hold, and what it holds already, is left out.
     *
     * @param holds what stands there, by places
     */
    public static List<WiredEntry> toWrite(List<WiredEntry> entries, Map<String, String> holds) {
        return entries.stream()
                .filter(one -> !one.setting.enter().isEmpty() && holds.containsKey(one.place()))
                .filter(one -> !ReadEntry.isSame(holds.get(one.place()), one.setting.enter()))
                .sorted(Comparator.comparing((WiredEntry one) -> one.isChoice())
                        .thenComparing(one -> !one.rises(holds))
                        .thenComparingDouble(one -> one.rises(holds) ? -one.planned() : one.planned()))
                .toList();
    }

    private boolean isChoice() {
        return !knob.choices().isEmpty() || ReadEntry.number(setting.enter()).isEmpty();
    }

    private boolean rises(Map<String, String> holds) {
        return planned() > ReadEntry.number(holds.get(place())).orElse(0.0);
    }

    private double planned() {
        return ReadEntry.number(setting.enter()).orElse(0.0);
    }
}
