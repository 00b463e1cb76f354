package sparen.site;

import java.time.ZonedDateTime;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import sparen.quantity.Bounds;
import sparen.quantity.Standard;

/** How a load draws on its bus while its contact is closed. */
public sealed interface Consumption {
    /** The same with its power scaled (×); people come more or less often, and a profile is scaled where it is kept. */
    Consumption times(double factor);

    /**
     * Its mean power (W) over a usual week at a voltage (V), of a schedule over all months it holds in; the mean power of a profile
     * (W) is asked by its id.
     */
    default double meanWatts(double volts, ToDoubleFunction<String> profileWatts) {
        return steadyWatts(volts);
    }

    /** The most power it draws at a voltage (V), start surges left aside (W); the highest of a profile (W) is asked by its id. */
    default double highestWatts(double volts, ToDoubleFunction<String> profileWatts) {
        return meanWatts(volts, profileWatts);
    }

    /** What it draws at a voltage (V) as long as it is fed (W); 0 for what changes by itself. */
    default double steadyWatts(double volts) {
        return 0;
    }

    /** Its resistance (Ω), for what is one. */
    default OptionalDouble fixedOhms() {
        return OptionalDouble.empty();
    }

    /** Its current (A), for what draws the same at any voltage. */
    default OptionalDouble fixedAmperes() {
        return OptionalDouble.empty();
    }

    /** Whether it draws a power that is given, and not by its voltage. */
    default boolean drawsGivenPower() {
        return fixedOhms().isEmpty() && fixedAmperes().isEmpty();
    }

    /** Id of the imported profile it follows. */
    default Optional<String> profileId() {
        return Optional.empty();
    }

    /** The way in which it changes by itself. */
    default <T> T changing(ChangingConsumption<T> made) {
        return made.steady();
    }

    /**
     * The same power at any voltage, as behind an electronic supply: the current rises as the voltage sags.
     *
     * @param watts (W), 0 to 100,000
     */
    record ConstantPower(double watts) implements Consumption {
        public ConstantPower {
            Bounds.within("watts", watts, 0, 100_000);
        }

        @Override
        public double steadyWatts(double volts) {
            return watts;
        }

        @Override
        public Consumption times(double factor) {
            return new ConstantPower(watts * factor);
        }
    }

    /**
     * The same current at any voltage, as a lamp behind a linear regulator.
     *
     * @param amperes (A), 0 to 2000
     */
    record ConstantCurrent(double amperes) implements Consumption {
        public ConstantCurrent {
            Bounds.within("amperes", amperes, 0, 2000);
        }

        @Override
        public double steadyWatts(double volts) {
            return volts * amperes;
        }

        @Override
        public OptionalDouble fixedAmperes() {
            return OptionalDouble.of(amperes);
        }

        @Override
        public Consumption times(double factor) {
            return new ConstantCurrent(amperes * factor);
        }
    }

    /**
     * A resistance, as a heater or lamp: the current falls as the voltage sags.
     *
     * @param ohms (Ω), 0.001 to 1e6
     */
    record Resistance(double ohms) implements Consumption {
        public Resistance {
            Bounds.within("ohms", ohms, 0.001, 1e6);
        }

        @Override
        public double steadyWatts(double volts) {
            return volts * volts / ohms;
        }

        @Override
        public OptionalDouble fixedOhms() {
            return OptionalDouble.of(ohms);
        }

        @Override
        public Consumption times(double factor) {
            return new Resistance(ohms / factor);
        }
    }

    /**
     * A thermostatic machine such as a compressor: runs and rests by turns, longer runs when it is warm around it.
     *
     * @param watts while it runs (W), 0 to 100,000
     * @param runSeconds length of a run at 20 °C (s), 1 to 86,400
     * @param restSeconds length of a rest at 20 °C (s), 1 to 86,400
     * @param runSharePerKelvin by how much the share of time it runs grows for each kelvin about it above 20 °C (1/K), 0 to 0.2
     * @param room where it stands; absent for an unheated pantry
     */
    record Cycling(double watts, double runSeconds, double restSeconds, double runSharePerKelvin, Optional<Room> room)
            implements Consumption {
        public Cycling {
            Bounds.within("watts", watts, 0, 100_000);
            Bounds.within("runSeconds", runSeconds, 1, 86_400);
            Bounds.within("restSeconds", restSeconds, 1, 86_400);
            Bounds.within("runSharePerKelvin", runSharePerKelvin, 0, 0.2);
            room = Bounds.orEmpty(room);
        }

        @Override
        public double meanWatts(double volts, ToDoubleFunction<String> profileWatts) {
            return watts * runSeconds / (runSeconds + restSeconds);
        }

        @Override
        public double highestWatts(double volts, ToDoubleFunction<String> profileWatts) {
            return watts;
        }

        @Override
        public <T> T changing(ChangingConsumption<T> made) {
            return made.cycling(this);
        }

        @Override
        public Consumption times(double factor) {
            return new Cycling(watts * factor, runSeconds, restSeconds, runSharePerKelvin, room);
        }
    }

