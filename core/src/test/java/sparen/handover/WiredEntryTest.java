package sparen.handover;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.device.DeviceProfile;
import sparen.device.DeviceProfileBuilder;
import sparen.device.EntryRegister;
import sparen.device.FittedDevice;
import sparen.device.Knob;
import sparen.device.LiveRegister.What;
import sparen.device.NumberKnob;
import sparen.device.NumberKnobBuilder;
import sparen.device.Register;
import sparen.device.Register.WordOrder;
import sparen.device.Wire;
import sparen.program.FullSite;
import sparen.program.Plan;
import sparen.quantity.Fields;
import sparen.quantity.InvalidQuantity;
import sparen.setting.DeviceSettings;

/**
 * A box on a wire that holds the disconnect of the radio (22.8 V, 25 V back) and the controller's absorption and float, in tenths of a
 * volt. The order of writing and the look at the display before it are common practice, no source.
 */
public class WiredEntryTest {
    private static final List<String> KEYS = List.of(
            "voltageDisconnect.lvdVolts",
            "voltageDisconnect.lvrVolts",
            "charging.absorptionVolts",
            "charging.floatVolts");

    private static NumberKnob volts(String setting) {
        return new NumberKnobBuilder()
                .setting(setting)
                .label(setting)
                .unit("V")
                .ofOurs(1)
                .least(10)
                .most(40)
                .step(0.1)
                .build();
    }

