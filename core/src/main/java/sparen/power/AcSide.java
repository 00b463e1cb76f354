package sparen.power;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.DoubleStream;
import sparen.logic.Timer;
import sparen.program.AcProgram;
import sparen.program.AcProgram.AcWindow;
import sparen.result.Change;
import sparen.result.Fact;
import sparen.site.AcSource;
import sparen.site.Inverter;

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

    /** AC that has been away for so long finds a charger that begins anew (s); judgement, no source. */
    public static final double AWAY_SECONDS = 60;

    private static final double GOOD_RUN_SECONDS = 600;
    /** A source's breaker bears more than its rating for so long (s); judgement, no source. */
    private static final double BREAKER_SECONDS = 30;

    private final Inverter inverter;
    private final AcProgram program;
    private final AcFlow flow;
    private final boolean blends;
    private final FeedLevel feed;
    private final SourceWindow window;
    private final ChargeEnd end;
    private final double[] levels;
    private final double[] charges;
    private final DcGuard guard;
    private final Timer overload;
    private final Timer breaker = new Timer(BREAKER_SECONDS);
    private final Timer qualified;
    private boolean enabled = true;
    private boolean dcAlive = true;
    private boolean mayCharge = true;
    private double bypassUntil = Double.NEGATIVE_INFINITY;
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

    public AcSide(Inverter inverter, AcProgram program) {
        this.inverter = inverter;
        this.program = program;
        flow = new AcFlow(inverter, program);
        blends = inverter.blends();
        feed = new FeedLevel(program, blends);
        window = new SourceWindow(inverter, flow);
        end = new ChargeEnd(program);
        guard = new DcGuard(inverter.window(), program.cutOff());
        DoubleStream feeds = feed.goesByVolts()
                ? DoubleStream.of(program.toAcVolts(), program.toBatteryVolts())
                : DoubleStream.empty();
        levels = DoubleStream.concat(DoubleStream.of(guard.volts()), feeds).toArray();
        charges = guard.charges();
        overload = new Timer(inverter.surgeSeconds());
        qualified = new Timer(
                inverter.transfer().map(Inverter.Transfer::qualifySeconds).orElse(0.0));
    }

    /** Switches it on or off at its enable input; off also forgets an overload. */
    public void enable(boolean mayRun) {
        enabled = mayRun;
        if (!mayRun) {
            tries = 0;
            retryAt = Double.NEGATIVE_INFINITY;
        }
    }

    /** Lets its charger work, or holds it, whatever feeds the loads. */
    public void enableCharger(boolean mayWork) {
        mayCharge = mayWork;
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
    public List<Fact> settle(double seconds, AcConditions on) {
        now = seconds;
        happened.clear();
        dcAlive = on.dcAlive;
        guard.settle(now, on, happened);
        end.settle(on, happened);
        Fact decided = feed.settle(now, on);
        if (decided != null) {
            happened.add(decided);
        }
        settleSource(on);
        settleOverload(on);
        settleSearch(on);
        flow(on);
        return happened.isEmpty() ? List.of() : List.copyOf(happened);
    }

    private void settleSource(AcConditions on) {
        settleWindow(on);
        boolean mayTake = !breakerOpen && inverter.transfer().isPresent() && on.source >= 0;
        int present = mayTake && window.takes(on, on.source == sourceAtHand) ? on.source : -1;
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
        double gives = on.source < 0 ? 0 : on.from.legWatts(inverter.acVolts());
        boolean assists =
                inverts() && inverter.transfer().map(Inverter.Transfer::assists).orElse(false);
        boolean beyond = sourceAtHand >= 0 && !assists && on.heaviestLeg() > gives;
        breaker.observe(now, beyond);
        if (breaker.isDue(now)) {
            breaker.reset();
            breakerOpen = true;
            sourceAtHand = -1;
            candidate = -1;
            qualified.reset();
            tell(Change.BREAKER_TRIPPED, gives, on.heaviestLeg());
        }
    }

    /** A source that has left what it takes for the delay is let go, and has to be good for the qualifying time again. */
    private void settleWindow(AcConditions on) {
        boolean isAtHand = sourceAtHand >= 0 && on.source == sourceAtHand;
        Fact let = window.settle(now, on, isAtHand);
        if (let != null) {
            happened.add(let);
            sourceAtHand = -1;
            candidate = -1;
            qualified.reset();
        }
        window.refuse(on, !isAtHand && inverter.transfer().isPresent() && takesAc(on), happened);
    }

    /** Whether the battery is above the level at which loads go to AC; true where none is set. */
    public boolean isAboveLevel() {
        return feed.isAboveLevel();
    }

    /** Whether its charger may take from AC that is there, as it is programmed. */
    public boolean chargesFromAc(AcConditions on) {
        return program.chargesFromAc(on.window, on.stateOfCharge, on.sunEnough, end.isReached());
    }

    /** Whether it looks at the voltage of its source. */
    public boolean watchesSource() {
        return window.isSet() && sourceAtHand >= 0;
    }

    private boolean takesAc(AcConditions on) {
        if (now < bypassUntil) {
            return true;
        }
        if (program.source() == AcProgram.SourcePriority.NEVER_AC) {
            return false;
        }
        if (on.window != null) {
            return on.window.kind() != AcWindow.Kind.DISCHARGE
                    || on.stateOfCharge <= on.window.stateOfCharge()
                    || blends && on.window.givesBesideAc();
        }
        return feed.takesAc(blends);
    }

    private void settleOverload(AcConditions on) {
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
            if (program.bypassesOverload().orElse(false) && sourceAtHand < 0 && qualified.isDue(now)) {
                bypassUntil = now + RETRY_SECONDS;
                tell(Change.OVERLOAD_BYPASSED, 100 * share);
                settleSource(on);
                return;
            }
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
    private double demandShare(AcConditions on) {
        double carries = flow.carriedShare(on);
        double watts = sourceAtHand >= 0 ? flow.assistNeeded(on, inverts()) : Math.max(0, on.watts() - on.sunWatts);
        double apparent = sourceAtHand >= 0 ? watts : Math.max(watts, on.voltAmperes - on.sunWatts);
        double even = Math.max(watts / inverter.continuousWatts(), apparent / inverter.continuousVoltAmperes());
        return even * on.unevenness(inverter.legs()) / carries;
    }

    private void settleSearch(AcConditions on) {
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
        return enabled && dcAlive && !guard.stops() && now >= retryAt;
    }

    /** Whether AC loads are fed. */
    public boolean isAlive() {
        return sourceAtHand >= 0 || alive && !searching;
    }

    private void flow(AcConditions on) {
        alive = inverts();
        if (sourceAtHand >= 0) {
            flow.withSource(on, alive, mayCharge && inverter.charger().isPresent(), end.isReached());
        } else if (alive && searching) {
            flow.rest();
            flow.drawWatts = inverter.search().orElseThrow().watts();
        } else if (alive) {
            flow.alone(on, mayCharge && inverter.charger().isPresent());
        } else {
            flow.rest();
        }
    }

    /** When something is due (s). */
    public double dueSeconds() {
        double due = Math.min(guard.dueSeconds(now), overload.dueSeconds());
        due = Math.min(due, Math.min(breaker.dueSeconds(), searchTick));
        due = Math.min(due, Math.min(feed.dueSeconds(), window.dueSeconds()));
        if (qualified.dueSeconds() > now) {
            due = Math.min(due, qualified.dueSeconds());
        }
        if (bypassUntil > now) {
            due = Math.min(due, bypassUntil);
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
        return flow.drawWatts;
    }

    /** What its charger could give to the main bus (W). */
    public double offerWatts() {
        return flow.offerWatts;
    }

    /** What it takes from the source besides its charger (W). */
    public double fixedImportWatts() {
        return flow.fixedImportWatts;
    }

    /** Sun on the AC side that loads leave (W): the charger takes first, then a feeder, the rest is curtailed. */
    public double surplusWatts() {
        return flow.surplusWatts;
    }

    /** AC power that goes out to the source from the DC side (W). */
    public double outWatts() {
        return flow.outWatts;
    }

    /** The most that arrays on its side send out to a source (W). */
    public double arraysOutWatts(AcSource source) {
        return flow.arraysOutWatts(source);
    }

    /** The highest state of charge (fraction) up to which none of its levels changes its answer, given the present one and a window's. */
    public double highestCharge(double charge, double window) {
        double highest = above(Double.POSITIVE_INFINITY, charge, window);
        highest = above(highest, charge, feed.stateOfCharge());
        highest = Math.min(highest, end.highestCharge());
        for (double level : charges) {
            highest = above(highest, charge, level);
        }
        return highest;
    }

    /** The same below. */
    public double lowestCharge(double charge, double window) {
        double lowest = below(Double.NEGATIVE_INFINITY, charge, window);
        lowest = below(lowest, charge, feed.stateOfCharge());
        lowest = Math.max(lowest, end.lowestCharge());
        for (double level : charges) {
            lowest = below(lowest, charge, level);
        }
        return lowest;
    }

    private static double above(double highest, double charge, double level) {
        return charge <= level ? Math.min(highest, level) : highest;
    }

    private static double below(double lowest, double charge, double level) {
        return charge > level ? Math.max(lowest, Math.nextUp(level)) : lowest;
    }

    /** AC power it adds to the source's out of its DC side (W), what goes out among it. */
    public double assistWatts() {
        return flow.assistWatts;
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
        return flow.chargerEfficiency();
    }

    /** What stands there. */
    public Inverter inverter() {
        return inverter;
    }
}
