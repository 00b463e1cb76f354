package sparen.setting;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import sparen.device.Code;
import sparen.device.FittedDevice;
import sparen.device.Knob;
import sparen.program.AcProgram;
import sparen.program.ChargeProgram;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Rule;
import sparen.program.rule.RuleKind;
import sparen.program.rule.Rules;
import sparen.quantity.Bounds;
import sparen.quantity.Fields;
import sparen.quantity.Unit;
import sparen.site.BatteryMonitor;
import sparen.site.Inverter;

/** The settings of the devices that a plan is fitted with. */
public final class DeviceSettings {
    private static final String CHARGING = "charging";
    /** Of these a device lets be set what it has a setting for; the rest is what they are. */
    private static final Set<String> HARDWARE = Set.of("inverter", "monitor");

    private final Plan plan;
    private final List<Setting> found = new ArrayList<>();
    /** Where a setting stands in its device's menu, by the path of its number. */
    private final Map<String, Integer> places = new HashMap<>();

    private DeviceSettings(Plan plan) {
        this.plan = plan;
    }

    /** All settings, device by device. */
    public static List<Setting> of(Plan plan) {
        DeviceSettings settings = new DeviceSettings(plan);
        plan.program().devices().forEach(settings::add);
        return List.copyOf(settings.found);
    }

    /** The plan as the devices hold it: each number they round is what they make of it, equal inverters work as one. */
    public static Plan asSet(Plan plan) {
        Plan set = plan;
        for (Setting one : of(plan)) {
            if (one.effective() != one.wanted()) {
                set = Fields.withAt(set, one.path(), one.effective());
            }
        }
        // A device holds the numbers of one unit: they are put together last.
        boolean isStacked = set.site().inverter().flatMap(Inverter::units).isPresent();
        return isStacked
                ? set.withSite(set.site().withInverter(set.site().inverter().map(Inverter::together)))
                : set;
    }

    private void add(FittedDevice device) {
        int begin = found.size();
        // The charger first: other numbers may be counted from its setpoints.
        for (ChargeProgram charging : plan.program().charging()) {
            if (device.charger().equals(Optional.of(charging.controller()))) {
                numbers(device, charging.controller(), CHARGING, "program/charging/" + charging.controller(), charging);
            }
        }
        plan.site()
                .inverter()
                .filter(one -> device.inverter().equals(Optional.of(one.id())))
                .ifPresent(inverter -> {
                    plan.program()
                            .ac()
                            .ifPresent(ac ->
                                    numbers(device, inverter.id(), "ac", "program/ac", ac, field -> isUsed(ac, field)));
                    numbers(device, inverter.id(), "inverter", "site/inverter", inverter);
                });
        for (BatteryMonitor monitor : plan.site().monitors()) {
            if (device.monitor().equals(Optional.of(monitor.id()))) {
                numbers(device, monitor.id(), "monitor", "site/monitors/" + monitor.id(), monitor);
            }
        }
        for (Output output : plan.program().outputs()) {
            if (device.outputs().contains(output.id())) {
                output.automatic().ifPresent(rule -> rule(device, output, "automatic", rule));
                output.protection().ifPresent(rule -> rule(device, output, "protection", rule));
            }
        }
        inOrderOfMenu(device, begin);
    }

    private void rule(FittedDevice device, Output output, String slot, Rule rule) {
        RuleKind kind = kind(rule);
        String path = "program/outputs/" + output.id() + "/" + slot;
        if (!device.profile().rules().contains(kind.name())) {
            found.add(new Setting(
                    device.id(),
                    output.id(),
                    path,
                    Optional.empty(),
                    kind.title(),
                    false,
                    "",
                    "",
                    "",
                    0,
                    0,
                    Optional.empty(),
                    false,
                    Optional.of("its outputs cannot do: " + kind.title())));
        } else if (device.profile().codes().isEmpty()) {
            numbers(device, output.id(), kind.name(), path, (Record) rule);
        } else {
            coded(device, output.id(), kind.name(), path, (Record) rule);
        }
    }

    /** The registration of a rule's kind. */
    public static RuleKind kind(Rule rule) {
        return Rules.ALL.stream()
                .filter(one -> one.type() == rule.getClass())
                .findFirst()
                .orElseThrow();
    }

    private void numbers(FittedDevice device, String at, String kind, String path, Record holder) {
        numbers(device, at, kind, path, holder, field -> true);
    }

    /**
     * All numbers of a part of the plan. What an inverter or a monitor is, and no device lets be set, is none.
     *
     * @param used whether the number of a field matters as the plan stands
     */
    private void numbers(
            FittedDevice device, String at, String kind, String path, Record holder, Predicate<String> used) {
        NumbersIn.each(holder, (field, wanted) -> {
            Optional<Knob> knob = knob(device, kind, field);
            if (used.test(field) && (knob.isPresent() || !HARDWARE.contains(kind))) {
                places.put(
                        path + "/" + field,
                        knob.map(device.profile().knobs()::indexOf).orElse(Integer.MAX_VALUE));
                found.add(knob.map(one -> by(device, at, path + "/" + field, one, wanted))
                        .orElseGet(() -> missing(device, at, path, field, wanted)));
            }
        });
    }

