package sparen.study;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.LongFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import sparen.program.Plan;
import sparen.program.rule.VoltageDisconnect;
import sparen.quantity.Bounds;
import sparen.result.DayFigures;
import sparen.result.Window;
import sparen.simulation.Scenario;
import sparen.simulation.Simulation;
import sparen.site.Load;

/**
 * What the coming days probably bring, in short: whether and when a critical load is cut. Over seeded weathers of the place; a chance here
 * is a share of them, simulated, not a promise.
 *
 * @param weathers how many were tried
 * @param cut in how many of them any critical load was cut
 * @param likelyWithinDays the fewest days within which it was cut in half of them or more; absent where it was not in so many
 * @param lowestVoltsByDay lowest battery voltage of each day in the middle one of them (V)
 * @param disconnectVolts the highest voltage at which a critical load is disconnected to protect the battery (V); absent where none is
 */
public record Outlook(
        int weathers,
        int cut,
        Optional<Integer> likelyWithinDays,
        List<Double> lowestVoltsByDay,
        Optional<Double> disconnectVolts) {
    /** What half of so few says little of. */
    private static final int FEWEST = 20;

    private static final int MOST = 400;

    /**
     * Looks ahead.
     *
     * @param weathers how many to try, 20 to 400
     * @param scenarios the scenario of a weather number; they begin and end alike
     */
    public static Outlook of(int weathers, LongFunction<Scenario> scenarios) {
        Bounds.within("weathers", weathers, "weathers", FEWEST, MOST);
        Plan plan = scenarios.apply(1).plan();
        Set<String> critical = plan.site().loads().stream()
                .filter(Load::critical)
                .map(Load::id)
                .collect(Collectors.toSet());
        List<List<DayFigures>> tried = LongStream.rangeClosed(1, weathers)
                .mapToObj(scenarios)
                .map(scenario -> Simulation.run(
                                scenario, new Window(0, 1, 1), Simulation.Settings.DEFAULT, Simulation.Watch.NONE)
                        .days())
                .toList();
        int[] cutOn = tried.stream()
                .map(days -> Absence.firstCut(critical, days))
                .flatMap(Optional::stream)
                .mapToInt(Integer::intValue)
                .sorted()
                .toArray();
        int half = (weathers + 1) / 2;
        return new Outlook(
                weathers,
                cutOn.length,
                cutOn.length >= half ? Optional.of(cutOn[half - 1] + 1) : Optional.empty(),
                middle(tried),
                disconnect(plan, critical));
    }

    private static List<Double> middle(List<List<DayFigures>> tried) {
        return IntStream.range(0, tried.get(0).size())
                .mapToObj(day -> {
                    double[] volts = tried.stream()
                            .mapToDouble(days -> days.get(day).lowestBatteryVolts())
                            .sorted()
                            .toArray();
                    return Math.round(volts[volts.length / 2] * 1000) / 1000.0;
                })
                .toList();
    }

    private static Optional<Double> disconnect(Plan plan, Set<String> critical) {
        OptionalDouble highest = plan.program().outputs().stream()
                .filter(output -> output.loads().stream().anyMatch(load -> feeds(plan, load, critical)))
                .flatMap(output -> Stream.concat(output.automatic().stream(), output.protection().stream()))
                .filter(VoltageDisconnect.class::isInstance)
                .mapToDouble(rule -> ((VoltageDisconnect) rule).lvdVolts())
                .max();
        return highest.isPresent() ? Optional.of(highest.getAsDouble()) : Optional.empty();
    }

    /** Whether a critical load is a part or hangs on it. */
    private static boolean feeds(Plan plan, String part, Set<String> critical) {
        return plan.site().loads().stream()
                .filter(load -> critical.contains(load.id()))
                .anyMatch(load -> load.id().equals(part)
                        || load.feed().filter(part::equals).isPresent());
    }
}
