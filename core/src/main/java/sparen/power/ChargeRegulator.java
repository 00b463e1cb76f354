package sparen.power;

import java.util.List;
import java.util.Optional;
import sparen.logic.Timer;
import sparen.program.ChargeDetails;
import sparen.program.ChargeDetails.AbsorptionEnd;
import sparen.program.ChargeDetails.BmsRequests.WhenTalkStops;
import sparen.program.ChargeProgram;
import sparen.program.ChargeStage;
import sparen.quantity.Standard;
import sparen.result.Change;
import sparen.result.Fact;
import sparen.series.Stay;

/**
 * A charger at work in one run: its stage, what stops it, and which of its limits is in force.
 *
 * <p>The absorption timer runs only while the voltage is held; a cloud pauses it or starts it anew, as set; a new cycle resets it.
 */
public final class ChargeRegulator {
    /** What limits the charger's output at an instant. */
    public enum Limit {
        /** It gives all its source has. */
        ARRAY_POWER,
        /** Its largest current. */
        CURRENT,
        /** The voltage it regulates. */
        VOLTAGE,
        /** The bus is above its voltage, or it may not charge, or there is nothing to charge from. */
        NOTHING
    }

    private static final double HAIR = 1e-11;
    private static final double NO_AMPERES = 1e-9;
    /** An array that has given nothing for so long (s) has been away for a night, not for a cloud; judgement, no source. */
    private static final double NIGHT_SECONDS = 3600;

    private final ChargeProgram program;
    private final ChargeDetails details;
    private final ChargeLevels levels;
    private final double hardwareAmperes;
    private final Timer recharge;
    private final Timer tail;
    private ChargeStage stage = ChargeStage.BULK;
    private Limit limit = Limit.NOTHING;
    /** It could give, but the bus is above its voltage: another sun does not wake it. */
    private boolean rests;

    private double watts;
    private double capAmperes;
    private double mostAmperes;
    private double set;
    private double absorptionTime;
    private final HeldTime heldTime;
    private final double longestCycleSeconds;
    private final double repeatSeconds;
    private double stageSince;
    private double cycleSince;
    private double equalizedAt;
    private double darkSince = Double.NaN;
    private final double awaySeconds;
    private final ChargeStops stops;
    private boolean aims;
    private boolean aimTaken = true;
    private boolean moved;
    private Change leftBy = Change.RESTED_HIGH;
    private final boolean tailIsNet;
    private final double tailLevel;
    private final Quiet quiet = new Quiet();
    private double celsius = Standard.BATTERY_CELSIUS;
    private Optional<BmsRequest> request = Optional.empty();
    private double askedVolts = Double.POSITIVE_INFINITY;
    private double askedAmperes = Double.POSITIVE_INFINITY;
    private boolean talks = true;

    /** What a battery asks for (V, A). */
    public record BmsRequest(double volts, double amperes) {}

    /** One whose source is the sun. */
    public ChargeRegulator(ChargeProgram program, int cells, double maximumAmperes) {
        this(program, cells, maximumAmperes, NIGHT_SECONDS);
    }

    /**
     * @param program its setpoints
     * @param cells in series, for compensation
     * @param maximumAmperes what its output can give (A)
     * @param awaySeconds when its source comes back after so long it begins anew (s)
     */
    public ChargeRegulator(ChargeProgram program, int cells, double maximumAmperes, double awaySeconds) {
        this.awaySeconds = awaySeconds;
        this.program = program;
        details = program.details().orElse(ChargeDetails.NONE);
        stops = new ChargeStops(details);
        levels = new ChargeLevels(program, details, cells);
        longestCycleSeconds = details.longestCycleSeconds().orElse(Double.POSITIVE_INFINITY);
        repeatSeconds = details.repeatAbsorption()
                .map(one -> one.everyDays() * Standard.DAY)
                .orElse(Double.POSITIVE_INFINITY);
        heldTime = new HeldTime(details.absorptionEnd()
                .map(end -> end.inCloud() == AbsorptionEnd.InCloud.STARTS_ANEW)
                .orElse(false));
        hardwareAmperes = Math.min(maximumAmperes, details.maximumAmperes().orElse(Double.POSITIVE_INFINITY));
        capAmperes = hardwareAmperes;
        recharge = new Timer(program.rechargeDelaySeconds());
        tail = new Timer(details.absorptionEnd().map(AbsorptionEnd::tailSeconds).orElse(0.0));
        equalizedAt = -details.sinceEqualizationSeconds();
        tailIsNet = details.absorptionEnd()
                .map(end -> end.whose() == AbsorptionEnd.Whose.NET_AT_SHUNT)
                .orElse(false);
        tailLevel = details.absorptionEnd().flatMap(AbsorptionEnd::tailAmperes).orElse(Double.NaN);
        absorptionTime = program.absorptionSeconds();
        refresh();
    }

