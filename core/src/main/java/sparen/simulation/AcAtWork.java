package sparen.simulation;

import java.util.List;
import sparen.power.AcConditions;
import sparen.power.AcSide;
import sparen.power.ChargeRegulator;
import sparen.program.AcProgram;
import sparen.program.ChargeProgram;
import sparen.result.Event;
import sparen.result.Fact;
import sparen.result.PartEvent;
import sparen.series.Stay;
import sparen.site.AcSource;
import sparen.site.Inverter;
import sparen.site.Site;

/** The AC side in one run: inverter, sources, sun on the AC side, windows; and the energy that passed through it. */
final class AcAtWork implements Part {
    final AcSide side;
    final AcConditions conditions = new AcConditions();
    final AcSourcesAtWork sources;
    /** When somebody who looks after the place resets a breaker. Common practice, no source. */
    private static final double MORNING_HOUR = 8;

    private final AcArrays arrays;
    private final LocalClock clock;
    private final AcProgram program;
    private final WindowsAtWork windows;
    final NightMeter nights = new NightMeter();
    private double due = Double.NEGATIVE_INFINITY;
    private double lowVolts;
    private double highVolts;
    private double lowCharge = Double.NEGATIVE_INFINITY;
    private double highCharge = Double.POSITIVE_INFINITY;
    private boolean dirty = true;
    private double nextHand;
    private final SunLeft sun;
    private final boolean heedsSun;
    private double spareDue;
    final AcEnergies energies = new AcEnergies();

    AcAtWork(
            Inverter inverter,
            AcProgram program,
            List<AcSource> sources,
            AcArrays arrays,
            LocalClock clock,
            SunLeft sun,
            long weatherNumber) {
        this.sun = sun;
        side = new AcSide(inverter, program);
        this.program = program;
        this.sources = new AcSourcesAtWork(sources, clock, weatherNumber);
        conditions.beforeWatts = new double[sources.size()];
        this.arrays = arrays;
        this.clock = clock;
        heedsSun = inverter.blends()
                || program.source() == AcProgram.SourcePriority.SUN_FIRST
                || program.charging() == AcProgram.ChargePriority.SUN_FIRST;
        lookAnew();
        nextHand = handAfter(Double.NEGATIVE_INFINITY);
        windows = new WindowsAtWork(program.windows(), clock);
    }