    /**
     * Power by the clock, weekday and season; nothing outside all entries, the sum where entries overlap.
     *
     * @param entries 1 to 50
     */
    record Scheduled(List<Entry> entries) implements Consumption {
        public Scheduled {
            entries = Bounds.list("entries", entries, 1, 50);
        }

        /** What it draws at an instant in the site's zone (W). */
        public double wattsAt(ZonedDateTime at) {
            return entries.stream()
                    .filter(one -> one.when().contains(at))
                    .mapToDouble(Entry::watts)
                    .sum();
        }

        @Override
        public double meanWatts(double volts, ToDoubleFunction<String> profileWatts) {
            return entries.stream()
                    .mapToDouble(one -> one.watts() * one.when().shareOfWeek())
                    .sum();
        }

        @Override
        public double highestWatts(double volts, ToDoubleFunction<String> profileWatts) {
            return entries.stream().mapToDouble(Entry::watts).sum();
        }

        @Override
        public <T> T changing(ChangingConsumption<T> made) {
            return made.scheduled(this);
        }

        @Override
        public Consumption times(double factor) {
            return new Scheduled(entries.stream()
                    .map(entry -> new Entry(entry.watts() * factor, entry.when()))
                    .toList());
        }
    }

    /**
     * One entry of a schedule.
     *
     * @param watts (W), 0 to 100,000
     * @param when on which days and hours
     */
    record Entry(double watts, DailySpan when) {
        public Entry {
            Bounds.within("watts", watts, 0, 100_000);
            Bounds.present("when", when);
        }
    }

    /**
     * People about the house: uses that come at random within some hours of the day. The same seed gives the same uses.
     *
     * @param watts while in use (W), 0 to 100,000
     * @param usesPerDay mean number (1/d), above 0 to 500
     * @param meanSeconds mean length of a use (s), 1 to 86,400
     * @param when on which days and hours a use may begin
     */
    record Occupancy(double watts, double usesPerDay, double meanSeconds, DailySpan when) implements Consumption {
        public Occupancy {
            Bounds.within("watts", watts, 0, 100_000);
            Bounds.above("usesPerDay", usesPerDay, 0, 500);
            Bounds.within("meanSeconds", meanSeconds, 1, 86_400);
            Bounds.present("when", when);
        }

        @Override
        public double meanWatts(double volts, ToDoubleFunction<String> profileWatts) {
            return watts * Math.min(1, usesPerDay * meanSeconds / Standard.DAY);
        }

        @Override
        public double highestWatts(double volts, ToDoubleFunction<String> profileWatts) {
            return watts;
        }

        @Override
        public <T> T changing(ChangingConsumption<T> made) {
            return made.occupancy(this);
        }

        @Override
        public Consumption times(double factor) {
            return new Occupancy(watts, usesPerDay * factor, meanSeconds, when);
        }
    }

    /**
     * Power by an imported consumption profile, constant from each of its lines to the next.
     *
     * @param profile id of the profile the site holds
     */
    record ImportedProfile(String profile) implements Consumption {
        public ImportedProfile {
            Bounds.id("profile", profile);
        }

        @Override
        public double meanWatts(double volts, ToDoubleFunction<String> profileWatts) {
            return profileWatts.applyAsDouble(profile);
        }

        @Override
        public Optional<String> profileId() {
            return Optional.of(profile);
        }

        @Override
        public <T> T changing(ChangingConsumption<T> made) {
            return made.imported(this);
        }

        @Override
        public Consumption times(double factor) {
            return this;
        }
    }
}