    /** Takes the power (W) its output could give from its source from now on. */
    public void offer(double outputWatts) {
        offer(outputWatts, Double.POSITIVE_INFINITY);
    }

    /** Takes the power (W) and the current (A) its output could give from now on; the current is what a PWM array gives. */
    public void offer(double outputWatts, double outputAmperes) {
        watts = outputWatts;
        capAmperes = Math.min(hardwareAmperes, outputAmperes);
        mostAmperes = Math.min(capAmperes, askedAmperes);
        weigh();
    }

    private void weigh() {
        if (!mayCharge() || watts <= 0 || mostAmperes <= 0) {
            limit = Limit.NOTHING;
            rests = false;
        } else if (limit == Limit.NOTHING && !rests) {
            limit = watts == Double.POSITIVE_INFINITY ? Limit.CURRENT : Limit.ARRAY_POWER;
        }
    }

    /** Lets it charge or not: its enable input, or the contact on its source's side. */
    public void enable(boolean mayRun) {
        stops.enable(mayRun);
        weigh();
    }

    public boolean isEnabled() {
        return stops.isEnabled();
    }

    /** Takes the battery's temperature (°C): compensation, and charging stopped in cold or heat. */
    public void takeCelsius(double batteryCelsius) {
        celsius = batteryCelsius;
        stops.takeCelsius(celsius);
        refresh();
        weigh();
    }

    /** After how long a battery that does not talk counts as silent (s). */
    public double silentSeconds() {
        return details.bms().map(ChargeDetails.BmsRequests::silentSeconds).orElse(0.0);
    }

    /** Takes what the battery asks for, and whether it still talks. */
    public void takeRequest(Optional<BmsRequest> asked, boolean stillTalks) {
        talks = stillTalks;
        stops.takeTalk(talks);
        if (stillTalks) {
            request = asked;
        }
        Optional<BmsRequest> heeded = heeded();
        askedVolts = heeded.map(BmsRequest::volts).orElse(Double.POSITIVE_INFINITY);
        askedAmperes = heeded.map(BmsRequest::amperes).orElse(Double.POSITIVE_INFINITY);
        refresh();
        mostAmperes = Math.min(capAmperes, askedAmperes);
        weigh();
    }

    private Optional<BmsRequest> heeded() {
        if (details.bms().isEmpty()) {
            return Optional.empty();
        }
        boolean drops = !talks && details.bms().get().whenTalkStops() != WhenTalkStops.HOLD;
        return drops ? Optional.empty() : request;
    }

    private boolean mayCharge() {
        return !stops.stop() && stage != ChargeStage.OFF;
    }

    private void refresh() {
        levels.refresh(stage, celsius, askedVolts);
        set = levels.regulation();
    }

    /** Puts the limit in force on its branch of the bus. */
    public void apply(BusBalance bus, int branch) {
        switch (limit) {
            case ARRAY_POWER -> bus.setPower(branch, watts);
            case CURRENT -> bus.setCurrent(branch, mostAmperes, 0);
            case VOLTAGE -> bus.setHeld(branch, set);
            case NOTHING -> bus.setOpen(branch);
        }
    }

    /**
     * Looks at the solved balance and changes the limit if another is stricter.
     *
     * @return whether it changed, so that the balance must be solved again
     */
    public boolean reconsider(BusBalance bus, int branch) {
        Limit stricter = strictest(bus.current(branch)[0], bus.farVolts(branch)[0]);
        boolean changed = stricter != limit;
        limit = stricter;
        rests = limit == Limit.NOTHING && (changed || rests);
        return changed;
    }

