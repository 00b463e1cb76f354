package sparen.setting;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import sparen.device.DeviceProfile;
import sparen.device.Hiding;
import sparen.device.Knob;
import sparen.device.MenuChoice;
import sparen.device.NotedKnob;
import sparen.device.WordKnob;
import sparen.program.AcProgram;
import sparen.program.ChargeProgram;
import sparen.program.Output;
import sparen.program.rule.RuleKind;
import sparen.program.rule.Rules;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;
import sparen.quantity.RecordType;
import sparen.quantity.Unit;
import sparen.site.BatteryMonitor;
import sparen.site.Inverter;

/** What of a plan a device can let be set, by name: kind of rule, or part, and the fields on the way, entries of lists by their number. */
public final class Settables {
    /** Which kind of rule an output carries: the function that is chosen for it. */
    static final String FUNCTION = "output.rule";

    /** In a list of whole numbers a plan has months. */
    private static final List<String> MONTHS =
            IntStream.rangeClosed(1, 12).mapToObj(String::valueOf).toList();

    private static final Map<String, Class<?>> PARTS = parts();

    private Settables() {}

    /**
     * One of them.
     *
     * @param name such as {@code voltageDisconnect.lvdVolts} or {@code ac.windows.0.watts}
     * @param unit of a number; empty for a ratio and for what is chosen
     * @param words what can be chosen, as in documents; none for a number
     * @param several whether several of them can be chosen together: they stand in this order, with blanks between
     */
    public record Settable(String name, String unit, List<String> words, boolean several) {}

    private static Map<String, Class<?>> parts() {
        Map<String, Class<?>> parts = new LinkedHashMap<>();
        parts.put("charging", ChargeProgram.class);
        parts.put("ac", AcProgram.class);
        parts.put("inverter", Inverter.class);
        parts.put("monitor", BatteryMonitor.class);
        parts.put("output", Output.class);
        Rules.ALL.forEach(kind -> parts.put(kind.name(), kind.type()));
        return parts;
    }

    /** All of them; of a list its first entry. */
    public static List<Settable> all() {
        List<Settable> all = new ArrayList<>(List.of(function()));
        PARTS.forEach((name, type) -> add(all, name, type));
        return all;
    }

    private static Settable function() {
        return new Settable(FUNCTION, "", Rules.ALL.stream().map(RuleKind::name).toList(), false);
    }

    private static void add(List<Settable> all, String name, Class<?> type) {
        leaf(name, type).ifPresent(all::add);
        if (RecordType.isOne(type)) {
            RecordType record = RecordType.of(type);
            for (String component : record.names()) {
                Class<?> held = record.holds(component).orElseThrow();
                Optional<Settable> several = several(record, component, name + "." + component);
                several.ifPresent(all::add);
                if (several.isEmpty() && !isPart(held)) {
                    add(all, name + "." + component + (record.isList(component) ? ".0" : ""), held);
                }
            }
        }
    }

    /** What is chosen together: months by their numbers, or constants such as weekdays. */
    private static Optional<Settable> several(RecordType record, String component, String name) {
        Class<?> held =
                record.holds(component).filter(type -> record.isList(component)).orElse(Object.class);
        List<String> words = held == Integer.class ? MONTHS : constants(held);
        return words.isEmpty() ? Optional.empty() : Optional.of(new Settable(name, "", words, true));
    }

    private static List<String> constants(Class<?> type) {
        return type.isEnum()
                ? Stream.of(type.getEnumConstants())
                        .map(one -> ((Enum<?>) one).name())
                        .toList()
                : List.of();
    }

    /** What has an id is a part of its own. */
    private static boolean isPart(Class<?> type) {
        return RecordType.isOne(type) && RecordType.of(type).names().contains("id");
    }

    private static Optional<Settable> leaf(String name, Class<?> type) {
        if (type == double.class || type == Double.class) {
            return Optional.of(
                    new Settable(name, Unit.ofPath(name.replace('.', '/')).symbol(), List.of(), false));
        }
        if (type == boolean.class || type == Boolean.class) {
            return Optional.of(new Settable(name, "", List.of("true", "false"), false));
        }
        return Optional.of(constants(type))
                .filter(words -> !words.isEmpty())
                .map(words -> new Settable(name, "", words, false));
    }

    /** The one with a name; empty when no plan has it. */
    public static Optional<Settable> of(String name) {
        if (name.equals(FUNCTION)) {
            return Optional.of(function());
        }
        List<String> steps = List.of(name.split("\\."));
        Optional<Class<?>> type = Optional.ofNullable(PARTS.get(steps.get(0)));
        boolean inList = false;
        for (String step : steps.subList(1, steps.size())) {
            if (inList && step.matches("\\d{1,2}")) {
                inList = false;
                continue;
            }
            if (inList || type.filter(RecordType::isOne).isEmpty()) {
                return Optional.empty();
            }
            RecordType record = RecordType.of(type.get());
            Optional<Settable> several = several(record, step, name);
            if (several.isPresent()) {
                return several.filter(one -> step.equals(steps.get(steps.size() - 1)));
            }
            inList = record.isList(step);
            type = record.holds(step);
        }
        return inList ? Optional.empty() : type.flatMap(found -> leaf(name, found));
    }

    /**
     * Refuses a kind of device that names what no plan has.
     *
     * @throws InvalidQuantity naming the entry by its number, and the name that is not known
     */
    public static void check(DeviceProfile profile) {
        List<String> kinds = Rules.ALL.stream().map(RuleKind::name).toList();
        profile.rules().forEach(rule -> Bounds.known("rules", rule, kinds));
        for (Hiding hiding : profile.hidings()) {
            Bounds.known("hidings", hiding.rule(), kinds);
            Bounds.known("hidings", hiding.hides(), kinds);
        }
        profile.codes().forEach(code -> code.values().keySet().forEach(setting -> number("codes", setting)));
        for (int i = 0; i < profile.knobs().size(); i++) {
            check("knobs." + i, profile.knobs().get(i));
        }
    }

    private static void check(String at, Knob knob) {
        if (knob instanceof WordKnob word) {
            Settable settable = known(at + ".setting", word.setting());
            if (settable.words().isEmpty()) {
                throw new InvalidQuantity(at + ".setting", "\"" + word.setting() + "\" is a number, not a choice");
            }
            word.choices().forEach(choice -> choice(at + ".choices", settable, choice.is()));
        } else if (!(knob instanceof NotedKnob)) {
            number(at + ".setting", knob.key());
        }
    }

    private static void choice(String field, Settable settable, String is) {
        if (is.equals(MenuChoice.ABSENT)) {
            return;
        }
        List<String> chosen = settable.several() ? List.of(is.split(" ")) : List.of(is);
        chosen.forEach(one -> Bounds.known(field, one, settable.words()));
        List<String> inOrder =
                settable.words().stream().filter(chosen::contains).toList();
        if (!inOrder.equals(chosen)) {
            throw new InvalidQuantity(field, "\"" + is + "\" has to be \"" + String.join(" ", inOrder) + "\"");
        }
    }

    private static void number(String field, String setting) {
        if (!known(field, setting).words().isEmpty()) {
            throw new InvalidQuantity(field, "\"" + setting + "\" is a choice, not a number");
        }
    }

    private static Settable known(String field, String setting) {
        return of(setting)
                .orElseThrow(() -> new InvalidQuantity(
                        field, "\"" + setting + "\" is nothing that a plan has; it has, for instance, ac.source"));
    }
}
