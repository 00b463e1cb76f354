package sparen.setting;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.time.DayOfWeek;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.device.DeviceProfile;
import sparen.device.DeviceProfileBuilder;
import sparen.device.FittedDevice;
import sparen.device.Knob;
import sparen.device.MenuChoice;
import sparen.device.NotedKnob;
import sparen.device.NotedKnobBuilder;
import sparen.device.NotedValue;
import sparen.device.NumberKnob;
import sparen.device.NumberKnobBuilder;
import sparen.device.Shown;
import sparen.device.Shown.OnlyWhen;
import sparen.device.WordKnob;
import sparen.device.WordKnobBuilder;
import sparen.program.AcProgram;
import sparen.program.FullSite;
import sparen.program.Plan;
import sparen.program.Rule;
import sparen.program.rule.ClockSchedule;
import sparen.quantity.Fields;
import sparen.quantity.InvalidQuantity;
import sparen.site.DailySpan;

/**
 * Choices, noted settings, what one entry forces in another and what hides it. That menus do so is common practice, no source. The
 * controller's absorption is 28.8 V and its float 27.2 V.
 */
public class DeviceMenuTest {
    private static final String ABSORPTION = "program/charging/mppt/absorptionVolts";

    private static MenuChoice choice(String enter, String is) {
        return MenuChoice.plain(enter, is);
    }

    private static WordKnob word(String setting, MenuChoice... choices) {
        return new WordKnobBuilder()
                .setting(setting)
                .label(setting)
                .choices(List.of(choices))
                .build();
    }

    private static NumberKnob volts(String field) {
        return new NumberKnobBuilder()
                .setting("charging." + field)
                .label(field)
                .unit("V")
                .ofOurs(1)
                .least(20)
                .most(32)
                .step(0.1)
                .build();
    }

    private static final NotedKnob CELLS = new NotedKnobBuilder()
            .id("cells")
            .label("battery")
            .unit("")
            .choices(List.of(
                    choice("USE", "as set"),
                    new MenuChoice("L8", "lithium, 8 cells", Map.of("charging.absorptionVolts", 28.4), Map.of())))
            .usual("USE")
            .build();

    private static DeviceProfile profile(Knob... knobs) {
        return new DeviceProfileBuilder()
                .id("box")
                .name("Box")
                .knobs(List.of(knobs))
                .saving("at once")
                .showing("it is read back")
                .build();
    }

    private static Plan fitted(AcProgram ac, DeviceProfile profile, NotedValue... noted) {
        FittedDevice device = new FittedDevice("box", "The box", profile, List.of(), Optional.of("mppt"))
                .withInverter(Optional.of("inverter"))
                .withNoted(List.of(noted));
        return Fields.withAt(Fields.withAt(FullSite.PLAN, "program/ac", ac), "program/devices", List.of(device));
    }

    private static Setting at(Plan plan, String path) {
        return DeviceSettings.of(plan).stream()
                .filter(one -> one.path().equals(path))
                .findFirst()
                .orElseThrow();
    }

    /** What the plan has chosen, what is entered, and whether the device can. */
    @DataProvider
    private Object[][] sources() {
        return new Object[][] {
            {AcProgram.SourcePriority.AC_FIRST, "GRD", true},
            {AcProgram.SourcePriority.BATTERY_FIRST, "BAT", true},
            {AcProgram.SourcePriority.NEVER_AC, "", false},
        };
    }

    @Test(dataProvider = "sources")
    public void aChoiceIsEnteredInTheDevicesWords(AcProgram.SourcePriority source, String enter, boolean can) {
        WordKnob knob = word("ac.source", choice("GRD", "AC_FIRST"), choice("BAT", "BATTERY_FIRST"));
        Setting one = at(fitted(AcProgram.PLAIN.withSource(source), profile(knob)), "program/ac/source");
        assertEquals(one.enter(), enter);
        assertEquals(one.problem(), can ? Optional.empty() : Optional.of("it has no choice for never ac"));
        assertEquals(one.actsOtherwise(), false, "what it does instead is not known");
    }

