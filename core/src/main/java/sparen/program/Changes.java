package sparen.program;

import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import sparen.quantity.Bounds;
import sparen.quantity.Fields;

/** What differs between two plans, in sentences a technician would write: "LVD of Transmitter 11.3 V → 11.6 V". */
public final class Changes {
    /** Units by the ends of field names; the first that fits counts. */
    private static final Map<String, String> UNITS = units();

    private static final Pattern WORD = Pattern.compile("[A-Z]?[a-z]+|[A-Z]+(?![a-z])|\\d+");

    private final List<Change> found = new ArrayList<>();
    private final Plan before;
    private final Plan after;

    private Changes(Plan before, Plan after) {
        this.before = before;
        this.after = after;
    }

    /**
     * One difference.
     *
     * @param path of what differs, with ids for list entries, as in origins
     * @param says in words
     */
    public record Change(String path, String says) {}

    /** All differences, the site's first. */
    public static List<Change> between(Plan before, Plan after) {
        Changes changes = new Changes(before, after);
        changes.records("site", "the site", before.site(), after.site());
        changes.records("program", "the program", before.program(), after.program());
        changes.origins();
        return List.copyOf(changes.found);
    }

    private static Map<String, String> units() {
        Map<String, String> units = new LinkedHashMap<>();
        units.put("AmpereHours", "Ah");
        units.put("MillivoltsPerKelvin", "mV/K");
        units.put("SquareMillimetres", "mm²");
        units.put("Volts", "V");
        units.put("Amperes", "A");
        units.put("WattHours", "Wh");
        units.put("Watts", "W");
        units.put("Seconds", "s");
        units.put("Hours", "h");
        units.put("Hour", "h");
        units.put("Celsius", "°C");
        units.put("Kelvin", "K");
        units.put("Ohms", "Ω");
        units.put("Degrees", "°");
        units.put("Metres", "m");
        units.put("Percent", "%");
        units.put("Litres", "l");
        return units;
    }

    private void say(String path, String says) {
        found.add(new Change(path, says));
    }

    private void value(String path, String of, String field, Object from, Object to) {
        if (Objects.equals(from, to)) {
            return;
        }
        if (from instanceof Optional || to instanceof Optional) {
            value(path, of, field, plain(from), plain(to));
        } else if (from instanceof Rule || to instanceof Rule) {
            rules(path, of, field, (Rule) from, (Rule) to);
        } else if (from instanceof Record && to instanceof Record && from.getClass() == to.getClass()) {
            records(path, named(from).orElse(words(field) + " of " + of), (Record) from, (Record) to);
        } else if (from instanceof Collection<?> old && to instanceof Collection<?> now) {
            lists(path, of, field, old, now);
        } else {
            say(path, labelled(field) + " of " + of + " " + told(field, from) + " → " + told(field, to));
        }
    }

    private static Object plain(Object value) {
        return value instanceof Optional<?> optional ? optional.orElse(null) : value;
    }

    private void records(String path, String of, Record from, Record to) {
        for (RecordComponent component : from.getClass().getRecordComponents()) {
            String field = component.getName();
            value(path + "/" + field, of, field, Fields.get(from, field), Fields.get(to, field));
        }
    }

    /** Entries with ids are told one by one, others as a whole. */
    private void lists(String path, String of, String field, Collection<?> from, Collection<?> to) {
        Map<String, Object> old = byId(from);
        Map<String, Object> now = byId(to);
        if (old == null || now == null) {
            say(path, labelled(field) + " of " + of + " " + told(field, from) + " → " + told(field, to));
            return;
        }
        List<String> kept = old.keySet().stream().filter(now::containsKey).toList();
        old.forEach((id, entry) -> {
            if (!now.containsKey(id)) {
                say(path + "/" + id, named(entry).orElse(words(field) + " \"" + id + "\"") + " is gone");
            }
        });
        for (Map.Entry<String, Object> entry : now.entrySet()) {
            String at = path + "/" + entry.getKey();
            Object was = old.get(entry.getKey());
            if (was == null) {
                say(at, named(entry.getValue()).orElse(words(field) + " \"" + entry.getKey() + "\"") + " is new");
            } else {
                value(at, of, field, was, entry.getValue());
            }
        }
        if (!kept.equals(now.keySet().stream().filter(old::containsKey).toList())) {
            say(path, "order of " + words(field) + " changed");
        }
    }

    /** Entries by their ids; null where they have none. */
    private static Map<String, Object> byId(Collection<?> entries) {
        Map<String, Object> byId = new LinkedHashMap<>();
        for (Object entry : entries) {
            Optional<String> id = Optional.ofNullable(Fields.idOf(entry));
            if (id.isEmpty() || byId.put(id.get(), entry) != null) {
                return null;
            }
        }
        return byId;
    }

