package sparen.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import sparen.logic.Signal;
import sparen.logic.Timer;
import sparen.output.OutputAtWork;
import sparen.power.AcConditions;
import sparen.power.AcSide;
import sparen.power.ChargeRegulator;
import sparen.program.AcProgram;
import sparen.program.ChargeProgram;
import sparen.program.ChargeStage;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Surroundings;
import sparen.result.Event;
import sparen.result.Fact;
import sparen.result.PartEvent;
import sparen.series.Series;
import sparen.series.Stay;
import sparen.site.ChargeController;
import sparen.site.Inverter;
import sparen.site.Site;

/**
 * The chargers and the inverter of a plan on a bench supply. What stands at their terminals is imposed: a charger whose voltage is
 * reached holds it, and its times run; else it gives all it can. The sun shines on every array while its height is above 0°; the AC
 * side has its first source while AC is present, without windows, and its load evenly on its legs. All chargers see the bus, and the whole battery current.
 */
final class DevicesAtBench {
    /** So finely (K, W) a temperature or load that is turned slowly is looked at. */
    private static final double KELVIN = 0.1;

    private static final double WATTS = 10;

    private static final int MOST_ROUNDS = 20;

    private final Site site;
    private final List<Charger> chargers = new ArrayList<>();
    private final AcSide ac;
    private final AcConditions conditions = new AcConditions();

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

    DevicesAtBench(Plan plan, Surroundings around) {
        site = plan.site();
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
        ac = site.inverter()
                .map(one -> new AcSide(one, plan.program().ac().orElse(AcProgram.PLAIN)))
                .orElse(null);
        conditions.dcAlive = true;
    }

    /** At rest the battery is full: a charger with stages floats. */
    private void add(ChargeRegulator regulator, String id, ChargeProgram program, boolean isAc, Surroundings around) {
        boolean hasStages =
                program.details().flatMap(details -> details.resumeVolts()).isEmpty();
        regulator.put(hasStages ? ChargeStage.FLOAT : ChargeStage.OFF, 0);
        chargers.add(new Charger(id, regulator, isAc, around));
    }

    /** Carries the contacts' positions to what they act on. */
    void connect(List<OutputAtWork> outputs) {
        for (OutputAtWork one : outputs) {
            for (String id : one.output().loads()) {
                Output.Side side = one.output().side().orElse(Output.Side.ENABLE);
                for (Charger charger : chargers) {
                    if (!charger.isAc && charger.id.equals(id)) {
                        connect(charger, side, one.isClosed());
                    }
                }
                if (ac != null && ac.inverter().id().equals(id)) {
                    if (side == Output.Side.CHARGE) {
                        ac.enableCharger(one.isClosed());
                    } else {
                        ac.enable(one.isClosed());
                    }
                }
            }
        }
    }