    private static DeviceProfile profile() {
        List<Knob> knobs = new ArrayList<>();
        List<EntryRegister> registers = new ArrayList<>();
        for (String key : KEYS) {
            registers.add(new EntryRegister(key, new Register(10 + registers.size(), 1, false, 0.1), Optional.empty()));
            knobs.add(volts(key));
        }
        return new DeviceProfileBuilder()
                .id("box")
                .name("Box")
                .outputs(1)
                .rules(List.of("voltageDisconnect"))
                .knobs(knobs)
                .saving("at once")
                .showing("it is read back")
                .wire(Optional.of(new Wire(
                        WordOrder.HIGH_FIRST,
                        registers,
                        List.of(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty())))
                .build();
    }

    private static final FittedDevice BOX =
            new FittedDevice("box", "The box", profile(), List.of("radio"), Optional.of("mppt"));
    private static final Plan PLAN = Fields.withAt(FullSite.PLAN, "program/devices", List.of(BOX));
    private static final List<WiredEntry> ENTRIES = WiredEntry.of(PLAN, BOX);

    private static WiredEntry entry(String key) {
        return ENTRIES.stream()
                .filter(one -> one.knob().key().equals(key))
                .findFirst()
                .orElseThrow();
    }

    /** What stands in registers is what the menu shows: 288 at the register of the absorption is 28.8. */
    @Test
    public void whatIsPlannedIsOneRawWord() {
        assertEquals(entry("charging.absorptionVolts").raw("28.8"), List.of(288));
        assertEquals(entry("charging.absorptionVolts").text(List.of(288)), "28.8");
        assertEquals(entry("charging.absorptionVolts").register().address(), 12);
        assertEquals(WiredEntry.of(PLAN, BOX.withProfile(BOX.profile().withWire(Optional.empty()))), List.of());
    }

    /** Whatever a device holds and is to hold: as long as it is written to, no level passes the next one. Levels drawn from seed 5. */
    @Test
    public void noLevelEverPassesTheNext() {
        Random random = new Random(5);
        for (int round = 0; round < 500; round++) {
            Map<String, Double> now = levels(random);
            Map<String, Double> wanted = levels(random);
            Map<String, String> holds = ENTRIES.stream()
                    .collect(Collectors.toMap(
                            WiredEntry::place,
                            one -> String.valueOf(now.get(one.knob().key()))));
            List<WiredEntry> entries = ENTRIES.stream()
                    .map(one -> one.wanting(String.valueOf(wanted.get(one.knob().key()))))
                    .toList();
            for (WiredEntry one : WiredEntry.toWrite(entries, holds)) {
                now.put(one.knob().key(), Double.valueOf(one.setting().enter()));
                List<Double> inOrder = KEYS.stream().map(now::get).toList();
                for (int i = 1; i < inOrder.size(); i++) {
                    assertTrue(inOrder.get(i - 1) < inOrder.get(i), round + ": " + inOrder);
                }
            }
            assertEquals(now, wanted);
        }
    }

    /** Four levels, each above the one before. */
    private static Map<String, Double> levels(Random random) {
        Map<String, Double> levels = new TreeMap<>();
        double volts = 20;
        for (String key : KEYS) {
            volts += 0.1 + random.nextInt(30) / 10.0;
            levels.put(key, Math.rint(volts * 10) / 10);
        }
        return levels;
    }

    /** What the wire gives, what the display shows, and what is said of it; nothing where they agree. */
    @DataProvider
    private Object[][] displays() {
        return new Object[][] {
            {"28.8", "28.8", ""},
            {"28.84", "28.8", ""},
            {"28.8", "28,8", ""},
            {"288", "28.8", "10 times too much"},
            {"0.288", "28.8", "100 times too little"},
            {"28.8", "27.2", "shows 27.2 V. Nothing"},
            {"28.8", "AGM", "is not a number"},
        };
    }

    @Test(dataProvider = "displays")
    public void aWrongScaleIsSeenAtTheDisplay(String wire, String shown, String said) {
        Runnable check = () -> DisplayCheck.check("display", entry("charging.absorptionVolts"), wire, shown);
        if (said.isEmpty()) {
            check.run();
        } else {
            InvalidQuantity refused = expectThrows(InvalidQuantity.class, check::run);
            assertTrue(refused.getMessage().contains(said), refused.getMessage());
        }
    }

    @Test
    public void theLiveVoltsAreThoseOfAMeter() {
        DisplayCheck.checkVolts("meterVolts", 25.4, 25.6);
        assertTrue(expectThrows(InvalidQuantity.class, () -> DisplayCheck.checkVolts("meterVolts", 2.54, 25.4))
                .getMessage()
                .contains("10 times too little"));
        expectThrows(InvalidQuantity.class, () -> DisplayCheck.checkVolts("meterVolts", 25.4, 24.9));
        expectThrows(InvalidQuantity.class, () -> DisplayCheck.checkVolts("meterVolts", 25.4, 0));
    }

    /** A disconnect that is set above the voltage there is takes its loads off at once. */
    @Test
    public void whatGoesOffIsToldBefore() {
        List<WiredEntry> toWrite = List.of(entry("voltageDisconnect.lvdVolts"));
        assertEquals(LoadsAtRisk.after(PLAN, toWrite, Map.of(What.BATTERY_VOLTS, 23.0)), List.of());
        assertEquals(LoadsAtRisk.after(PLAN, toWrite, Map.of(What.BATTERY_VOLTS, 22.7)), List.of("radio"));
        assertEquals(LoadsAtRisk.whileSaving(PLAN, BOX), List.of());
        FittedDevice dropping = BOX.withProfile(BOX.profile().withDropping(Optional.of("its outputs")));
        assertEquals(LoadsAtRisk.whileSaving(PLAN, dropping), List.of("radio"));
    }

    /** Numbers of a device as a plan: levels that only fit together come together. */
    @Test
    public void whatIsReadIsAPlanAgain() {
        Plan read = DeviceSettings.asRead(
                PLAN,
                BOX,
                Map.of(
                        "radio/voltageDisconnect.lvdVolts", "27",
                        "radio/voltageDisconnect.lvrVolts", "28.5",
                        "mppt/charging.absorptionVolts", "26.9",
                        "mppt/charging.floatVolts", "26.1"));
        assertEquals(Fields.at(read, "program/outputs/radio/protection/lvdVolts"), 27.0);
        assertEquals(Fields.at(read, "program/outputs/radio/protection/lvrVolts"), 28.5);
        assertEquals(Fields.at(read, "program/charging/mppt/absorptionVolts"), 26.9);
        assertEquals(Fields.at(read, "program/charging/mppt/floatVolts"), 26.1);
    }
}
