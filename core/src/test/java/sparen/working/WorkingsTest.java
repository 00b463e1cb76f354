package sparen.working;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static sparen.program.FullSite.PLAN;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.examined.PlanFacts;
import sparen.program.AcProgram.AcWindow;
import sparen.program.ChargeDetails;
import sparen.program.FullSite;
import sparen.program.Plan;
import sparen.site.DailySpan;
import sparen.site.Load;

/** Each sum against the same one done by hand from the numbers of the plan. */
public class WorkingsTest {
    private static Plan plan() {
        Plan diverting = FullSite.site(
                PLAN,
                "loads",
                PLAN.site().loads().stream()
                        .map(load -> load.id().equals("saw") ? load.withUse(Optional.of(Load.Use.DIVERSION)) : load)
                        .toList());
        AcWindow window = new AcWindow(AcWindow.Kind.CHARGE, DailySpan.daily(0, 5), 0.8);
        return diverting.withProgram(
                diverting.program().withAc(diverting.program().ac().map(ac -> ac.withWindows(List.of(window)))));
    }

    private static Working work(Plan plan, String calculator) {
        return Workings.of(plan, Map.of()).stream()
                .filter(working -> working.calculator().equals(calculator))
                .findFirst()
                .orElseThrow(() -> new AssertionError(calculator + " works nothing out"));
    }

    @DataProvider
    public Object[][] sums() {
        double arrayWatts = 1400 * 0.95;
        double amperes = Math.min(55, arrayWatts * 0.97 / 28.8);
        return new Object[][] {
            // 0.42 × 400 Ah / 44.8 A = 3.7505 h, up to the next quarter: 4 h.
            {"AbsorptionTime", Math.ceil(0.42 * 400 / amperes * 4) / 4, "h"},
            {"EqualizationTime", 1.25, "h"},
            // Flooded: a fifth of the capacity is 80 A; the hardware gives 60 A.
            {"ChargeCurrentCeiling", 60.0, "A"},
            // 3000 W / 230 V × 90 % = 11.7 A, down to a half.
            {"AcInput", 11.5, "A"},
            {"MonitorSettings", 400.0, "Ah"},
            {"CableDropOfLoad", 50.0 / 24 * 0.01, "V"},
            // EN IEC 62485-2, from memory: 0.05 × 12 × 20 × 400 / 1000.
            {"VentilationAir", 4.8, "m³/h"},
            {"DiversionSizing", 900.0, "W"},
            {"WindowLength", 0.6 * 400 / 40 / 0.9, "h"},
            {"CellScaling", 22.8 / 2, "V"},
            // Half of 9.6 kWh over 182 W.
            {"Autonomy", 4800 / (24 * 182.0), "d"},
        };
    }

    @Test(dataProvider = "sums")
    public void isWhatTheHandWouldGet(String calculator, double value, String unit) {
        Working working = work(plan(), calculator);
        assertEquals(
                working.value(),
                value,
                1e-9 * Math.max(1, value),
                working.lines().toString());
        assertEquals(working.unit(), unit);
        assertTrue(working.lines().size() >= 1);
    }

    /**
     * A charge window by hand. To 80 %: 240 Ah with the charger's 40 A, 90 % of it stored: 6.67 h. With 4 A of input, 920 W, and nothing on
     * AC but a surplus load: × 0.9 / 28.2 V = 29.36 A. With 500 W of its own: 15.96 A. To 100 % two hours of absorption come after 320 Ah;
     * from the 50 % that a discharge window leaves 200 Ah.
     */
    @Test
    public void aChargeWindowTakesWhatIsLeftForIt() {
        assertEquals(windowHours(12, 0.8, Optional.empty()), 240 / 40.0 / 0.9, 1e-9);
        assertEquals(windowHours(4, 0.8, Optional.empty()), 240 / (920 * 0.9 / 28.2) / 0.9, 1e-9);
        assertEquals(windowHours(4, 0.8, Optional.of(500.0)), 240 / (500 * 0.9 / 28.2) / 0.9, 1e-9);
        assertEquals(windowHours(12, 1, Optional.empty()), 320 / 40.0 / 0.9 + 2, 1e-9);
        AcWindow dear = new AcWindow(AcWindow.Kind.DISCHARGE, DailySpan.daily(17, 20), 0.5);
        assertEquals(windowHours(12, 1, Optional.empty(), dear), 200 / 40.0 / 0.9 + 2, 1e-9);
    }

