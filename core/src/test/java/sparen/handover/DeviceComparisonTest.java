package sparen.handover;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.Test;
import sparen.device.DeviceProfile;
import sparen.device.DeviceProfileBuilder;
import sparen.device.FittedDevice;
import sparen.device.MenuChoice;
import sparen.device.NotedKnob;
import sparen.device.NotedKnobBuilder;
import sparen.device.NotedValue;
import sparen.device.NumberKnob;
import sparen.device.NumberKnobBuilder;
import sparen.handover.ReadEntry.Agreement;
import sparen.program.FullSite;
import sparen.program.Plan;
import sparen.quantity.Fields;
import sparen.quantity.InvalidQuantity;

/**
 * What was read beside what is planned. The controller's absorption is 28.8 V and its float 27.2 V; its box counts tenths of a volt from
 * 20 to 32. That a reading which cannot be is a misreading is common practice, no source.
 */
public class DeviceComparisonTest {
    private static final String ABSORPTION = "mppt/charging.absorptionVolts";
    private static final String FLOAT = "mppt/charging.floatVolts";
    private static final String BUZZER = "box/buzzer";
    private static final Instant OCTOBER = Instant.parse("2026-10-12T09:00:00Z");
    private static final Instant NOVEMBER = Instant.parse("2026-11-02T14:30:00Z");

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

    private static final NotedKnob KEYS = new NotedKnobBuilder()
            .id("buzzer")
            .label("buzzer")
            .unit("")
            .choices(List.of(MenuChoice.plain("ON", "sounds"), MenuChoice.plain("OFF", "is silent")))
            .usual("ON")
            .build();

    private static final DeviceProfile PROFILE = new DeviceProfileBuilder()
            .id("box")
            .name("Box")
            .knobs(List.of(volts("absorptionVolts"), volts("floatVolts"), KEYS))
            .saving("hold OK")
            .showing("SAVED")
            .build();

    private static final FittedDevice BOX = new FittedDevice("box", "Box", PROFILE, List.of(), Optional.of("mppt"));

    private static Plan plan(FittedDevice device) {
        return Fields.withAt(FullSite.PLAN, "program/devices", List.of(device));
    }

    private static final Plan PLAN = plan(BOX);

    private static DeviceReading reading(Instant at, Plan plan, Map<String, String> said) {
        return new DeviceReading(at, "liv", DeviceComparison.taken(plan, BOX, said));
    }

    private static ReadEntry entry(Plan plan, String place, DeviceReading... readings) {
        return DeviceComparison.of(plan, plan.program().devices().get(0), List.of(readings)).stream()
                .filter(one -> one.place().equals(place))
                .findFirst()
                .orElseThrow();
    }

    @Test
    public void whatDiffersIsToldSinceItWasFirstSeen() {
        DeviceReading first = reading(OCTOBER, PLAN, Map.of(ABSORPTION, "28.4", FLOAT, "27,20"));
        DeviceReading second = reading(NOVEMBER, PLAN, Map.of(ABSORPTION, "28.40"));
        ReadEntry absorption = entry(PLAN, ABSORPTION, first, second);
        assertEquals(absorption.planned(), "28.8");
        assertEquals(absorption.read(), Optional.of("28.4"));
        assertEquals(absorption.agreement(), Agreement.DRIFTED);
        assertEquals(absorption.since(), Optional.of(OCTOBER));
        assertEquals(absorption.readAt(), Optional.of(NOVEMBER));
        assertEquals(entry(PLAN, FLOAT, first, second).agreement(), Agreement.SAME, "27,20 is 27.2");
        assertEquals(entry(PLAN, BUZZER, first, second).agreement(), Agreement.UNREAD);
        assertTrue(DeviceComparison.isDrifted(PLAN, BOX, List.of(first, second)));
        DeviceReading mended = reading(NOVEMBER, PLAN, Map.of(ABSORPTION, "28.8"));
        assertFalse(DeviceComparison.isDrifted(PLAN, BOX, List.of(first, mended)));
        assertEquals(entry(PLAN, ABSORPTION, first, mended).since(), Optional.of(NOVEMBER));
    }

    /** It held what was planned; then somebody planned something else: that is no drift. */
    @Test
    public void whatThePlanChangedSinceIsToBeEntered() {
        DeviceReading asPlanned = reading(OCTOBER, PLAN, Map.of(ABSORPTION, "28.8"));
        Plan later = Fields.withAt(PLAN, "program/charging/mppt/absorptionVolts", 28.6);
        assertEquals(entry(later, ABSORPTION, asPlanned).agreement(), Agreement.TO_ENTER);
        assertFalse(DeviceComparison.isDrifted(later, BOX, List.of(asPlanned)));
        assertEquals(
                entry(later, ABSORPTION, asPlanned, reading(NOVEMBER, later, Map.of(ABSORPTION, "28.8")))
                        .agreement(),
                Agreement.DRIFTED,
                "and was not entered when one looked again");
    }

    /** What is only noted is read like all else; nobody has noted anything of the buzzer, so it is as usual. */
    @Test
    public void whatIsOnlyNotedIsReadToo() {
        DeviceReading off = reading(OCTOBER, PLAN, Map.of(BUZZER, "OFF"));
        assertEquals(entry(PLAN, BUZZER, off).agreement(), Agreement.DRIFTED);
        Plan noted = plan(BOX.noting(new NotedValue("buzzer", "OFF", Optional.empty())));
        assertEquals(entry(noted, BUZZER, off).agreement(), Agreement.SAME);
    }

    @Test
    public void whatCannotStandThereWasMisread() {
        String beyond = refused(ABSORPTION, "288");
        assertTrue(beyond.contains("values." + ABSORPTION) && beyond.contains("288 V"), beyond);
        assertTrue(beyond.contains("20 to 32 V by 0.1"), beyond);
        assertTrue(refused(ABSORPTION, "28.45").contains("by 0.1"));
        assertTrue(refused(ABSORPTION, "much").contains("is not a number in V"));
        assertTrue(refused(BUZZER, "LOUD").contains("[ON, OFF]"));
        assertTrue(refused("mppt/charging.noSuch", "1").contains("noSuch"));
        expectThrows(InvalidQuantity.class, () -> DeviceComparison.taken(PLAN, BOX, Map.of()));
    }

    private static String refused(String place, String said) {
        return expectThrows(InvalidQuantity.class, () -> DeviceComparison.taken(PLAN, BOX, Map.of(place, said)))
                .getMessage();
    }
}
