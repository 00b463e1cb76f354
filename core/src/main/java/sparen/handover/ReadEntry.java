package sparen.handover;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import sparen.device.FittedDevice;
import sparen.device.Knob;
import sparen.device.MenuChoice;
import sparen.device.NumberKnob;
import sparen.handover.DeviceReading.ReadValue;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;
import sparen.setting.Setting;

/**
 * An entry of a device's menu: what is to stand there, and what does.
 *
 * @param place what tells it from the others of its device
 * @param at id of the output, charger, inverter or monitor it belongs to; of the device for what is only noted
 * @param menu number or path of its menu; absent where it has none
 * @param label what the device calls it
 * @param unit the device's; may be empty
 * @param planned what is to be entered; empty where the device cannot hold what is wanted
 * @param choices what can be read there; none where it is a number or anything
 * @param agreement how one goes with the other
 * @param read what was read last; absent before anybody looked
 * @param readAt when; absent before anybody looked
 * @param readBy who; absent before anybody looked
 * @param since when it was first read as it is now, without a break; absent before anybody looked
 */
public record ReadEntry(
        String place,
        String at,
        Optional<String> menu,
        String label,
        String unit,
        String planned,
        List<String> choices,
        Agreement agreement,
        Optional<String> read,
        Optional<Instant> readAt,
        Optional<String> readBy,
        Optional<Instant> since) {
    /** How what was read goes with what is planned. */
    public enum Agreement {
        UNREAD,
        SAME,
        /** It held what was planned when it was read; the plan has changed since. */
        TO_ENTER,
        /** It holds what nobody planned. */
        DRIFTED,
        /** It was read, and it cannot hold what is planned. */
        CANNOT_HOLD
    }

    private static final double DUST = 1e-9;

    static ReadEntry of(Setting setting, FittedDevice device, List<DeviceReading> readings) {
        String place = setting.place();
        List<DeviceReading> seen = readings.stream()
                .filter(reading -> reading.values().containsKey(place))
                .toList();
        Optional<DeviceReading> last = seen.isEmpty() ? Optional.empty() : Optional.of(seen.get(seen.size() - 1));
        Optional<ReadValue> value = last.map(reading -> reading.values().get(place));
        Optional<Instant> since = Optional.empty();
        for (int i = seen.size() - 1; i >= 0; i--) {
            if (!isSame(
                    seen.get(i).values().get(place).read(), value.orElseThrow().read())) {
                break;
            }
            since = Optional.of(seen.get(i).at());
        }
        return new ReadEntry(
                place,
                setting.at(),
                setting.menu(),
                setting.label(),
                setting.unit(),
                setting.enter(),
                choices(setting, device),
                value.map(one -> agreement(one, setting.enter())).orElse(Agreement.UNREAD),
                value.map(ReadValue::read),
                last.map(DeviceReading::at),
                last.map(DeviceReading::by),
                since);
    }

    private static Agreement agreement(ReadValue value, String planned) {
        if (planned.isEmpty()) {
            return Agreement.CANNOT_HOLD;
        }
        if (isSame(value.read(), planned)) {
            return Agreement.SAME;
        }
        return isSame(value.read(), value.planned()) ? Agreement.TO_ENTER : Agreement.DRIFTED;
    }

    /** Numbers are the same however they are written: 11.50 is 11.5. */
    static boolean isSame(String one, String other) {
        if (one.equals(other)) {
            return true;
        }
        Optional<Double> number = number(one);
        return number.isPresent()
                && number(other)
                        .filter(two -> Math.abs(number.get() - two) <= DUST)
                        .isPresent();
    }

    private static List<String> choices(Setting setting, FittedDevice device) {
        if (setting.kind() == Setting.Kind.POSITION) {
            return device.profile().codes().stream().map(code -> code.code()).toList();
        }
        return knob(setting, device).choices().stream().map(MenuChoice::enter).toList();
    }

    private static Knob knob(Setting setting, FittedDevice device) {
        String key = setting.entry().orElseThrow();
        return device.profile().knobs().stream()
                .filter(knob -> knob.key().equals(key))
                .findFirst()
                .orElseThrow();
    }

    /**
     * What somebody says stands there, as the device has it.
     *
     * @throws InvalidQuantity when that cannot stand there: then it was misread
     */
    static String taken(Setting setting, FittedDevice device, String said) {
        String field = "values." + setting.place();
        Bounds.name(field, said);
        String text = said.strip();
        List<String> choices = choices(setting, device);
        if (!choices.isEmpty()) {
            Bounds.known(field, text, choices);
            return text;
        }
        if (setting.kind() == Setting.Kind.POSITION || !(knob(setting, device) instanceof NumberKnob knob)) {
            return text;
        }
        double number = number(text)
                .orElseThrow(() -> new InvalidQuantity(
                        field,
                        "\"" + text + "\" is not a number"
                                + (setting.unit().isEmpty() ? "" : " in " + setting.unit())));
        boolean canBe = knob.reaches(number) && Math.abs(knob.nearest(number) - number) <= knob.step() * 0.01 + DUST;
        if (!canBe && !knob.assumed().orElse(false)) {
            throw new InvalidQuantity(
                    field,
                    text + inUnit(setting.unit()) + " cannot stand at \"" + setting.label() + "\", which goes from "
                            + Bounds.number(knob.least()) + " to " + Bounds.number(knob.most()) + inUnit(setting.unit())
                            + " by "
                            + Bounds.number(knob.step()) + ": read it again");
        }
        return Bounds.number(number);
    }

    private static String inUnit(String unit) {
        return unit.isEmpty() ? "" : " " + unit;
    }

    static Optional<Double> number(String text) {
        try {
            double number = Double.parseDouble(text.replace(',', '.').replace('−', '-'));
            return Double.isFinite(number) ? Optional.of(number) : Optional.empty();
        } catch (NumberFormatException noNumber) {
            return Optional.empty();
        }
    }
}
