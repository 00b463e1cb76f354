package sparen.simulation;

import java.util.ArrayList;
import java.util.List;
import sparen.power.AcSide;
import sparen.power.ChargeRegulator;
import sparen.power.EngineGenerator;
import sparen.program.AcProgram;
import sparen.program.AcProgram.AcWindow;
import sparen.program.ChargeProgram;
import sparen.result.Change;
import sparen.result.Event;
import sparen.result.Fact;
import sparen.result.PartEvent;
import sparen.series.Stay;
import sparen.site.AcCoupledArray;
import sparen.site.AcSource;
import sparen.site.Inverter;
import sparen.site.Site;

/** The AC side in one run: inverter, sources, sun on the AC side, windows; and the energy that passed through it. */
final class AcAtWork implements Part {
    final AcSide side;
    final AcSide.Conditions conditions = new AcSide.Conditions();
    final EngineGenerator[] generators;
    final FeederAtWork[] feeders;
    /** AC that has been away for so long finds a charger that begins anew (s); judgement, no source. */
    private static final double AWAY_SECONDS = 60;
    /** When somebody who looks after the place resets a breaker. Common practice, no source. */
    private static final double MORNING_HOUR = 8;

    private final List<AcSource> sources;
    private final List<ArrayInput> arrays;
    private final List<AcCoupledArray> arrayInverters;
    private final LocalClock clock;
    private final AcProgram program;
    private double arraysUntil;
    private double windowUntil;
    private double sunWatts;
    private double due = Double.NEGATIVE_INFINITY;
    private double lowVolts;
    private double highVolts;
    private boolean dirty = true;
    private double nextHand;
    double chargerJoules;
    double importJoules;
    double exportJoules;
    double curtailedJoules;
    double sunUsedJoules;

    AcAtWork(
            Inverter inverter,
            AcProgram program,
            List<AcSource> sources,
            List<AcCoupledArray> arrayInverters,
            List<ArrayInput> arrays,
            LocalClock clock,
            long seed) {
        side = new AcSide(inverter, program);
        this.program = program;
        this.sources = sources;
        this.arrayInverters = arrayInverters;
        this.arrays = arrays;
        this.clock = clock;
        List<EngineGenerator> engines = new ArrayList<>();
        List<FeederAtWork> lines = new ArrayList<>();
        for (int i = 0; i < sources.size(); i++) {
            if (sources.get(i) instanceof AcSource.Generator generator) {
                engines.add(new EngineGenerator(generator, seed * 31 + i));
            } else if (sources.get(i) instanceof AcSource.Feeder feeder) {
                lines.add(new FeederAtWork(feeder, clock, seed * 31 + i));
            }
        }
        generators = engines.toArray(EngineGenerator[]::new);
        feeders = lines.toArray(FeederAtWork[]::new);
        nextHand = handAfter(Double.NEGATIVE_INFINITY);
        arraysUntil = arrays.isEmpty() ? Double.POSITIVE_INFINITY : Double.NEGATIVE_INFINITY;
        windowUntil = program.windows().isEmpty() ? Double.POSITIVE_INFINITY : Double.NEGATIVE_INFINITY;
    }

    /** The charger in the inverter of a site. */
    static ChargeRegulator regulator(Inverter.Charger charger, ChargeProgram program, Site site) {
        return new ChargeRegulator(program, site.battery().cellsInSeries(), charger.maximumAmperes(), AWAY_SECONDS);
    }

    /** When somebody next comes by in the morning, by the wall clock (s). */
    private double handAfter(double seconds) {
        int day = clock.moveTo(Math.max(0, seconds));
        double today = clock.instant(day, MORNING_HOUR);
        return today > seconds ? today : clock.instant(day + 1, MORNING_HOUR);
    }

    /** Something it depends on has changed: it has to look again. */
    void touch() {
        dirty = true;
    }

    /** Takes sources, sun and windows of an instant (s). */
    void moveTo(double seconds, List<PartEvent> moved) {
        for (FeederAtWork feeder : feeders) {
            if (feeder.moveTo(seconds)) {
                moved.add(new PartEvent(
                        Event.Kind.FEEDER,
                        feeder.feeder.id(),
                        Fact.of(feeder.isPresent() ? Change.CAME : Change.WENT)));
                dirty = true;
            }
        }
        if (seconds >= arraysUntil) {
            moveArrays(seconds);
        }
        if (seconds >= windowUntil) {
            findWindow(seconds);
            dirty = true;
        }
        if (seconds >= nextHand) {
            side.resetBreaker();
            nextHand = handAfter(seconds);
            dirty = true;
        }
    }

    private void moveArrays(double seconds) {
        sunWatts = 0;
        arraysUntil = Double.POSITIVE_INFINITY;
        for (int i = 0; i < arrays.size(); i++) {
            ArrayInput input = arrays.get(i);
            AcCoupledArray inverter = arrayInverters.get(i);
            int minute = input.minute(seconds);
            sunWatts += Math.min(inverter.maximumWatts(), input.watts()[minute] * inverter.efficiency());
            arraysUntil = Math.min(arraysUntil, 60.0 * (minute + 1));
        }
        dirty = true;
    }