    /** A device that goes by its own programme has AC first, whatever is chosen there: that is what is simulated. */
    @Test
    public void aChoiceMakesAnotherOneWhatItIs() {
        NotedKnob own = new NotedKnobBuilder()
                .id("own")
                .label("programme")
                .unit("")
                .choices(List.of(
                        choice("OFF", "as set"),
                        new MenuChoice("ECO", "its own", Map.of(), Map.of("ac.source", "AC_FIRST"))))
                .usual("ECO")
                .build();
        WordKnob source = word("ac.source", choice("GRD", "AC_FIRST"), choice("BAT", "BATTERY_FIRST"));
        AcProgram wanted = AcProgram.PLAIN.withSource(AcProgram.SourcePriority.BATTERY_FIRST);
        Setting forced = at(fitted(wanted, profile(own, source)), "program/ac/source");
        assertEquals(forced.enter(), "BAT");
        assertEquals(forced.forced(), Optional.of("programme ECO"));
        assertEquals(forced.problem(), Optional.of("programme ECO makes it GRD, whatever is entered"));
        assertEquals(
                DeviceSettings.asSet(fitted(wanted, profile(own, source)))
                        .program()
                        .ac()
                        .orElseThrow()
                        .source(),
                AcProgram.SourcePriority.AC_FIRST);
        Plan off = fitted(wanted, profile(own, source), new NotedValue("own", "OFF", Optional.empty()));
        assertEquals(at(off, "program/ac/source").problem(), Optional.empty());
        MenuChoice none = new MenuChoice("ECO", "its own", Map.of(), Map.of("ac.source", "NEVER_AC"));
        assertThrows(
                InvalidQuantity.class, () -> profile(own.withChoices(List.of(choice("OFF", "as set"), none)), source));
    }

    /** A device that always has AC first simulates as such, whatever the plan says; what the plan leaves open has its entry too. */
    @Test
    public void whatIsFixedIsWhatIsSimulated() {
        Plan plan = fitted(
                AcProgram.PLAIN.withSource(AcProgram.SourcePriority.BATTERY_FIRST),
                profile(
                        word("ac.source", choice("AC", "AC_FIRST")),
                        word("ac.bypassesOverload", choice("on", "true"), choice("off", MenuChoice.ABSENT))));
        assertEquals(at(plan, "program/ac/source").problem(), Optional.of("it is fixed at AC"));
        assertEquals(
                DeviceSettings.asSet(plan).program().ac().orElseThrow().source(), AcProgram.SourcePriority.AC_FIRST);
        assertEquals(at(plan, "program/ac/bypassesOverload").enter(), "off");
        assertEquals(at(plan, "program/ac/bypassesOverload").problem(), Optional.empty());
    }

    /** A kind of rule that the list of functions does not have is told in words. */
    @Test
    public void aFunctionThatIsNotInTheListIsTold() {
        DeviceProfile profile = profile(word("output.rule", choice("fan", "ventilationByGassing")))
                .withOutputs(1)
                .withRules(List.of("voltageDisconnect"));
        FittedDevice device = new FittedDevice("box", "The box", profile, List.of("radio"), Optional.empty());
        Plan plan = Fields.withAt(FullSite.PLAN, "program/devices", List.of(device));
        assertEquals(at(plan, "program/outputs/radio/protection").problem(), Optional.of("it is fixed at fan"));
        Plan two = Fields.withAt(
                plan,
                "program/devices",
                List.of(device.withProfile(profile.withKnobs(List.of(
                        word("output.rule", choice("fan", "ventilationByGassing"), choice("night", "duskToDawn")))))));
        assertEquals(
                at(two, "program/outputs/radio/protection").problem(),
                Optional.of("it has no choice for voltage disconnect"));
    }

    private static final String DAYS = "program/outputs/radio/automatic/spans/0/weekdays";
    private static final WordKnob ON_DAYS = word(
            "clockSchedule.spans.0.weekdays",
            choice("all", MenuChoice.ABSENT),
            choice("Sa-Su", "SATURDAY SUNDAY"),
            choice("Mo", "MONDAY"));

