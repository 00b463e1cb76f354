package sparen.bench;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import sparen.bench.BenchScript.Turn;
import sparen.format.Profile;
import sparen.program.NamedSignal;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Signals;
import sparen.program.Surroundings;
import sparen.quantity.Bounds;
import sparen.quantity.Fields;
import sparen.quantity.InvalidQuantity;
import sparen.quantity.Standard;
import sparen.result.Event;
import sparen.result.OutputFigures;
import sparen.result.RunResult;
import sparen.result.Window;
import sparen.setting.DeviceSettings;
import sparen.simulation.Request;
import sparen.simulation.Scenario;
import sparen.simulation.Simulation;
import sparen.simulation.TalkLoss;
import sparen.site.BatteryBank;
import sparen.site.Consumption;
import sparen.site.DcSource;
import sparen.site.Enclosure;
import sparen.site.Load;
import sparen.site.SensePoint;
import sparen.sun.Weather;

/**
 * A program on the bench with a model of the site's own battery behind it: a heavy load sags it, it rebounds, and what chatters on site
 * chatters here. Knobs are what each load draws, the sun on the arrays, the air, talk with the BMS and requests; charge and clock are set
 * at the start. It is the same engine as a season's, so the same balance.
 *
 * <p>The sun moves by whole minutes. A knob that is turned slowly moves in {@value #STAIRS} even stairs.
 */
public final class LiveBench {
    /** The day on which every bench stands; only its hour and the site's place matter. */
    private static final String NOTHING = "bench-nothing";

    private static final LocalDate DAY = LocalDate.of(2026, 6, 22);

    private static final double START_HOUR = 12;
    private static final int STAIRS = 20;
    private static final double AHEAD_SECONDS = 3600;
    private static final double PERIOD_SECONDS = 2 * BenchScript.MOST_SECONDS;
    private final Plan plan;
    private final Map<String, NamedSignal> signals = new LinkedHashMap<>();
    private final String charge;
    private final String hour;
    private final String sun;
    private final String air;
    private final String talk;
    private final Map<String, String> loads = new LinkedHashMap<>();
    private final Map<String, String> requests = new LinkedHashMap<>();
    private final Map<String, List<Turn>> turned = new HashMap<>();

    private LiveBench(Plan plan) {
        this.plan = plan;
        Surroundings around = Surroundings.of(plan);
        Signals known = around.signals();
        charge = knob(known.charge(plan.site().battery().startStateOfCharge()));
        hour = knob(known.clock(START_HOUR));
        sun = knob(known.light());
        air = knob(known.air(Standard.ROOM_CELSIUS));
        for (Load load : plan.site().loads()) {
            loads.put(load.id(), knob(known.load(load.id(), load.name(), ownWatts(load))));
        }
        talk = known.talk().id();
        if (!plan.site().battery().batteries().isEmpty()) {
            knob(known.talk());
        }
        around.requests().forEach(request -> requests.put(request, knob(known.request(request))));
    }

    private String knob(NamedSignal signal) {
        signals.put(signal.id(), signal);
        return signal.id();
    }

    /** What a load draws before anybody has turned its knob (W): what it always draws, or nothing where that changes by itself. */
    private double ownWatts(Load load) {
        return load.consumption().steadyWatts(plan.site().nominalVolts());
    }

    /** What the knobs of a plan's live bench impose. */
    public static List<NamedSignal> knobs(Plan plan) {
        return List.copyOf(new LiveBench(plan).signals.values());
    }

    /**
     * Plays a script on a plan, as its devices hold it.
     *
     * @param untilSeconds how long (s), 0 to a week
     * @param shownSeconds how much of the time before that is shown as a trace (s), 10 to a week
     * @throws InvalidQuantity when a turn names no knob of the plan, or sets charge or clock later than at the start
     */
    public static BenchState play(Plan plan, BenchScript script, double untilSeconds, double shownSeconds) {
        Bounds.within("untilSeconds", untilSeconds, 0, BenchScript.MOST_SECONDS);
        Bounds.within("shownSeconds", shownSeconds, 10, BenchScript.MOST_SECONDS);
        LiveBench bench = new LiveBench(DeviceSettings.asSet(plan));
        for (Turn turn : script.turns()) {
            bench.take(turn);
        }
        return bench.state(Math.max(1, untilSeconds), shownSeconds);
    }

