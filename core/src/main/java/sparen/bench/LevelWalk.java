package sparen.bench;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import sparen.bench.BenchScript.Turn;
import sparen.gauge.Gauge;
import sparen.gauge.Gauge.Acts;
import sparen.gauge.Gauge.Peg;
import sparen.gauge.Gauge.Whose;
import sparen.logic.Signal;
import sparen.program.NamedSignal;
import sparen.program.NamedSignal.Kind;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Surroundings;
import sparen.quantity.InvalidQuantity;
import sparen.quantity.Standard;
import sparen.result.Event;
import sparen.setting.DeviceSettings;
import sparen.site.DailySpan;

/**
 * A program walked on the bench supply once down, once up and back to where it began, all of it acting: first the state of charge at the
 * voltage of a full battery, then the voltage, below its lowest level and above its highest. At each level the supply stops just past it until whatever is due there has happened;
 * the batteries are at 25 °C, where compensation moves nothing, and AC is present; a window's level is passed in its hours. Common practice, no source.
 *
 * @param script all turns, to be played on the bench again
 * @param endSeconds when the walk is over (s)
 * @param passed the levels in the order in which they were passed
 */
public record LevelWalk(BenchScript script, double endSeconds, List<Passed> passed) {
    /** So far past a level a voltage goes (V), and a state of charge (%). */
    private static final double PAST_VOLTS = 0.01;

    private static final double PAST_PERCENT = 1;

    /** Between two levels the supply moves so fast (V/s), and a state of charge (fraction/s). */
    private static final double VOLTS_PER_SECOND = 0.1;

    private static final double CHARGE_PER_SECOND = 0.01;

    /** It waits at a level no longer than this for what is due (s): the longest absorption is a day's. */
    private static final double LONGEST_WAIT_SECONDS = Standard.DAY;

    /** While the voltage rises the battery takes its capacity (Ah) in so many hours (A); where a charger holds its voltage, nothing. */
    private static final double CHARGING_HOURS = 10;

    private static final String WINDOWS = "program/ac/windows/";
    private static final int WINDOW_STEP = 3;

    /** After what is due has happened it stays so much longer (s), for what that sets off. */
    private static final double CALM_SECONDS = 5;

    /**
     * Levels at one place that were passed together.
     *
     * @param levels they, and whether each has acted
     * @param seconds when the supply came to them (s)
     * @param volts imposed just past them (V)
     * @param events what happened from when they were approached until the next ones were
     */
    public record Passed(List<Acted> levels, double seconds, double volts, List<Event> events) {
        public Passed {
            levels = List.copyOf(levels);
            events = List.copyOf(events);
        }
    }

    /**
     * A level, and whether that whose it is has acted.
     *
     * @param acted whether something happened to its output, charger or inverter when it was passed
     */
    public record Acted(Peg level, boolean acted) {}

    public LevelWalk {
        passed = List.copyOf(passed);
    }

    /** Walks a plan, as its devices hold it. */
    public static LevelWalk of(Plan plan) {
        return new Walker(DeviceSettings.asSet(plan)).walk();
    }

    private static final class Walker {
        private final Plan plan;
        private final SupplyBench bench;
        private final List<Peg> pegs;
        private final Surroundings around;
        private final List<NamedSignal> signals;
        private final List<Turn> turns = new ArrayList<>();
        private final List<Passed> passed = new ArrayList<>();
        private final double restVolts;
        private final double past;
        private final NamedSignal amperes;
        private final double chargingAmperes;
        private int told;

        Walker(Plan plan) {
            this.plan = plan;
            bench = new SupplyBench(plan);
            pegs = Gauge.of(plan, Map.of()).pegs();
            around = Surroundings.of(plan);
            signals = around.signals().all();
            restVolts = signals.get(Signal.BUS_VOLTS).rest();
            amperes = signals.get(Signal.BATTERY_AMPERES);
            chargingAmperes = plan.site().battery().capacityAmpereHours() / CHARGING_HOURS;
            past = PAST_VOLTS
                    + plan.site().sensePoints().stream()
                            .mapToDouble(point -> point.resolutionVolts().orElse(0.0))
                            .max()
                            .orElse(0);
        }

        LevelWalk walk() {
            turn(signals.get(Signal.BATTERY_CELSIUS), Standard.BATTERY_CELSIUS, 0);
            turn(signals.get(Signal.AC_PRESENT), 1, 0);
            bench.goOn(CALM_SECONDS);
            pass(charges(Acts.FALLING), false);
            pass(charges(Acts.RISING), true);
            pass(volts(Acts.FALLING).filter(this::isBelowRest), false);
            pass(Stream.concat(volts(Acts.RISING), volts(Acts.HELD)), true);
            pass(volts(Acts.FALLING).filter(peg -> !isBelowRest(peg)), false);
            toVolts(restVolts);
            bench.goOn(bench.now() + CALM_SECONDS);
            return new LevelWalk(new BenchScript(turns), bench.now(), passed);
        }

        private Stream<Peg> volts(Acts acts) {
            return pegs.stream().filter(peg -> isWalked(peg, "V") && peg.acts() == acts);
        }

        private Stream<Peg> charges(Acts acts) {
            return pegs.stream().filter(peg -> isWalked(peg, "%") && peg.acts() == acts);
        }

        private static boolean isWalked(Peg peg, String unit) {
            return peg.unit().equals(unit) && peg.value() > 0 && peg.actsWhenPassed();
        }