    private Limit strictest(double amperes, double volts) {
        if (watts <= 0 || mostAmperes <= 0 || !mayCharge()) {
            return Limit.NOTHING;
        }
        return switch (limit) {
            case ARRAY_POWER ->
                volts > beyond(set) ? Limit.VOLTAGE : amperes > beyond(mostAmperes) ? Limit.CURRENT : limit;
            case CURRENT ->
                volts > beyond(set) ? Limit.VOLTAGE : volts > beyond(watts / mostAmperes) ? Limit.ARRAY_POWER : limit;
            case VOLTAGE ->
                amperes < -NO_AMPERES
                        ? Limit.NOTHING
                        : amperes > beyond(mostHeldAmperes())
                                ? (mostAmperes * set < watts ? Limit.CURRENT : Limit.ARRAY_POWER)
                                : limit;
            case NOTHING -> volts < set * (1 - HAIR) ? Limit.VOLTAGE : limit;
        };
    }

    /** A hair beyond a bound: at the bound itself two limits are the same to the last digit, and neither may drive out the other. */
    private static double beyond(double bound) {
        return bound * (1 + HAIR);
    }

    private double mostHeldAmperes() {
        return Math.min(mostAmperes, watts / set);
    }

    /** Its terminals stand at a voltage (V) that something else holds: its own is reached there, or it gives all it can. */
    public void impose(double volts) {
        rests = false;
        limit = watts <= 0 || !mayCharge() ? Limit.NOTHING : volts >= set ? Limit.VOLTAGE : Limit.CURRENT;
    }

    /** Says within which bounds its stages and its stops hold while its terminals (V) and its current (A) are imposed. */
    public void watchImposed(Stay stay, double[] volts, double[] amperes) {
        stay.within(volts, quiet.lowestVolts(), quiet.highestVolts());
        stay.onSideOf(volts, Math.nextDown(set));
        watchTail(stay, amperes);
    }

    /** Puts it into a stage by hand; equalization only where it is programmed. */
    public void put(ChargeStage next, double seconds) {
        if (next != ChargeStage.EQUALIZATION || details.equalization().isPresent()) {
            cycleSince = seconds;
            enter(next, seconds);
            refresh();
            weigh();
        }
    }

    /** The highest far-end voltage (V) at which the present limit stays in force. */
    public double highestVolts() {
        return switch (limit) {
            case ARRAY_POWER -> beyond(set);
            case CURRENT -> beyond(Math.min(set, watts / mostAmperes));
            case VOLTAGE, NOTHING -> Double.POSITIVE_INFINITY;
        };
    }

    /** The lowest far-end voltage (V) at which the present limit stays in force. */
    public double lowestVolts() {
        return limit == Limit.NOTHING && watts > 0 && mostAmperes > 0 && mayCharge()
                ? set * (1 - HAIR)
                : Double.NEGATIVE_INFINITY;
    }

    /** The largest current (A) at which the present limit stays in force. */
    public double highestAmperes() {
        return switch (limit) {
            case ARRAY_POWER -> beyond(mostAmperes);
            case VOLTAGE -> beyond(mostHeldAmperes());
            case CURRENT, NOTHING -> Double.POSITIVE_INFINITY;
        };
    }

    /** The smallest current (A) at which the present limit stays in force. */
    public double lowestAmperes() {
        return limit == Limit.VOLTAGE ? -NO_AMPERES : Double.NEGATIVE_INFINITY;
    }

    private boolean awaitsTail() {
        return stage == ChargeStage.ABSORPTION && !Double.isNaN(tailLevel);
    }

    /**
     * Whether nothing of its stages can have changed since it last looked.
     *
     * @param volts at its terminals (V)
     * @param amperes of its own output (A)
     * @param netAmperes into the battery (A)
     */
    public boolean holdsStill(double seconds, double volts, double amperes, double netAmperes) {
        return quiet.isBefore(seconds)
                && !stops.hasNews()
                && aimTaken
                && quiet.holds(volts, limit == Limit.VOLTAGE, watts <= 0)
                && quiet.holdsTail(tailIsNet ? netAmperes : amperes, tailLevel);
    }