    /** The charger in the inverter of a site. */
    static ChargeRegulator regulator(Inverter.Charger charger, ChargeProgram program, Site site) {
        return new ChargeRegulator(
                program, site.battery().cellsInSeries(), charger.maximumAmperes(), AcSide.AWAY_SECONDS);
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

    /** The sun on the DC side is another: where who feeds or charges goes by it, it looks again whether it is enough. */
    void takeSun() {
        if (heedsSun) {
            boolean enough = sun.isEnough();
            dirty |= enough != conditions.sunEnough;
            conditions.sunEnough = enough;
            lookAnew();
        }
    }

    /**
     * Takes sources, sun and windows of an instant (s) at which the battery has a state of charge (fraction).
     *
     * @return whether a feeder came or went
     */
    boolean moveTo(double seconds, double charge, List<PartEvent> moved) {
        boolean came = sources.moveTo(seconds, moved);
        dirty |= came;
        dirty |= arrays.moveTo(seconds);
        if (windows.moveTo(seconds)) {
            nights.move(conditions.window, windows.inForce(), charge);
            conditions.window = windows.inForce();
            dirty = true;
        }
        if (seconds >= nextHand) {
            side.resetBreaker();
            nextHand = handAfter(seconds);
            dirty = true;
        }
        return came;
    }

    /** Whether AC is alive behind the inverter (below 0), or on a source before it. */
    boolean isAlive(int source) {
        return source < 0 ? side.isAlive() : sources.isThere(source);
    }

    /**
     * Lets everything look that may have to.
     *
     * @return whether something changed in what it draws, offers or feeds
     */
    boolean settle(double seconds, double dcVolts, double charge, double chargerDcWatts, List<PartEvent> moved) {
        boolean came = sources.settle(seconds, moved);
        dirty |= came;
        boolean byCharge = charge < lowCharge || charge > highCharge;
        lookForSpare(seconds);
        boolean watches = side.watchesSource();
        if (!dirty && !byCharge && !watches && seconds < due && dcVolts >= lowVolts && dcVolts <= highVolts) {
            return false;
        }
        dirty = false;
        conditions.dcVolts = dcVolts;
        conditions.stateOfCharge = charge;
        conditions.sunWatts = arrays.watts();
        conditions.meteredSunWatts = arrays.meteredWatts();
        conditions.chargerWatts = chargerDcWatts / side.chargerEfficiency();
        sources.write(conditions);
        double drawBefore = side.drawWatts();
        double offerBefore = side.offerWatts();
        boolean aliveBefore = side.isAlive();
        int sourceBefore = side.sourceAtHand();
        List<Fact> happened = side.settle(seconds, conditions);
        if (!happened.isEmpty()) {
            moved.add(new PartEvent(Event.Kind.AC, side.inverter().id(), happened));
        }
        if ((sourceBefore < 0) != (side.sourceAtHand() < 0)) {
            lookAnew();
        }
        due = side.dueSeconds();
        lowVolts = side.lowestVolts(dcVolts);
        highVolts = side.highestVolts(dcVolts);
        lowCharge = lowestCharge(charge);
        highCharge = highestCharge(charge);
        return came
                || !happened.isEmpty()
                || drawBefore != side.drawWatts()
                || offerBefore != side.offerWatts()
                || aliveBefore != side.isAlive();
    }

    /** The lowest state of charge (fraction) at which nothing of it changes, seen from one. */
    double lowestCharge(double charge) {
        return side.lowestCharge(charge, windowCharge());
    }

    /** The highest. */
    double highestCharge(double charge) {
        return side.highestCharge(charge, windowCharge());
    }

    private double windowCharge() {
        return conditions.window == null ? Double.NaN : conditions.window.stateOfCharge();
    }

    private void lookAnew() {
        spareDue = side.inverter().blends() ? Double.NEGATIVE_INFINITY : Double.POSITIVE_INFINITY;
    }

    /** Gear that blends looks once a minute at what the sun has to spare; nobody looks at night. */
    private void lookForSpare(double seconds) {
        if (seconds < spareDue) {
            return;
        }
        double before = conditions.spareWatts;
        if (side.sourceAtHand() < 0) {
            conditions.spareWatts = 0;
            spareDue = Double.POSITIVE_INFINITY;
        } else {
            boolean acCharges = side.chargesFromAc(conditions);
            conditions.spareWatts =
                    sun.spareWatts(program.source() == AcProgram.SourcePriority.SUN_FIRST && !acCharges);
            spareDue = sun.isOut() ? 60 * (Math.floor(seconds / 60) + 1) : Double.POSITIVE_INFINITY;
        }
        dirty |= before != conditions.spareWatts;
    }

    /**
     * Counts a step.
     *
     * @param seconds its length (s)
     * @param chargerDcJoules what the charger gave to the main bus (J)
     * @return cost of it
     */
    double count(double seconds, double chargerDcJoules) {
        int atHand = side.sourceAtHand();
        double before = atHand < 0 ? 0 : conditions.beforeWatts[atHand] * seconds;
        energies.count(seconds, side, sources.get(atHand), sunWatts(), chargerDcJoules, before);
        return sources.count(seconds, atHand, energies, conditions.beforeWatts);
    }

    /** How it stands, in the bits of a {@link TraceRecorder}. */
    int standing() {
        boolean enough = heedsSun ? conditions.sunEnough : sun.isEnough();
        return (conditions.source >= 0 ? TraceRecorder.AC_PRESENT : 0)
                | (enough ? TraceRecorder.SUN_ENOUGH : 0)
                | (side.isAboveLevel() ? TraceRecorder.ABOVE_LEVEL : 0);
    }

    /** Whether a window has the charger charge to a state of charge that is not reached. */
    boolean isToCharge() {
        return conditions.window != null && side.chargesFromAc(conditions) && side.sourceAtHand() >= 0;
    }

    /** What the sun on the AC side could give now (W); nothing while its bus is dead. */
    double sunWatts() {
        return side.isAlive() ? arrays.watts() : 0;
    }

    boolean importsFromGenerator() {
        return sources.get(side.sourceAtHand()) instanceof AcSource.Generator;
    }

    @Override
    public double dueSeconds() {
        double next = Math.min(due, Math.min(spareDue, Math.min(arrays.until(), windows.dueSeconds())));
        next = Math.min(next, sources.dueSeconds());
        return Math.min(next, nextHand);
    }

    @Override
    public void watch(Stay stay, Circuit circuit) {
        stay.within(circuit.bus.farVolts(circuit.branches.inverter), lowVolts, highVolts);
    }
}
