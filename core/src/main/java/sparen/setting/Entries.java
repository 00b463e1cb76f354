package sparen.setting;

import java.util.Locale;
import java.util.Optional;
import sparen.device.FittedDevice;
import sparen.device.Knob;
import sparen.device.MenuChoice;
import sparen.device.NotedKnob;
import sparen.device.NotedValue;
import sparen.device.NumberKnob;
import sparen.device.WordKnob;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import sparen.quantity.Unit;

/** What is entered in the menu of one device for what a plan wants. */
final class Entries {
    private static final String NOT_KNOWN = "it has no setting for this; what it does instead is not known";

    private final Plan plan;
    private final FittedDevice device;

    Entries(Plan plan, FittedDevice device) {
        this.plan = plan;
        this.device = device;
    }

    private SettingBuilder blank(Setting.Kind kind, String at, String path, String label) {
        return new SettingBuilder()
                .kind(kind)
                .device(device.id())
                .at(at)
                .path(path)
                .label(label)
                .enter("")
                .unit("")
                .planUnit("")
                .wanted(0)
                .effective(0)
                .step(0);
    }

    private SettingBuilder entry(Setting.Kind kind, String at, String path, Knob knob) {
        return blank(kind, at, path, knob.label())
                .entry(Optional.of(knob.key()))
                .menu(knob.menu())
                .needs(knob.needs())
                .shown(knob.shown());
    }

    /** A rule that it cannot carry. */
    Setting cannot(String output, String path, String title) {
        return blank(Setting.Kind.RULE, output, path, title)
                .problem(Optional.of("its outputs cannot do: " + title))
                .build();
    }

    /** A number that it has no entry for. */
    Setting missing(String at, String path, String field, double wanted) {
        return blank(Setting.Kind.NUMBER, at, path + "/" + field, SettingLabel.of(plan, path, field))
                .planUnit(Unit.ofPath(path + "/" + field).symbol())
                .wanted(wanted)
                .effective(wanted)
                .problem(Optional.of(NOT_KNOWN))
                .build();
    }

    /** A choice that it has no entry for. */
    Setting missingWord(String at, String path, String field, String wanted) {
        return blank(Setting.Kind.WORD, at, path + "/" + field, SettingLabel.of(plan, path, field))
                .wantedWord(Optional.of(wanted))
                .effectiveWord(Optional.of(wanted))
                .problem(Optional.of(NOT_KNOWN))
                .build();
    }

    /**
     * A number at its entry.
     *
     * @param base what the entry is counted from, in the plan's unit; 0 where it stands for itself
     */
    Setting number(String at, String path, NumberKnob knob, double wanted, double base) {
        double scale = scale(knob);
        double asked = (wanted - base) * scale / knob.ofOurs();
        double number = knob.nearest(asked);
        // What lies on a step but for rounding in its own unit stays exactly as wanted.
        boolean same = Math.abs(number - asked) < 1e-6;
        String range = knob.least() == knob.most()
                ? "it is fixed at " + format(knob.least(), knob.unit())
                : "it goes from " + format(knob.least(), knob.unit()) + " to " + format(knob.most(), knob.unit());
        return entry(Setting.Kind.NUMBER, at, path, knob)
                .enter(Bounds.number(number))
                .unit(knob.unit())
                .planUnit(Unit.ofPath(path).symbol())
                .wanted(wanted)
                .effective(same ? wanted : tidy(number * knob.ofOurs() / scale + base))
                .step(knob.step() * knob.ofOurs() / scale)
                .assumed(knob.assumed().orElse(false))
                .factory(knob.factory().map(Bounds::number))
                .problem(
                        knob.reaches(asked)
                                ? Optional.empty()
                                : Optional.of(range + "; asked for " + format(asked, knob.unit())))
                .build();
    }

    /** A number that another entry makes what it is. */
    Setting forced(Setting setting, NumberKnob knob, double value, String by) {
        String says = format(value * scale(knob) / knob.ofOurs(), knob.unit());
        boolean same = Math.abs(value - setting.wanted()) < 1e-9;
        return setting.withEffective(same ? setting.wanted() : value)
                .withForced(Optional.of(by))
                .withProblem(same ? Optional.empty() : Optional.of(by + " makes it " + says + ", whatever is entered"));
    }

