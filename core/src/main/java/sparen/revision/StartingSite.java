package sparen.revision;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import sparen.site.AcSource;
import sparen.site.BatteryBank;
import sparen.site.BatteryBankBuilder;
import sparen.site.BatteryMonitor;
import sparen.site.BatteryMonitorBuilder;
import sparen.site.Bms;
import sparen.site.BmsBuilder;
import sparen.site.Cable;
import sparen.site.ChargeController;
import sparen.site.Chemistry;
import sparen.site.Consumption;
import sparen.site.DailySpan;
import sparen.site.DcSource;
import sparen.site.GeneratorBuilder;
import sparen.site.Inverter;
import sparen.site.InverterBuilder;
import sparen.site.Load;
import sparen.site.LoadBuilder;
import sparen.site.ParallelBattery;
import sparen.site.SensePoint;
import sparen.site.Site;
import sparen.site.SiteBuilder;
import sparen.site.SolarArray;
import sparen.site.SolarArrayBuilder;

/** What stands at a new site, by the little that is known of it: usual parts in usual sizes, common practice, no source. */
final class StartingSite {
    private static final double FEEDER_AMPERES = 16;
    /** What lies on a roof lies nearly flat; judgement, no source. */
    private static final double FLAT_DEGREES = 3;
    /** When it moves: a guess, to be adapted. */
    private static final DailySpan DRIVES = DailySpan.daily(8, 9);

    /** A monitor calls the battery full a little before the charger ends absorption at 2 % (share of capacity an hour); common practice. */
    private static final double FULL_TAIL = 0.025;

    private final StartingPoint known;

    private StartingSite(StartingPoint known) {
        this.known = known;
    }

    static Site of(StartingPoint known) {
        return new StartingSite(known).site();
    }

    /** What its generator gives (W). */
    static double generatorWatts(StartingPoint known) {
        return Math.max(2000, Math.round(new StartingSite(known).inverterWatts() * 1.2 / 500) * 500.0);
    }

    /** The most to take from what is there (A): 80 % of a breaker, 90 % of a generator, the weaker counts; common practice, no source. */
    static double inputAmperes(StartingPoint known) {
        double feeder = known.feeder() ? Math.floor(FEEDER_AMPERES * 0.8) : Double.POSITIVE_INFINITY;
        double generator = known.generator() ? Math.floor(generatorWatts(known) / 230 * 0.9) : Double.POSITIVE_INFINITY;
        double weaker = Math.min(feeder, generator);
        return weaker == Double.POSITIVE_INFINITY ? 12 : weaker;
    }

    private Site site() {
        return new SiteBuilder()
                .name(known.name())
                .location(known.location())
                .nominalVolts(known.nominalVolts())
                .battery(battery())
                .mainCable(Cable.measured(0.0005))
                .arrays(known.hasSun() ? List.of(array()) : List.of())
                .controllers(known.hasSun() ? List.of(controller()) : List.of())
                .loads(loads())
                .sensePoints(List.of(
                        new SensePoint("battery", "battery terminals", SensePoint.Place.BATTERY_TERMINALS, 0),
                        new SensePoint("bus", "main bus", SensePoint.Place.BUS, 0)))
                .monitors(List.of(monitor()))
                .dcSources(
                        known.alternatorWatts().stream().map(this::alternator).toList())
                .inverter(known.inverter() ? Optional.of(inverter()) : Optional.empty())
                .acSources(sources())
                .build();
    }

    private ChargeController controller() {
        return new ChargeController(
                "controller", "Charge controller", List.of("array"), chargeAmperes(), 0.96, 1.5, Cable.measured(0.002));
    }

    private double chargeAmperes() {
        return Math.ceil(known.arrayWatts() * 1.05 / known.nominalVolts() / 5) * 5;
    }

    private double inverterWatts() {
        return Math.max(500, Math.round(known.capacityAmpereHours() * known.nominalVolts() * 0.15 / 100) * 100.0);
    }

    private List<Load> loads() {
        // A load that the bank carries for two days and more.
        double watts = Math.max(1, Math.round(known.capacityAmpereHours() * known.nominalVolts() * 0.4 / 48 / 2));
        List<Load> loads = new ArrayList<>();
        loads.add(load("essential", "Essential loads", watts).withCritical(true));
        loads.add(load("comfort", "Comfort loads", watts));
        if (known.chemistry() == Chemistry.FLOODED) {
            loads.add(load("fan", "Battery room fan", 10));
        }
        if (known.surplusLoad()) {
            double surplus = Math.max(20, Math.round(known.arrayWatts() * 0.3 / 10) * 10.0);
            double taken = known.inverter() ? Math.min(surplus, inverterWatts() * 0.6) : surplus;
            loads.add(load("surplus-load", "Surplus load", taken)
                    .withFeed(known.inverter() ? Optional.of("inverter") : Optional.empty())
                    .withUse(Optional.of(Load.Use.DIVERSION)));
        }
        return loads;
    }

    private static Load load(String id, String name, double watts) {
        return new LoadBuilder()
                .id(id)
                .name(name)
                .consumption(new Consumption.ConstantPower(watts))
                .cable(Cable.measured(0.005))
                .build();
    }

