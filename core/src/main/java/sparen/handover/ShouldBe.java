package sparen.handover;

import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.ToDoubleFunction;
import sparen.bench.BenchScript;
import sparen.bench.BenchScript.Turn;
import sparen.bench.BenchState.AtBench;
import sparen.bench.SupplyBench;
import sparen.device.LiveRegister.What;
import sparen.program.NamedSignal;
import sparen.program.Plan;
import sparen.program.Surroundings;
import sparen.quantity.Standard;

/**
 * What the rules of a plan make of what is measured at a site: the program is put on the bench, every voltage and report that is measured
 * is imposed, and it is looked whether each contact ends up closed. It is tried from a full battery and from an empty one, and with all
 * that nobody measures (sun, temperatures, requests) at either end; only where all agree is anything said. Between an off level and the
 * on level above it a contact may be either.
 */
public final class ShouldBe {
    /** As long as that it stood otherwise before, and stands as measured since: longer than delays usually are (s). */
    private static final double WHILE = 2 * Standard.HOUR;

    private ShouldBe() {}

    /**
     * Whether contacts should be closed, by the id of the output; one that may be either is left out.
     *
     * @param numbers what is measured: V, A into the battery, %, W
     * @param at when, in the site's zone
     */
    public static Map<String, Boolean> of(Plan plan, Map<What, Double> numbers, ZonedDateTime at) {
        List<NamedSignal> knobs = knobs(plan);
        List<List<AtBench>> ends = new ArrayList<>();
        for (boolean full : List.of(true, false)) {
            for (boolean high : List.of(true, false)) {
                ends.add(end(plan, knobs, numbers, at, full, high));
            }
        }
        Map<String, Boolean> agreed = new TreeMap<>();
        List<AtBench> first = ends.get(0);
        for (int i = 0; i < first.size(); i++) {
            int output = i;
            boolean closed = first.get(i).closed();
            if (ends.stream().allMatch(end -> end.get(output).closed() == closed)) {
                agreed.put(first.get(i).output(), closed);
            }
        }
        return agreed;
    }

    private static List<NamedSignal> knobs(Plan plan) {
        List<String> turned = SupplyBench.knobs(plan);
        return Surroundings.of(plan).signals().all().stream()
                .filter(signal -> turned.contains(signal.id()) && signal.kind() != NamedSignal.Kind.REGULATION)
                .toList();
    }

    private static List<AtBench> end(
            Plan plan,
            List<NamedSignal> knobs,
            Map<What, Double> numbers,
            ZonedDateTime at,
            boolean full,
            boolean high) {
        List<Turn> turns = new ArrayList<>();
        ToDoubleFunction<NamedSignal> unknown = high ? NamedSignal::most : NamedSignal::least;
        for (NamedSignal knob : knobs) {
            Optional<Double> measured = measured(knob, numbers);
            double before = measured.isPresent()
                    ? full ? knob.most() : knob.least()
                    : clock(knob, at.minusSeconds((long) (2 * WHILE))).orElseGet(() -> unknown.applyAsDouble(knob));
            turns.add(new Turn(0, knob.id(), before, 0));
        }
        for (NamedSignal knob : knobs) {
            measured(knob, numbers).ifPresent(value -> turns.add(new Turn(WHILE, knob.id(), value, 0)));
        }
        return SupplyBench.play(plan, new BenchScript(turns), 2 * WHILE).outputs();
    }

    private static Optional<Double> measured(NamedSignal knob, Map<What, Double> numbers) {
        return switch (knob.kind()) {
            case VOLTAGE -> Optional.ofNullable(numbers.get(What.BATTERY_VOLTS));
            case CHARGE, TRUE_CHARGE ->
                Optional.ofNullable(numbers.get(What.CHARGE_PERCENT)).map(percent -> percent / 100);
            case CURRENT -> Optional.ofNullable(numbers.get(What.BATTERY_AMPERES));
            default -> Optional.empty();
        };
    }

    /** What a clock or calendar showed at an instant. */
    private static Optional<Double> clock(NamedSignal knob, ZonedDateTime at) {
        return switch (knob.kind()) {
            case HOUR, DEVICE_HOUR -> Optional.of(at.toLocalTime().toSecondOfDay() / Standard.HOUR);
            case CALENDAR ->
                Optional.of((double)
                        (knob.most() > 7
                                ? at.getMonthValue()
                                : at.getDayOfWeek().getValue()));
            default -> Optional.empty();
        };
    }
}