    /**
     * Says within which bounds its limit, its stages and its stops hold.
     *
     * @param volts at its terminals (V)
     * @param amperes of its own output (A)
     * @param netAmperes into the battery (A)
     */
    public void watch(Stay stay, double[] volts, double[] amperes, double[] netAmperes) {
        stay.within(
                volts, Math.max(lowestVolts(), quiet.lowestVolts()), Math.min(highestVolts(), quiet.highestVolts()));
        stay.within(amperes, lowestAmperes(), highestAmperes());
        watchTail(stay, tailIsNet ? netAmperes : amperes);
    }

    private void watchTail(Stay stay, double[] amperes) {
        if (awaitsTail()) {
            stay.onSideOf(amperes, tailLevel);
        }
    }

    private void listen(double volts, double amperes) {
        // In another stage it looks once more.
        quiet.begin(moved ? Double.NEGATIVE_INFINITY : dueSeconds(), limit == Limit.VOLTAGE, watts <= 0);
        if (awaitsTail()) {
            quiet.awaitTail(amperes <= tailLevel);
        }
        if (awaitsRecharge()) {
            quiet.awaitLevel(volts, levels.recharge());
        }
        quiet.narrow(stops.lowestVolts(), stops.highestVolts());
    }

    /**
     * Moves from stage to stage at an instant (s).
     *
     * @param volts at its terminals (V)
     * @param amperes of its own output (A)
     * @param netAmperes into the battery (A)
     * @return whether the stage, or what stops it, changed
     */
    public boolean settleStage(double seconds, double volts, double amperes, double netAmperes) {
        ChargeStage before = stage;
        stops.settle(seconds, volts);
        noteAbsence(seconds, volts);
        boolean held = stage == before && limit == Limit.VOLTAGE;
        if (stage == ChargeStage.BULK && held) {
            double bulkTime = seconds - stageSince;
            absorptionTime = details.absorptionEnd()
                    .flatMap(AbsorptionEnd::timesBulk)
                    .map(times -> Math.min(program.absorptionSeconds(), times * bulkTime))
                    .orElse(program.absorptionSeconds());
            enter(details.resumeVolts().isPresent() ? ChargeStage.OFF : ChargeStage.ABSORPTION, seconds);
        }
        if (stage == ChargeStage.ABSORPTION || stage == ChargeStage.EQUALIZATION) {
            heldTime.observe(seconds, held);
        }
        leaveWhenDue(seconds, held, tailIsNet ? netAmperes : amperes);
        settleRecharge(seconds, volts);
        takeAim(seconds);
        moved = stage != before;
        boolean changed = moved || stops.hasNews();
        if (changed) {
            refresh();
            weigh();
        }
        listen(volts, tailIsNet ? netAmperes : amperes);
        return changed;
    }

    /** When its source comes back the stage is decided anew: float if the battery has rested high, else bulk. */
    private void noteAbsence(double seconds, double volts) {
        if (watts <= 0) {
            darkSince = Double.isNaN(darkSince) ? seconds : darkSince;
            return;
        }
        boolean wasAway = seconds - darkSince >= awaySeconds;
        darkSince = Double.NaN;
        if (!wasAway || details.resumeVolts().isPresent()) {
            return;
        }
        boolean restedHigh =
                details.startInFloatVolts().map(high -> volts >= high).orElse(false);
        leftBy = restedHigh ? Change.RESTED_HIGH : Change.SOURCE_BACK;
        cycleSince = seconds;
        if (restedHigh || stage != ChargeStage.BULK) {
            enter(restedHigh ? ChargeStage.FLOAT : ChargeStage.BULK, seconds);
        }
    }

    /** While it is to reach a state of charge it goes on at absorption, whatever else would end that. */
    private void takeAim(double seconds) {
        aimTaken = true;
        if (aims && (stage == ChargeStage.FLOAT || stage == ChargeStage.OFF)) {
            leftBy = Change.AIMED;
            cycleSince = seconds;
            enter(ChargeStage.BULK, seconds);
        }
    }

