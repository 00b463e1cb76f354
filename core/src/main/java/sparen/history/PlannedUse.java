package sparen.history;

import java.time.Instant;
import java.time.ZonedDateTime;
import java.util.List;
import java.util.Optional;
import sparen.program.Mode;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.site.ChangingConsumption;
import sparen.site.Consumption;
import sparen.site.Load;

/** What the loads of an output that is meant to be on all the time use by the plan. */
final class PlannedUse {
    private final Plan plan;
    private final List<Consumption> loads;

    private PlannedUse(Plan plan, List<Consumption> loads) {
        this.plan = plan;
        this.loads = loads;
    }

    /** Of an output by its id; absent where nothing can be told: by rule it may be open on purpose, and a profile is not at hand. */
    static Optional<PlannedUse> of(Plan plan, String output) {
        Optional<Output> found = plan.program().outputs().stream()
                .filter(one -> one.id().equals(output) && one.mode() == Mode.ON)
                .findFirst();
        List<Consumption> loads = plan.site().loads().stream()
                .filter(load -> !load.diverts()
                        && found.filter(one -> one.loads().contains(load.id())).isPresent())
                .map(Load::consumption)
                .toList();
        boolean isKnown = !loads.isEmpty()
                && loads.stream().allMatch(one -> one.profileId().isEmpty());
        return isKnown ? Optional.of(new PlannedUse(plan, loads)) : Optional.empty();
    }

    /** Power at an instant (s since 1 January 1970), at nominal voltage (W): by the clock where it goes by it, else the mean of a day. */
    double wattsAt(long seconds) {
        ZonedDateTime at =
                Instant.ofEpochSecond(seconds).atZone(plan.site().location().zone());
        double sum = 0;
        for (Consumption one : loads) {
            sum += one.changing(new At(one, plan.site().nominalVolts(), at));
        }
        return sum;
    }

    private record At(Consumption load, double volts, ZonedDateTime at) implements ChangingConsumption<Double> {
        @Override
        public Double steady() {
            return load.meanWatts(volts, profile -> 0);
        }

        @Override
        public Double cycling(Consumption.Cycling machine) {
            return steady();
        }

        @Override
        public Double scheduled(Consumption.Scheduled schedule) {
            return schedule.wattsAt(at);
        }

        @Override
        public Double occupancy(Consumption.Occupancy people) {
            return steady();
        }

        @Override
        public Double imported(Consumption.ImportedProfile profile) {
            return steady();
        }
    }
}
