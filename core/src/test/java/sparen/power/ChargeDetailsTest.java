package sparen.power;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import sparen.battery.BatteryCircuit;
import sparen.battery.BatteryModel;
import sparen.power.ChargeRegulator.Limit;
import sparen.program.ChargeDetails;
import sparen.program.ChargeDetails.AbsorptionEnd;
import sparen.program.ChargeDetails.AbsorptionEnd.InCloud;
import sparen.program.ChargeDetails.AbsorptionEnd.Whose;
import sparen.program.ChargeDetails.Compensation;
import sparen.program.ChargeDetails.Equalization;
import sparen.program.ChargeDetails.OverVoltage;
import sparen.program.ChargeDetails.RepeatAbsorption;
import sparen.program.ChargeDetails.TemperatureLimits;
import sparen.program.ChargeProgram;
import sparen.program.ChargeStage;
import sparen.result.Change;
import sparen.result.Fact;

/** What only some chargers have, by hand on a stiff battery. Behaviour of such chargers: common practice, no source. */
public class ChargeDetailsTest {
    private static final double DAY = 86_400;
    private static final double OHMS = 0.02;

    private ChargeRegulator regulator;
    private double volts;
    private double amperes;

    /** Details of which one is set. */
    private static final class Some {
        private Optional<AbsorptionEnd> end = Optional.empty();
        private Optional<Equalization> equalization = Optional.empty();
        private Optional<Compensation> compensation = Optional.empty();
        private Optional<TemperatureLimits> limits = Optional.empty();
        private Optional<OverVoltage> over = Optional.empty();
        private Optional<RepeatAbsorption> repeat = Optional.empty();
        private Optional<Double> startInFloat = Optional.empty();
        private Optional<Double> longest = Optional.empty();
        private Optional<Double> resume = Optional.empty();

        ChargeDetails details() {
            return new ChargeDetails(
                    Optional.of(15.0),
                    end,
                    equalization,
                    compensation,
                    limits,
                    over,
                    repeat,
                    Optional.empty(),
                    startInFloat,
                    longest,
                    resume,
                    Optional.empty(),
                    Optional.empty());
        }
    }

    private void set(Some some) {
        ChargeProgram program = new ChargeProgram("c", 14.2, 3600, 13.6, 12.6, 60, Optional.of(some.details()));
        regulator = new ChargeRegulator(program, 6, 20);
        regulator.offer(1000);
    }

    /** Puts it on a battery of this voltage at an instant; whether its stage changed. */
    private boolean at(double seconds, double emf) {
        BatteryModel model = BatteryModel.plain(
                3.6e6, new double[] {0, 1}, new double[] {emf, emf}, OHMS, new double[0], new double[0], new double[0]);
        BusBalance bus = new BusBalance(new BatteryCircuit(model, 0.5), 0, new double[] {1e-5});
        do {
            regulator.apply(bus, 0);
            assertTrue(bus.solve());
        } while (regulator.reconsider(bus, 0));
        volts = bus.farVolts(0)[0];
        amperes = bus.current(0)[0];
        return regulator.settleStage(seconds, volts, amperes, amperes - 3);
    }

    @Test
    public void aSettingLimitsTheHardware() {
        set(new Some());
        at(0, 12.5);
        assertEquals(amperes, 15.0, 1e-9);
        assertEquals(regulator.limit(), Limit.CURRENT);
    }

    /** The tail must hold for its time; net at the shunt is what the loads leave of the charger's own output. */
    @Test
    public void tailCurrentEndsAbsorptionWhenItHolds() {
        for (Whose whose : Whose.values()) {
            Some some = new Some();
            some.end = Optional.of(new AbsorptionEnd(Optional.of(4.0), whose, 120, InCloud.PAUSES, Optional.empty()));
            set(some);
            at(0, 14.0);
            assertEquals(regulator.stage(), ChargeStage.ABSORPTION);
            // 0.1 V over 20 mΩ are 5 A of its own, 2 A net.
            at(10, 14.1);
            assertEquals(regulator.dueSeconds(), whose == Whose.NET_AT_SHUNT ? 130.0 : 3600.0);
            at(100, 14.13);
            at(110, 14.0);
            at(120, 14.13);
            assertFalse(at(239, 14.13), "the time began anew");
            assertTrue(at(240, 14.13), whose.toString());
            assertEquals(regulator.stage(), ChargeStage.FLOAT);
            assertEquals(news().get(0), Change.TAIL_REACHED);
        }
    }

