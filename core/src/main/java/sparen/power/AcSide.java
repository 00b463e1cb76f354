package sparen.power;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import sparen.logic.Timer;
import sparen.program.AcProgram;
import sparen.program.AcProgram.AcWindow;
import sparen.result.Change;
import sparen.result.Fact;
import sparen.site.AcSource;
import sparen.site.Inverter;
import sparen.site.Inverter.DcWindow;

/**
 * The inverter with its AC side at work in one run. Loads, sources and sun on the AC side are constant between events, so all it makes
 * of them is two branches of the main bus: a constant power that it draws, and an offer to the charger in it.
 *
 * <p>After an overload it tries again in three minutes and gives up after five times (common practice, no source).
 */
public final class AcSide {
    /** Time between an overload and the next try (s). */
    public static final double RETRY_SECONDS = 180;

    /** After so many tries it stays off until its enable is taken away and given again. */
    public static final int MOST_TRIES = 5;

    private static final double GOOD_RUN_SECONDS = 600;
    /** It does not start again before this after a stop on voltage (s); judgement, no source. */
    private static final double LEAST_OFF_SECONDS = 1;

    /** A source's breaker bears more than its rating for so long (s); judgement, no source. */
    private static final double BREAKER_SECONDS = 30;

    private static final double HIGH_RELEASE = 0.98;

    private final Inverter inverter;
    private final boolean canCharge;
    private final double chargerEfficiency;
    private final AcProgram program;
    private final double[] levels;
    private final Timer lowVoltage;
    private final Timer overload;
    private final Timer breaker = new Timer(BREAKER_SECONDS);
    private final Timer qualified;
    private final Timer toAc;
    private final Timer toBattery;
    private boolean enabled = true;
    private boolean lowStop;
    private boolean highStop;
    private boolean alarm;
    private boolean dcAlive = true;
    private double offUntil = Double.NEGATIVE_INFINITY;
    private boolean batteryAbove = true;
    private boolean searching;
    private boolean alive;
    private double searchTick = Double.POSITIVE_INFINITY;
    private double retryAt = Double.NEGATIVE_INFINITY;
    private double runningSince;
    private int tries;
    private boolean breakerOpen;
    private int sourceAtHand = -1;
    private int candidate = -1;
    private double now;
    private final List<Fact> happened = new ArrayList<>();

    private double drawWatts;
    private double offerWatts;
    private double fixedImportWatts;
    private double surplusWatts;
    private double assistWatts;

    /** What is on the AC side now. Filled in by the caller before {@link #settle}. */
    public static final class Conditions {
        /** Real power of the loads that are switched on, on each leg (W). */
        public final double[] legWatts = new double[3];

        /** Apparent power of all loads together (VA). */
        public double voltAmperes;

        /** What arrays on the AC side could give (W). */
        public double sunWatts;

        /** Index of the source that is there, −1 for none. */
        public int source = -1;

        /** What a leg of it can give (W). */
        public double sourceLegWatts;

        /** How many legs it has. */
        public int sourceLegs = 1;

        /** Air temperature (°C). */
        public double airCelsius;

        /** State of charge that windows go by (fraction). */
        public double stateOfCharge;

        /** Voltage at its DC terminals (V). */
        public double dcVolts;

        /** Whether the DC bus is alive. */
        public boolean dcAlive;

        /** Whether the sun gives as much as all loads take. */
        public boolean sunEnough;

        /** The window in force, null for none. */
        public AcWindow window;

        /** All legs together (W). */
        public double watts() {
            return legWatts[0] + legWatts[1] + legWatts[2];
        }
    }

    public AcSide(Inverter inverter, AcProgram program) {
        this.inverter = inverter;
        canCharge = inverter.charger().isPresent();
        chargerEfficiency = inverter.charger().map(Inverter.Charger::efficiency).orElse(1.0);
        this.program = program;
        DcWindow window = inverter.window();
        double[] own = {
            window.lowAlarmVolts(),
            window.lowShutdownVolts(),
            window.lowRestartVolts(),
            window.highShutdownVolts(),
            HIGH_RELEASE * window.highShutdownVolts(),
            program.toAcVolts(),
            program.toBatteryVolts()
        };
        boolean byLevel = program.source() == AcProgram.SourcePriority.BATTERY_FIRST;
        levels = Arrays.copyOf(own, byLevel ? own.length : own.length - 2);
        lowVoltage = new Timer(inverter.window().lowDelaySeconds());
        overload = new Timer(inverter.surgeSeconds());
        qualified = new Timer(
                inverter.transfer().map(Inverter.Transfer::qualifySeconds).orElse(0.0));
        toAc = new Timer(program.levelDelaySeconds());
        toBattery = new Timer(program.levelDelaySeconds());
    }