    private void take(Turn turn) {
        if (!signals.containsKey(turn.knob())) {
            throw new InvalidQuantity("turns.knob", "\"" + turn.knob() + "\" is not one of " + signals.keySet());
        }
        boolean atStart = turn.knob().equals(charge) || turn.knob().equals(hour);
        if (atStart && (turn.seconds() > 0 || turn.overSeconds() > 0)) {
            throw new InvalidQuantity(
                    "turns." + turn.knob(), "can only be set at the start of a live bench, at 0 s and at once");
        }
        if (loads.containsValue(turn.knob())) {
            Bounds.within("turns." + turn.knob(), turn.value(), "W", 0, 100_000);
        }
        turned.computeIfAbsent(turn.knob(), knob -> new ArrayList<>()).add(turn);
    }

    /** What a knob is at, in time: pairs of an instant (s) and a value, the first at 0. */
    private List<double[]> steps(String knob) {
        List<double[]> steps = new ArrayList<>();
        steps.add(new double[] {0, signals.get(knob).rest()});
        for (Turn turn : turned.getOrDefault(knob, List.of())) {
            // A knob that is turned again is taken from wherever it was on its way to.
            while (steps.size() > 1 && steps.get(steps.size() - 1)[0] >= turn.seconds()) {
                steps.remove(steps.size() - 1);
            }
            double from = steps.get(steps.size() - 1)[1];
            int stairs = turn.overSeconds() == 0 ? 1 : STAIRS;
            for (int i = 1; i <= stairs; i++) {
                double at = turn.seconds() + turn.overSeconds() * (i - (stairs == 1 ? 1 : 0)) / stairs;
                double value = from + (turn.value() - from) * i / stairs;
                if (at == 0) {
                    steps.get(0)[1] = value;
                } else {
                    steps.add(new double[] {at, value});
                }
            }
        }
        return steps;
    }

    private double at(String knob, double seconds) {
        double value = 0;
        for (double[] step : steps(knob)) {
            value = step[0] <= seconds ? step[1] : value;
        }
        return value;
    }

    private BenchState state(double until, double shown) {
        Window window = new Window(Math.max(0, until - shown), Math.max(until, 1), 300);
        RunResult result = Simulation.run(scenario(until), window);
        double horizon = Math.min(BenchScript.MOST_SECONDS, until + AHEAD_SECONDS);
        Optional<Double> next = Simulation.run(scenario(horizon + 1), new Window(0, 1, 1)).events().stream()
                .map(Event::seconds)
                .filter(seconds -> seconds > until)
                .findFirst();
        Map<String, Double> knobs = new LinkedHashMap<>();
        signals.keySet().forEach(knob -> knobs.put(knob, at(knob, until)));
        return new BenchState(
                until,
                result.outputs().stream()
                        .map(one -> atBench(one, isClosed(one, until), result))
                        .toList(),
                List.of(),
                Optional.empty(),
                List.of(),
                List.of(),
                result.events(),
                List.copyOf(signals.values()),
                knobs,
                next,
                Optional.of(new BenchState.Live(
                        result.endBatteryVolts(),
                        result.endBatteryAmperes(),
                        result.endStateOfCharge(),
                        result.trace().rounded())));
    }

    private static boolean isClosed(OutputFigures output, double until) {
        return output.startsClosed() ^ output.movedBefore(until) % 2 == 1;
    }

    private BenchState.AtBench atBench(OutputFigures figures, boolean closed, RunResult result) {
        Output output = plan.program().outputs().stream()
                .filter(one -> one.id().equals(figures.output()))
                .findFirst()
                .orElseThrow();
        double[] bus = result.trace().lowBusVolts();
        double charge = result.battery().reportedAtEnd().orElse(result.endStateOfCharge());
        BenchReason.Standing stands = new BenchReason.Standing(
                closed, figures.chattered(), figures.countdowns(), figures.neededAtEnd(), figures.lockedAtEnd());
        return BenchReason.of(output, stands, (rule, level) -> {
            if (level.role().percent()) {
                return new BenchReason.Read(charge, Optional.empty());
            }
            Optional<SensePoint> point = level.sensePoint().map(plan.site()::sensePoint);
            boolean atBattery = point.filter(one -> one.place() == SensePoint.Place.BATTERY_TERMINALS)
                    .isPresent();
            double volts = atBattery ? result.endBatteryVolts() : bus[bus.length - 1];
            return new BenchReason.Read(
                    volts + point.map(SensePoint::offsetVolts).orElse(0.0), Optional.empty());
        });
    }

