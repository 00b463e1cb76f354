package sparen.simulation;

import java.util.Arrays;
import java.util.Random;
import sparen.format.Profile;
import sparen.quantity.Standard;
import sparen.site.ChangingConsumption;
import sparen.site.Consumption;
import sparen.site.DailySpan;
import sparen.site.Load;
import sparen.site.Room;

/** What a load would draw over a whole run if it were always fed, as steps; the same seed gives the same. */
final class LoadPattern {
    private double[] starts = new double[64];
    private double[] values = new double[64];
    private int size;

    private LoadPattern() {}

    /** The steps of a load whose power changes by itself, null for one that draws the same all the time. */
    static StepInput of(Load load, Scenario scenario, LocalClock clock, int index) {
        return load.consumption().changing(new ChangingConsumption<>() {
            @Override
            public StepInput steady() {
                return null;
            }

            @Override
            public StepInput cycling(Consumption.Cycling machine) {
                return LoadPattern.cycling(machine, scenario, random());
            }

            @Override
            public StepInput scheduled(Consumption.Scheduled schedule) {
                return LoadPattern.scheduled(schedule, scenario, clock);
            }

            @Override
            public StepInput occupancy(Consumption.Occupancy people) {
                return LoadPattern.occupancy(people, scenario, clock, random());
            }

            @Override
            public StepInput imported(Consumption.ImportedProfile followed) {
                Profile profile = scenario.profiles().get(followed.profile());
                return StepInput.ofProfile(profile, profile.shiftSeconds(scenario.start()));
            }

            private Random random() {
                return new Random(scenario.weatherNumber() * 7919 + index);
            }
        });
    }

    private static StepInput cycling(Consumption.Cycling cycling, Scenario scenario, Random random) {
        LoadPattern pattern = new LoadPattern();
        double period = cycling.runSeconds() + cycling.restSeconds();
        double[] air = scenario.weather().ambientCelsius();
        Room room = cycling.room().orElse(Room.USUAL);
        double follows = -StrictMath.expm1(-period / Room.LAG_SECONDS);
        double lagged =
                Arrays.stream(air, 0, Math.min(air.length, 1440)).average().orElseThrow();
        double at = -random.nextDouble() * period;
        while (at < scenario.durationSeconds()) {
            lagged += follows * (air[(int) Math.max(0, Math.min(air.length - 1, at / 60))] - lagged);
            double above = room.celsius(lagged) - Standard.ROOM_CELSIUS;
            double share = cycling.runSeconds() / period * (1 + cycling.runSharePerKelvin() * above);
            pattern.add(at, cycling.watts());
            pattern.add(at + period * Math.max(0.02, Math.min(0.98, share)), 0);
            at += period;
        }
        return pattern.input();
    }

    private static StepInput scheduled(Consumption.Scheduled scheduled, Scenario scenario, LocalClock clock) {
        Changes changes = new Changes();
        int days = clock.days(scenario.durationSeconds());
        for (Consumption.Entry entry : scheduled.entries()) {
            for (int day = -1; day < days; day++) {
                addSpan(changes, clock, entry.when(), day, entry.watts());
            }
        }
        return changes.input();
    }

    private static void addSpan(Changes changes, LocalClock clock, DailySpan span, int day, double watts) {
        if (span.isOn(clock.dayOf(day))) {
            boolean pastMidnight = span.toHour() <= span.fromHour();
            changes.add(clock.instant(day, span.fromHour()), watts);
            changes.add(clock.instant(pastMidnight ? day + 1 : day, span.toHour()), -watts);
        }
    }

    private static StepInput occupancy(
            Consumption.Occupancy occupancy, Scenario scenario, LocalClock clock, Random random) {
        Changes changes = new Changes();
        DailySpan span = occupancy.when();
        double meanGap = span.hours() * 3600 / occupancy.usesPerDay();
        int days = clock.days(scenario.durationSeconds());
        for (int day = 0; day < days; day++) {
            double from = clock.instant(day, span.fromHour());
            boolean used = span.isOn(clock.dayOf(day));
            double at = -meanGap * StrictMath.log(1 - random.nextDouble());
            while (at < span.hours() * 3600) {
                double length = -occupancy.meanSeconds() * StrictMath.log(1 - random.nextDouble());
                if (used) {
                    changes.add(from + at, occupancy.watts());
                    changes.add(from + at + Math.max(1, length), -occupancy.watts());
                }
                at -= meanGap * StrictMath.log(1 - random.nextDouble());
            }
        }
        return changes.input();
    }

    private void add(double at, double watts) {
        if (size == starts.length) {
            starts = Arrays.copyOf(starts, size * 2);
            values = Arrays.copyOf(values, size * 2);
        }
        starts[size] = at;
        values[size++] = watts;
    }

    private StepInput input() {
        return StepInput.ofSteps(Arrays.copyOf(starts, size), Arrays.copyOf(values, size));
    }

    /** Rises and falls of power in any order, summed up to steps. */
    private static final class Changes {
        private double[] at = new double[64];
        private double[] by = new double[64];
        private int size;

        void add(double seconds, double watts) {
            if (size == at.length) {
                at = Arrays.copyOf(at, size * 2);
                by = Arrays.copyOf(by, size * 2);
            }
            at[size] = seconds;
            by[size++] = watts;
        }

        StepInput input() {
            Integer[] order = new Integer[size];
            Arrays.setAll(order, i -> i);
            Arrays.sort(order, (a, b) -> Double.compare(at[a], at[b]));
            LoadPattern pattern = new LoadPattern();
            pattern.add(Double.NEGATIVE_INFINITY, 0);
            double watts = 0;
            for (int i : order) {
                watts += by[i];
                double rounded = Math.abs(watts) < 1e-9 ? 0 : watts;
                if (at[i] == pattern.starts[pattern.size - 1]) {
                    pattern.values[pattern.size - 1] = rounded;
                } else {
                    pattern.add(at[i], rounded);
                }
            }
            return pattern.input();
        }
    }
}
