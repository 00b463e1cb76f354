package sparen.handover;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.battery.BatteryModel;
import sparen.handover.Provocation.Today;
import sparen.handover.TestStep.Standing;
import sparen.program.FullSite;
import sparen.program.Plan;
import sparen.quantity.Fields;

/**
 * The radio goes off at 22.8 V after 30 s and comes back at 25 V after 300 s. What device and meter are off together: 2 × √2 × 0.25 % of
 * 22.8 V is 0.161 V, propagated as in the Guide to the Expression of Uncertainty in Measurement (GUM), from memory; a watch is good to 5 %,
 * common practice, no source.
 */
public class TestStepTest {
    private static final Plan PLAN = FullSite.PLAN;
    private static final List<TestStep> STEPS = TestStep.of(PLAN);

    private static TestStep radio(List<TestStep> steps, boolean falling) {
        return steps.stream()
                .filter(one -> one.output().equals("radio") && one.falling() == falling)
                .findFirst()
                .orElseThrow();
    }

    @Test
    public void aLevelIsAStepWithItsToleranceAndItsDelay() {
        TestStep off = radio(STEPS, true);
        assertEquals(off.expected(), 22.8, 1e-9);
        assertEquals(off.unit(), "V");
        assertEquals(off.tolerance(), 0.16, 1e-9);
        assertEquals(off.delaySeconds(), Optional.of(30.0));
        assertEquals(off.delayTolerance(), 2, 1e-9);
        assertEquals(off.critical(), List.of("radio"), "which must not be off for longer than the test");
        TestStep on = radio(STEPS, false);
        assertEquals(on.expected(), 25, 1e-9);
        assertEquals(on.delayTolerance(), 15, 1e-9);
        assertEquals(STEPS.stream().map(TestStep::id).distinct().count(), STEPS.size());
    }

    /** Where it moved, after how long, what it was set to, and what is said of it; nothing where it passed. */
    @DataProvider
    private Object[][] measurements() {
        return new Object[][] {
            {22.8, 30.0, null, ""},
            {22.96, 32.0, null, ""},
            {22.64, null, null, ""},
            {22.97, 30.0, null, "moved at 22.97 V, 0.17 V above 22.8 V, where ±0.16 V is allowed"},
            {22.6, 30.0, null, "0.2 V below 22.8 V"},
            {22.8, 33.0, null, "moved after 33 s in place of 30 s ± 2 s"},
            {22.8, 3.0, null, "moved after 3 s"},
            {25.8, 30.0, 25.9, ""},
            {22.8, 30.0, 25.9, "3.1 V below 25.9 V as set for the test"},
        };
    }

    @Test(dataProvider = "measurements")
    public void passOrFailIsWorkedOut(double volts, Double after, Double setTo, String said) {
        String failure = radio(STEPS, true)
                .failure(volts, Optional.ofNullable(after), Optional.ofNullable(setTo))
                .orElse("");
        assertTrue(said.isEmpty() ? failure.isEmpty() : failure.contains(said), failure);
    }

    /** With the battery at 25.6 V the level is raised to 25.9 V (1 % above) to see it act, and the one that comes back lowered to 25.3 V. */
    @Test
    public void aLevelIsTriedWithoutEmptyingTheBattery() {
        Optional<Double> none = Optional.empty();
        assertEquals(radio(STEPS, true).setFor(Optional.of(25.6), none), Optional.of(25.9));
        assertEquals(radio(STEPS, false).setFor(Optional.of(25.6), none), Optional.of(25.3));
        assertEquals(radio(STEPS, true).setFor(none, Optional.of(80.0)), Optional.empty());
    }