    private static Plan onDays(List<WordKnob> knobs, DayOfWeek... days) {
        DeviceProfile profile =
                profile(knobs.toArray(Knob[]::new)).withOutputs(1).withRules(List.of("clockSchedule"));
        FittedDevice device = new FittedDevice("box", "The box", profile, List.of("radio"), Optional.empty());
        Rule clock = new ClockSchedule(List.of(new DailySpan(8, 20, List.of(days), List.of())));
        Plan plan = Fields.withAt(FullSite.PLAN, "program/devices", List.of(device));
        plan = Fields.withAt(plan, "program/outputs/radio/protection", null);
        return Fields.withAt(plan, "program/outputs/radio/automatic", clock);
    }

    /** Weekdays are chosen together, whatever order the plan has them in; a timer without an entry for them says so. */
    @Test
    public void whatIsChosenTogetherIsOneEntry() {
        Plan weekend = onDays(List.of(ON_DAYS), DayOfWeek.SUNDAY, DayOfWeek.SATURDAY);
        assertEquals(at(weekend, DAYS).enter(), "Sa-Su");
        assertEquals(at(onDays(List.of(ON_DAYS)), DAYS).enter(), "all");
        assertEquals(
                at(onDays(List.of(ON_DAYS), DayOfWeek.FRIDAY), DAYS).problem(),
                Optional.of("it has no choice for friday"));
        assertTrue(at(onDays(List.of(), DayOfWeek.FRIDAY), DAYS)
                .problem()
                .orElseThrow()
                .startsWith("it has no setting"));
        WordKnob daily = word(ON_DAYS.setting(), choice("all", MenuChoice.ABSENT));
        Plan fixed = onDays(List.of(daily), DayOfWeek.FRIDAY);
        assertEquals(
                Fields.at(DeviceSettings.asSet(fixed), DAYS), List.of(), "it is closed on all days, and simulated so");
        WordKnob mondays = word(ON_DAYS.setting(), choice("Mo", "MONDAY"));
        assertEquals(
                Fields.at(DeviceSettings.asSet(onDays(List.of(mondays), DayOfWeek.FRIDAY)), DAYS),
                List.of(DayOfWeek.MONDAY));
    }

    /** A choice of the AC side that is not as it comes, and that the device has no entry for, is told. */
    @Test
    public void aChoiceWithoutAnEntryIsTold() {
        Plan plan = fitted(AcProgram.PLAIN.withExportsSurplus(true), profile());
        assertTrue(at(plan, "program/ac/exportsSurplus").problem().orElseThrow().startsWith("it has no setting"));
        assertTrue(DeviceSettings.of(plan).stream().noneMatch(one -> one.path().equals("program/ac/source")));
    }

    /** Set to eight lithium cells the device absorbs at 28.4 V whatever is entered; as set by hand, at the plan's 28.8 V. */
    @Test
    public void whatOneEntryForcesInAnotherIsWhatIsSimulated() {
        DeviceProfile profile = profile(volts("absorptionVolts"), volts("floatVolts"), CELLS);
        Plan free = fitted(AcProgram.PLAIN, profile);
        assertEquals(at(free, ABSORPTION).effective(), 28.8);
        assertEquals(at(free, "program/devices/box/noted/cells/value").wantedWord(), Optional.empty(), "nobody looked");
        Plan forced = fitted(AcProgram.PLAIN, profile, new NotedValue("cells", "L8", Optional.empty()));
        assertEquals(at(forced, ABSORPTION).effective(), 28.4);
        assertEquals(at(forced, ABSORPTION).forced(), Optional.of("battery L8"));
        assertEquals(at(forced, ABSORPTION).problem(), Optional.of("battery L8 makes it 28.4 V, whatever is entered"));
        assertEquals((Double) Fields.at(DeviceSettings.asSet(forced), ABSORPTION), 28.4, 1e-12);
        assertEquals(at(forced, "program/charging/mppt/floatVolts").effective(), 27.2);
        Plan asForced = Fields.withAt(forced, ABSORPTION, 28.4);
        assertEquals(at(asForced, ABSORPTION).problem(), Optional.empty());
        assertEquals(
                DeviceSettings.of(forced).stream().map(Setting::label).limit(3).toList(),
                List.of("absorptionVolts", "floatVolts", "battery"),
                "in the order of the menu, whatever an entry stands for");
    }

