package sparen.handover;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.testng.annotations.Test;
import sparen.device.DeviceProfileBuilder;
import sparen.device.FittedDevice;
import sparen.handover.WorkStep.Phase;
import sparen.program.FullSite;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import sparen.quantity.Fields;
import sparen.quantity.InvalidQuantity;

/** What is done at a site and in which order: battery first, array last, the reverse for taking down. Common practice, no source. */
public class CommissioningTest {
    private static final FittedDevice BOX = new FittedDevice(
                    "box",
                    "The box",
                    new DeviceProfileBuilder()
                            .id("box")
                            .name("Box")
                            .outputs(1)
                            .rules(List.of("voltageDisconnect"))
                            .saving("at once")
                            .showing("it is read back")
                            .build(),
                    List.of("radio"),
                    Optional.empty())
            .withSerial(Optional.of("B-7"));
    private static final Plan PLAN = Fields.withAt(FullSite.PLAN, "program/devices", List.of(BOX));
    private static final List<WorkStep> STEPS = Commissioning.of(PLAN);

    private static List<String> ids(Phase phase) {
        return STEPS.stream()
                .filter(one -> one.phase() == phase)
                .map(one -> one.id().substring(one.id().indexOf('/') + 1))
                .toList();
    }

    private static WorkStep step(String id) {
        return STEPS.stream().filter(one -> one.id().equals(id)).findFirst().orElseThrow();
    }

    @Test
    public void theBatteryComesFirstAndTheArraysLast() {
        List<String> up = ids(Phase.START_UP);
        assertEquals(up.get(0), "battery");
        assertEquals(up.get(up.size() - 1), "array/mppt");
        assertTrue(
                up.indexOf("output/radio") < up.indexOf("output/kitchen"),
                "what is critical comes before the rest: " + up);
        assertTrue(up.indexOf("inverter") < up.indexOf("array/mppt"), up.toString());
        List<String> down = ids(Phase.TAKING_DOWN);
        assertEquals(down.get(0), "array/mppt");
        assertEquals(down.get(down.size() - 1), "battery");
    }

    /** Nothing is changed before it has been written down, and each number is the plan's. */
    @Test
    public void eachStepSaysWhatIsExpected() {
        assertEquals(STEPS.get(0).id(), "arrival/read/box");
        assertEquals(step("arrival/plate/box").expect(), "Serial number B-7, no firmware yet.");
        String battery = step("start-up/battery").expect();
        assertTrue(
                battery.startsWith(
                        "Between " + Bounds.number(PLAN.site().battery().lowestVolts()) + " V"),
                battery);
        assertTrue(
                step("start-up/array/mppt").expect().contains("below 150 V"),
                step("start-up/array/mppt").expect());
        assertTrue(
                step("start-up/array/mppt").expect().contains("28.8 V held"),
                step("start-up/array/mppt").expect());
        assertEquals(STEPS.stream().map(WorkStep::id).distinct().count(), STEPS.size());
    }

    /** A site without a device has nothing to read on arrival, and no step says nothing. */
    @Test
    public void whatIsNotThereIsNotDone() {
        List<WorkStep> bare = Commissioning.of(FullSite.PLAN);
        Set<String> more = STEPS.stream().map(WorkStep::id).collect(Collectors.toSet());
        more.removeAll(bare.stream().map(WorkStep::id).toList());
        assertEquals(more, Set.of("arrival/read/box", "arrival/plate/box", "setting-up/reset/box"));
        assertTrue(bare.stream().noneMatch(one -> one.what().isBlank()));
    }

    /** The inverter gives 230 V, give or take ten in a hundred; a plate is read letter by letter. Worked out by hand. */
    @Test
    public void whatIsMeasuredIsJudged() {
        WorkStep inverter = step("start-up/inverter");
        assertEquals(inverter.failure("231,5 V"), Optional.empty());
        assertEquals(inverter.failure("253"), Optional.empty());
        assertEquals(inverter.failure(" 206.9 V "), Optional.of("outside 207 to 253 V"));
        assertEquals(inverter.failure(""), Optional.empty(), "nothing was written down");
        assertThrows(InvalidQuantity.class, () -> inverter.failure("fine"));
        WorkStep plate = step("arrival/plate/box");
        assertEquals(plate.failure("no. b - 7, 2.4"), Optional.empty());
        assertEquals(plate.failure("B-8"), Optional.of("the plan has B-7"));
        assertEquals(step("start-up/output/radio").failure("anything"), Optional.empty(), "a sign decides");
    }
}