    private SolarArray array() {
        double latitude = known.location().latitudeDegrees();
        return new SolarArrayBuilder()
                .id("array")
                .name("Array")
                .peakWatts(known.arrayWatts())
                .tiltDegrees(known.isMobile() ? FLAT_DEGREES : Math.min(75, Math.abs(latitude) * 0.9))
                .azimuthDegrees(latitude >= 0 ? 180 : 0)
                .powerPerKelvin(-0.0037)
                .nominalCellCelsius(45)
                .lossFraction(0.06)
                .build();
    }

    /** The converter behind it holds absorption: it stops there and goes on a little below. */
    private DcSource alternator(double watts) {
        return new DcSource(
                "alternator",
                "Alternator",
                Optional.empty(),
                Optional.of(new DcSource.Steady(watts, DRIVES)),
                known.bank(2.4, 2.37, 3.5, 4.1),
                known.bank(2.25, 2.25, 3.37, 3.98));
    }

    private BatteryMonitor monitor() {
        return new BatteryMonitorBuilder()
                .id("monitor")
                .name("the battery monitor")
                .configuredAmpereHours(known.capacityAmpereHours())
                .chargeEfficiency(known.chemistry().isLithium() ? 0.99 : 0.9)
                .offsetAmperes(0)
                .driftPerDay(0)
                .stepPercent(1)
                .sampleSeconds(5)
                .fullVolts(known.bank(2.38, 2.35, 3.46, 4.07))
                .fullAmperes(Math.max(0.1, known.capacityAmpereHours() * FULL_TAIL))
                .fullSeconds(300)
                .build();
    }

    private BatteryBank battery() {
        boolean lithium = known.chemistry().isLithium();
        List<ParallelBattery> boxes = lithium
                ? List.of(new ParallelBattery(
                        "box", "Battery box", 1, Cable.measured(0.0005), Optional.empty(), 0, Optional.of(bms())))
                : List.of();
        return new BatteryBankBuilder()
                .name("Battery bank")
                .chemistry(known.chemistry())
                .cellsInSeries(known.cells())
                .capacityAmpereHours(known.capacityAmpereHours())
                .capacityHours(lithium ? 5 : 20)
                .lowestVolts(known.bank(1.8, 1.82, 2.8, 3.1))
                .highestVolts(known.bank(2.6, 2.5, 3.65, 4.2))
                .startStateOfCharge(0.8)
                .batteries(boxes)
                .build();
    }

    private Bms bms() {
        double most = Math.max(known.capacityAmpereHours() * 0.7, chargeAmperes() * 2 + 20);
        return new BmsBuilder()
                .highVolts(known.bank(0, 0, 3.63, 4.19))
                .highReleaseVolts(known.bank(0, 0, 3.5, 4.08))
                .lowVolts(known.bank(0, 0, 2.6, 3.0))
                .lowReleaseVolts(known.bank(0, 0, 3.0, 3.3))
                .voltageDelaySeconds(2)
                .chargeAmperes(most)
                .dischargeAmperes(Math.max(most, inverterWatts() * 3 / known.nominalVolts()))
                .currentDelaySeconds(5)
                .currentReleaseSeconds(60)
                .chargeColdCelsius(0)
                .chargeHotCelsius(50)
                .dischargeColdCelsius(-20)
                .dischargeHotCelsius(55)
                .idleWatts(1)
                .build();
    }

    private Inverter inverter() {
        return new InverterBuilder()
                .id("inverter")
                .name("Inverter")
                .acVolts(230)
                .continuousWatts(inverterWatts())
                .continuousVoltAmperes(inverterWatts() * 1.25)
                .surgeFactor(2)
                .surgeSeconds(5)
                .deratingCelsius(40)
                .deratingPerKelvin(0.01)
                .idleWatts(Math.max(3, inverterWatts() * 0.005))
                .proportionalLoss(0.05)
                .quadraticLoss(0.05)
                .search(Optional.of(new Inverter.Search(1.5, 15, 2)))
                .window(new Inverter.DcWindow(
                        known.bank(1.88, 1.88, 2.95, 3.25),
                        known.bank(1.82, 1.84, 2.85, 3.15),
                        10,
                        known.bank(2.05, 2.06, 3.2, 3.6),
                        known.bank(2.75, 2.7, 3.8, 4.4)))
                .cable(Cable.measured(0.0005))
                .charger(Optional.of(
                        new Inverter.Charger(Math.max(1, Math.floor(known.capacityAmpereHours() * 0.1)), 0.9)))
                .transfer(Optional.of(new Inverter.Transfer(50, 12, true)))
                .build();
    }

    /** The feeder first: what is there first is taken. */
    private List<AcSource> sources() {
        List<AcSource> sources = new ArrayList<>();
        if (known.feeder()) {
            sources.add(new AcSource.Feeder("feeder", "Feeder", FEEDER_AMPERES, 1, 12, 7200, 0, List.of()));
        }
        if (known.generator()) {
            sources.add(generator());
        }
        return sources;
    }

    private AcSource.Generator generator() {
        return new GeneratorBuilder()
                .id("generator")
                .name("Generator")
                .ratedWatts(generatorWatts(known))
                .legs(1)
                .startSeconds(15)
                .leastLoadFraction(0.25)
                .coolDownSeconds(120)
                .failureFraction(0.02)
                .retrySeconds(30)
                .mostTries(3)
                .idleLitresPerHour(0.4)
                .litresPerKilowattHour(0.35)
                .build();
    }
}
