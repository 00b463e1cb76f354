package sparen.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import sparen.logic.Signal;
import sparen.logic.Timer;
import sparen.output.OutputAtWork;
import sparen.power.AcSide;
import sparen.power.ChargeRegulator;
import sparen.program.ChargeProgram;
import sparen.program.ChargeStage;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Surroundings;
import sparen.result.Change;
import sparen.result.Event;
import sparen.result.Fact;
import sparen.result.PartEvent;
import sparen.series.Stay;
import sparen.site.ChargeController;
import sparen.site.Inverter;
import sparen.site.Site;

/**
 * The chargers of a plan on a bench supply: one whose imposed voltage is reached holds it, and its times run; else it gives all it can.
 * The sun shines on every array while its height is above 0°. All see the bus, and the whole battery current.
 */
final class ChargersAtBench {
    private static final int MOST_ROUNDS = 20;

    private final List<Charger> chargers = new ArrayList<>();
    private final List<PartEvent> noted = new ArrayList<>();
    private boolean isLight;

    /** One charger; in sunlight, or behind the AC side. */
    private static final class Charger {
        final String id;
        final ChargeRegulator regulator;
        final boolean isAc;
        final int stage;
        final int regulation;
        final Timer silence;
        boolean arrayClosed = true;

        Charger(String id, ChargeRegulator regulator, boolean isAc, Surroundings around) {
            this.id = id;
            this.regulator = regulator;
            this.isAc = isAc;
            stage = around.stage(id);
            regulation = around.regulationVolts(id);
            silence = new Timer(regulator.silentSeconds());
        }
    }

    ChargersAtBench(Plan plan, Surroundings around) {
        Site site = plan.site();
        int cells = site.battery().cellsInSeries();
        for (ChargeProgram program : plan.program().charging()) {
            for (ChargeController one : site.controllers()) {
                if (one.id().equals(program.controller())) {
                    add(new ChargeRegulator(program, cells, one.maximumAmperes()), one.id(), program, false, around);
                }
            }
            site.inverter()
                    .filter(one -> one.id().equals(program.controller()))
                    .flatMap(Inverter::charger)
                    .ifPresent(one -> add(
                            new ChargeRegulator(program, cells, one.maximumAmperes(), AcSide.AWAY_SECONDS),
                            program.controller(),
                            program,
                            true,
                            around));
        }
    }

    /** At rest the battery is full: a charger with stages floats. */
    private void add(ChargeRegulator regulator, String id, ChargeProgram program, boolean isAc, Surroundings around) {
        boolean hasStages =
                program.details().flatMap(details -> details.resumeVolts()).isEmpty();
        regulator.put(hasStages ? ChargeStage.FLOAT : ChargeStage.OFF, 0);
        chargers.add(new Charger(id, regulator, isAc, around));
    }

    /** Carries an output's position to a charge controller it acts on. */
    void connect(OutputAtWork output, String id) {
        Output.Side side = output.output().side().orElse(Output.Side.ENABLE);
        for (Charger one : chargers) {
            if (!one.isAc && one.id.equals(id)) {
                connect(one, side, output.isClosed());
            }
        }
    }

    /** A line to the battery that opens under a live array is a hazard, here as in a run. */
    private void connect(Charger charger, Output.Side side, boolean closed) {
        if (side == Output.Side.ARRAY) {
            charger.arrayClosed = closed;
            return;
        }
        boolean isLive = isLight && charger.arrayClosed && charger.regulator.isEnabled();
        if (side == Output.Side.BATTERY && !closed && isLive) {
            noted.add(new PartEvent(Event.Kind.HAZARD, charger.id, Fact.of(Change.LIVE_ARRAY_CUT_OFF, "")));
        }
        charger.regulator.enable(closed);
    }

