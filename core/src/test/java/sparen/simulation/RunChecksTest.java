package sparen.simulation;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.Test;
import sparen.check.Checks;
import sparen.check.Finding;
import sparen.program.ChargeDetails;
import sparen.program.ChargeDetails.TemperatureLimits;
import sparen.program.ChargeProgram;
import sparen.program.Contact;
import sparen.program.Output;
import sparen.program.rule.ClockSchedule;
import sparen.program.rule.GeneratorStart;
import sparen.program.rule.RemoteRequest;
import sparen.program.rule.SurplusBySoc;
import sparen.program.rule.VentilationByGassing;
import sparen.program.rule.VoltageDisconnect;
import sparen.program.rule.VoltageDiversion;
import sparen.site.AcSource;
import sparen.site.Chemistry;
import sparen.site.Consumption;
import sparen.site.DailySpan;
import sparen.site.Load;

/** What a run shows to be wrong: each where it must fire, and the same house set right where it must not. Common practice, no source. */
public class RunChecksTest {
    private static final double DAY = 86_400;

    private static List<String> shown(House house, double seconds) {
        return Checks.of(house.plan(), Map.of(), house.run(seconds)).stream()
                .map(Finding::check)
                .distinct()
                .toList();
    }

    private static House heater(double charge) {
        House house = new House().sun("mppt", 3000).monitor(charge).load("heater", null, new Consumption.Resistance(6));
        house.loads.set(0, house.loads.get(0).withUse(Optional.of(Load.Use.DIVERSION)));
        return house;
    }

    @Test
    public void surplusThatNobodyTook() {
        House late = heater(0.97);
        late.output("surplus", new VoltageDiversion("point", 56, 60, 53, 60, 0), null, "heater");
        assertEquals(shown(late, 3 * DAY), List.of("NeverDiverted"));
        House right = heater(0.97);
        right.output("surplus", new VoltageDiversion("point", 53.8, 60, 53.3, 60, 0), null, "heater");
        assertTrue(!shown(right, 3 * DAY).contains("NeverDiverted"));
    }

    /** By the clock it goes on in the night; by the state of charge it takes surplus. */
    @Test
    public void whatWasDivertedCameOutOfTheBattery() {
        House blind = heater(0.97);
        blind.output("night", new ClockSchedule(List.of(DailySpan.daily(20, 24))), null, "heater");
        assertTrue(shown(blind, 3 * DAY).contains("DivertedFromBattery"));
        House right = heater(0.97);
        right.output("surplus", new SurplusBySoc("monitor", 100, 60, 99, 60), null, "heater");
        assertTrue(!shown(right, 3 * DAY).contains("DivertedFromBattery"));
    }

    @Test
    public void aLoadThatNeverCameBack() {
        House house = new House().load("lamp", null, new Consumption.ConstantPower(200));
        house.output("cut", null, new VoltageDisconnect("point", 52.2, 60, 53.5, 60), "lamp");
        assertEquals(shown(house, 5 * DAY), List.of("NeverReconnected"));
        assertEquals(shown(house, DAY), List.of(), "a day is no time yet");
    }

    @Test
    public void theLastLineOfDefenceActed() {
        House house = new House().load("pump", null, new Consumption.ConstantPower(600));
        house.batteries.add(House.battery("box", 1, 0.001, House.bms(200, 200, Optional.empty())));
        house.startCharge = 0.1;
        house.curve = List.of(42.0, 54.0);
        List<String> told = shown(house, DAY);
        assertTrue(told.contains("BmsBeforeDisconnect"), told.toString());
    }

    /** At −6 °C a charger that stops below 3 °C stands still from the first minute to the last: 24 h of a day, by cold. */
    @Test
    public void aChargerThatTheColdKeptFromCharging() {
        House house = new House().sun("mppt", 2000);
        house.airCelsius = -6;
        ChargeDetails careful = ChargeDetails.NONE.withTemperatureLimits(Optional.of(new TemperatureLimits(3, 45, 2)));
        house.charging = List.of(house.charging.get(0).withDetails(Optional.of(careful)));
        List<Finding> told = Checks.of(house.plan(), Map.of(), house.run(DAY));
        Finding stopped = told.stream()
                .filter(one -> one.check().equals("ChargingStopped"))
                .findFirst()
                .orElseThrow();
        assertEquals(stopped.at(), "mppt");
        assertEquals(stopped.compared().get(0).name(), "by cold");
        assertEquals(stopped.compared().get(0).value(), 24, 0.02);
        house.airCelsius = 10;
        assertTrue(!shown(house, DAY).contains("ChargingStopped"));
    }

    /** Called a minute past one, local time, for six hours at least, it runs from two on, when it should be quiet, until a minute past seven. */
    @Test
    public void aGeneratorThatRanOnIntoItsQuietHours() {
        Finding told = Checks.of(
                        called(6 * 3600).plan(), Map.of(), called(6 * 3600).run(DAY))
                .stream()
                .filter(one -> one.check().equals("GeneratorInQuietHours"))
                .findFirst()
                .orElseThrow();
        assertEquals(told.at(), "call");
        assertEquals(told.compared().get(0).value(), 5.02, 0.05);
        assertTrue(!shown(called(1800), DAY).contains("GeneratorInQuietHours"), "let go as they begin");
    }

    /**
     * A contact for 10 A that carries 40 A for half a minute at a stretch, before a winch of 1 kW (some 20 A at 52 V): 25 s are what it is
     * made for, 40 s are not.
     */
    @Test
    public void aContactThatWasMadeForAWhile() {
        assertEquals(shown(winch(25), 1000), List.of());
        Finding told = Checks.of(winch(40).plan(), Map.of(), winch(40).run(1000)).stream()
                .filter(one -> one.check().equals("IntermittentRating"))
                .findFirst()
                .orElseThrow();
        assertEquals(told.at(), "lift");
        assertEquals(told.compared().get(1).value(), 40, 0.1);
        assertEquals(told.compared().get(2).value(), 30);
    }

