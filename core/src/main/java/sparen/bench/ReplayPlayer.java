package sparen.bench;

import java.time.Instant;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Stream;
import sparen.format.LoggerFile;
import sparen.logic.Signal;
import sparen.program.Mode;
import sparen.program.NamedSignal;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Rule;
import sparen.program.Surroundings;
import sparen.quantity.Standard;
import sparen.result.Event;
import sparen.site.SensePoint;
import sparen.sun.Weather;
import sparen.table.Meaning;

/** The plan on the bench, and the rows that turn its knobs. */
final class ReplayPlayer {
    private static final int MOST_MINUTES = 1_100_000;

    private final Plan plan;
    private final LoggerFile log;
    private final Surroundings around;
    private final SupplyBench bench;
    private final ZoneId zone;
    private final double[] volts;
    private final double[] amperes;
    private final double[] charge;
    private final double[] battery;
    private final double[] air;
    private final double[] load;
    private final double[] sines;
    private final double start;
    private final double cableOhms;
    private final List<ReplayTally> tallies = new ArrayList<>();

    ReplayPlayer(Plan plan, LoggerFile log) {
        this.plan = plan;
        this.log = log;
        around = Surroundings.of(plan);
        bench = new SupplyBench(plan);
        zone = plan.site().location().zone();
        volts = held(Meaning.BATTERY_VOLTS);
        amperes = held(Meaning.BATTERY_AMPERES);
        charge = held(Meaning.CHARGE);
        battery = held(Meaning.BATTERY_CELSIUS);
        air = held(Meaning.AIR_CELSIUS);
        load = held(Meaning.LOAD_WATTS);
        start = log.seconds()[0];
        cableOhms = plan.site().mainCable().loopOhms(Standard.ROOM_CELSIUS);
        int minutes = (int) Math.min(MOST_MINUTES, Math.ceil((log.seconds()[log.lines() - 1] - start) / 60) + 1);
        sines = Weather.underTheSun(plan.site().location(), log.from(), minutes).sinesOfAltitude();
    }

    /** A column in which what is not known stands as it was; null where it was not recorded. */
    private double[] held(Meaning meaning) {
        Optional<double[]> column = log.column(meaning);
        if (column.isEmpty()) {
            return null;
        }
        double[] values = column.get().clone();
        double last = Double.NaN;
        for (double value : values) {
            if (!Double.isNaN(value)) {
                last = value;
                break;
            }
        }
        for (int i = 0; i < values.length; i++) {
            last = Double.isNaN(values[i]) ? last : values[i];
            values[i] = last;
        }
        return Double.isNaN(last) ? null : values;
    }

    Replay play() {
        bench.outputs().forEach(one -> tallies.add(new ReplayTally(one, log)));
        double usual = log.usualSeconds();
        turn(0, 0);
        bench.goOn(0);
        for (int i = 1; i < log.lines(); i++) {
            double now = log.seconds()[i - 1] - start;
            double next = log.seconds()[i] - start;
            if (LoggerFile.isGap(next - now, usual)) {
                bench.goOn(next);
                turn(i, next);
            } else {
                turn(i, next);
                bench.goOn(next);
            }
            for (ReplayTally tally : tallies) {
                tally.look(i, next - now, usual, bench.events());
            }
        }
        List<Event> all = bench.events().stream().filter(this::isOfOutput).toList();
        return new Replay(
                log.from(),
                (log.seconds()[log.lines() - 1] - start) / Standard.DAY,
                all.subList(0, Math.min(Replay.MOST_EVENTS, all.size())),
                Math.max(0, all.size() - Replay.MOST_EVENTS),
                tallies.stream()
                        .map(tally -> tally.told(cannotTell(tally.output)))
                        .toList());
    }

    private boolean isOfOutput(Event event) {
        return plan.program().outputs().stream().anyMatch(output -> output.id().equals(event.subject()));
    }

    /** Begins to turn all knobs to a row's numbers, to be there at an instant (s). */
    private void turn(int row, double end) {
        set(Signal.BATTERY_VOLTS, volts[row], end);
        double drop = amperes == null ? 0 : amperes[row] * cableOhms;
        set(Signal.BUS_VOLTS, volts[row] + drop, end);
        for (SensePoint point : around.atDevices()) {
            set(around.voltage(point), volts[row] + drop, end);
        }
        optional(Signal.BATTERY_AMPERES, amperes, row, end);
        optional(Signal.BATTERY_CELSIUS, battery, row, end);
        optional(Signal.AIR_CELSIUS, air, row, end);
        optional(Signal.AC_LOAD_WATTS, load, row, end);
        optional(Signal.STATE_OF_CHARGE, charge, row, end);
        plan.site().monitors().forEach(one -> optional(around.reportedCharge(one.id()), charge, row, end));
        calendar(row, end);
    }

    private void optional(int signal, double[] column, int row, double end) {
        if (column != null) {
            set(signal, column[row], end);
        }
    }

    private void set(int signal, double value, double end) {
        bench.turn(signal, value, end);
    }

    private void calendar(int row, double end) {
        int minute = (int) Math.min(sines.length - 1.0, (log.seconds()[row] - start) / 60);
        set(Signal.SUN_ALTITUDE_DEGREES, Weather.degrees(sines[minute]), end);
        ZonedDateTime now = Instant.ofEpochSecond((long) (start + bench.now())).atZone(zone);
        double hour = now.toLocalTime().toSecondOfDay() / Standard.HOUR;
        set(Signal.LOCAL_HOUR, hour, bench.now());
        set(Signal.LOCAL_MONTH, now.getMonthValue(), bench.now());
        set(Signal.LOCAL_WEEKDAY, now.getDayOfWeek().getValue(), bench.now());
        plan.program().outputs().forEach(output -> {
            int clock = around.ownHour(output.id());
            if (clock >= 0) {
                set(clock, hour, bench.now());
            }
        });
    }

    /** The signals an output goes by that nothing was recorded of. */
    private List<String> cannotTell(Output output) {
        BitSet read = new BitSet();
        Stream.concat(
                        output.mode() == Mode.BY_RULE ? output.automatic().stream() : Stream.empty(),
                        output.protection().stream())
                .map(rule -> ((Rule) rule).compile(around.at(output)))
                .forEach(logic -> logic.signals(read));
        TreeSet<String> unknown = new TreeSet<>();
        read.stream()
                .filter(signal -> !isKnown(signal))
                .mapToObj(signal -> around.signals().all().get(signal).name())
                .forEach(unknown::add);
        return List.copyOf(unknown);
    }

    private boolean isKnown(int signal) {
        NamedSignal named = around.signals().all().get(signal);
        return switch (named.kind()) {
            case VOLTAGE, HOUR, DEVICE_HOUR, CALENDAR, SUN, CONTACT -> true;
            case TRUE_CHARGE, CHARGE -> charge != null;
            case CURRENT -> amperes != null;
            case TEMPERATURE -> (signal == Signal.BATTERY_CELSIUS ? battery : air) != null;
            case POWER -> signal == Signal.AC_LOAD_WATTS && load != null;
            default -> false;
        };
    }
}