    @Test
    public void aCloudStartsTheTimeAnewWhereItIsSetSo() {
        Some some = new Some();
        some.end = Optional.of(
                new AbsorptionEnd(Optional.empty(), Whose.OWN_OUTPUT, 0, InCloud.STARTS_ANEW, Optional.empty()));
        set(some);
        at(0, 14.1);
        regulator.offer(20);
        at(1000, 14.1);
        regulator.offer(1000);
        at(2000, 14.1);
        assertEquals(regulator.dueSeconds(), 2000 + 3600.0);
    }

    /** Absorption as many times as long as bulk was, and no longer than its time. */
    @Test
    public void adaptiveAbsorptionFollowsBulk() {
        Some some = new Some();
        some.end =
                Optional.of(new AbsorptionEnd(Optional.empty(), Whose.OWN_OUTPUT, 0, InCloud.PAUSES, Optional.of(0.5)));
        set(some);
        at(0, 12.5);
        at(1800, 14.1);
        assertEquals(regulator.dueSeconds(), 1800 + 900.0);
    }

    /** One whose last was as long ago as its interval is due at once: after the absorption of the first day. */
    @Test
    public void equalizesTodayWhereTheLastWasLongAgo() {
        Some some = new Some();
        some.equalization = Optional.of(new Equalization(14.6, 3600, 30, 7200, Optional.of(30.0)));
        set(some);
        at(0, 14.1);
        at(3600, 14.1);
        assertEquals(regulator.stage(), ChargeStage.EQUALIZATION);
        at(3601, 14.6);
        assertTrue(at(3601 + 3600, 14.6));
        assertEquals(regulator.stage(), ChargeStage.FLOAT, "and then not for thirty days");
    }

    @Test
    public void equalizesWhenDueAndGivesUp() {
        Some some = new Some();
        some.equalization = Optional.of(new Equalization(15.2, 3600, 30, 7200));
        set(some);
        at(31 * DAY, 14.1);
        at(31 * DAY + 3600, 14.1);
        assertEquals(regulator.stage(), ChargeStage.EQUALIZATION);
        assertEquals(regulator.regulationVolts(), 15.2);
        at(31 * DAY + 4000, 14.1);
        assertEquals(regulator.limit(), Limit.CURRENT, "15 A do not reach it");
        assertEquals(regulator.dueSeconds(), 31 * DAY + 3600 + 7200);
        assertTrue(at(31 * DAY + 3600 + 7200, 14.1));
        assertEquals(news().get(0), Change.EQUALIZATION_GIVEN_UP);
    }

    @Test
    public void compensatesAndStopsInTheCold() {
        Some some = new Some();
        some.compensation = Optional.of(new Compensation(-0.005, 14.9, 13.4, false));
        some.limits = Optional.of(new TemperatureLimits(3, 45, 2));
        set(some);
        regulator.takeCelsius(15);
        assertEquals(regulator.regulationVolts(), 14.5, 1e-12);
        regulator.takeCelsius(1);
        assertEquals(regulator.regulationVolts(), 14.9, 1e-12, "the ceiling, not 14.92 V");
        regulator.takeCelsius(2.9);
        at(0, 12.5);
        assertEquals(amperes, 0.0);
        regulator.takeCelsius(4.9);
        assertTrue(regulator.isStopped(), "not before two kelvin inside");
        regulator.takeCelsius(5.1);
        at(1, 12.5);
        assertEquals(amperes, 15.0, 1e-9);
    }

    @Test
    public void overVoltageStopsForAWhileAndReleasesBelow() {
        Some some = new Some();
        some.over = Optional.of(new OverVoltage(14.6, 13.8));
        set(some);
        assertTrue(at(0, 14.7));
        assertEquals(news(), List.of(Change.OVER_VOLTAGE_STOPS));
        assertTrue(regulator.isStopped());
        assertFalse(at(0.5, 13.5), "a second at least");
        assertTrue(at(1.5, 13.5));
        assertFalse(regulator.isStopped());
    }

    @Test
    public void repeatsAbsorptionInALongFloatAndStartsInFloatWhenRestedHigh() {
        Some some = new Some();
        some.repeat = Optional.of(new RepeatAbsorption(7, 1800));
        some.startInFloat = Optional.of(12.9);
        set(some);
        at(0, 14.1);
        at(3600, 14.1);
        assertEquals(regulator.dueSeconds(), 3600 + 7 * DAY);
        at(3600 + 7 * DAY, 13.5);
        assertEquals(regulator.stage(), ChargeStage.ABSORPTION);

        set(some);
        regulator.offer(0);
        at(0, 12.95);
        at(30_000, 12.95);
        regulator.offer(1000);
        at(40_000, 12.95);
        assertEquals(regulator.stage(), ChargeStage.FLOAT);
    }

    private List<Change> news() {
        return regulator.takeNews().stream().map(Fact::change).toList();
    }

