package sparen.standin;

import java.math.BigInteger;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntFunction;
import sparen.device.EntryRegister;
import sparen.device.FittedDevice;
import sparen.device.Knob;
import sparen.device.MenuChoice;
import sparen.device.Register;
import sparen.device.Register.WordOrder;
import sparen.device.Wire;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import sparen.setting.DeviceSettings;
import sparen.setting.Setting;

/** The menu of a device in its registers: which words an entry is, and what they say. */
final class Menu {
    private final FittedDevice fitted;
    private final Wire wire;
    private final Map<String, Slot> slots = new LinkedHashMap<>();

    /** An entry of the menu in its registers. */
    record Slot(Setting setting, Knob knob, Register register) {}

    Menu(Plan plan, FittedDevice fitted) {
        this.fitted = fitted;
        this.wire = fitted.profile().wire().orElseThrow();
        for (Setting setting : DeviceSettings.of(plan)) {
            if (setting.device().equals(fitted.id()) && setting.entry().isPresent()) {
                slot(setting).ifPresent(slot -> slots.put(setting.place(), slot));
            }
        }
    }

    private Optional<Slot> slot(Setting setting) {
        String key = setting.entry().orElseThrow();
        for (EntryRegister entry : wire.entries()) {
            if (entry.entry().equals(key)) {
                int output = Math.max(0, fitted.outputs().indexOf(setting.at()));
                Register first = entry.register();
                int address = first.address() + output * entry.perOutput().orElse(0);
                Register register = new Register(address, first.words(), first.signed(), first.scale());
                return fitted.profile().knob(key).map(knob -> new Slot(setting, knob, register));
            }
        }
        return Optional.empty();
    }

    Collection<Slot> slots() {
        return slots.values();
    }

    /** The words it comes with, by their addresses. */
    Map<Integer, Integer> factory() {
        Map<Integer, Integer> factory = new HashMap<>();
        for (Slot slot : slots.values()) {
            int[] words = ordered(Words.words(count(slot, slot.setting().enter()), slot.register()), wire.order());
            for (int i = 0; i < words.length; i++) {
                factory.put(slot.register().address() + i, words[i]);
            }
        }
        return factory;
    }

    /** Two words as a device sends them, or back. */
    static int[] ordered(int[] words, WordOrder order) {
        return order == WordOrder.HIGH_FIRST || words.length == 1 ? words : new int[] {words[1], words[0]};
    }

    /** A choice counts as its place in the list; what no plan has said stands at the first, or at 0. */
    private static BigInteger count(Slot slot, String entered) {
        List<MenuChoice> choices = slot.knob().choices();
        if (!choices.isEmpty()) {
            int place = choices.stream().map(MenuChoice::enter).toList().indexOf(entered);
            return BigInteger.valueOf(Math.max(0, place));
        }
        return entered.isEmpty() ? BigInteger.ZERO : Words.count(Double.parseDouble(entered), slot.register());
    }

    /** What words say at each entry, by places. */
    Map<String, String> texts(IntFunction<Integer> words) {
        Map<String, String> shown = new LinkedHashMap<>();
        slots.forEach((place, slot) -> {
            int[] raw = new int[slot.register().words()];
            for (int i = 0; i < raw.length; i++) {
                raw[i] = words.apply(slot.register().address() + i);
            }
            BigInteger count = Words.count(ordered(raw, wire.order()), slot.register());
            List<MenuChoice> choices = slot.knob().choices();
            int choice = count.intValue();
            shown.put(
                    place,
                    choices.isEmpty()
                            ? Bounds.number(Words.number(count, slot.register()))
                            : choice >= 0 && choice < choices.size()
                                    ? choices.get(choice).enter()
                                    : "?");
        });
        return shown;
    }

    /** What stands at an entry, with its unit, for a page. */
    String label(String place) {
        Setting setting = slots.get(place).setting();
        String output = fitted.outputs().contains(setting.at()) ? ", " + setting.at() : "";
        return setting.menu().map(menu -> menu + " ").orElse("") + setting.label() + output;
    }

    String unit(String place) {
        return slots.get(place).setting().unit();
    }
}
