package sparen.gauge;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.testng.annotations.Test;
import sparen.export.Tables;
import sparen.gauge.Gauge.Acts;
import sparen.gauge.Gauge.Peg;
import sparen.program.AcProgram;
import sparen.program.ChargeDetails.Compensation;
import sparen.program.FullSite;
import sparen.program.Mode;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Rule;
import sparen.program.Surroundings;
import sparen.program.rule.Rules;
import sparen.quantity.Fields;

/** The gauge has every level once, and its walls are those of the parts. */
public class GaugeTest {
    private static final Gauge GAUGE = Gauge.of(FullSite.PLAN, Map.of());

    private static Peg peg(Gauge gauge, String path) {
        return gauge.pegs().stream()
                .filter(peg -> peg.path().equals(path))
                .findFirst()
                .orElseThrow();
    }

    @Test
    public void everyLevelIsOnItOnceWithItsSide() {
        Set<String> paths = new HashSet<>();
        GAUGE.pegs().forEach(peg -> assertTrue(paths.add(peg.path()), peg.path() + " twice"));
        Peg lvd = peg(GAUGE, "program/outputs/radio/protection/lvdVolts");
        assertEquals(lvd.acts(), Acts.FALLING);
        assertEquals(lvd.value(), 22.8);
        assertEquals(peg(GAUGE, "program/outputs/radio/protection/lvrVolts").acts(), Acts.RISING);
        assertEquals(peg(GAUGE, "program/outputs/radio/protection/lvrVolts").pair(), lvd.pair());
        assertEquals(peg(GAUGE, "program/charging/mppt/absorptionVolts").acts(), Acts.HELD);
        assertTrue(peg(GAUGE, "program/outputs/start/automatic/startPercent")
                .unit()
                .equals("%"));
        assertTrue(!peg(GAUGE, "program/outputs/warning/automatic/warningVolts").switches());
    }

    /** A device read to 0.25 % is wrong by less than twice that in 95 of 100 (GUM, from memory): 22.8 V to 0.114 V. */
    @Test
    public void toleranceIsTwoStandardDeviations() {
        assertEquals(peg(GAUGE, "program/outputs/radio/protection/lvdVolts").tolerance(), 0.114, 1e-9);
    }

    /** Usable is what battery, BMS and inverter all allow. Common practice, no source. */
    @Test
    public void usableIsWhatAllWallsLeave() {
        assertEquals(GAUGE.usableFromVolts(), 22.4 - 0.8, 1e-9);
        assertEquals(GAUGE.usableToVolts(), 31.0, 1e-9);
        Gauge lithium = Gauge.of(FullSite.LITHIUM, Map.of());
        assertTrue(lithium.walls().stream().anyMatch(wall -> wall.name().startsWith("BMS") && wall.lower()));
        assertEquals(
                lithium.usableToVolts(),
                lithium.walls().stream()
                        .filter(wall -> !wall.lower() && wall.unit().equals("V"))
                        .mapToDouble(Gauge.Wall::value)
                        .min()
                        .orElseThrow());
    }

    /** −5 mV/K a cell on twelve cells is −60 mV/K on the bank: 20 K colder is 1.2 V more. Common practice, no source. */
    @Test
    public void compensatedLevelsMoveAndOthersStay() {
        Plan moves = compensated(FullSite.PLAN);
        Peg absorption = peg(Gauge.of(moves, Map.of()), "program/charging/mppt/absorptionVolts");
        assertEquals(absorption.voltsPerKelvin(), -0.06, 1e-12);
        assertEquals(absorption.ceilingVolts(), Optional.of(30.0));
        assertEquals(peg(GAUGE, "program/outputs/radio/protection/lvdVolts").voltsPerKelvin(), 0.0);
    }

    private static Plan compensated(Plan plan) {
        return plan.withProgram(plan.program()
                .withCharging(plan.program().charging().stream()
                        .map(charging -> charging.controller().equals("mppt")
                                ? charging.withDetails(charging.details()
                                        .map(details -> details.withCompensation(
                                                Optional.of(new Compensation(-0.005, 30, 26, true)))))
                                : charging)
                        .toList()));
    }

    /** Tables say the same as the screen: a line a level, a line an output, its sentence in it. */
    @Test
    public void tablesHoldEveryLevelAndSentence() {
        List<String> levels = Tables.levels(FullSite.PLAN, Map.of()).lines().toList();
        assertEquals(levels.size(), 1 + GAUGE.pegs().size());
        assertTrue(
                levels.contains(
                        "radio,LVD,22.8,V,falling,battery,1.9,11.4,0.114,,program/outputs/radio/protection/lvdVolts"),
                levels.toString());
        List<String> outputs = Tables.outputs(FullSite.PLAN).lines().toList();
        assertEquals(outputs.size(), 1 + FullSite.PLAN.program().outputs().size());
        Output named = FullSite.PLAN.program().outputs().get(0).withName("radio, \"main\"");
        Plan quoted = FullSite.output(FullSite.PLAN, "radio", output -> named);
        assertTrue(
                Tables.outputs(quoted).contains("radio,\"radio, \"\"main\"\"\",radio,on,"), "quoted as RFC 4180 says");
    }

