package sparen.handover;

import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import sparen.device.LiveRegister.What;
import sparen.program.Plan;
import sparen.site.ChangingConsumption;
import sparen.site.Consumption;
import sparen.site.Load;

/**
 * More is drawn than the plan has loads for at this hour: by how much, and which load or pair of loads of the plan, running when it is not
 * planned to, would explain it.
 *
 * @param measuredWatts of all loads (W)
 * @param plannedWatts the most that the plan's loads draw at this hour (W)
 * @param explanations names of one load or two, the nearest first, up to 3; none where no load of the plan explains it
 */
public record UnplannedDraw(double measuredWatts, double plannedWatts, List<List<String>> explanations) {
    /** Within so much a draw is as planned (fraction; W), the larger of both; common practice, no source. */
    private static final double SHARE = 0.05;

    private static final double WATTS = 10;
    private static final int MOST_EXPLANATIONS = 3;

    /** What a load may draw at an instant by the plan, and what it draws more if it runs all the same (W). */
    private record Range(String name, double least, double most, double more) {}

    /**
     * What is drawn beyond the plan; empty where nothing is, or the power of the loads is not measured.
     *
     * @param numbers what is measured: V, A into the battery, %, W
     * @param closed whether contacts are closed, by the id of the output, as far as that is known
     * @param at when, in the site's zone
     */
    public static Optional<UnplannedDraw> of(
            Plan plan, Map<What, Double> numbers, Map<String, Boolean> closed, ZonedDateTime at) {
        Optional<Double> measured = Optional.ofNullable(numbers.get(What.LOAD_WATTS));
        if (measured.isEmpty()) {
            return Optional.empty();
        }
        double volts = numbers.getOrDefault(What.BATTERY_VOLTS, plan.site().nominalVolts());
        List<Range> ranges = plan.site().loads().stream()
                .filter(load -> !isOff(plan, load, closed))
                .map(load -> range(load, volts, at))
                .toList();
        double watts = measured.get();
        double least = ranges.stream().mapToDouble(Range::least).sum();
        double most = ranges.stream().mapToDouble(Range::most).sum();
        double near = Math.max(WATTS, SHARE * watts);
        if (watts <= most + near) {
            return Optional.empty();
        }
        List<Range> idle = ranges.stream().filter(range -> range.more() > 0).toList();
        List<List<Range>> guesses = new ArrayList<>();
        idle.forEach(one -> guesses.add(List.of(one)));
        for (int i = 0; i < idle.size(); i++) {
            for (int j = i + 1; j < idle.size(); j++) {
                guesses.add(List.of(idle.get(i), idle.get(j)));
            }
        }
        Predicate<List<Range>> explains = guess -> {
            double more = more(guess);
            return watts >= least + more - near && watts <= most + more + near;
        };
        // One load is likelier than two, and of as many the one that is nearest.
        return Optional.of(new UnplannedDraw(
                watts,
                most,
                guesses.stream()
                        .filter(explains)
                        .sorted(Comparator.<List<Range>>comparingInt(List::size)
                                .thenComparing(guess -> Math.abs(watts - most - more(guess))))
                        .limit(MOST_EXPLANATIONS)
                        .map(guess -> guess.stream().map(Range::name).toList())
                        .toList()));
    }

    private static double more(List<Range> guess) {
        return guess.stream().mapToDouble(Range::more).sum();
    }

    /** Whether a contact that is known to be open keeps a load, or what feeds it, from drawing. */
    private static boolean isOff(Plan plan, Load load, Map<String, Boolean> closed) {
        return plan.program().outputs().stream()
                .filter(output -> Boolean.FALSE.equals(closed.get(output.id())))
                .anyMatch(output -> output.loads().contains(load.id())
                        || load.feed().filter(output.loads()::contains).isPresent());
    }

    private static Range range(Load load, double volts, ZonedDateTime at) {
        Consumption consumption = load.consumption();
        double highest = consumption.highestWatts(volts, profile -> 0);
        double[] planned = consumption.changing(new ChangingConsumption<>() {
            @Override
            public double[] steady() {
                return new double[] {load.diverts() ? 0 : highest, highest};
            }

            @Override
            public double[] cycling(Consumption.Cycling machine) {
                return new double[] {0, machine.watts()};
            }

            @Override
            public double[] scheduled(Consumption.Scheduled schedule) {
                double watts = schedule.wattsAt(at);
                return new double[] {watts, watts};
            }

            @Override
            public double[] occupancy(Consumption.Occupancy people) {
                return new double[] {0, people.when().contains(at) ? people.watts() : 0};
            }

            @Override
            public double[] imported(Consumption.ImportedProfile profile) {
                // What a profile has at this hour is not asked: it may be anything.
                return new double[] {0, Double.POSITIVE_INFINITY};
            }
        });
        return new Range(load.name(), planned[0], planned[1], Math.max(0, highest - planned[1]));
    }
}
