package sparen.handover;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.ZonedDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.testng.annotations.Test;
import sparen.device.LiveRegister.What;
import sparen.program.FullSite;
import sparen.program.Mode;
import sparen.program.Plan;
import sparen.quantity.Fields;
import sparen.site.Consumption;
import sparen.site.DailySpan;

/**
 * What is measured at a site beside what its plan makes of it. The radio goes off at 22.8 V and on at 25 V, the kitchen at 23.4 V and
 * 25.4 V; radio 50 W, kitchen 120 W, fan 12 W and saw 900 W draw all the time. Worked out by hand; that a contact may be either between
 * its levels is common practice, no source.
 */
public class LiveNumbersTest {
    private static final ZonedDateTime MONDAY_TEN = ZonedDateTime.parse("2026-03-02T10:00:00+01:00[Europe/Oslo]");

    private static Map<String, Boolean> shouldBe(Plan plan, double volts) {
        Map<String, Boolean> all = ShouldBe.of(plan, Map.of(What.BATTERY_VOLTS, volts), MONDAY_TEN);
        all.keySet().retainAll(List.of("radio", "kitchen"));
        return all;
    }

    @Test
    public void aContactIsJudgedByItsLevels() {
        assertEquals(shouldBe(FullSite.PLAN, 26), Map.of("radio", true, "kitchen", true));
        assertEquals(shouldBe(FullSite.PLAN, 25.2), Map.of("radio", true), "the kitchen may be either up to 25.4 V");
        assertEquals(shouldBe(FullSite.PLAN, 24), Map.of());
        assertEquals(shouldBe(FullSite.PLAN, 23), Map.of("kitchen", false), "the radio may be either down to 22.8 V");
        assertEquals(shouldBe(FullSite.PLAN, 22), Map.of("radio", false, "kitchen", false));
        Plan byHand = Fields.withAt(FullSite.PLAN, "program/outputs/radio/mode", Mode.OFF);
        assertEquals(shouldBe(byHand, 26), Map.of("radio", false, "kitchen", true));
        assertEquals(
                ShouldBe.of(FullSite.PLAN, Map.of(What.LOAD_WATTS, 100.0), MONDAY_TEN)
                        .get("radio"),
                null,
                "without a voltage nothing is said of it");
    }

    private static Optional<UnplannedDraw> draw(Plan plan, double watts, String... open) {
        return UnplannedDraw.of(
                plan,
                Map.of(What.LOAD_WATTS, watts),
                Stream.of(open).collect(Collectors.toMap(one -> one, one -> false)),
                MONDAY_TEN);
    }

    /** The saw from eight to nine, the kitchen from twelve: at ten radio and fan make 62 W. */
    @Test
    public void whatIsDrawnBeyondThePlanIsExplainedByItsLoads() {
        Plan plan = Fields.withAt(FullSite.PLAN, "site/loads/saw/consumption", at(900, 8, 9));
        plan = Fields.withAt(plan, "site/loads/kitchen/consumption", at(120, 12, 13));
        assertEquals(draw(plan, 62), Optional.empty());
        assertEquals(draw(plan, 71), Optional.empty(), "within 10 W");
        assertEquals(draw(plan, 180).orElseThrow(), new UnplannedDraw(180, 62, List.of(List.of("kitchen"))));
        assertEquals(draw(plan, 965).orElseThrow().explanations(), List.of(List.of("saw")));
        assertEquals(draw(plan, 1080).orElseThrow().explanations(), List.of(List.of("kitchen", "saw")));
        assertEquals(draw(plan, 500).orElseThrow().explanations(), List.of(), "no load of the plan explains 438 W");
        assertEquals(
                draw(plan, 180, "kitchen").orElseThrow().explanations(),
                List.of(),
                "what hangs on an open contact draws nothing");
    }

    private static Consumption at(double watts, double from, double to) {
        return new Consumption.Scheduled(List.of(new Consumption.Entry(watts, DailySpan.daily(from, to))));
    }

    /** When a load goes and what is taken from AC is the owner's; what is charged to is the technician's. Common practice, no source. */
    @Test
    public void whatTheOwnerLivesWithIsToldFromTheRest() {
        Plan later = Fields.withAt(FullSite.PLAN, "program/outputs/radio/protection/lvdVolts", 23.0);
        assertEquals(
                OwnersMatter.between(FullSite.PLAN, later).size(), 1, OwnersMatter.between(FullSite.PLAN, later) + "");
        assertTrue(OwnersMatter.between(FullSite.PLAN, later).get(0).contains("22.8 V → 23 V"));
        Plan start = Fields.withAt(FullSite.PLAN, "program/outputs/start/automatic/startPercent", 35.0);
        assertEquals(OwnersMatter.between(FullSite.PLAN, start).size(), 1, "a generator runs longer");
        Plan charged = Fields.withAt(FullSite.PLAN, "program/charging/mppt/absorptionVolts", 28.4);
        Plan warned = Fields.withAt(charged, "program/outputs/warning/automatic/warningVolts", 23.6);
        assertEquals(OwnersMatter.between(FullSite.PLAN, warned), List.of());
    }
}