    private static void connect(Charger charger, Output.Side side, boolean closed) {
        if (side == Output.Side.ARRAY) {
            charger.arrayClosed = closed;
        } else {
            charger.regulator.enable(closed);
        }
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

    /** Lets all look at an instant (s) until none moves any more, and writes what they do into the signals; what happened. */
    List<PartEvent> settle(double now, double[] values) {
        List<PartEvent> happened = new ArrayList<>();
        double volts = values[Signal.BUS_VOLTS];
        if (ac != null) {
            takeConditions(values, volts);
            List<Fact> facts = ac.settle(now, conditions);
            if (!facts.isEmpty()) {
                happened.add(new PartEvent(Event.Kind.AC, ac.inverter().id(), facts));
            }
        }
        for (Charger one : chargers) {
            List<Fact> news = settle(one, now, values, volts);
            if (!news.isEmpty()) {
                happened.add(new PartEvent(Event.Kind.STAGE, one.id, news));
            }
        }
        write(values);
        return happened;
    }

    /** Writes stages and regulation levels into the signals. */
    void write(double[] values) {
        for (Charger one : chargers) {
            values[one.stage] = one.regulator.stage().ordinal() + (one.regulator.isStopped() ? 0.5 : 0);
            values[one.regulation] = one.regulator.regulationVolts();
        }
    }

    private void takeConditions(double[] values, double volts) {
        boolean present = values[Signal.AC_PRESENT] > 0 && !site.acSources().isEmpty();
        conditions.source = present ? 0 : -1;
        conditions.from = present ? site.acSources().get(0) : null;
        for (int leg = 0; leg < ac.inverter().legs(); leg++) {
            conditions.legWatts[leg] =
                    values[Signal.AC_LOAD_WATTS] / ac.inverter().legs();
        }
        conditions.voltAmperes = values[Signal.AC_LOAD_WATTS];
        conditions.airCelsius = values[Signal.AIR_CELSIUS];
        conditions.stateOfCharge = values[Signal.STATE_OF_CHARGE];
        conditions.sunEnough = values[Signal.AC_LOAD_WATTS] == 0 || values[Signal.SURPLUS_WATTS] > 0;
        conditions.dcVolts = volts;
    }

    private List<Fact> settle(Charger one, double now, double[] values, double volts) {
        ChargeRegulator regulator = one.regulator;
        boolean talks = values[Signal.BMS_TALKS] > 0;
        one.silence.observe(now, !talks);
        regulator.takeRequest(Optional.empty(), !one.silence.isDue(now));
        regulator.takeCelsius(values[Signal.BATTERY_CELSIUS]);
        boolean shines = one.isAc
                ? ac.sourceAtHand() >= 0 && ac.offerWatts() > 0
                : one.arrayClosed && values[Signal.SUN_ALTITUDE_DEGREES] > 0;
        regulator.offer(shines ? Double.POSITIVE_INFINITY : 0);
        double amperes = values[Signal.BATTERY_AMPERES];
        List<Fact> news = new ArrayList<>();
        boolean changed = true;
        for (int round = 0; changed && round < MOST_ROUNDS; round++) {
            regulator.impose(volts);
            changed = regulator.settleStage(now, volts, amperes, amperes);
            news.addAll(regulator.takeNews());
        }
        return news;
    }

    /** When a timer of one of them is due (s). */
    double dueSeconds() {
        double due = ac == null ? Double.POSITIVE_INFINITY : ac.dueSeconds();
        for (Charger one : chargers) {
            due = Math.min(due, Math.min(one.regulator.dueSeconds(), one.silence.dueSeconds()));
        }
        return due;
    }

    /**
     * When a delay of one of them is up, or the time for which it holds a voltage (s); infinite for what is none. A voltage that is not
     * reached, and the longest time of a cycle, are not waited for.
     */
    double dueOf(String subject) {
        double due = ac != null && ac.inverter().id().equals(subject) ? ac.dueSeconds() : Double.POSITIVE_INFINITY;
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

    /** Says within which bounds all of them stay as they are; signals move evenly. */
    void watch(Stay stay, double[] values, double[] slopes) {
        double[] volts = series(Signal.BUS_VOLTS, values, slopes);
        double[] amperes = series(Signal.BATTERY_AMPERES, values, slopes);
        for (Charger one : chargers) {
            one.regulator.watchImposed(stay, volts, amperes);
        }
        stay.onSideOf(series(Signal.SUN_ALTITUDE_DEGREES, values, slopes), 0);
        stay.onSideOf(series(Signal.AC_PRESENT, values, slopes), 0);
        stay.onSideOf(series(Signal.BMS_TALKS, values, slopes), 0);
        grid(stay, series(Signal.BATTERY_CELSIUS, values, slopes), KELVIN);
        if (ac != null) {
            stay.within(volts, ac.lowestVolts(volts[0]), ac.highestVolts(volts[0]));
            grid(stay, series(Signal.AC_LOAD_WATTS, values, slopes), WATTS);
            stay.onSideOf(series(Signal.SURPLUS_WATTS, values, slopes), 0);
            double[] charge = series(Signal.STATE_OF_CHARGE, values, slopes);
            stay.within(charge, ac.lowestCharge(charge[0], Double.NaN), ac.highestCharge(charge[0], Double.NaN));
        }
    }

    private static double[] series(int signal, double[] values, double[] slopes) {
        double[] moving = new double[Series.LOW_ORDER + 1];
        moving[0] = values[signal];
        moving[1] = slopes[signal];
        return moving;
    }

    private static void grid(Stay stay, double[] moving, double by) {
        if (moving[1] != 0) {
            stay.within(moving, moving[0] - by, moving[0] + by);
        }
    }

    /** How they stand. */
    List<BenchState.ChargerAtBench> chargers(double now) {
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

    /** How the inverter stands, where there is one. */
    Optional<BenchState.InverterAtBench> inverter() {
        return Optional.ofNullable(ac)
                .map(one -> new BenchState.InverterAtBench(
                        one.inverter().id(), one.isAlive(), one.sourceAtHand() >= 0, one.isSearching()));
    }
}
