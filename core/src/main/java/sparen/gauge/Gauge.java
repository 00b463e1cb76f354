package sparen.gauge;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import sparen.check.Examined;
import sparen.check.Tolerance;
import sparen.format.Profile;
import sparen.program.ChargeDetails.Compensation;
import sparen.program.ChargeProgram;
import sparen.program.Level;
import sparen.program.Plan;
import sparen.site.Bms;
import sparen.site.Inverter;
import sparen.site.SensePoint;

/**
 * The levels of a plan on one axis.
 *
 * @param pegs levels of voltage and of state of charge, those of outputs first
 * @param walls where battery, BMS and inverter stop by themselves
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
    private static final double DEVIATIONS = 2;

    private static final double MILLI = 1e-3;

    /** What happens at a peg. */
    public enum Acts {
        FALLING,
        RISING,
        HELD
    }

    /**
     * A level.
     *
     * @param path of its number, as in origins
     * @param at id of the output or charger
     * @param name what the crew calls that
     * @param pair levels of one rule share it
     * @param term the trade's term
     * @param percent whether it is a state of charge (%), else a voltage of the whole bank (V)
     * @param value as programmed
     * @param acts when it acts
     * @param switches whether it moves something, else it tells
     * @param tolerance error of the device that reads it, two standard deviations (V); 0 for a report in percent
     * @param offsetVolts what its device reads above the true voltage (V)
     * @param sensePoint where it is read; absent for a report in percent
     * @param voltsPerKelvin how it moves with the battery's temperature about 25 °C (V/K)
     * @param ceilingVolts it is never moved above this (V); absent for no bound
     * @param floorVolts it is never moved below this (V); absent for no bound
     */
    public record Peg(
            String path,
            String at,
            String name,
            String pair,
            String term,
            boolean percent,
            double value,
            Acts acts,
            boolean switches,
            double tolerance,
            double offsetVolts,
            Optional<String> sensePoint,
            double voltsPerKelvin,
            Optional<Double> ceilingVolts,
            Optional<Double> floorVolts) {}

    /**
     * A voltage beyond which something stops by itself.
     *
     * @param name what stops
     * @param volts whole bank (V)
     * @param lower whether below it, else above
     */
    public record Wall(String name, double volts, boolean lower) {}

    /** The gauge of a plan. */
    public static Gauge of(Plan plan, Map<String, Profile> profiles) {
        Examined examined = new Examined(plan, profiles);
        List<Peg> pegs = new ArrayList<>(examined.levels(Level.Role.values())
                .map(placed -> peg(plan, placed))
                .toList());
        plan.program().charging().stream()
                .flatMap(charging -> held(plan, charging))
                .forEach(pegs::add);
        List<Wall> walls = walls(plan);
        double low = plan.site().battery().lowestVolts();
        double amperes = examined.worstAmperesOfAll(low);
        double cold = examined.battery().resistanceFactor(examined.coldestBatteryCelsius());
        return new Gauge(
                pegs,
                walls,
                walls.stream()
                        .filter(Wall::lower)
                        .mapToDouble(Wall::volts)
                        .max()
                        .orElse(low),
                walls.stream()
                        .filter(wall -> !wall.lower())
                        .mapToDouble(Wall::volts)
                        .min()
                        .orElse(0),
                amperes * (examined.battery().ohmicOhms() * cold + examined.mainCableOhms()),
                amperes * (examined.battery().settledOhms() * cold + examined.mainCableOhms()),
                plan.site().battery().cellsInSeries(),
                plan.site().battery().chemistry().cellsOf12Volts());
    }

    private static Peg peg(Plan plan, Examined.Placed placed) {
        Level level = placed.level();
        Level.Role role = level.role();
        Optional<SensePoint> point = level.sensePoint().map(plan.site()::sensePoint);
        return new Peg(
                placed.path(),
                placed.output().id(),
                placed.output().name(),
                placed.output().id() + "/" + placed.slot(),
                level.term(),
                role.percent(),
                level.value(),
                role.falling() ? Acts.FALLING : Acts.RISING,
                role != Level.Role.WARNING && role != Level.Role.CLEARS,
                role.percent() ? 0 : DEVIATIONS * Tolerance.METER * level.value(),
                point.map(SensePoint::offsetVolts).orElse(0.0),
                role.percent()
                        ? Optional.empty()
                        : Optional.of(point.map(SensePoint::name).orElse("main bus")),
                level.millivoltsPerKelvin() * MILLI * plan.site().battery().cellsInSeries(),
                Optional.empty(),
                Optional.empty());
    }

    private static Stream<Peg> held(Plan plan, ChargeProgram charging) {
        Optional<Compensation> moves = charging.details().flatMap(details -> details.compensation());
        boolean rechargeToo = moves.map(Compensation::compensatesRecharge).orElse(false);
        return Stream.of(
                held(plan, charging, "absorptionVolts", "absorption", charging.absorptionVolts(), Acts.HELD, moves),
                held(plan, charging, "floatVolts", "float", charging.floatVolts(), Acts.HELD, moves),
                held(
                        plan,
                        charging,
                        "rechargeVolts",
                        "recharge",
                        charging.rechargeVolts(),
                        Acts.FALLING,
                        moves.filter(one -> rechargeToo)));
    }

    private static Peg held(
            Plan plan,
            ChargeProgram charging,
            String field,
            String term,
            double volts,
            Acts acts,
            Optional<Compensation> moves) {
        String id = charging.controller();
        return new Peg(
                "program/charging/" + id + "/" + field,
                id,
                plan.site().chargerName(id),
                id,
                term,
                false,
                volts,
                acts,
                true,
                DEVIATIONS * Tolerance.METER * volts,
                0,
                Optional.of("its terminals"),
                moves.map(one -> one.voltsPerKelvinPerCell()
                                * plan.site().battery().cellsInSeries())
                        .orElse(0.0),
                moves.map(Compensation::ceilingVolts),
                moves.map(Compensation::floorVolts));
    }

    private static List<Wall> walls(Plan plan) {
        List<Wall> walls = new ArrayList<>();
        walls.add(new Wall("battery’s lowest", plan.site().battery().lowestVolts(), true));
        walls.add(new Wall("battery’s highest", plan.site().battery().highestVolts(), false));
        List<Bms> guards = plan.site().battery().batteries().stream()
                .flatMap(battery -> battery.bms().stream())
                .toList();
        guards.stream()
                .max(Comparator.comparingDouble(Bms::lowVolts))
                .ifPresent(bms -> walls.add(new Wall("BMS stops discharge", bms.lowVolts(), true)));
        guards.stream()
                .min(Comparator.comparingDouble(Bms::highVolts))
                .ifPresent(bms -> walls.add(new Wall("BMS stops charge", bms.highVolts(), false)));
        plan.site().inverter().map(Inverter::window).ifPresent(window -> {
            walls.add(new Wall("inverter shuts down", window.lowShutdownVolts(), true));
            walls.add(new Wall("inverter, too high", window.highShutdownVolts(), false));
        });
        return List.copyOf(walls);
    }
}