    private Scenario scenario(double seconds) {
        int minutes = (int) Math.ceil(seconds / 60) + 1;
        ZoneId zone = plan.site().location().zone();
        Instant start = DAY.atStartOfDay(zone).toInstant().plusMillis(Math.round(at(hour, 0) * 3_600_000));
        Map<String, Profile> profiles = new HashMap<>();
        List<Load> drawing = new ArrayList<>();
        for (Load load : plan.site().loads()) {
            String id = "bench-" + load.id();
            profiles.put(id, profile(steps(loads.get(load.id()))));
            boolean itsOwn = !turned.containsKey(loads.get(load.id())) && ownWatts(load) > 0;
            // Untouched, a resistance stays one; a knob makes it a power.
            drawing.add(itsOwn ? load : load.withConsumption(new Consumption.ImportedProfile(id)));
        }
        profiles.put(NOTHING, profile(List.of(new double[2])));
        Plan live = Fields.withAt(plan, "site/loads", List.copyOf(drawing));
        List<DcSource> still = plan.site().dcSources().stream()
                .map(source -> source.withByClock(Optional.empty()).withProfile(Optional.of(NOTHING)))
                .toList();
        live = Fields.withAt(live, "site/dcSources", still);
        live = Fields.withAt(live, "site/battery", onTheBench(plan.site().battery()));
        return new Scenario(live, start, seconds, weather(start, minutes), profiles, 1, silences(), requested());
    }

    /** It has the charge of the knob, and is as warm as the air of the knob at once and from the start: nobody waits half a day for it. */
    private BatteryBank onTheBench(BatteryBank bank) {
        Enclosure own = bank.enclosure().orElse(Enclosure.UNKNOWN);
        return bank.withStartStateOfCharge(at(charge, 0))
                .withEnclosure(Optional.of(new Enclosure(
                        Enclosure.NO_LAG_SECONDS, own.kelvinPerWatt(), Optional.of(at(air, 0)), own.heater())));
    }

    private static Profile profile(List<double[]> steps) {
        return new Profile(
                Optional.empty(),
                steps.stream().mapToDouble(step -> step[0]).toArray(),
                steps.stream().mapToDouble(step -> step[1]).toArray(),
                PERIOD_SECONDS);
    }

    /** Light from the whole sky as the knob says, whatever the hour; the sun's height as it is. */
    private Weather weather(Instant start, int minutes) {
        double[] light = new double[minutes];
        double[] air = new double[minutes];
        byMinutes(sun, light);
        byMinutes(this.air, air);
        return Weather.underTheSun(plan.site().location(), start, minutes).under(light, air);
    }

    /** What a knob is at at the beginning of each minute. */
    private void byMinutes(String knob, double[] into) {
        List<double[]> steps = steps(knob);
        int step = 0;
        for (int minute = 0; minute < into.length; minute++) {
            while (step + 1 < steps.size() && steps.get(step + 1)[0] <= 60.0 * minute) {
                step++;
            }
            into[minute] = steps.get(step)[1];
        }
    }

    private List<TalkLoss> silences() {
        return turned.containsKey(talk)
                ? Spans.of(steps(talk), 0.5, false, PERIOD_SECONDS).stream()
                        .map(span -> new TalkLoss(span[0], span[1]))
                        .toList()
                : List.of();
    }

    private List<Request> requested() {
        List<Request> made = new ArrayList<>();
        requests.forEach((request, knob) -> Spans.of(steps(knob), 0.5, true, PERIOD_SECONDS)
                .forEach(span -> made.add(new Request(request, span[0], span[1]))));
        return made;
    }
}