    /** What the crew calls a thing. */
    private Optional<String> named(Object thing) {
        if (thing instanceof ChargeProgram charging) {
            return Optional.of(after.site().chargerName(charging.controller()));
        }
        return thing instanceof Record record && Fields.has(record, "name")
                ? Optional.of((String) Fields.get(record, "name"))
                : Optional.empty();
    }

    /** Rules of one kind by the chips of their sentences, of two kinds by their titles. */
    private void rules(String path, String of, String slot, Rule from, Rule to) {
        if (from == null || to == null || from.getClass() != to.getClass()) {
            say(path, words(slot) + " of " + of + " " + title(from) + " → " + title(to));
            return;
        }
        Map<String, Sentence.Part> old = chips(path, before, from);
        Map<String, Sentence.Part> now = chips(path, after, to);
        boolean told = false;
        for (Map.Entry<String, Sentence.Part> chip : now.entrySet()) {
            Sentence.Part was = old.get(chip.getKey());
            if (was != null && !was.plain().equals(chip.getValue().plain())) {
                String label = label(chip.getValue());
                String at = path + "/" + chip.getKey().replace('.', '/');
                say(
                        at,
                        label + " of " + of + " " + was.plain() + " → "
                                + chip.getValue().plain());
                told = true;
            }
        }
        if (!told) {
            records(path, of, (Record) from, (Record) to);
        }
    }

    private static String title(Rule rule) {
        return rule == null
                ? "none"
                : Rules.ALL.stream()
                        .filter(kind -> kind.type() == rule.getClass())
                        .map(RuleKind::title)
                        .findFirst()
                        .orElse(words(rule.getClass().getSimpleName()));
    }

    private static Map<String, Sentence.Part> chips(String path, Plan plan, Rule rule) {
        String id = path.split("/")[2];
        Surroundings around = plan.program().outputs().stream()
                .filter(output -> output.id().equals(id))
                .findFirst()
                .map(Surroundings.of(plan)::at)
                .orElseGet(() -> Surroundings.of(plan));
        Map<String, Sentence.Part> chips = new LinkedHashMap<>();
        for (Sentence.Part part : rule.sentence(around).parts()) {
            if (part instanceof Sentence.NumberChip number) {
                chips.put(number.field(), number);
            } else if (part instanceof Sentence.ChoiceChip choice) {
                chips.put(choice.field(), choice);
            }
        }
        return chips;
    }

    private static String label(Sentence.Part chip) {
        return chip instanceof Sentence.NumberChip number ? number.label() : ((Sentence.ChoiceChip) chip).label();
    }

    private void origins() {
        TreeSet<String> paths = new TreeSet<>(before.origins().keySet());
        paths.addAll(after.origins().keySet());
        for (String path : paths) {
            Origin from = before.origins().get(path);
            Origin to = after.origins().get(path);
            if (!Objects.equals(from, to)) {
                say(path, "origin of " + path.replace('/', ' ') + " " + told(from) + " → " + told(to));
            }
        }
    }

    private static String told(Origin origin) {
        return origin == null ? "none" : lower(origin.kind()) + (origin.note().isEmpty() ? "" : ": " + origin.note());
    }

    private static String lower(Enum<?> one) {
        return one.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    private static String labelled(String field) {
        String unit = unit(field);
        String bare = unit.isEmpty()
                ? field
                : field.substring(0, field.length() - suffix(field).length());
        return bare.isEmpty() ? words(field) : words(bare);
    }

    private static String suffix(String field) {
        return UNITS.keySet().stream()
                .filter(end -> field.endsWith(end) || field.equalsIgnoreCase(end))
                .findFirst()
                .orElse("");
    }

    /** The unit that a field's name ends with, such as V for lvdVolts; empty where it has none. */
    public static String unit(String field) {
        return UNITS.getOrDefault(suffix(field), "");
    }

    private static String words(String field) {
        List<String> words = new ArrayList<>();
        Matcher matcher = WORD.matcher(field);
        while (matcher.find()) {
            words.add(matcher.group().toLowerCase(Locale.ROOT));
        }
        return String.join(" ", words);
    }

    private static String told(String field, Object value) {
        if (value == null) {
            return "none";
        }
        if (value instanceof Double number) {
            String unit = unit(field);
            return unit.equals("s") ? Sentence.duration(number) : (Bounds.number(number) + " " + unit).strip();
        }
        if (value instanceof Enum<?> one) {
            return lower(one);
        }
        if (value instanceof Boolean yes) {
            return yes ? "yes" : "no";
        }
        if (value instanceof Collection<?> all) {
            return all.isEmpty()
                    ? "none"
                    : all.stream().allMatch(String.class::isInstance)
                            ? String.join(
                                    ", ", all.stream().map(Object::toString).toList())
                            : all.size() + " entries";
        }
        return value instanceof Record ? "told" : value.toString();
    }
}
