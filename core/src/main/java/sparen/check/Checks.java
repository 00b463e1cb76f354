package sparen.check;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.format.Profile;
import sparen.program.Plan;
import sparen.result.RunResult;

/** All checks. A new one is a class in a file of its own and a line here. */
public final class Checks {
    private static final List<Check> STATIC = List.of(
            new HysteresisAgainstSag(),
            new ReconnectOrder(),
            new RecoveryDeadlock(),
            new WakeUpUnheard(),
            new WrongSideOfContact(),
            new SensedElsewhere(),
            new WarningOrder(),
            new HardCutOffOrder(),
            new FloatAboveAbsorption(),
            new RechargeAboveFloat(),
            new DiversionUnreachable(),
            new DiversionDrainsBattery(),
            new DisconnectBelowBattery(),
            new DisconnectBelowBms(),
            new DisconnectBelowInverter(),
            new OrderFlipsInCold(),
            new ReconnectUnreachable(),
            new WrongScale(),
            new RegulationAboveBattery(),
            new RegulationAtBmsLimit(),
            new LithiumByLeadAcidProfile(),
            new CompensationWithoutCeiling(),
            new InverterWindowCutsRange(),
            new MonitorCapacity(),
            new LoadsPastShunt(),
            new WholePercentPingPong(),
            new SocWithoutBackstop(),
            new ClippedByCurrent(),
            new ChargeAboveBatteries(),
            new AbsorptionTooShort(),
            new AcInputLimit(),
            new GeneratorLegs(),
            new InverterOverload(),
            new ContactRating(),
            new InrushWelds(),
            new CoilDropsOut(),
            new CoilBeyondCarrier(),
            new OneWaySwitch(),
            new SourceLegs(),
            new PoweredContact(),
            new LiveArrayCutOff(),
            new ConductorAndFuse(),
            new DeadWithMaster(),
            new DangerousDeadState(),
            new WindowsConflict(),
            new WindowTooLong(),
            new WindowEarnsLittle(),
            new VolatileClock(),
            new WindowDisabled(),
            new TalkStopsUnguarded(),
            new BmsCascade(),
            new ColdCharge(),
            new OverVoltageTooHigh(),
            new EqualizationAboveCeiling(),
            new StringVoltageInCold(),
            new SoleDiversion(),
            new DiversionTooSmall(),
            new IdleDraw(),
            new SearchMissesLoads(),
            new GeneratorWaste(),
            new NeutralBond(),
            new DelayOfAnotherUnit(),
            new SurgeTripsDisconnect(),
            new VentilationNeeded(),
            new UnconfirmedProtection(),
            new TestForceLeft(),
            new TemporaryValueLeft(),
            new FactoryPassword(),
            new SupportsNothing(),
            new DrivesNothing(),
            new TwoCounters(),
            new TwoHandsOnInverter(),
            new ProfileOfAnotherChemistry(),
            new CompensationWithoutSensor(),
            new NominalVoltageGuessed(),
            new HeaterTooWeak(),
            new NotSent(),
            new Drifted(),
            new CannotBlend(),
            new ExportUnseen(),
            new NobodyTalks(),
            new WindowIgnoresVoltage(),
            new CriticalLoadUnprotected(),
            new BeyondTheDevice(),
            new HiddenByDevice(),
            new HiddenUntilChosen(),
            new NewerFirmware(),
            new LinkEndsDiffer());

    private static final List<RunCheck> DYNAMIC = List.of(
            new Chattered(),
            new BatteryRanEmpty(),
            new HazardHappened(),
            new BmsBeforeDisconnect(),
            new NeverReconnected(),
            new WeakSource(),
            new SourceRefused(),
            new EqualizationCutShort(),
            new NeverDiverted(),
            new DivertedFromBattery(),
            new NeverFull(),
            new ChargingStopped(),
            new GeneratorGaveUp(),
            new GeneratorInQuietHours(),
            new IntermittentRating(),
            new GassedUnventilated(),
            new NeverExercised());

    private Checks() {}

    /**
     * What is wrong with a plan by itself, the worst first; what was dismissed says so.
     *
     * @param profiles the consumption profiles its loads name; a load whose profile is missing counts as drawing nothing
     */
    public static List<Finding> of(Plan plan, Map<String, Profile> profiles) {
        return of(new PlanFacts(plan, profiles));
    }

    /** The same of a plan of which the facts are there. */
    public static List<Finding> of(PlanFacts examined) {
        return sorted(examined.asWanted(), STATIC.stream().flatMap(check -> check.look(examined)));
    }

    /** What a run has shown to be wrong with a plan, the worst first. */
    public static List<Finding> of(Plan plan, Map<String, Profile> profiles, RunResult run) {
        PlanFacts examined = new PlanFacts(plan, profiles);
        return sorted(plan, DYNAMIC.stream().flatMap(check -> check.look(examined, run)));
    }

    /** Simple names of all checks of plans. */
    static List<String> names() {
        return STATIC.stream().map(check -> check.getClass().getSimpleName()).toList();
    }

    private static List<Finding> sorted(Plan plan, Stream<Finding> found) {
        return found.map(finding -> finding.dismissedBy(plan.program().dismissed()))
                .sorted(Comparator.comparing(Finding::severity).thenComparing(Finding::hazard))
                .toList();
    }
}