    /** Temperatures of rules are on an axis of their own, between where the BMS stops charging. */
    @Test
    public void temperaturesHaveTheirOwnAxis() {
        Rule cooling = Rules.ALL.stream()
                .filter(kind -> kind.name().equals("coolingByTemperature"))
                .findFirst()
                .orElseThrow()
                .usual()
                .apply(Surroundings.of(FullSite.LITHIUM)
                        .at(FullSite.LITHIUM.program().outputs().get(0)))
                .orElseThrow();
        Plan plan = FullSite.output(FullSite.LITHIUM, "fan", output -> output.withAutomatic(Optional.of(cooling))
                .withMode(Mode.BY_RULE));
        Gauge gauge = Gauge.of(plan, Map.of());
        List<Peg> degrees =
                gauge.pegs().stream().filter(one -> one.unit().equals("°C")).toList();
        assertTrue(degrees.size() >= 2, degrees.toString());
        assertEquals(
                degrees.stream().map(Peg::at).distinct().toList(),
                List.of("a", "fan"),
                "the boxes' guards, once for both, and the fan");
        for (Peg one : degrees) {
            assertEquals(Fields.at(plan, one.path()), one.value(), "its path leads to its number");
        }
        List<Gauge.Wall> walls =
                gauge.walls().stream().filter(wall -> wall.unit().equals("°C")).toList();
        assertEquals(walls.stream().map(Gauge.Wall::value).toList(), List.of(0.0, 50.0));
    }

    /** 50 W through a conductor that bears 2.2 A: below 22.73 V it is too much; it does not narrow what the bank can be used for. */
    @Test
    public void aConductorIsAWallForConstantPower() {
        Plan thin = FullSite.site(
                FullSite.PLAN,
                "loads",
                FullSite.PLAN.site().loads().stream()
                        .map(load -> load.id().equals("radio")
                                ? load.withCable(load.cable().withAmpacityAmperes(Optional.of(2.2)))
                                : load)
                        .toList());
        Gauge gauge = Gauge.of(thin, Map.of());
        Gauge.Wall wall = gauge.walls().stream()
                .filter(one -> one.name().equals("conductor to radio"))
                .findFirst()
                .orElseThrow();
        assertEquals(wall.value(), 50 / 2.2, 1e-9);
        assertTrue(wall.lower());
        assertEquals(gauge.usableFromVolts(), GAUGE.usableFromVolts(), 1e-9);
    }

    /** What chargers, inverter and AC program go by themselves is there too, a charge (fraction) shown in %; each path leads to its number. */
    @Test
    public void levelsOfDevicesAreOnItWithTheirNumbers() {
        AcProgram ac = AcProgram.PLAIN
                .withSource(AcProgram.SourcePriority.BATTERY_FIRST)
                .withByStateOfCharge(Optional.of(new AcProgram.FeedLevels(0.4, 0.7)));
        Plan plan = FullSite.PLAN.withProgram(FullSite.PLAN.program().withAc(Optional.of(ac)));
        Gauge gauge = Gauge.of(plan, Map.of());
        for (Peg one : gauge.pegs()) {
            assertEquals((double) Fields.at(plan, one.path()) * one.shownTimes(), one.value(), 1e-9, one.path());
        }
        assertEquals(peg(gauge, "program/ac/byStateOfCharge/toAcStateOfCharge").value(), 40, 1e-9);
        assertEquals(peg(gauge, "site/inverter/window/lowShutdownVolts").acts(), Acts.FALLING);
        assertEquals(
                peg(gauge, "site/inverter/window/lowShutdownVolts").pair(),
                peg(gauge, "site/inverter/window/lowRestartVolts").pair());
    }

    /** Two boxes guarded alike have each level once, which moves both; where one differs each has its own. */
    @Test
    public void batteriesThatAreGuardedAlikeMoveTogether() {
        Peg low = peg(Gauge.of(FullSite.LITHIUM, Map.of()), "site/battery/batteries/a/bms/lowVolts");
        assertEquals(low.value(), 20.0);
        assertEquals(low.name(), "BMS of a, b");
        assertEquals(low.alike(), List.of("site/battery/batteries/b/bms/lowVolts"));
        Plan other = Fields.withAt(FullSite.LITHIUM, "site/battery/batteries/b/bms/lowVolts", 21.0);
        Gauge apart = Gauge.of(other, Map.of());
        assertEquals(peg(apart, "site/battery/batteries/a/bms/lowVolts").alike(), List.of());
        assertEquals(peg(apart, "site/battery/batteries/b/bms/lowVolts").value(), 21.0);
        assertEquals(
                peg(apart, "site/battery/batteries/a/bms/chargeColdCelsius").unit(), "°C");
    }
}