    private static House winch(double seconds) {
        House house = new House().load("winch", null, new Consumption.ConstantPower(1000));
        house.requests = List.of(new Request("lift", 100, 100 + seconds), new Request("lift", 500, 505));
        Contact contact = Contact.of(Contact.Kind.RELAY)
                .withDcAmperes(Optional.of(10.0))
                .withIntermittent(Optional.of(new Contact.Intermittent(40, 30)));
        house.output("lift", new RemoteRequest("lift", 3600), null, "winch")
                .last(output -> output.withContact(Optional.of(contact)));
        return house;
    }

    /**
     * A full vented battery makes gas of all that still flows into it, common knowledge: 4 A into 24 cells need 0.05 · 24 · 4 = 4.8 m³/h
     * (EN IEC 62485-2, from memory). A fan that waits for a voltage that is never reached stands still.
     */
    @Test
    public void aBatteryThatGassedWhileItsFanStoodStill() {
        Finding told = Checks.of(gassing(70).plan(), Map.of(), gassing(70).run(20 * 3600)).stream()
                .filter(one -> one.check().equals("GassedUnventilated"))
                .findFirst()
                .orElseThrow();
        assertEquals(told.compared().get(1).value(), 4, 0.1);
        assertEquals(told.compared().get(2).value(), 4.8, 0.12);
        assertTrue(told.compared().get(0).value() > 10, told.compared().toString());
        assertTrue(!shown(gassing(54), 20 * 3600).contains("GassedUnventilated"));
    }

    private static House gassing(double fanAtVolts) {
        House house = new House().source(0, 4, 1e6, 4).load("fan", null, new Consumption.ConstantPower(1));
        house.chemistry = Chemistry.FLOODED;
        house.startCharge = 0.995;
        house.output("air", new VentilationByGassing("point", fanAtVolts, Optional.empty(), 1, 60, 60), null, "fan");
        return house;
    }

    private static House called(double leastSeconds) {
        House house = new House().withInverter(3000).monitor(0.25);
        house.startCharge = 0.25;
        house.acSources.add(new AcSource.Generator(
                "generator", "generator", 3000, 1, 20, 0.3, 60, 0, 30, 3, 0.3, 0.35, Optional.empty()));
        house.output(
                "call",
                new GeneratorStart("monitor", 30, 60, 95, 60, leastSeconds, 2, 8, List.of()),
                null,
                "generator");
        return house;
    }

    /**
     * Absorption of half an hour from one in the morning, then four hours of equalization that the generator is to finish: quiet from four
     * it is cut short, quiet from eleven it comes to its end.
     */
    @Test
    public void quietHoursThatEndAnEqualization() {
        for (double quiet : new double[] {4, 11}) {
            House house = new House().withInverter(3000).monitor(0.95);
            house.chemistry = Chemistry.FLOODED;
            house.charging = List.of(new ChargeProgram("inverter", 57, 1800, 55, 51, 60)
                    .withDetails(Optional.of(ChargeDetails.NONE.withEqualization(Optional.of(
                            new ChargeDetails.Equalization(58, 4 * 3600, 7, 10 * 3600, Optional.of(30.0)))))));
            house.acSources.add(new AcSource.Generator(
                    "generator", "generator", 3000, 1, 20, 0.3, 60, 0, 30, 3, 0.3, 0.35, Optional.empty()));
            GeneratorStart start = new GeneratorStart(
                    "monitor",
                    96,
                    60,
                    99,
                    60,
                    0,
                    quiet,
                    12,
                    List.of(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.of(true));
            house.output("call", start, null, "generator");
            assertEquals(shown(house, 12 * 3600).contains("EqualizationCutShort"), quiet == 4, "quiet from " + quiet);
        }
    }

    @Test
    public void aHazardAndAGeneratorThatGaveUp() {
        House house = new House().sun("mppt", 2000).withInverter(3000);
        house.charging = List.of(
                house.charging.get(0), new House().sun("mppt", 1).charging.get(0));
        house.output("side", new ClockSchedule(List.of(DailySpan.daily(0, 12))), null, "mppt")
                .last(output -> output.withSide(Optional.of(Output.Side.BATTERY)));
        house.acSources.add(new AcSource.Generator(
                "generator", "generator", 3000, 1, 20, 0.3, 60, 1, 30, 3, 0.3, 0.35, Optional.empty()));
        house.output("call", new ClockSchedule(List.of(DailySpan.daily(8, 9))), null, "generator");
        assertEquals(shown(house, DAY), List.of("HazardHappened", "GeneratorGaveUp", "ChargingStopped"));
    }

    @Test
    public void leadAcidThatIsNeverFull() {
        House house = new House().load("lamp", null, new Consumption.ConstantPower(5));
        house.chemistry = Chemistry.GEL;
        house.ampereHours = 2000;
        house.startCharge = 0.8;
        house.output("cut", null, new VoltageDisconnect("point", 40, 60, 41, 60), "lamp");
        assertEquals(shown(house, 23 * DAY), List.of("NeverFull"));
        house.chemistry = Chemistry.USER_TABLE;
        assertEquals(shown(house, 23 * DAY), List.of(), "other chemistries do not mind");
    }

    /** A year in which an output does not move once leaves its rule untried. */
    @Test
    public void aRuleThatWasNeverTried() {
        House house = new House();
        house.output("cut", null, new VoltageDisconnect("point", 45, 60, 46, 60));
        assertEquals(shown(house, 361 * DAY), List.of("NeverExercised"));
    }
}
