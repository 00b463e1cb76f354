package sparen.document;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.Type;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.device.DeviceProfile;
import sparen.device.FittedDevice;
import sparen.device.Knob;
import sparen.program.AcProgram;
import sparen.program.AcProgram.AcWindow;
import sparen.program.ChargeDetails;
import sparen.program.ChargeProgram;
import sparen.program.Plan;
import sparen.program.rule.RuleKind;
import sparen.program.rule.Rules;
import sparen.quantity.Fields;
import sparen.quantity.InvalidQuantity;
import sparen.setting.DeviceSettings;
import sparen.setting.Setting;
import sparen.site.BatteryMonitor;
import sparen.site.DailySpan;
import sparen.site.Inverter;

/** A plan typed into a shipped device by its sheet, and read back from it, is the same plan. */
public class DeviceProfilesTest {
    private static final int ROUNDS = 40;
    private static final Map<String, Class<?>> PARTS = Map.of(
            "charging", ChargeProgram.class,
            "ac", AcProgram.class,
            "inverter", Inverter.class,
            "monitor", BatteryMonitor.class);

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
                .filter(one -> one.codes().isEmpty())
                .map(one -> new Object[] {one.id()})
                .toArray(Object[][]::new);
    }

    private static DeviceProfile shipped(String id) {
        return DeviceProfiles.shipped().stream()
                .filter(one -> one.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private Plan fitted(DeviceProfile profile) {
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
        boolean charges = profile.knobs().stream().anyMatch(one -> one.setting().startsWith("charging."));
        FittedDevice device = new FittedDevice(
                "box",
                "The box",
                profile,
                carried,
                charges ? Optional.of(inverter) : Optional.empty(),
                Optional.of(inverter),
                Optional.of(plan.site().monitors().get(0).id()));
        return Fields.withAt(plan, "program/devices", List.of(device));
    }

    /** Numbers on the device's own steps, drawn at random from seed 17: entered and read back they are what the plan says. */
    @Test(dataProvider = "profiles")
    public void typedInAndReadBackItIsTheSamePlan(String id) {
        DeviceProfile profile = shipped(id);
        Random random = new Random(17);
        Plan now = fitted(profile);
        int tried = 0;
        for (int round = 0; round < ROUNDS; round++) {
            for (Setting one : DeviceSettings.of(now)) {
                Optional<Knob> knob = profile.knobs().stream()
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
        assertTrue(tried > ROUNDS || profile.outputs() == 1 && tried == 0, id + " was tried " + tried + " times");
    }

    private static String tail(Knob knob) {
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
    public void shippedDevicesNameNumbersOfAPlan() {
        for (DeviceProfile profile : DeviceProfiles.shipped()) {
            Set<String> kinds = Rules.ALL.stream().map(RuleKind::name).collect(Collectors.toSet());
            assertTrue(kinds.containsAll(profile.rules()), profile.id() + " carries " + profile.rules());
            Stream.concat(
                            profile.knobs().stream().map(Knob::setting),
                            profile.codes().stream().flatMap(code -> code.values().keySet().stream()))
                    .forEach(setting -> assertEquals(typeAt(setting), double.class, profile.id() + ": " + setting));
        }
    }

    private static Type typeAt(String setting) {
        String[] steps = setting.split("\\.");
        Type type = PARTS.containsKey(steps[0])
                ? PARTS.get(steps[0])
                : Rules.ALL.stream()
                        .filter(one -> one.name().equals(steps[0]))
                        .findFirst()
                        .orElseThrow()
                        .type();
        for (String step : List.of(steps).subList(1, steps.length)) {
            if (!step.matches("\\d+")) {
                Class<?> record = (Class<?>) type;
                type = Stream.of(record.getRecordComponents())
                        .filter(one -> one.getName().equals(step))
                        .findFirst()
                        .orElseThrow(() -> new AssertionError(setting + " has no " + step))
                        .getGenericType();
            }
            if (type instanceof ParameterizedType of) {
                type = of.getActualTypeArguments()[0];
            }
        }
        return type == Double.class ? double.class : type;
    }
}
