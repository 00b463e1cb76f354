package sparen.document;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.device.Code;
import sparen.device.DeviceProfile;
import sparen.device.FittedDevice;
import sparen.device.MenuChoice;
import sparen.device.NumberKnob;
import sparen.device.WordKnob;
import sparen.program.AcProgram;
import sparen.program.AcProgram.AcWindow;
import sparen.program.ChargeDetails;
import sparen.program.ChargeProgram;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Rule;
import sparen.program.Surroundings;
import sparen.program.rule.Rules;
import sparen.program.rule.VoltageDisconnect;
import sparen.quantity.Fields;
import sparen.quantity.InvalidQuantity;
import sparen.setting.DeviceSettings;
import sparen.setting.Settables;
import sparen.setting.Setting;
import sparen.site.DailySpan;
import sparen.site.Inverter;

/** A plan typed into a shipped device by its sheet, and read back from it, is the same plan. */
public class DeviceProfilesTest {
    private static final int ROUNDS = 40;
    private final Plan plan = full();

    /** The observatory with everything set that a hybrid's menu has a number for. */
    private static Plan full() {
        try {
            Plan demo = Documents.read(Files.readString(Path.of("../demo/skarvholm.json")))
                    .plan();
            AcProgram ac = AcProgram.PLAIN
                    .withInputLimitAmperes(16)
                    .withSource(AcProgram.SourcePriority.BATTERY_FIRST)
                    .withToAcVolts(48)
                    .withToBatteryVolts(52)
                    .withWindows(List.of(
                            new AcWindow(
                                    AcWindow.Kind.CHARGE,
                                    DailySpan.daily(1, 5),
                                    0.8,
                                    Optional.of(800.0),
                                    Optional.empty()),
                            new AcWindow(AcWindow.Kind.DISCHARGE, DailySpan.daily(17, 20), 0.4)))
                    .withCutOff(Optional.of(new AcProgram.CutOffLevels(0.3, 0.2, 0.4)));
            List<ChargeProgram> charging = demo.program().charging().stream()
                    .map(one -> one.withDetails(Optional.of(one.details()
                            .orElse(ChargeDetails.NONE)
                            .withOverVoltage(Optional.of(new ChargeDetails.OverVoltage(58, 56)))
                            .withTemperatureLimits(Optional.of(new ChargeDetails.TemperatureLimits(5, 45, 2))))))
                    .toList();
            return demo.withProgram(demo.program().withAc(Optional.of(ac)).withCharging(charging));
        } catch (IOException | DocumentProblem broken) {
            throw new IllegalStateException(broken);
        }
    }

    @DataProvider
    private Object[][] profiles() {
        return DeviceProfiles.shipped().stream()
                .map(one -> new Object[] {one.id()})
                .toArray(Object[][]::new);
    }