        private boolean isBelowRest(Peg peg) {
            return at(peg) < restVolts;
        }

        /** Where a level truly is: what its device reads too high acts too low. */
        private static double at(Peg peg) {
            return peg.value() - peg.offsetVolts();
        }

        /** Those that are too near to one another to be told apart are passed together. */
        private void pass(Stream<Peg> along, boolean up) {
            int side = up ? 1 : -1;
            List<Peg> together = new ArrayList<>();
            for (Peg peg : along.sorted(Comparator.comparingDouble(one -> side * at(one)))
                    .toList()) {
                if (!together.isEmpty() && Math.abs(at(peg) - at(together.get(0))) > past) {
                    pass(together, side);
                    together.clear();
                }
                together.add(peg);
            }
            if (!together.isEmpty()) {
                pass(together, side);
            }
        }

        private void pass(List<Peg> together, int side) {
            together.forEach(this::toItsHour);
            Peg last = together.get(together.size() - 1);
            if (last.unit().equals("V")) {
                toVolts(at(last) + side * past);
            } else {
                toCharge(Math.max(0, Math.min(100, last.value() + side * PAST_PERCENT)) / 100);
            }
            double since = bench.now()
                    - (last.unit().equals("V") ? past / VOLTS_PER_SECOND : PAST_PERCENT / 100 / CHARGE_PER_SECOND);
            boolean holds = together.stream().anyMatch(peg -> peg.acts() == Acts.HELD);
            turn(amperes, holds || side < 0 ? 0 : chargingAmperes, 0);
            together.forEach(this::waitFor);
            bench.goOn(bench.now() + CALM_SECONDS);
            List<Event> all = bench.events();
            List<Event> events = List.copyOf(all.subList(told, all.size()));
            told = all.size();
            passed.add(new Passed(
                    together.stream()
                            .map(peg -> new Acted(peg, hasActed(peg, events)))
                            .toList(),
                    since,
                    bench.value(Signal.BUS_VOLTS),
                    events));
        }

        /** A window's level acts in the window: the clock is set to its beginning, and to its day and month where it has some. */
        private void toItsHour(Peg peg) {
            if (!peg.path().startsWith(WINDOWS)) {
                return;
            }
            DailySpan when = plan.program()
                    .ac()
                    .orElseThrow()
                    .windows()
                    .get(Integer.parseInt(peg.path().split("/")[WINDOW_STEP]))
                    .when();
            turn(signals.get(Signal.LOCAL_HOUR), when.fromHour() % 24, 0);
            when.weekdays().stream()
                    .limit(1)
                    .forEach(day -> turn(signals.get(Signal.LOCAL_WEEKDAY), day.getValue(), 0));
            when.months().stream().limit(1).forEach(month -> turn(signals.get(Signal.LOCAL_MONTH), month, 0));
            bench.goOn(bench.now() + CALM_SECONDS);
        }

        private static boolean hasActed(Peg peg, List<Event> events) {
            boolean charges = peg.whose() == Whose.CHARGER;
            return events.stream()
                    .anyMatch(
                            event -> event.subject().equals(peg.at()) && (event.kind() == Event.Kind.STAGE) == charges);
        }

        /** Waits for what is due of the part whose level it is: an output's longest delay, the time a charger holds a voltage. */
        private void waitFor(Peg peg) {
            Optional<Output> output = plan.program().outputs().stream()
                    .filter(one -> one.id().equals(peg.at()))
                    .findFirst();
            double longest = output.map(this::longestSeconds).orElse(LONGEST_WAIT_SECONDS);
            double latest = bench.now() + longest + CALM_SECONDS;
            int before = bench.events().size();
            double due = bench.dueOf(peg.at());
            while (due <= latest && (output.isEmpty() || !hasMoved(peg.at(), before))) {
                bench.goOn(due);
                due = bench.dueOf(peg.at());
            }
        }

        private boolean hasMoved(String subject, int since) {
            List<Event> events = bench.events();
            return events.subList(since, events.size()).stream()
                    .anyMatch(event -> event.subject().equals(subject));
        }

        private double longestSeconds(Output output) {
            return Stream.concat(output.automatic().stream(), output.protection().stream())
                    .mapToDouble(rule -> AutoBench.longestSeconds(rule.compile(around.at(output))))
                    .max()
                    .orElse(0);
        }

        private void turn(NamedSignal signal, double value, double overSeconds) {
            if (bench.now() > BenchScript.MOST_SECONDS) {
                throw new InvalidQuantity(
                        "program",
                        "its delays and times make the walk longer than the week (604,800 s) that a bench plays");
            }
            Turn turn = new Turn(bench.now(), signal.id(), value, overSeconds);
            turns.add(turn);
            bench.begin(turn);
        }

        /** All ends of all cables together, as with one supply. */
        private void toVolts(double volts) {
            double over = Math.abs(volts - bench.value(Signal.BUS_VOLTS)) / VOLTS_PER_SECOND;
            signals.stream().filter(one -> one.kind() == Kind.VOLTAGE).forEach(one -> turn(one, volts, over));
            bench.goOn(bench.now() + over);
        }

        private void toCharge(double charge) {
            double over = Math.abs(charge - bench.value(Signal.STATE_OF_CHARGE)) / CHARGE_PER_SECOND;
            signals.stream()
                    .filter(one -> one.kind() == Kind.CHARGE || one.kind() == Kind.TRUE_CHARGE)
                    .forEach(one -> turn(one, charge, over));
            bench.goOn(bench.now() + over);
        }
    }
}
