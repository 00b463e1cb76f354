package sparen.revision;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeSet;
import sparen.program.ChargeProgram;
import sparen.program.Origin;
import sparen.program.Plan;
import sparen.program.Rule;
import sparen.program.Sentence;
import sparen.program.Surroundings;
import sparen.program.rule.RuleKind;
import sparen.program.rule.Rules;
import sparen.quantity.Fields;
import sparen.quantity.Place;
import sparen.quantity.Unit;

/** What differs between two plans, in sentences a technician would write: "LVD of Transmitter 11.3 V → 11.6 V". */
public final class Changes {
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
            records(path, named(from).orElse(Unit.words(field) + " of " + of), (Record) from, (Record) to);
        } else if (from instanceof Collection<?> old && to instanceof Collection<?> now) {
            lists(path, of, field, old, now);
        } else {
            say(path, Unit.words(field) + " of " + of + " " + format(field, from) + " → " + format(field, to));
        }
    }

    private static Object plain(Object value) {
        return value instanceof Optional<?> optional ? optional.orElse(null) : value;
    }

    private void records(String path, String of, Record from, Record to) {
        for (String field : Fields.names(from)) {
            value(path + "/" + field, of, field, Fields.get(from, field), Fields.get(to, field));
        }
    }

    /** Entries with ids are told one by one, others as a whole. */
    private void lists(String path, String of, String field, Collection<?> from, Collection<?> to) {
        Map<String, Object> old = byId(from);
        Map<String, Object> now = byId(to);
        if (old == null || now == null) {
            say(path, Unit.words(field) + " of " + of + " " + format(field, from) + " → " + format(field, to));
            return;
        }
        List<String> kept = old.keySet().stream().filter(now::containsKey).toList();
        old.forEach((id, entry) -> {
            if (!now.containsKey(id)) {
                say(path + "/" + id, named(entry).orElse(Unit.words(field) + " \"" + id + "\"") + " is gone");
            }
        });
        for (Map.Entry<String, Object> entry : now.entrySet()) {
            String at = path + "/" + entry.getKey();
            Object was = old.get(entry.getKey());
            if (was == null) {
                say(at, named(entry.getValue()).orElse(Unit.words(field) + " \"" + entry.getKey() + "\"") + " is new");
            } else {
                value(at, of, field, was, entry.getValue());
            }
        }
        if (!kept.equals(now.keySet().stream().filter(old::containsKey).toList())) {
            say(path, "order of " + Unit.words(field) + " changed");
        }
    }

    /** Entries by their ids; null where they have none. */
    private static Map<String, Object> byId(Collection<?> entries) {
        Map<String, Object> byId = new LinkedHashMap<>();
        for (Object entry : entries) {
            Optional<String> id = Optional.ofNullable(Place.idOf(entry));
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
            say(path, Unit.words(slot) + " of " + of + " " + title(from) + " → " + title(to));
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
                        .orElse(Unit.words(rule.getClass().getSimpleName()));
    }

    private static Map<String, Sentence.Part> chips(String path, Plan plan, Rule rule) {
        String id = Place.outputOf(path);
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
                say(path, "origin of " + path.replace('/', ' ') + " " + format(from) + " → " + format(to));
            }
        }
    }

    private static String format(Origin origin) {
        return origin == null ? "none" : lower(origin.kind()) + (origin.note().isEmpty() ? "" : ": " + origin.note());
    }

    private static String lower(Enum<?> one) {
        return one.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    private static String format(String field, Object value) {
        if (value == null) {
            return "none";
        }
        if (value instanceof Double number) {
            Unit unit = Unit.of(field);
            return unit == Unit.SECONDS ? Sentence.duration(number) : unit.format(number);
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