    /** Switches it on or off at its enable input; off also forgets an overload. */
    public void enable(boolean mayRun) {
        enabled = mayRun;
        if (!mayRun) {
            tries = 0;
            retryAt = Double.NEGATIVE_INFINITY;
        }
    }

    /** Someone has reset the source's breaker. */
    public void resetBreaker() {
        breakerOpen = false;
    }

    /**
     * Looks at an instant (s) and works out its flows.
     *
     * @return what moved and why; empty when nothing did
     */
    public List<Fact> settle(double seconds, Conditions on) {
        now = seconds;
        happened.clear();
        dcAlive = on.dcAlive;
        settleDcWindow(on);
        settleLevel(on.dcVolts);
        settleSource(on);
        settleOverload(on);
        settleSearch(on);
        flow(on);
        return happened.isEmpty() ? List.of() : List.copyOf(happened);
    }

    private void settleDcWindow(Conditions on) {
        DcWindow window = inverter.window();
        boolean low = lowStop ? on.dcVolts < window.lowRestartVolts() : on.dcVolts <= window.lowShutdownVolts();
        lowVoltage.observe(now, on.dcAlive && !lowStop && low);
        if (lowVoltage.isDue(now)) {
            lowVoltage.reset();
            lowStop = true;
            offUntil = now + LEAST_OFF_SECONDS;
            tell(Change.INVERTER_LOW, window.lowShutdownVolts(), window.lowDelaySeconds(), on.dcVolts);
        } else if (lowStop && now >= offUntil && on.dcVolts >= window.lowRestartVolts()) {
            lowStop = false;
            tell(Change.INVERTER_LOW_OVER, window.lowRestartVolts(), on.dcVolts);
        }
        boolean high = on.dcAlive
                && (highStop
                        ? now < offUntil || on.dcVolts > HIGH_RELEASE * window.highShutdownVolts()
                        : on.dcVolts >= window.highShutdownVolts());
        if (high != highStop) {
            highStop = high;
            offUntil = now + LEAST_OFF_SECONDS;
            tell(
                    high ? Change.INVERTER_HIGH : Change.INVERTER_HIGH_OVER,
                    high ? window.highShutdownVolts() : HIGH_RELEASE * window.highShutdownVolts(),
                    on.dcVolts);
        }
        boolean warns = on.dcAlive && on.dcVolts <= window.lowAlarmVolts();
        if (warns != alarm) {
            alarm = warns;
            tell(warns ? Change.ALARM : Change.ALARM_OVER, window.lowAlarmVolts(), on.dcVolts);
        }
    }

    private void settleLevel(double volts) {
        if (program.source() != AcProgram.SourcePriority.BATTERY_FIRST) {
            return;
        }
        toAc.observe(now, batteryAbove && volts <= program.toAcVolts());
        toBattery.observe(now, !batteryAbove && volts >= program.toBatteryVolts());
        if (toAc.isDue(now)) {
            toAc.reset();
            batteryAbove = false;
            tell(Change.TO_AC, program.toAcVolts(), program.levelDelaySeconds());
        } else if (toBattery.isDue(now)) {
            toBattery.reset();
            batteryAbove = true;
            tell(Change.TO_BATTERY, program.toBatteryVolts(), program.levelDelaySeconds());
        }
    }

    private void settleSource(Conditions on) {
        int present = breakerOpen || inverter.transfer().isEmpty() ? -1 : on.source;
        if (present != candidate) {
            candidate = present;
            qualified.reset();
        }
        qualified.observe(now, candidate >= 0);
        int next = qualified.isDue(now) && takesAc(on) ? candidate : -1;
        if (next != sourceAtHand) {
            boolean gone = next < 0 && candidate != sourceAtHand;
            sourceAtHand = next;
            if (next >= 0) {
                tell(Change.TRANSFERRED, inverter.transfer().orElseThrow().qualifySeconds());
            } else {
                tell(gone ? Change.AC_GONE : Change.TRANSFERRED_BACK);
            }
        }
        boolean beyond = sourceAtHand >= 0 && !assists() && heaviestLeg(on) > on.sourceLegWatts;
        breaker.observe(now, beyond);
        if (breaker.isDue(now)) {
            breaker.reset();
            breakerOpen = true;
            sourceAtHand = -1;
            candidate = -1;
            qualified.reset();
            tell(Change.BREAKER_TRIPPED, on.sourceLegWatts, heaviestLeg(on));
        }
    }

