package sparen.setting;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Predicate;
import sparen.device.FittedDevice;
import sparen.device.Knob;
import sparen.device.MenuChoice;
import sparen.device.NotedKnob;
import sparen.device.NumberKnob;
import sparen.device.Shown;
import sparen.device.WordKnob;
import sparen.program.AcProgram;
import sparen.program.ChargeProgram;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Rule;
import sparen.program.rule.RuleKind;
import sparen.quantity.Fields;
import sparen.site.BatteryMonitor;

/** The menu of one device, filled in from a plan. */
final class DeviceMenu {
    private static final String AC = "ac";
    private static final String CHARGING = "charging";
    private static final String OUTPUT = "output";
    /** Of these a device lets be set what it has a setting for; the rest is what they are. */
    private static final Set<String> HARDWARE = Set.of("inverter", "monitor", OUTPUT);

    private final Plan plan;
    private final FittedDevice device;
    private final Entries entries;
    private final List<Row> rows = new ArrayList<>();

    /** A setting with the entry it stands at; none where the device has none for it. */
    private record Row(Optional<Knob> knob, Setting setting) {}

    private DeviceMenu(Plan plan, FittedDevice device) {
        this.plan = plan;
        this.device = device;
        this.entries = new Entries(plan, device);
    }

    /** All that is entered, in the order of the menu: its outputs one after the other behind all else; what it has no setting for last. */
    static List<Setting> of(Plan plan, FittedDevice device) {
        DeviceMenu menu = new DeviceMenu(plan, device);
        menu.parts();
        menu.outputs();
        menu.noted();
        menu.force();
        menu.hide();
        Map<Knob, Integer> places = new HashMap<>();
        device.profile().knobs().forEach(knob -> places.put(knob, places.size()));
        return menu.rows.stream()
                .sorted(Comparator.comparingInt((Row row) -> device.outputs().indexOf(row.setting.at()))
                        .thenComparingInt(row -> row.knob.map(places::get).orElse(Integer.MAX_VALUE)))
                .map(Row::setting)
                .toList();
    }

    private void parts() {
        // The charger first: other numbers may be counted from its setpoints.
        for (ChargeProgram charging : plan.program().charging()) {
            if (device.charger().equals(Optional.of(charging.controller()))) {
                part(charging.controller(), CHARGING, "program/charging/" + charging.controller(), charging);
            }
        }
        plan.site()
                .inverter()
                .filter(one -> device.inverter().equals(Optional.of(one.id())))
                .ifPresent(inverter -> {
                    plan.program().ac().ifPresent(ac -> ac(inverter.id(), ac));
                    part(inverter.id(), "inverter", "site/inverter", inverter);
                });
        for (BatteryMonitor monitor : plan.site().monitors()) {
            if (device.monitor().equals(Optional.of(monitor.id()))) {
                part(monitor.id(), "monitor", "site/monitors/" + monitor.id(), monitor);
            }
        }
    }

    private void outputs() {
        for (Output output : plan.program().outputs()) {
            if (device.outputs().contains(output.id())) {
                output.automatic().ifPresent(rule -> rule(output, "automatic", rule));
                output.protection().ifPresent(rule -> rule(output, "protection", rule));
                part(output.id(), OUTPUT, "program/outputs/" + output.id(), output);
            }
        }
    }

    private void noted() {
        for (Knob knob : device.profile().knobs()) {
            if (knob instanceof NotedKnob noted) {
                rows.add(new Row(Optional.of(knob), entries.noted(noted)));
            }
        }
    }

    private void rule(Output output, String slot, Rule rule) {
        RuleKind kind = DeviceSettings.kind(rule);
        String path = "program/outputs/" + output.id() + "/" + slot;
        if (!device.profile().rules().contains(kind.name())) {
            rows.add(new Row(Optional.empty(), entries.cannot(output.id(), path, kind.title())));
        } else if (device.profile().codes().isEmpty()) {
            device.profile()
                    .word(Settables.FUNCTION)
                    .ifPresent(knob -> rows.add(
                            new Row(Optional.of(knob), entries.function(output.id(), path, knob, kind.name()))));
            part(output.id(), kind.name(), path, (Record) rule);
            restrictions(output.id(), kind.name(), path, (Record) rule);
        } else {
            CodedSwitch.settings(plan, device, output.id(), kind.name(), path, (Record) rule)
                    .forEach(one -> rows.add(new Row(Optional.empty(), one)));
        }
    }

    private void part(String at, String kind, String path, Record holder) {
        numbers(at, kind, path, holder, field -> true);
        words(at, kind, path, holder);
    }

    private void ac(String inverter, AcProgram ac) {
        String path = "program/ac";
        numbers(inverter, AC, path, ac, field -> isUsed(ac, field));
        words(inverter, AC, path, ac);
        ValuesIn.words(ac, (field, word) -> {
            boolean isPlain = word.equals(ValuesIn.word(Fields.at(AcProgram.PLAIN, field)));
            if (!isPlain && device.profile().word(setting(AC, field)).isEmpty()) {
                rows.add(new Row(Optional.empty(), entries.missingWord(inverter, path, field, word)));
            }
        });
    }