    private void leaveWhenDue(double seconds, boolean held, double amperes) {
        if (awaitsTail()) {
            tail.observe(seconds, held && amperes <= tailLevel);
        }
        if (stage == ChargeStage.ABSORPTION && !aims && (seconds >= heldDue() || tail.isDue(seconds))) {
            leftBy = tail.isDue(seconds) ? Change.TAIL_REACHED : Change.ABSORPTION_TIME_UP;
            tail.reset();
            boolean equalizes = details.equalization()
                    .map(one -> seconds - equalizedAt >= one.everyDays() * Standard.DAY)
                    .orElse(false);
            enter(equalizes ? ChargeStage.EQUALIZATION : afterAbsorption(), seconds);
        }
        boolean tooLong = !aims
                && (stage == ChargeStage.BULK || stage == ChargeStage.ABSORPTION)
                && seconds >= cycleSince + longestCycleSeconds;
        if (tooLong) {
            leftBy = Change.CYCLE_TOO_LONG;
            enter(afterAbsorption(), seconds);
        }
        if (stage == ChargeStage.EQUALIZATION && (seconds >= heldDue() || seconds >= giveUpDue())) {
            leftBy = seconds >= heldDue() ? Change.EQUALIZATION_TIME_UP : Change.EQUALIZATION_GIVEN_UP;
            equalizedAt = seconds;
            enter(afterAbsorption(), seconds);
        }
        if (stage == ChargeStage.FLOAT && seconds >= repeatDue()) {
            absorptionTime = details.repeatAbsorption().orElseThrow().seconds();
            enter(ChargeStage.ABSORPTION, seconds);
        }
    }

    private ChargeStage afterAbsorption() {
        return details.afterAbsorption().orElse(ChargeDetails.After.FLOAT) == ChargeDetails.After.FLOAT
                ? ChargeStage.FLOAT
                : ChargeStage.OFF;
    }

    private void settleRecharge(double seconds, double volts) {
        recharge.observe(seconds, awaitsRecharge() && volts <= levels.recharge());
        if (recharge.isDue(seconds)) {
            recharge.reset();
            leftBy = Change.RECHARGE_REACHED;
            cycleSince = seconds;
            enter(ChargeStage.BULK, seconds);
        }
    }

    private boolean awaitsRecharge() {
        return stage != ChargeStage.BULK && watts > 0;
    }

    private void enter(ChargeStage next, double seconds) {
        stage = next;
        stageSince = seconds;
        heldTime.reset();
        tail.reset();
    }

    private double heldDue() {
        return heldTime.dueSeconds(
                stage == ChargeStage.EQUALIZATION
                        ? details.equalization().orElseThrow().seconds()
                        : absorptionTime);
    }

    private double giveUpDue() {
        return stageSince + details.equalization().orElseThrow().giveUpSeconds();
    }

    private double repeatDue() {
        return stageSince + repeatSeconds;
    }

    /** The next instant (s) at which a timer of its stages is due. */
    public double dueSeconds() {
        double due = Math.min(recharge.dueSeconds(), stops.dueSeconds());
        if (!aims || stage == ChargeStage.EQUALIZATION) {
            due = Math.min(due, Math.min(heldDue(), tail.dueSeconds()));
        }
        return switch (stage) {
            case BULK, ABSORPTION -> aims ? due : Math.min(due, cycleSince + longestCycleSeconds);
            case EQUALIZATION -> Math.min(due, giveUpDue());
            case FLOAT -> Math.min(due, repeatDue());
            case OFF -> due;
        };
    }

    /** The voltage (V) it regulates to in its present stage, compensated and after the battery's request. */
    public double regulationVolts() {
        return set;
    }

    /** Its present stage. */
    public ChargeStage stage() {
        return stage;
    }

    /** What has just become of it: what stops it or no longer does, and the stage it has moved to, with what ended the one before. */
    public List<Fact> takeNews() {
        List<Fact> news = stops.takeNews();
        if (moved) {
            moved = false;
            news.addAll(StageNews.of(stage, leftBy, set, details));
        }
        return news;
    }

    /** Whether it is to charge until told otherwise, as a window that charges to a state of charge wants. */
    public void aim(boolean toCharge) {
        aimTaken &= aims == toCharge;
        aims = toCharge;
    }

    /** The limit in force. */
    public Limit limit() {
        return limit;
    }

    /** Whether something stops it though it has a source: cold, heat, over-voltage, silence, its enable. */
    public boolean isStopped() {
        return stops.stop();
    }
}