    private boolean takesAc(Conditions on) {
        if (on.window != null) {
            return on.window.kind() != AcWindow.Kind.DISCHARGE || on.stateOfCharge <= on.window.stateOfCharge();
        }
        return program.source().takesAc(batteryAbove, true);
    }

    private boolean assists() {
        return inverter.transfer().orElseThrow().assists() && inverts();
    }

    private double heaviestLeg(Conditions on) {
        double heaviest = 0;
        for (int leg = 0; leg < on.sourceLegs; leg++) {
            heaviest = Math.max(heaviest, legLoad(on, leg));
        }
        return heaviest;
    }

    /** Load on one of the source's legs; what hangs on a leg it does not have goes to its last. */
    private static double legLoad(Conditions on, int leg) {
        double sum = on.legWatts[leg];
        if (leg == on.sourceLegs - 1) {
            for (int beyond = leg + 1; beyond < on.legWatts.length; beyond++) {
                sum += on.legWatts[beyond];
            }
        }
        return sum;
    }

    private void settleOverload(Conditions on) {
        if (now >= retryAt && retryAt > Double.NEGATIVE_INFINITY) {
            retryAt = Double.NEGATIVE_INFINITY;
            runningSince = now;
            tell(Change.TRIES_AGAIN);
        }
        double share = demandShare(on);
        boolean over = inverts() && share > 1;
        overload.observe(now, over);
        if (over && (share > inverter.surgeFactor() || overload.isDue(now))) {
            overload.reset();
            tries++;
            boolean givesUp = tries > MOST_TRIES;
            retryAt = givesUp ? Double.POSITIVE_INFINITY : now + RETRY_SECONDS;
            tell(
                    givesUp ? Change.INVERTER_GAVE_UP : Change.INVERTER_OVERLOAD,
                    100 * share,
                    Math.min(tries, MOST_TRIES));
        } else if (!over && inverts() && now - runningSince > GOOD_RUN_SECONDS) {
            tries = 0;
        }
    }

    /** What is asked of the inverter as a share of what it carries at this air temperature: the worse of watts and volt-amperes. */
    private double demandShare(Conditions on) {
        double derated = 1 - inverter.deratingPerKelvin() * Math.max(0, on.airCelsius - inverter.deratingCelsius());
        double carries = Math.max(0.05, derated);
        double watts = sourceAtHand >= 0 ? assistNeeded(on) : Math.max(0, on.watts() - on.sunWatts);
        double apparent = sourceAtHand >= 0 ? watts : Math.max(watts, on.voltAmperes - on.sunWatts);
        return Math.max(watts / inverter.continuousWatts(), apparent / inverter.continuousVoltAmperes()) / carries;
    }

    private double assistNeeded(Conditions on) {
        if (!assists()) {
            return 0;
        }
        double needed = 0;
        for (int leg = 0; leg < on.sourceLegs; leg++) {
            needed += Math.max(0, legLoad(on, leg) - legLimit(on));
        }
        return needed;
    }

    private double legLimit(Conditions on) {
        double switchAmperes = inverter.transfer().orElseThrow().maximumAmperes();
        double amperes = Math.min(program.inputLimitAmperes(), switchAmperes);
        return Math.min(amperes * AcSource.legVolts(inverter.acVolts(), on.sourceLegs), on.sourceLegWatts);
    }

    private void settleSearch(Conditions on) {
        if (inverter.search().isEmpty() || !inverts() || sourceAtHand >= 0) {
            searching = false;
            searchTick = Double.POSITIVE_INFINITY;
            return;
        }
        Inverter.Search search = inverter.search().get();
        boolean small = on.watts() < search.leastLoadWatts();
        if (small == searching) {
            searchTick = Double.POSITIVE_INFINITY;
            return;
        }
        if (searchTick == Double.POSITIVE_INFINITY) {
            searchTick = (Math.floor(now / search.intervalSeconds()) + 1) * search.intervalSeconds();
        } else if (now >= searchTick) {
            searchTick = Double.POSITIVE_INFINITY;
            searching = small;
            tell(small ? Change.SEARCHES : Change.WAKES, search.leastLoadWatts(), on.watts());
        }
    }

    private boolean inverts() {
        return enabled && dcAlive && !lowStop && !highStop && now >= retryAt;
    }

    /** Whether AC loads are fed. */
    public boolean isAlive() {
        return sourceAtHand >= 0 || alive && !searching;
    }