    /**
     * All numbers of a part of the plan. What an inverter or a monitor is, and no device lets be set, is none.
     *
     * @param used whether the number of a field matters as the plan stands
     */
    private void numbers(String at, String kind, String path, Record holder, Predicate<String> used) {
        ValuesIn.numbers(holder, (field, wanted) -> {
            Optional<NumberKnob> knob = device.profile().number(setting(kind, field));
            if (used.test(field) && (knob.isPresent() || !HARDWARE.contains(kind))) {
                rows.add(new Row(
                        knob.map(Knob.class::cast),
                        knob.map(one -> number(at, path + "/" + field, one, wanted))
                                .orElseGet(() -> entries.missing(at, path, field, wanted))));
            }
        });
    }

    private Setting number(String at, String path, NumberKnob knob, double wanted) {
        return entries.number(
                at, path, knob, wanted, knob.relativeTo().map(this::held).orElse(0.0));
    }

    /** The choices of a part of the plan that the device has an entry for; also those the plan says nothing of. */
    private void words(String at, String kind, String path, Record holder) {
        for (Knob knob : device.profile().knobs()) {
            if (knob instanceof WordKnob word
                    && word.setting().startsWith(kind + ".")
                    && !word.setting().equals(Settables.FUNCTION)) {
                String field = word.setting().substring(kind.length() + 1).replace('.', '/');
                int above = field.lastIndexOf('/');
                Object value = Fields.at(holder, field);
                if (above < 0 || Fields.at(holder, field.substring(0, above)) != null) {
                    String wanted = value == null ? MenuChoice.ABSENT : ValuesIn.word(value);
                    rows.add(new Row(Optional.of(knob), entries.word(at, path + "/" + field, word, wanted)));
                }
            }
        }
    }

    /** Days and months that a rule is bound to, and that the device has no entry for: there it acts on all. */
    private void restrictions(String at, String kind, String path, Record rule) {
        ValuesIn.words(rule, (field, word) -> {
            if (ValuesIn.isSeveral(Fields.at(rule, field))
                    && device.profile().word(setting(kind, field)).isEmpty()) {
                rows.add(new Row(Optional.empty(), entries.missingWord(at, path, field, word)));
            }
        });
    }

    private static String setting(String kind, String field) {
        return kind + "." + field.replace('/', '.');
    }

    /** Levels between battery and AC that nobody looks at are not set. */
    private static boolean isUsed(AcProgram ac, String field) {
        return switch (field) {
            case "toAcVolts", "toBatteryVolts" -> ac.goesByVolts();
            case "levelDelaySeconds" -> ac.goesByBattery() || ac.source() == AcProgram.SourcePriority.SUN_FIRST;
            default -> true;
        };
    }

    /** What the device holds of another setting of its charger. */
    private double held(String setting) {
        String field = setting.substring(setting.indexOf('.') + 1).replace('.', '/');
        String path = "program/charging/" + device.charger().orElse("") + "/" + field;
        return rows.stream()
                .map(Row::setting)
                .filter(one -> one.path().equals(path))
                .mapToDouble(Setting::effective)
                .findFirst()
                .orElse(0);
    }

    /** What is chosen makes other numbers and choices what they are, whatever is entered there. */
    private void force() {
        for (Row row : List.copyOf(rows)) {
            row.knob.stream()
                    .flatMap(knob -> knob.choices().stream()
                            .filter(choice -> choice.enter().equals(row.setting.enter()))
                            .limit(1))
                    .forEach(choice -> {
                        String by = row.setting.label() + " " + choice.enter();
                        choice.forces()
                                .forEach((key, value) ->
                                        force(key, (one, knob) -> entries.forced(one, (NumberKnob) knob, value, by)));
                        choice.chooses()
                                .forEach((key, is) ->
                                        force(key, (one, knob) -> entries.chosen(one, (WordKnob) knob, is, by)));
                    });
        }
    }

    private void force(String key, BiFunction<Setting, Knob, Setting> made) {
        rows.replaceAll(row -> row.knob
                .filter(knob -> knob.key().equals(key))
                .map(knob -> new Row(row.knob, made.apply(row.setting, knob)))
                .orElse(row));
    }

    /** What shows only while something else is chosen in the device cannot be entered as long as it is not. */
    private void hide() {
        rows.replaceAll(row -> row.knob
                .flatMap(Knob::shown)
                .flatMap(Shown::onlyWhen)
                .filter(when -> !isChosen(when, row.setting.at()))
                .map(when -> new Row(row.knob, row.setting.withHidden(true)))
                .orElse(row));
    }

    /** Whether something is chosen: at the same output, or in the device itself. */
    private boolean isChosen(Shown.OnlyWhen when, String at) {
        return rows.stream()
                .filter(row -> row.knob.map(Knob::key).equals(Optional.of(when.knob())))
                .filter(row -> !device.outputs().contains(row.setting.at())
                        || row.setting.at().equals(at))
                .anyMatch(row -> row.setting.enter().equals(when.is()));
    }
}