    /**
     * A source that comes back after it has been away finds bulk, or float where the battery has rested high: never the float it was left in,
     * at 13.5 V for ever. A cloud is no absence.
     */
    @Test
    public void aSourceThatComesBackFindsANewCycle() {
        Some some = new Some();
        some.startInFloat = Optional.of(12.9);
        set(some);
        at(0, 14.1);
        at(3600, 14.1);
        assertEquals(regulator.stage(), ChargeStage.FLOAT);
        comesBack(4000, 5000, 12.3);
        assertEquals(regulator.stage(), ChargeStage.FLOAT, "a cloud");
        news();
        comesBack(6000, 40_000, 12.3);
        assertEquals(regulator.stage(), ChargeStage.BULK);
        assertEquals(news(), List.of(Change.SOURCE_BACK, Change.BULK_BEGAN));
        comesBack(50_000, 90_000, 12.95);
        assertEquals(regulator.stage(), ChargeStage.FLOAT);
        assertEquals(news(), List.of(Change.RESTED_HIGH, Change.FLOAT_BEGAN));
    }

    private void comesBack(double from, double to, double battery) {
        regulator.offer(0);
        at(from, battery);
        at(to, battery);
        regulator.offer(1000);
        at(to, battery);
    }

    /** What is to reach a state of charge goes on at absorption until it is told that it has. */
    @Test
    public void goesOnAtAbsorptionTowardsAStateOfCharge() {
        set(new Some());
        at(0, 14.1);
        at(3600, 14.1);
        assertEquals(regulator.regulationVolts(), 13.6);
        news();
        regulator.aim(true);
        at(4000, 13.4);
        assertEquals(news(), List.of(Change.AIMED, Change.BULK_BEGAN));
        at(4010, 14.1);
        at(9000, 14.1);
        assertEquals(regulator.regulationVolts(), 14.2, "absorption, though its hour is over");
        regulator.aim(false);
        at(9001, 14.1);
        assertEquals(regulator.stage(), ChargeStage.FLOAT);
    }

    /** An equalization that ends on the way goes on at absorption, not in float. */
    @Test
    public void goesOnTowardsAStateOfChargeAfterEqualization() {
        Some some = new Some();
        some.equalization = Optional.of(new Equalization(15.2, 3600, 30, 7200));
        set(some);
        at(31 * DAY, 14.1);
        at(31 * DAY + 3600, 14.1);
        assertEquals(regulator.stage(), ChargeStage.EQUALIZATION);
        regulator.aim(true);
        at(31 * DAY + 3600 + 7200, 14.1);
        assertEquals(regulator.stage(), ChargeStage.BULK);
    }

    /** Each stop and each release names its cause, with limit and reading. */
    @Test
    public void tellsWhatStopsItAndWhatItReads() {
        Some some = new Some();
        some.limits = Optional.of(new TemperatureLimits(3, 45, 2));
        some.over = Optional.of(new OverVoltage(14.6, 13.8));
        set(some);
        regulator.takeCelsius(-1);
        regulator.enable(false);
        assertTrue(at(0, 12.5));
        assertEquals(
                regulator.takeNews().stream().map(Fact::words).toList(),
                List.of(
                        "stops charging: its enable, or the contact before it, is off",
                        "stops charging: battery below 3 °C; it has -1.0 °C"));
        regulator.enable(true);
        regulator.takeCelsius(6);
        at(10, 14.7);
        assertEquals(
                regulator.takeNews().stream().map(Fact::words).toList(),
                List.of(
                        "may charge again: enabled",
                        "may charge again: battery at or above 5 °C; it has 6.0 °C",
                        "stops charging: 14.6 V or more at its terminals; it reads 14.700 V"));
        at(20, 13.7);
        assertEquals(news(), List.of(Change.OVER_VOLTAGE_RELEASES));
    }

    @Test
    public void theWholeCycleIsNetted() {
        Some some = new Some();
        some.longest = Optional.of(5000.0);
        set(some);
        at(0, 12.5);
        assertTrue(at(5000, 12.7));
        assertEquals(regulator.stage(), ChargeStage.FLOAT);
    }

    /** A two-level controller stops at its level and resumes at the other; it has no stages. */
    @Test
    public void twoLevelsWithoutStages() {
        Some some = new Some();
        some.resume = Optional.of(13.2);
        set(some);
        at(0, 14.1);
        assertEquals(regulator.stage(), ChargeStage.OFF);
        at(10, 13.5);
        assertEquals(amperes, 0.0);
        at(20, 13.1);
        assertTrue(at(80, 13.1));
        assertEquals(regulator.stage(), ChargeStage.BULK);
    }
}