    private void flow(Conditions on) {
        alive = inverts();
        drawWatts = 0;
        offerWatts = 0;
        fixedImportWatts = 0;
        surplusWatts = 0;
        assistWatts = 0;
        if (sourceAtHand >= 0) {
            flowWithSource(on);
        } else if (alive && searching) {
            drawWatts = inverter.search().orElseThrow().watts();
        } else if (alive) {
            double net = on.watts() - on.sunWatts;
            drawWatts = inverter.dcWatts(Math.max(0, net));
            surplusWatts = Math.max(0, -net);
            offerWatts = canCharge ? surplusWatts * chargerEfficiency : 0;
        }
    }

    private void flowWithSource(Conditions on) {
        assistWatts = assistNeeded(on);
        drawWatts = assistWatts > 0 ? inverter.dcWatts(assistWatts) : 0;
        double taken = on.watts() - assistWatts + (assistWatts > 0 ? 0 : inverter.idleWatts());
        double net = taken - on.sunWatts;
        fixedImportWatts = Math.max(0, net);
        surplusWatts = Math.max(0, -net);
        boolean windowCharges = on.window == null
                ? program.charging().chargesFromAc(on.sunEnough, true)
                : on.window.kind() == AcWindow.Kind.CHARGE && on.stateOfCharge < on.window.stateOfCharge();
        double headroom = windowCharges && assistWatts == 0 ? headroom(on) : 0;
        offerWatts = canCharge ? (surplusWatts + headroom) * chargerEfficiency : 0;
    }

    /** What the charger may take from the source: the same on each leg, so the heaviest leg decides. */
    private double headroom(Conditions on) {
        double sun = on.sunWatts / on.sourceLegs;
        double idle = inverter.idleWatts() / on.sourceLegs;
        double least = legLimit(on) - Math.max(0, heaviestLeg(on) + idle - sun);
        return Math.max(0, least) * on.sourceLegs;
    }

    /** When something is due (s). */
    public double dueSeconds() {
        double due = Math.min(lowVoltage.dueSeconds(), overload.dueSeconds());
        due = Math.min(due, Math.min(breaker.dueSeconds(), searchTick));
        due = Math.min(due, Math.min(toAc.dueSeconds(), toBattery.dueSeconds()));
        if (qualified.dueSeconds() > now) {
            due = Math.min(due, qualified.dueSeconds());
        }
        if (offUntil > now) {
            due = Math.min(due, offUntil);
        }
        return retryAt > now ? Math.min(due, retryAt) : due;
    }

    /** The voltage at its DC terminals (V) above which one of its levels changes its answer; given the present one. */
    public double highestVolts(double volts) {
        double highest = Double.POSITIVE_INFINITY;
        for (double level : levels) {
            if (volts < level) {
                highest = Math.min(highest, Math.nextDown(level));
            } else if (volts == level) {
                highest = Math.min(highest, level);
            }
        }
        return highest;
    }

    /** The same below. */
    public double lowestVolts(double volts) {
        double lowest = Double.NEGATIVE_INFINITY;
        for (double level : levels) {
            if (volts > level) {
                lowest = Math.max(lowest, Math.nextUp(level));
            } else if (volts == level) {
                lowest = Math.max(lowest, level);
            }
        }
        return lowest;
    }

    private void tell(Change change, double... numbers) {
        happened.add(Fact.of(change, numbers));
    }

    /** Constant power it draws from the main bus (W). */
    public double drawWatts() {
        return drawWatts;
    }

    /** What its charger could give to the main bus (W). */
    public double offerWatts() {
        return offerWatts;
    }

    /** What it takes from the source besides its charger (W). */
    public double fixedImportWatts() {
        return fixedImportWatts;
    }

    /** Sun on the AC side that loads leave (W): the charger takes first, then a feeder, the rest is curtailed. */
    public double surplusWatts() {
        return surplusWatts;
    }

    /** AC power it adds to the source's out of the battery (W). */
    public double assistWatts() {
        return assistWatts;
    }

    /** Index of the source it is transferred to, −1 for none. */
    public int sourceAtHand() {
        return sourceAtHand;
    }

    /** Whether it searches. */
    public boolean isSearching() {
        return searching;
    }

    /** Its settings. */
    public AcProgram program() {
        return program;
    }

    /** What part of the AC power its charger takes reaches its DC side (fraction); 1 without a charger. */
    public double chargerEfficiency() {
        return chargerEfficiency;
    }

    /** What stands there. */
    public Inverter inverter() {
        return inverter;
    }
}