    private static DeviceProfile shipped(String id) {
        return DeviceProfiles.shipped().stream()
                .filter(one -> one.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    /** The observatory with an output that carries one of a device's rules, where it has none. */
    private static Plan carrying(Plan plan, DeviceProfile profile) {
        Output output = plan.program().outputs().get(0);
        return Rules.ALL.stream()
                .filter(kind -> profile.rules().contains(kind.name()))
                .flatMap(kind -> kind.usual().apply(Surroundings.of(plan).at(output)).stream())
                .findFirst()
                .map(rule -> Fields.withAt(plan, "program/outputs/" + output.id() + "/automatic", rule))
                .orElse(plan);
    }

    private Plan fitted(DeviceProfile profile) {
        Plan plan = carrying(this.plan, profile);
        List<String> carried = plan.program().outputs().stream()
                .filter(output -> output.automatic()
                        .or(output::protection)
                        .filter(rule -> profile.rules()
                                .contains(DeviceSettings.kind(rule).name()))
                        .isPresent())
                .map(output -> output.id())
                .limit(profile.outputs())
                .toList();
        String inverter = plan.site().inverter().map(Inverter::id).orElseThrow();
        boolean charges = profile.knobs().stream().anyMatch(one -> one.key().startsWith("charging."));
        FittedDevice device = new FittedDevice(
                        "box", "The box", profile, carried, charges ? Optional.of(inverter) : Optional.empty())
                .withInverter(Optional.of(inverter))
                .withMonitor(Optional.of(plan.site().monitors().get(0).id()));
        return Fields.withAt(plan, "program/devices", List.of(device));
    }

    /** Numbers on the device's own steps, drawn at random from seed 17: entered and read back they are what the plan says. */
    @Test(dataProvider = "profiles")
    public void typedInAndReadBackItIsTheSamePlan(String id) {
        DeviceProfile profile = shipped(id);
        Random random = new Random(17);
        Plan now = fitted(profile);
        int tried = positions(now, profile) + words(now, profile);
        for (int round = 0; round < ROUNDS; round++) {
            for (Setting one : DeviceSettings.of(now)) {
                Optional<NumberKnob> knob = profile.knobs().stream()
                        .filter(NumberKnob.class::isInstance)
                        .map(NumberKnob.class::cast)
                        .filter(each ->
                                one.label().equals(each.label()) && one.menu().equals(each.menu()))
                        .filter(each -> one.path().replace('/', '.').endsWith(tail(each)))
                        .findFirst();
                if (knob.isEmpty() || knob.get().step() == 0) {
                    continue;
                }
                long steps = Math.round(
                        (knob.get().most() - knob.get().least()) / knob.get().step());
                double number =
                        knob.get().nearest(knob.get().least() + knob.get().step() * random.nextLong(steps + 1));
                double scale = knob.get().forNominalVolts().orElse(plan.site().nominalVolts())
                        / plan.site().nominalVolts()
                        / knob.get().ofOurs();
                double wanted = Math.rint(number / scale * 1e9) / 1e9;
                try {
                    now = Fields.withAt(now, one.path(), wanted);
                    tried++;
                } catch (InvalidQuantity outOfOrder) {
                    continue;
                }
                Setting set = DeviceSettings.of(now).stream()
                        .filter(each -> each.path().equals(one.path()))
                        .findFirst()
                        .orElseThrow();
                assertEquals(set.problem(), Optional.empty(), one.path());
                assertEquals(Double.parseDouble(set.enter()) / scale, wanted, 1e-6, one.path());
                assertEquals(set.effective(), wanted, 1e-9, one.path());
            }
        }
        assertTrue(tried > 0, id);
    }

    /** Each position of a coded switch: a plan with its numbers is that position again, and nothing else of it is left. */
    private static int positions(Plan plan, DeviceProfile profile) {
        for (Code code : profile.codes()) {
            Output output = plan.program().outputs().stream()
                    .filter(one -> one.protection().isPresent())
                    .findFirst()
                    .orElseThrow();
            Map<String, Double> values = code.values();
            Rule rule = new VoltageDisconnect(
                    "battery-terminals",
                    values.get("voltageDisconnect.lvdVolts"),
                    values.get("voltageDisconnect.lvdDelaySeconds"),
                    values.get("voltageDisconnect.lvrVolts"),
                    values.get("voltageDisconnect.lvrDelaySeconds"));
            FittedDevice device = plan.program().devices().get(0).withOutputs(List.of(output.id()));
            Plan set = Fields.withAt(
                    Fields.withAt(plan, "program/devices", List.of(device)),
                    "program/outputs/" + output.id() + "/protection",
                    rule);
            List<Setting> settings = DeviceSettings.of(set).stream()
                    .filter(one -> one.kind() == Setting.Kind.POSITION)
                    .toList();
            assertEquals(settings.size(), 4, code.code());
            settings.forEach(one -> assertEquals(one.enter(), code.code()));
            settings.forEach(one -> assertEquals(one.effective(), one.wanted(), code.code()));
        }
        return profile.codes().size();
    }

    /** Each choice of each entry: chosen in the plan, what is entered means it again. */
    private static int words(Plan plan, DeviceProfile profile) {
        int tried = 0;
        for (Setting one : DeviceSettings.of(plan)) {
            if (one.kind() != Setting.Kind.WORD
                    || one.path().matches(".*(automatic|protection)")
                    || one.problem().isPresent()) {
                continue;
            }
            WordKnob knob = profile.knobs().stream()
                    .filter(WordKnob.class::isInstance)
                    .map(WordKnob.class::cast)
                    .filter(each -> each.label().equals(one.label()))
                    .findFirst()
                    .orElseThrow();
            for (MenuChoice choice : knob.choices()) {
                if (choice.is().equals(MenuChoice.ABSENT) || one.wantedWord().equals(Optional.of(MenuChoice.ABSENT))) {
                    continue;
                }
                Plan chosen = DeviceSettings.asSet(plan, one.withEffectiveWord(Optional.of(choice.is())));
                Setting read = DeviceSettings.of(chosen).stream()
                        .filter(each -> each.path().equals(one.path()))
                        .findFirst()
                        .orElseThrow();
                assertEquals(read.enter(), choice.enter(), one.path());
                assertEquals(read.problem(), Optional.empty(), one.path());
                tried++;
            }
        }
        return tried;
    }

    private static String tail(NumberKnob knob) {
        return knob.setting().substring(knob.setting().indexOf('.') + 1);
    }

    /** The sheet follows the device's own menu, whatever the order of the plan's fields. */
    @Test
    public void theSheetIsInTheOrderOfTheMenu() {
        DeviceProfile hybrid = shipped("hybrid");
        List<String> menu = DeviceSettings.of(fitted(hybrid)).stream()
                .filter(one -> one.path().startsWith("program/ac/"))
                .flatMap(one -> one.menu().stream())
                .toList();
        assertEquals(menu, menu.stream().sorted().toList());
        assertEquals(menu.subList(0, 4), List.of("A-01", "A-02", "A-03", "A-04"));
    }

    /** Each setting of a shipped device, and each rule it says it carries, is one of a plan. */
    @Test
    public void shippedDevicesNameWhatAPlanHas() {
        assertEquals(DeviceProfiles.shipped().size(), 9);
        DeviceProfiles.shipped().forEach(Settables::check);
    }
}
