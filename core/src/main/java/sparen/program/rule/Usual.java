package sparen.program.rule;

import java.util.Optional;
import java.util.function.Function;
import sparen.program.Rule;
import sparen.program.Surroundings;
import sparen.site.BatteryBank;
import sparen.site.Chemistry;
import sparen.site.Site;

/**
 * Levels that are usual for a battery, a start for a technician's own. Lead-acid levels are those of a 12 V set over its six cells;
 * lithium levels are for a cell. Common practice, no source.
 */
public final class Usual {
    private Usual() {}

    private static boolean isLithium(BatteryBank battery) {
        return battery.chemistry().isLithium();
    }

    /** A level of the whole bank (V), to a tenth: of lead-acid by its 12 V number, of iron phosphate by its cell's, of NMC by its cell's. */
    private static double level(BatteryBank battery, double leadAcid12, double ironPhosphate, double nmc) {
        double perCell =
                !isLithium(battery) ? leadAcid12 / 6 : battery.chemistry() == Chemistry.NMC ? nmc : ironPhosphate;
        return Math.round(perCell * battery.cellsInSeries() * 10) / 10.0;
    }

    static double hardCutOff(Site site) {
        return level(site.battery(), 11.1, 2.85, 3.15);
    }

    static double lvd(Site site) {
        return level(site.battery(), 11.6, 3.1, 3.4);
    }

    static double lvr(Site site) {
        return level(site.battery(), 12.6, 3.3, 3.7);
    }

    static double warning(Site site) {
        return level(site.battery(), 11.9, 3.15, 3.5);
    }

    static double diversionOn(Site site) {
        return level(site.battery(), 14.0, 3.42, 4.05);
    }

    static double diversionOff(Site site) {
        return level(site.battery(), 13.0, 3.34, 3.95);
    }

    /** Where charging is usually stopped for over-voltage (V). */
    public static double overVoltage(Site site) {
        return Math.round((site.battery().highestVolts() + level(site.battery(), 0.3, 0.02, 0.02)) * 10) / 10.0;
    }

    /** A rule that goes by the first sense point. */
    static Optional<Rule> bySensePoint(Surroundings around, Function<String, Rule> rule) {
        return around.site().sensePoints().stream().findFirst().map(point -> rule.apply(point.id()));
    }

    /** A rule that goes by the first monitor. */
    static Optional<Rule> byMonitor(Surroundings around, Function<String, Rule> rule) {
        return around.site().monitors().stream().findFirst().map(monitor -> rule.apply(monitor.id()));
    }

    /** A rule that goes by the first charger. */
    static Optional<Rule> byCharger(Surroundings around, Function<String, Rule> rule) {
        return around.site().chargers().stream().findFirst().map(rule);
    }

    /** A rule that goes by the first controller with arrays of known voltage. */
    static Optional<Rule> byArrays(Surroundings around, Function<String, Rule> rule) {
        return around.site().controllers().stream()
                .filter(controller -> !controller.arrays().isEmpty())
                .filter(controller -> around.site().arrays().stream()
                        .filter(array -> controller.arrays().contains(array.id()))
                        .allMatch(array -> array.string().isPresent()))
                .findFirst()
                .map(controller -> rule.apply(controller.id()));
    }
}