    private static double windowHours(double amperes, double to, Optional<Double> watts, AcWindow... others) {
        List<AcWindow> windows = new ArrayList<>(List.of(others));
        windows.add(new AcWindow(AcWindow.Kind.CHARGE, DailySpan.daily(0, 5), to, watts, Optional.empty()));
        Plan plan = plan();
        Plan set = plan.withProgram(plan.program()
                .withAc(plan.program().ac().map(ac -> ac.withWindows(windows).withInputLimitAmperes(amperes))));
        return work(set, "WindowLength").value();
    }

    @Test
    public void lithiumHasMinutesForItsAmpereHours() {
        Plan lithium = FullSite.LITHIUM;
        Working working = work(lithium, "LithiumAbsorption");
        // Two boxes of 200 Ah: 15 min × 200 / 100.
        assertEquals(working.value(), 30.0, working.lines().toString());
        assertEquals(working.unit(), "min");
        Plan entered = working.takes().orElseThrow().change().apply(lithium);
        assertEquals(entered.program().charging().get(0).absorptionSeconds(), 1800.0);
    }

    /**
     * The charger in the inverter by hand: 12 A × 230 V of input × 0.9 / 28.2 V = 88.1 A, its hardware gives 40 A: 0.42 × 400 / 40 = 4.2 h,
     * four at most. With an input limit of 4 A 29.4 A come through.
     */
    @Test
    public void aChargerOnAcHasItsOwnAbsorptionTime() {
        assertEquals(onAc(PLAN).value(), 4.0);
        Plan little =
                PLAN.withProgram(PLAN.program().withAc(PLAN.program().ac().map(ac -> ac.withInputLimitAmperes(4))));
        assertTrue(
                onAc(little).lines().get(0).contains("29.4 A at 28.2 V"),
                onAc(little).lines().toString());
    }

    private static Working onAc(Plan plan) {
        return Workings.of(plan, Map.of()).stream()
                .filter(one -> one.path().equals("program/charging/inverter/absorptionSeconds"))
                .findFirst()
                .orElseThrow();
    }

    /** In the cold the table and the sheet differ; the higher counts. −16 °C: row factor 1.16 or 1.18, sheet 1 + 0.003 × 41. */
    @Test
    public void stringVoltageTakesTheWorse() {
        Working working = work(PLAN, "StringVoltage");
        assertTrue(
                working.value() >= 80 * 1.1 && working.value() <= 80 * 1.25,
                working.lines().toString());
        assertEquals(working.lines().size(), 3);
    }

    /** What a sum enters is what it found, and entering it changes nothing else of the site. */
    @Test
    public void entersWhatItFound() {
        Plan taken = work(PLAN, "HysteresisFromSag").takes().orElseThrow().apply(PLAN);
        double found = work(PLAN, "HysteresisFromSag").value();
        assertEquals(
                taken.program()
                        .outputs()
                        .get(0)
                        .protection()
                        .orElseThrow()
                        .levels()
                        .get(1)
                        .value(),
                found);
        assertEquals(taken.site(), PLAN.site());
        Plan ceiling = work(PLAN, "ChargeCurrentCeiling").takes().orElseThrow().apply(PLAN);
        assertEquals(
                ceiling.program().charging().get(0).details().flatMap(ChargeDetails::maximumAmperes),
                Optional.of(60.0));
    }

    /** Of 100 days two may be worse: the third lowest counts, with five percent of room. */
    @Test
    public void floorLeavesOutTheWorstDays() {
        double[] days = new double[100];
        for (int i = 0; i < days.length; i++) {
            days[i] = 0.4 + i / 250.0;
        }
        assertEquals(FloorFromHistory.of(days).orElseThrow().value(), 35.0);
        assertTrue(FloorFromHistory.of(new double[13]).isEmpty());
    }

    /** By hand: 50 W at 24 V through 10 mΩ; 900 W at 230 V; 3000 W of a generator at 230 V on one leg. */
    @Test
    public void conductorsCarryWhatHangsOnThem() {
        Map<String, Conductor> conductors = Conductor.of(new PlanFacts(PLAN, Map.of())).stream()
                .collect(Collectors.toMap(Conductor::path, one -> one));
        assertEquals(conductors.get("site/loads/radio").amperes(), 2.0833, 1e-4);
        assertEquals(conductors.get("site/loads/radio").dropVolts().orElseThrow(), 0.0208, 1e-4);
        assertEquals(conductors.get("site/loads/saw").amperes(), 3.913, 1e-3);
        assertEquals(conductors.get("site/acSources/generator").amperes(), 13.043, 1e-3);
        double inverter = conductors.get("site/inverter").amperes();
        assertTrue(inverter > 900 / 24.0 && inverter < 1.25 * 900 / 24.0, "the saw and the losses: " + inverter);
        assertTrue(conductors.get("site/mainCable").amperes() >= inverter + (50 + 120 + 12) / 24.0);
    }
}