    /** In the order of the device's own menu, its outputs one after the other behind all else; what it has no setting for comes last. */
    private void inOrderOfMenu(FittedDevice device, int begin) {
        found.subList(begin, found.size())
                .sort(Comparator.comparingInt((Setting one) -> device.outputs().indexOf(one.at()))
                        .thenComparingInt(one -> places.getOrDefault(one.path(), Integer.MAX_VALUE)));
    }

    private static Optional<Knob> knob(FittedDevice device, String kind, String field) {
        return device.profile().knob(kind + "." + field.replace('/', '.'));
    }

    /** Levels between battery and AC that nobody looks at are not set. */
    private static boolean isUsed(AcProgram ac, String field) {
        return switch (field) {
            case "toAcVolts", "toBatteryVolts" -> ac.goesByVolts();
            case "levelDelaySeconds" -> ac.goesByBattery() || ac.source() == AcProgram.SourcePriority.SUN_FIRST;
            default -> true;
        };
    }

    private Setting missing(FittedDevice device, String at, String path, String field, double wanted) {
        return new Setting(
                device.id(),
                at,
                path + "/" + field,
                Optional.empty(),
                SettingLabel.of(plan, path, field),
                false,
                "",
                "",
                Unit.ofPath(path + "/" + field).symbol(),
                wanted,
                wanted,
                Optional.empty(),
                false,
                Optional.of("it has no setting for this; what it does instead is not known"));
    }

    private Setting by(FittedDevice device, String at, String path, Knob knob, double wanted) {
        double base = knob.relativeTo().map(setting -> base(device, setting)).orElse(0.0);
        double scale = knob.forNominalVolts()
                .map(nominal -> nominal / plan.site().nominalVolts())
                .orElse(1.0);
        double asked = (wanted - base) * scale / knob.ofOurs();
        double number = knob.nearest(asked);
        boolean reaches = knob.reaches(asked);
        // What lies on a step but for rounding in its own unit stays exactly as wanted.
        boolean same = Math.abs(number - asked) < 1e-6;
        double effective = same ? wanted : tidy(number * knob.ofOurs() / scale + base);
        String range = knob.least() == knob.most()
                ? "it is fixed at " + format(knob.least(), knob.unit())
                : "it goes from " + format(knob.least(), knob.unit()) + " to " + format(knob.most(), knob.unit());
        return new Setting(
                device.id(),
                at,
                path,
                knob.menu(),
                knob.label(),
                false,
                Bounds.number(number),
                knob.unit(),
                Unit.ofPath(path).symbol(),
                wanted,
                effective,
                knob.needs(),
                knob.assumed().orElse(false),
                reaches ? Optional.empty() : Optional.of(range + "; asked for " + format(asked, knob.unit())));
    }

    /** What the device holds of another setting of its charger. */
    private double base(FittedDevice device, String setting) {
        String field = setting.substring(setting.indexOf('.') + 1);
        String path = "program/charging/" + device.charger().orElse("") + "/" + field;
        return found.stream()
                .filter(one -> one.device().equals(device.id()) && one.path().equals(path))
                .mapToDouble(Setting::effective)
                .findFirst()
                .orElse(0);
    }

    /** The position of a coded switch that is nearest by its voltages, then by all else. */
    private void coded(FittedDevice device, String at, String kind, String path, Record holder) {
        Code nearest = device.profile().codes().stream()
                .min(Comparator.comparingDouble(code -> apart(code, kind, holder)))
                .orElseThrow();
        for (String component : Fields.names(holder)) {
            if (Fields.at(holder, component) instanceof Double wanted) {
                Double effective = nearest.values().get(kind + "." + component);
                if (effective == null) {
                    found.add(missing(device, at, path, component, wanted));
                    continue;
                }
                boolean same = effective.equals(wanted);
                Unit unit = Unit.of(component);
                found.add(new Setting(
                        device.id(),
                        at,
                        path + "/" + component,
                        Optional.empty(),
                        SettingLabel.of(plan, path, component),
                        true,
                        nearest.code(),
                        "",
                        unit.symbol(),
                        wanted,
                        effective,
                        Optional.empty(),
                        false,
                        same
                                ? Optional.empty()
                                : Optional.of("no position sets " + SettingLabel.of(plan, path, component) + " "
                                        + unit.format(wanted) + "; the nearest sets " + unit.format(effective))));
            }
        }
    }

    private static double apart(Code code, String kind, Record holder) {
        double sum = 0;
        for (Map.Entry<String, Double> value : code.values().entrySet()) {
            String field = value.getKey().substring(value.getKey().indexOf('.') + 1);
            if (value.getKey().startsWith(kind + ".") && Fields.at(holder, field) instanceof Double wanted) {
                double weight = field.toLowerCase(Locale.ROOT).endsWith("volts") ? 1 : 1e-6;
                sum += weight * Math.abs(wanted - value.getValue());
            }
        }
        return sum;
    }

    private static double tidy(double value) {
        return Math.rint(value * 1e6) / 1e6;
    }

    private static String format(double number, String unit) {
        return (Bounds.number(Math.rint(number * 1000) / 1000) + " " + unit).strip();
    }
}