    /** A test says nothing any more of a level that was moved, or is gone. */
    @Test
    public void aLaterPlanTellsWhichTestsStillHold() {
        TestStep off = radio(STEPS, true);
        TestStep on = radio(STEPS, false);
        List<TestStep> later = TestStep.of(Fields.withAt(PLAN, "program/outputs/radio/protection/lvdVolts", 23.0));
        assertEquals(off.standing(later), Standing.CHANGED);
        assertEquals(on.standing(later), Standing.VALID);
        List<TestStep> delayed =
                TestStep.of(Fields.withAt(PLAN, "program/outputs/radio/protection/lvdDelaySeconds", 60.0));
        assertEquals(off.standing(delayed), Standing.CHANGED);
        List<TestStep> without = TestStep.of(Fields.withAt(PLAN, "program/outputs/radio/protection", null));
        assertEquals(on.standing(without), Standing.GONE);
    }

    private static TestStep step(String id) {
        return STEPS.stream().filter(one -> one.id().equals(id)).findFirst().orElseThrow();
    }

    /** 2 × √2 × 0.25 % of 28.8 V is 0.204 V; the inverter stops at 21.6 V and takes the saw along. */
    @Test
    public void chargersAndTheInverterAreTriedToo() {
        TestStep absorption = step("mppt/absorption/held");
        assertEquals(absorption.expected(), 28.8, 1e-9);
        assertEquals(absorption.tolerance(), 0.2, 1e-9);
        assertEquals(absorption.setFor(Optional.of(26.0), Optional.empty()), Optional.empty());
        assertTrue(absorption
                .failure(28.5, Optional.empty(), Optional.empty())
                .orElseThrow()
                .startsWith("held at 28.5 V, 0.3 V below 28.8 V"));
        TestStep shutdown = step("inverter/low shutdown/down");
        assertEquals(shutdown.expected(), 21.6, 1e-9);
        assertEquals(shutdown.loads(), List.of("saw"));
        assertEquals(step("inverter/low restart/up").expected(), 24.5, 1e-9);
        // Nobody drives a bank to 33 V: for the test it is set below the 26 V that the battery has.
        TestStep high = step("inverter/high shutdown/up");
        assertEquals(high.expected(), 33, 1e-9);
        assertEquals(high.setFor(Optional.of(26.0), Optional.empty()), Optional.of(25.7));
    }

    /**
     * With the saw on, 900 W at 24 V, 37.5 A flow more; the resistance of the battery's model times that is the sag (Ohm's law). Half of
     * that sag below, and the 0.17 V that device and meter are off, only the saw brings it there.
     */
    @Test
    public void aLevelIsReachedWithWhatThereIs() {
        double ohms = BatteryModel.of(PLAN.site().battery()).ohmicOhms();
        double sag = 900 / 24.0 * ohms;
        Plan near = Fields.withAt(PLAN, "program/outputs/radio/protection/lvdVolts", 24 + 0.17 - 0.5 * sag);
        TestStep off = radio(STEPS, true);
        Optional<String> byLoad = Provocation.of(near, radio(TestStep.of(near), true), today(24.0, 0.0));
        assertTrue(byLoad.orElse("").startsWith("saw on, 900 W"), byLoad.toString());
        assertTrue(byLoad.orElse("").contains("Keep it on for 30 s."), byLoad.toString());
        assertEquals(Provocation.of(PLAN, off, today(26.0, 0.0)), Optional.empty(), "nothing sags it by 3.2 V");
        assertEquals(
                Provocation.of(PLAN, off, today(22.0, 0.0)),
                Optional.of("The battery is past it already: it moves once its delay is over."));
        TestStep absorption = step("mppt/absorption/held");
        assertEquals(
                Provocation.of(PLAN, absorption, today(26.0, 400.0)),
                Optional.of("The sun is out: wait until it is held."));
        assertTrue(
                Provocation.of(PLAN, absorption, today(26.0, 0.0)).orElseThrow().startsWith("No sun now"));
        assertEquals(Provocation.of(PLAN, absorption, Today.UNKNOWN), Optional.empty());
    }

    private static Today today(double volts, double arrayWatts) {
        return new Today(Optional.of(volts), Optional.empty(), Optional.of(arrayWatts));
    }
}