    /** A choice that another entry makes what it is. */
    Setting chosen(Setting setting, WordKnob knob, String is, String by) {
        String wanted = setting.wantedWord().orElse("");
        String shows = knob.choices().stream()
                .filter(one -> one.is().equals(is))
                .findFirst()
                .map(MenuChoice::enter)
                .orElse(is);
        return (isSettable(knob, is, wanted) ? setting.withEffectiveWord(Optional.of(is)) : setting)
                .withForced(Optional.of(by))
                .withProblem(
                        is.equals(wanted)
                                ? Optional.empty()
                                : Optional.of(by + " makes it " + shows + ", whatever is entered"));
    }

    /** A choice at its entry. */
    Setting word(String at, String path, WordKnob knob, String wanted) {
        Optional<MenuChoice> chosen =
                knob.choices().stream().filter(one -> one.is().equals(wanted)).findFirst();
        boolean isFixed = knob.choices().size() == 1;
        Optional<String> instead = isFixed && chosen.isEmpty()
                ? Optional.of(knob.choices().get(0)).map(MenuChoice::is).filter(one -> isSettable(knob, one, wanted))
                : Optional.empty();
        return entry(Setting.Kind.WORD, at, path, knob)
                .enter(chosen.map(MenuChoice::enter)
                        .orElse(isFixed ? knob.choices().get(0).enter() : ""))
                .wantedWord(Optional.of(wanted))
                .effectiveWord(Optional.of(instead.orElse(wanted)))
                .factory(knob.factory())
                .problem(
                        chosen.isPresent()
                                ? Optional.empty()
                                : Optional.of(
                                        isFixed
                                                ? "it is fixed at "
                                                        + knob.choices().get(0).enter()
                                                : "it has no choice for " + inWords(wanted)))
                .build();
    }

    /** The function of an output; which it can carry is the profile's to say. */
    Setting function(String output, String path, WordKnob knob, String kind) {
        Setting one = word(output, path, knob, kind);
        return one.withEffectiveWord(one.wantedWord());
    }

    /**
     * What the plan says nothing of stands for what it is by itself, and has no constant to be put there; of what is chosen together
     * there can be none.
     */
    private static boolean isSettable(WordKnob knob, String instead, String wanted) {
        boolean canBeNone =
                Settables.of(knob.setting()).map(Settables.Settable::several).orElse(false);
        return !wanted.equals(MenuChoice.ABSENT) && (canBeNone || !instead.equals(MenuChoice.ABSENT));
    }

    /** A choice of a plan as a person says it. */
    static String inWords(String word) {
        return switch (word) {
            case "true" -> "yes";
            case "false" -> "no";
            case MenuChoice.ABSENT -> "none";
            default ->
                word.equals(word.toUpperCase(Locale.ROOT))
                        ? word.toLowerCase(Locale.ROOT).replace('_', ' ')
                        : Unit.words(word);
        };
    }

    /** What stands for nothing in the plan. */
    Setting noted(NotedKnob knob) {
        String entered = device.entered(knob);
        Optional<String> means = knob.choices().stream()
                .filter(one -> one.enter().equals(entered))
                .map(MenuChoice::is)
                .findFirst();
        return entry(
                        Setting.Kind.NOTED,
                        device.id(),
                        "program/devices/" + device.id() + "/noted/" + knob.id() + "/value",
                        knob)
                .enter(entered)
                .unit(knob.unit())
                .wantedWord(device.given(knob).map(NotedValue::value).map(value -> means.orElse(value)))
                .factory(knob.factory())
                .build();
    }

    private double scale(NumberKnob knob) {
        return knob.forNominalVolts()
                .map(nominal -> nominal / plan.site().nominalVolts())
                .orElse(1.0);
    }

    private static double tidy(double value) {
        return Math.rint(value * 1e6) / 1e6;
    }

    private static String format(double number, String unit) {
        return (Bounds.number(Math.rint(number * 1000) / 1000) + " " + unit).strip();
    }
}
