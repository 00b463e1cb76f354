package sparen.device;

import java.util.List;
import java.util.Optional;
import sparen.quantity.Bounds;

/**
 * A kind of device: which numbers it lets be set, in which units and steps, and what its outputs can do.
 *
 * @param id its name in references
 * @param name what it is called
 * @param outputs how many it switches, 0 to 20
 * @param rules kinds of rules its outputs carry, as in documents, 0 to 50
 * @param knobs 0 to 200, one a setting
 * @param codes positions of a coded switch, 0 to 50; none where numbers are set singly
 * @param hidings rules that hide others, 0 to 50
 * @param saving how its settings are saved
 * @param showing how one sees that they are
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
        String showing) {
    public DeviceProfile {
        Bounds.id("id", id);
        Bounds.name("name", name);
        Bounds.within("outputs", outputs, "outputs", 0, 20);
        rules = Bounds.orNone(rules);
        Bounds.within("rules", rules.size(), "rules", 0, 50);
        knobs = Bounds.orNone(knobs);
        Bounds.within("knobs", knobs.size(), "knobs", 0, 200);
        Bounds.unique("knobs", knobs.stream().map(Knob::setting).toList());
        codes = Bounds.orNone(codes);
        Bounds.within("codes", codes.size(), "codes", 0, 50);
        hidings = Bounds.orNone(hidings);
        Bounds.within("hidings", hidings.size(), "hidings", 0, 50);
        Bounds.name("saving", saving);
        Bounds.name("showing", showing);
    }

    /** The knob of a setting. */
    public Optional<Knob> knob(String setting) {
        return knobs.stream().filter(one -> one.setting().equals(setting)).findFirst();
    }
}