    private void findWindow(double seconds) {
        clock.moveTo(seconds);
        conditions.window = null;
        windowUntil = Double.POSITIVE_INFINITY;
        var local = clock.local(seconds);
        for (AcWindow window : program.windows()) {
            if (conditions.window == null && window.when().contains(local)) {
                conditions.window = window;
            }
            windowUntil = Math.min(windowUntil, clock.nextEdge(window.when(), seconds));
        }
    }

    private static Change changeTo(EngineGenerator.State state) {
        return switch (state) {
            case STOPPED -> Change.STOPPED;
            case STARTING -> Change.STARTING;
            case WAITING -> Change.START_FAILED;
            case RUNNING -> Change.RUNNING;
            case COOLING -> Change.COOLING;
            case FAILED -> Change.GAVE_UP;
        };
    }

    /**
     * Lets everything look that may have to.
     *
     * @return whether something changed in what it draws, offers or feeds
     */
    boolean settle(double seconds, double dcVolts, double charge, List<PartEvent> moved) {
        for (EngineGenerator generator : generators) {
            while (generator.settle(seconds)) {
                moved.add(new PartEvent(
                        Event.Kind.GENERATOR, generator.generator().id(), Fact.of(changeTo(generator.state()))));
                dirty = true;
            }
        }
        boolean byCharge = conditions.window != null
                && charge <= conditions.window.stateOfCharge()
                        != conditions.stateOfCharge <= conditions.window.stateOfCharge();
        if (!dirty && !byCharge && seconds < due && dcVolts >= lowVolts && dcVolts <= highVolts) {
            return false;
        }
        dirty = false;
        conditions.dcVolts = dcVolts;
        conditions.stateOfCharge = charge;
        conditions.sunWatts = sunWatts;
        takeSource();
        double drawBefore = side.drawWatts();
        double offerBefore = side.offerWatts();
        boolean aliveBefore = side.isAlive();
        List<Fact> happened = side.settle(seconds, conditions);
        if (!happened.isEmpty()) {
            moved.add(new PartEvent(Event.Kind.AC, side.inverter().id(), happened));
        }
        due = side.dueSeconds();
        lowVolts = side.lowestVolts(dcVolts);
        highVolts = side.highestVolts(dcVolts);
        return !happened.isEmpty()
                || drawBefore != side.drawWatts()
                || offerBefore != side.offerWatts()
                || aliveBefore != side.isAlive();
    }

    private void takeSource() {
        conditions.source = -1;
        int feeder = 0;
        int generator = 0;
        for (int i = 0; i < sources.size(); i++) {
            boolean present = sources.get(i) instanceof AcSource.Feeder
                    ? feeders[feeder++].isPresent()
                    : generators[generator++].isPresent();
            if (present && conditions.source < 0) {
                conditions.source = i;
                conditions.sourceLegs = sources.get(i).legs();
                conditions.sourceLegWatts =
                        sources.get(i).legWatts(side.inverter().acVolts());
            }
        }
    }

    /**
     * Counts a step.
     *
     * @param seconds its length (s)
     * @param chargerDcJoules what the charger gave to the main bus (J)
     * @return cost of it
     */
    double count(double seconds, double chargerDcJoules) {
        chargerJoules = chargerDcJoules / side.chargerEfficiency();
        double surplus = side.surplusWatts() * seconds;
        double bySun = Math.min(surplus, chargerJoules);
        double left = surplus - bySun;
        importJoules = 0;
        exportJoules = 0;
        AcSource source = side.sourceAtHand() < 0 ? null : sources.get(side.sourceAtHand());
        if (source != null) {
            importJoules = side.fixedImportWatts() * seconds + chargerJoules - bySun;
            if (source instanceof AcSource.Feeder feeder && program.exportsSurplus()) {
                exportJoules = Math.min(left, feeder.exportWatts() * seconds);
            }
        }
        curtailedJoules = left - exportJoules;
        sunUsedJoules = sunWatts() * seconds - curtailedJoules;
        double cost = 0;
        for (EngineGenerator generator : generators) {
            generator.count(seconds, generator.generator() == source ? importJoules : 0);
        }
        for (FeederAtWork feeder : feeders) {
            feeder.count(seconds);
            if (feeder.feeder == source) {
                cost += feeder.cost(importJoules, exportJoules);
            }
        }
        return cost;
    }

    /** Whether a window has the charger charge to a state of charge that is not reached. */
    boolean isToCharge() {
        return conditions.window != null
                && conditions.window.kind() == AcWindow.Kind.CHARGE
                && conditions.stateOfCharge < conditions.window.stateOfCharge()
                && side.sourceAtHand() >= 0;
    }

    /** What the sun on the AC side could give now (W); nothing while its bus is dead. */
    double sunWatts() {
        return side.isAlive() ? sunWatts : 0;
    }

    boolean importsFromGenerator() {
        return side.sourceAtHand() >= 0 && sources.get(side.sourceAtHand()) instanceof AcSource.Generator;
    }

    @Override
    public double dueSeconds() {
        double next = Math.min(due, Math.min(arraysUntil, windowUntil));
        for (FeederAtWork feeder : feeders) {
            next = Math.min(next, feeder.nextChange());
        }
        for (EngineGenerator generator : generators) {
            next = Math.min(next, generator.dueSeconds());
        }
        return Math.min(next, nextHand);
    }

    @Override
    public void watch(Stay stay, Circuit circuit) {
        stay.within(circuit.bus.farVolts(circuit.branches.inverter), lowVolts, highVolts);
    }
}