    @Test
    public void whatIsHiddenShowsOnceItsConditionIsMet() {
        Shown lithiumOnly = new Shown(Optional.empty(), Optional.empty(), Optional.of(new OnlyWhen("cells", "L8")));
        DeviceProfile profile =
                profile(CELLS, volts("absorptionVolts"), volts("floatVolts").withShown(Optional.of(lithiumOnly)));
        String path = "program/charging/mppt/floatVolts";
        assertTrue(at(fitted(AcProgram.PLAIN, profile), path).hidden());
        assertTrue(!at(fitted(AcProgram.PLAIN, profile, new NotedValue("cells", "L8", Optional.empty())), path)
                .hidden());
    }

    /** What is wrong with a kind of device, where, and what is said. */
    @DataProvider
    private Object[][] refused() {
        Shown unknown = new Shown(Optional.empty(), Optional.empty(), Optional.of(new OnlyWhen("cells", "L9")));
        return new Object[][] {
            {
                "knobs.2.shown.onlyWhen.is",
                (Runnable) () -> profile(
                        CELLS, volts("absorptionVolts"), volts("floatVolts").withShown(Optional.of(unknown)))
            },
            {"knobs.0.choices", (Runnable) () -> profile(CELLS)},
            {"usual", (Runnable) () -> CELLS.withUsual("L9")},
            {"knobs.0.setting", (Runnable) () -> Settables.check(profile(volts("floatVolt")))},
            {"knobs.0.choices", (Runnable) () -> Settables.check(profile(word("ac.source", choice("X", "SUN"))))},
            {
                "knobs.0.choices",
                (Runnable) () -> Settables.check(profile(word(ON_DAYS.setting(), choice("we", "SUNDAY SATURDAY"))))
            },
            {"knobs.0.setting", (Runnable) () -> Settables.check(profile(word("ac.toAcVolts", choice("X", "1"))))},
            {
                "knobs.0.setting",
                (Runnable) () -> Settables.check(profile(volts("floatVolts").withSetting("ac.windows.watts")))
            },
            {"fromFirmware", (Runnable) () -> new Shown(Optional.of("v2"), Optional.empty(), Optional.empty())},
            {
                "noted.cells.value",
                (Runnable) () -> fitted(
                        AcProgram.PLAIN,
                        profile(volts("absorptionVolts"), CELLS),
                        new NotedValue("cells", "L9", Optional.empty()))
            },
        };
    }

    @Test(dataProvider = "refused")
    public void aBadKindOfDeviceIsRefusedAtItsEntry(String field, Runnable make) {
        assertEquals(expectThrows(InvalidQuantity.class, make::run).field(), field);
    }

    /** A number within a list, a choice, and what stands for nothing; the names that are offered are all known. */
    @Test
    public void knowsWhatAPlanHas() {
        assertEquals(Settables.of("ac.windows.0.watts").orElseThrow().unit(), "W");
        assertTrue(Settables.of("ac.source").orElseThrow().words().contains("SUN_FIRST"));
        assertEquals(Settables.of("ac.windows"), Optional.empty());
        assertEquals(Settables.of("charging"), Optional.empty());
        assertEquals(
                Settables.of("generatorStart.quietMonths").orElseThrow().words().size(), 12);
        assertEquals(Settables.of("clockSchedule.spans.0.weekdays.0"), Optional.empty());
        List<String> names =
                Settables.all().stream().map(Settables.Settable::name).toList();
        assertTrue(names.containsAll(
                List.of("charging.details.overVoltage.stopVolts", "voltageDisconnect.lvdVolts", "ac.windows.0.kind")));
        names.forEach(name -> assertTrue(Settables.of(name).isPresent(), name));
    }
}
