package sparen.device;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import sparen.quantity.Bounds;

/**
 * A kind of device: which numbers it lets be set, in which units and steps, and what its outputs can do.
 *
 * @param id its name in references
 * @param name what it is called
 * @param outputs how many it switches, 0 to 20
 * @param rules kinds of rules its outputs carry, as in documents, 0 to 50
 * @param knobs 0 to 200, one a setting, in the order of its menu
 * @param codes positions of a coded switch, 0 to 50; none where numbers are set singly
 * @param hidings rules that hide others, 0 to 50
 * @param saving how its settings are saved
 * @param showing how one sees that they are
 * @param dropping what drops out while they are saved; absent for nothing
 * @param wire how it is read and set over a wire; absent where it has none, or nobody knows its registers
 */
public record DeviceProfile(
        String id,
        String name,
        int outputs,
        List<String> rules,
        List<Knob> knobs,
        List<Code> codes,
        List<Hiding> hidings,
        String saving,
        String showing,
        Optional<String> dropping,
        Optional<Wire> wire)
        implements DeviceProfileWith {
    static final int MOST_KNOBS = 200;

    public DeviceProfile {
        Bounds.id("id", id);
        Bounds.name("name", name);
        Bounds.within("outputs", outputs, "outputs", 0, 20);
        rules = Bounds.orNone(rules);
        Bounds.within("rules", rules.size(), "rules", 0, 50);
        knobs = Bounds.orNone(knobs);
        Bounds.within("knobs", knobs.size(), "knobs", 0, MOST_KNOBS);
        Bounds.unique("knobs", knobs.stream().map(Knob::key).toList());
        codes = Bounds.orNone(codes);
        Bounds.within("codes", codes.size(), "codes", 0, 50);
        hidings = Bounds.orNone(hidings);
        Bounds.within("hidings", hidings.size(), "hidings", 0, 50);
        Bounds.name("saving", saving);
        Bounds.name("showing", showing);
        dropping = Bounds.name("dropping", dropping);
        wire = Bounds.orEmpty(wire);
        for (int i = 0; i < knobs.size(); i++) {
            check("knobs." + i, knobs.get(i), knobs);
        }
        if (wire.isPresent()) {
            wire.get().fits(knobs, outputs);
        }
    }

    /** Refuses a condition on an entry there is not, or on a choice it has not, and a forced number or choice that has no entry. */
    private static void check(String at, Knob knob, List<Knob> knobs) {
        knob.shown().flatMap(Shown::onlyWhen).ifPresent(when -> {
            Map<String, List<MenuChoice>> chosen = knobs.stream()
                    .filter(one -> !(one instanceof NumberKnob))
                    .collect(Collectors.toMap(Knob::key, Knob::choices));
            Bounds.known(at + ".shown.onlyWhen.knob", when.knob(), chosen.keySet());
            List<MenuChoice> choices = chosen.get(when.knob());
            if (!choices.isEmpty()) {
                Bounds.known(
                        at + ".shown.onlyWhen.is",
                        when.is(),
                        choices.stream().map(MenuChoice::enter).toList());
            }
        });
        for (MenuChoice choice : knob.choices()) {
            for (String forced : choice.forces().keySet()) {
                Bounds.known(
                        at + ".choices",
                        forced,
                        knobs.stream()
                                .filter(NumberKnob.class::isInstance)
                                .map(Knob::key)
                                .toList());
            }
            Map<String, List<String>> words = knobs.stream()
                    .filter(WordKnob.class::isInstance)
                    .collect(Collectors.toMap(
                            Knob::key,
                            one -> one.choices().stream().map(MenuChoice::is).toList()));
            choice.chooses().forEach((chosen, is) -> {
                Bounds.known(at + ".choices", chosen, words.keySet());
                Bounds.known(at + ".choices", is, words.get(chosen));
            });
        }
    }

    /** The entry for a number of the plan. */
    public Optional<NumberKnob> number(String setting) {
        return of(setting, NumberKnob.class);
    }

    /** The entry for a choice of the plan. */
    public Optional<WordKnob> word(String setting) {
        return of(setting, WordKnob.class);
    }

    /** The entry with an id that stands for nothing in a plan. */
    public Optional<NotedKnob> noted(String id) {
        return of(id, NotedKnob.class);
    }

    /** The entry with a key. */
    public Optional<Knob> knob(String key) {
        return of(key, Knob.class);
    }

    private <K extends Knob> Optional<K> of(String key, Class<K> kind) {
        return knobs.stream()
                .filter(one -> one.key().equals(key) && kind.isInstance(one))
                .map(kind::cast)
                .findFirst();
    }
}
