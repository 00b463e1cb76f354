package sparen.gauge;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.examined.Tolerance;
import sparen.format.Profile;
import sparen.program.Level;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Rule;
import sparen.program.Sentence;
import sparen.program.Surroundings;
import sparen.site.Bms;
import sparen.site.Inverter;
import sparen.site.SensePoint;

/**
 * The levels of a plan on one axis.
 *
 * @param pegs levels of voltage, state of charge and temperature, those of outputs first, then those of chargers, inverter and AC
 * @param walls where battery, BMS and inverter stop by themselves, and where a conductor is overloaded
 * @param usableFromVolts the highest of the lower walls (V)
 * @param usableToVolts the lowest of the upper walls (V)
 * @param sagAtOnceVolts what all loads together make the voltage sag at once, in the cold (V)
 * @param sagVolts the same with what comes in the end; when they go, the voltage rebounds by so much (V)
 * @param cellsInSeries to tell a level for one cell
 * @param cellsOf12Volts how many such cells make a 12 V set
 */
public record Gauge(
        List<Peg> pegs,
        List<Wall> walls,
        double usableFromVolts,
        double usableToVolts,
        double sagAtOnceVolts,
        double sagVolts,
        int cellsInSeries,
        int cellsOf12Volts) {
    /** Two standard deviations are shown. */
    static final double DEVIATIONS = 2;

    private static final double MILLI = 1e-3;
    /** Conductors that are overloaded far below the battery's lowest voltage (of it) are none of the gauge's. */
    private static final double LOOKED_AT = 0.7;

    static final String VOLTS = "V";
    static final String PERCENT = "%";
    static final String CELSIUS = "°C";

    /** What happens at a peg. */
    public enum Acts {
        FALLING,
        RISING,
        HELD
    }

    /** What goes by a level. */
    public enum Whose {
        OUTPUT,
        CHARGER,
        INVERTER,
        BATTERY,
        SOURCE
    }

    /**
     * A level.
     *
     * @param path of its number, as in origins
     * @param at id of the output, charger, inverter, battery or source
     * @param name what the crew calls that
     * @param whose what that is
     * @param pair levels of one rule share it
     * @param term the trade's term
     * @param unit V for a voltage of the whole bank, % for a state of charge, °C for a temperature
     * @param value as programmed, in that unit
     * @param shownTimes how much of that unit one of the plan's own number is: 100 for a fraction that is shown in %, else 1
     * @param acts when it acts; held where it has no side
     * @param actsWhenPassed whether something happens when its value is passed; not where it follows, as float does, or only bounds others
     * @param switches whether it moves something, else it tells
     * @param tolerance error of the device that reads it, two standard deviations (V); 0 for what is no voltage
     * @param offsetVolts what its device reads above the true voltage (V)
     * @param sensePoint where it is read; absent for what is no voltage
     * @param voltsPerKelvin how it moves with the battery's temperature about 25 °C (V/K)
     * @param ceilingVolts it is never moved above this (V); absent for no bound
     * @param floorVolts it is never moved below this (V); absent for no bound
     * @param alike paths of the same level of parts that are alike, and move with it
     */
    public record Peg(
            String path,
            String at,
            String name,
            Whose whose,
            String pair,
            String term,
            String unit,
            double value,
            double shownTimes,
            Acts acts,
            boolean actsWhenPassed,
            boolean switches,
            double tolerance,
            double offsetVolts,
            Optional<String> sensePoint,
            double voltsPerKelvin,
            Optional<Double> ceilingVolts,
            Optional<Double> floorVolts,
            List<String> alike) {}

    /**
     * What something stops beyond, whatever is programmed.
     *
     * @param name what stops
     * @param value whole bank (V), or temperature (°C)
     * @param unit V or °C
     * @param lower whether below it, else above
     */
    public record Wall(String name, double value, String unit, boolean lower) {}

    /** The gauge of a plan. */
    public static Gauge of(Plan plan, Map<String, Profile> profiles) {
        return of(new PlanFacts(plan, profiles));
    }

    /** The same of a plan of which the facts are there. */
    public static Gauge of(PlanFacts examined) {
        Plan plan = examined.asWanted();
        List<Peg> pegs = new ArrayList<>(examined.levels(Level.Role.values())
                .map(placed -> peg(plan, placed))
                .toList());
        pegs.addAll(DevicePegs.of(plan));
        Surroundings around = Surroundings.of(plan);
        plan.program().outputs().stream()
                .flatMap(output -> temperatures(output, around.at(output)))
                .forEach(pegs::add);
        List<Wall> walls = walls(plan);
        double low = plan.site().battery().lowestVolts();
        double amperes = examined.worstAmperesOfAll(low);
        double cold = examined.battery().resistanceFactor(examined.coldestBatteryCelsius());
        List<Wall> all = new ArrayList<>(walls);
        conductors(examined).forEach(all::add);
        return new Gauge(
                pegs,
                List.copyOf(all),
                bound(walls, true).max().orElse(low),
                bound(walls, false).min().orElse(0),
                amperes * (examined.battery().ohmicOhms() * cold + examined.mainCableOhms()),
                amperes * (examined.battery().settledOhms() * cold + examined.mainCableOhms()),
                plan.site().battery().cellsInSeries(),
                plan.site().battery().chemistry().cellsOf12Volts());
    }

    private static Peg peg(Plan plan, PlanFacts.LevelOfOutput placed) {
        Level level = placed.level();
        Level.Role role = level.role();
        Optional<SensePoint> point = level.sensePoint().map(plan.site()::sensePoint);
        return new Peg(
                placed.path(),
                placed.output().id(),
                placed.output().name(),
                Whose.OUTPUT,
                placed.output().id() + "/" + placed.slot(),
                level.term(),
                role.percent() ? PERCENT : VOLTS,
                level.value(),
                1,
                role.falling() ? Acts.FALLING : Acts.RISING,
                true,
                role != Level.Role.WARNING && role != Level.Role.CLEARS,
                role.percent() ? 0 : DEVIATIONS * Tolerance.METER * level.value(),
                point.map(SensePoint::offsetVolts).orElse(0.0),
                role.percent()
                        ? Optional.empty()
                        : Optional.of(point.map(SensePoint::name).orElse("main bus")),
                level.millivoltsPerKelvin() * MILLI * plan.site().battery().cellsInSeries(),
                Optional.empty(),
                Optional.empty(),
                List.of());
    }

    /**
     * Below which voltage a load of constant power draws more than its conductor bears: I = P / U. Only the highest is told, and it is
     * none of the limits of use; circuit law.
     */
    private static Stream<Wall> conductors(PlanFacts plan) {
        return plan.site().loads().stream()
                .filter(load -> load.feed().isEmpty() && load.consumption().drawsGivenPower())
                .flatMap(load -> load.cable().ampacityAmperes().stream()
                        .map(bears -> new Wall(
                                "conductor to " + load.name(), plan.worstWatts(load.id()) / bears, VOLTS, true)))
                .filter(wall -> wall.value() > plan.bank().lowestVolts() * LOOKED_AT)
                .max(Comparator.comparingDouble(Wall::value))
                .stream();
    }

    private static DoubleStream bound(List<Wall> walls, boolean lower) {
        return walls.stream()
                .filter(wall -> wall.unit().equals(VOLTS) && wall.lower() == lower)
                .mapToDouble(Wall::value);
    }

    /** The temperatures in the sentences of an output's rules. */
    private static Stream<Peg> temperatures(Output output, Surroundings around) {
        return Stream.concat(
                output.automatic().stream().flatMap(rule -> temperatures(output, "automatic", rule, around)),
                output.protection().stream().flatMap(rule -> temperatures(output, "protection", rule, around)));
    }

    private static Stream<Peg> temperatures(Output output, String slot, Rule rule, Surroundings around) {
        return rule.sentence(around).parts().stream()
                .filter(Sentence.NumberChip.class::isInstance)
                .map(Sentence.NumberChip.class::cast)
                .filter(chip -> chip.unit().equals(CELSIUS))
                .map(chip -> new Peg(
                        PlanFacts.path(output, slot, chip.field().replace('.', '/')),
                        output.id(),
                        output.name(),
                        Whose.OUTPUT,
                        output.id() + "/" + slot,
                        chip.label(),
                        CELSIUS,
                        chip.value(),
                        1,
                        Acts.HELD,
                        false,
                        true,
                        0,
                        0,
                        Optional.empty(),
                        0,
                        Optional.empty(),
                        Optional.empty(),
                        List.of()));
    }

    private static List<Wall> walls(Plan plan) {
        List<Wall> walls = new ArrayList<>();
        walls.add(new Wall("battery’s lowest", plan.site().battery().lowestVolts(), VOLTS, true));
        walls.add(new Wall("battery’s highest", plan.site().battery().highestVolts(), VOLTS, false));
        List<Bms> guards = plan.site().battery().batteries().stream()
                .flatMap(battery -> battery.bms().stream())
                .toList();
        strictest(guards, Bms::lowVolts, "BMS stops discharge", VOLTS, true).ifPresent(walls::add);
        strictest(guards, Bms::highVolts, "BMS stops charge", VOLTS, false).ifPresent(walls::add);
        strictest(guards, Bms::chargeColdCelsius, "BMS stops charge, cold", CELSIUS, true)
                .ifPresent(walls::add);
        strictest(guards, Bms::chargeHotCelsius, "BMS stops charge, hot", CELSIUS, false)
                .ifPresent(walls::add);
        plan.site().inverter().map(Inverter::window).ifPresent(window -> {
            walls.add(new Wall("inverter shuts down", window.lowShutdownVolts(), VOLTS, true));
            walls.add(new Wall("inverter, too high", window.highShutdownVolts(), VOLTS, false));
        });
        return List.copyOf(walls);
    }

    private static Optional<Wall> strictest(
            List<Bms> guards, ToDoubleFunction<Bms> limit, String name, String unit, boolean lower) {
        DoubleStream limits = guards.stream().mapToDouble(limit);
        OptionalDouble found = lower ? limits.max() : limits.min();
        return found.isEmpty() ? Optional.empty() : Optional.of(new Wall(name, found.getAsDouble(), unit, lower));
    }
}