    /** A hand has turned the knob of a charger's stage, or of nothing here. */
    void turned(int signal, double value, double now) {
        for (Charger one : chargers) {
            if (one.stage == signal) {
                int rank = (int) Math.max(0, Math.min(ChargeStage.values().length - 1.0, value));
                one.regulator.put(ChargeStage.values()[rank], now);
            }
        }
    }

    /**
     * Lets all look at an instant (s) until none moves any more; what happened.
     *
     * @param acOffers whether AC has something for the charger behind it
     */
    List<PartEvent> settle(double now, double[] values, boolean acOffers) {
        isLight = values[Signal.SUN_ALTITUDE_DEGREES] > 0;
        List<PartEvent> happened = new ArrayList<>(noted);
        noted.clear();
        for (Charger one : chargers) {
            List<Fact> news = settle(one, now, values, one.isAc ? acOffers : one.arrayClosed && isLight);
            if (!news.isEmpty()) {
                happened.add(new PartEvent(Event.Kind.STAGE, one.id, news));
            }
        }
        return happened;
    }

    private static List<Fact> settle(Charger one, double now, double[] values, boolean hasSource) {
        ChargeRegulator regulator = one.regulator;
        one.silence.observe(now, values[Signal.BMS_TALKS] <= 0);
        regulator.takeRequest(Optional.empty(), !one.silence.isDue(now));
        regulator.takeCelsius(values[Signal.BATTERY_CELSIUS]);
        regulator.offer(hasSource ? Double.POSITIVE_INFINITY : 0);
        double amperes = values[Signal.BATTERY_AMPERES];
        double volts = values[Signal.BUS_VOLTS];
        List<Fact> news = new ArrayList<>();
        boolean changed = true;
        for (int round = 0; changed && round < MOST_ROUNDS; round++) {
            regulator.impose(volts);
            changed = regulator.settleStage(now, volts, amperes, amperes);
            news.addAll(regulator.takeNews());
        }
        return news;
    }

    /** Writes stages and regulation levels into the signals. */
    void write(double[] values) {
        for (Charger one : chargers) {
            values[one.stage] = one.regulator.stage().ordinal() + (one.regulator.isStopped() ? 0.5 : 0);
            values[one.regulation] = one.regulator.regulationVolts();
        }
    }

    /** When a timer of one of them is due (s). */
    double dueSeconds() {
        double due = Double.POSITIVE_INFINITY;
        for (Charger one : chargers) {
            due = Math.min(due, Math.min(one.regulator.dueSeconds(), one.silence.dueSeconds()));
        }
        return due;
    }

    /**
     * When the time for which one of them holds a voltage is up (s); infinite for what is none. A voltage that is not reached, and the
     * longest time of a cycle, are not waited for.
     */
    double dueOf(String subject) {
        double due = Double.POSITIVE_INFINITY;
        for (Charger one : chargers) {
            boolean rises = one.regulator.stage() == ChargeStage.BULK
                    || one.regulator.stage() == ChargeStage.EQUALIZATION
                            && one.regulator.limit() != ChargeRegulator.Limit.VOLTAGE;
            if (one.id.equals(subject) && !rises) {
                due = Math.min(due, one.regulator.dueSeconds());
            }
        }
        return due;
    }

    /** Says within which bounds all of them stay as they are. */
    void watch(Stay stay, double[] volts, double[] amperes) {
        for (Charger one : chargers) {
            one.regulator.watchImposed(stay, volts, amperes);
        }
    }

    /** How they stand. */
    List<BenchState.ChargerAtBench> standing(double now) {
        return chargers.stream()
                .map(one -> new BenchState.ChargerAtBench(
                        one.id,
                        one.regulator.stage(),
                        one.regulator.regulationVolts(),
                        one.regulator.limit() != ChargeRegulator.Limit.NOTHING,
                        one.regulator.isStopped(),
                        Optional.of(one.regulator.dueSeconds() - now).filter(left -> left > 0 && !left.isInfinite())))
                .toList();
    }
}
