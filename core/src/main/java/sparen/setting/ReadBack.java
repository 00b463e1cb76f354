package sparen.setting;

import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import sparen.device.FittedDevice;
import sparen.device.Knob;
import sparen.device.MenuChoice;
import sparen.device.NotedKnob;
import sparen.device.NotedValue;
import sparen.device.NumberKnob;
import sparen.device.WordKnob;
import sparen.program.Plan;
import sparen.quantity.Fields;
import sparen.quantity.InvalidQuantity;

/** What stands in a device as numbers and choices of a plan. */
final class ReadBack {
    private final FittedDevice device;
    private final Map<String, String> read;
    private Plan plan;

    private ReadBack(Plan plan, FittedDevice device, Map<String, String> read) {
        this.plan = plan;
        this.device = device;
        this.read = read;
    }

    static Plan of(Plan plan, FittedDevice device, Map<String, String> read) {
        ReadBack back = new ReadBack(plan, device, read);
        List<Setting> settings = DeviceSettings.of(plan).stream()
                .filter(one -> one.device().equals(device.id()) && read.containsKey(one.place()))
                .toList();
        back.take(settings.stream().filter(one -> !back.isCounted(one)).toList());
        back.take(settings.stream().filter(back::isCounted).toList());
        return back.plan;
    }

    private Optional<Knob> knob(Setting setting) {
        return setting.entry().flatMap(device.profile()::knob);
    }

    /** Whether it is counted from another number, which has to be known first. */
    private boolean isCounted(Setting setting) {
        return knob(setting)
                .filter(one ->
                        one instanceof NumberKnob number && number.relativeTo().isPresent())
                .isPresent();
    }

    /** Levels keep each other apart: what is refused beside an old neighbour is tried again beside the new one. */
    private void take(List<Setting> settings) {
        List<Setting> left = new ArrayList<>(settings);
        InvalidQuantity refused = null;
        while (!left.isEmpty()) {
            int before = left.size();
            for (Iterator<Setting> each = left.iterator(); each.hasNext(); ) {
                try {
                    take(each.next());
                    each.remove();
                } catch (InvalidQuantity because) {
                    refused = because;
                }
            }
            if (left.size() == before) {
                throw refused;
            }
        }
    }

    private void take(Setting setting) {
        String text = read.get(setting.place());
        Knob knob = knob(setting).orElse(null);
        if (text.equals(setting.enter()) || knob == null) {
            return;
        }
        if (knob instanceof NumberKnob number) {
            plan = Fields.withAt(plan, setting.path(), number(setting, number, text));
        } else if (knob instanceof WordKnob word) {
            word(setting, word, text);
        } else if (knob instanceof NotedKnob noted) {
            noted(noted, text);
        }
    }

    private double number(Setting setting, NumberKnob knob, String text) {
        double scale = knob.forNominalVolts().orElse(plan.site().nominalVolts())
                / plan.site().nominalVolts()
                / knob.ofOurs();
        double base = knob.relativeTo().map(this::held).orElse(0.0);
        try {
            return Math.rint((Double.parseDouble(text) / scale + base) * 1e6) / 1e6;
        } catch (NumberFormatException noNumber) {
            throw new InvalidQuantity(setting.label(), "\"" + text + "\" is not a number");
        }
    }

    private double held(String charging) {
        String field = charging.substring(charging.indexOf('.') + 1).replace('.', '/');
        String path = "program/charging/" + device.charger().orElse("") + "/" + field;
        return Fields.at(plan, path) instanceof Double number ? number : 0;
    }

    private void word(Setting setting, WordKnob knob, String text) {
        Object now = Fields.at(plan, setting.path());
        String means = knob.choices().stream()
                .filter(choice -> choice.enter().equals(text))
                .map(MenuChoice::is)
                .findFirst()
                .orElseThrow(() -> new InvalidQuantity(knob.label(), "\"" + text + "\" is none of its choices"));
        if (now == null || knob.setting().equals(Settables.FUNCTION)) {
            return;
        }
        plan = means.equals(MenuChoice.ABSENT) && !(now instanceof List)
                ? Fields.withAt(plan, setting.path(), null)
                : DeviceSettings.asSet(plan, setting.withEffectiveWord(Optional.of(means)));
    }

    private void noted(NotedKnob knob, String text) {
        String path = "program/devices/" + device.id();
        FittedDevice now = (FittedDevice) Fields.at(plan, path);
        Optional<String> remark = now.given(knob).flatMap(NotedValue::remark);
        plan = Fields.withAt(plan, path, now.noting(new NotedValue(knob.id(), text, remark)));
    }
}
