package sparen.handover;

import java.util.Comparator;
import java.util.Optional;
import sparen.battery.BatteryModel;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import sparen.site.Load;

/**
 * How a level can be reached today as it stands, with the sun, the charge and the loads that there are: nothing is set to another number
 * for it. What a load makes the battery sag by at once is Ohm's law with the resistance of its model: simulated, and warmer or older than
 * that a battery sags otherwise.
 */
public final class Provocation {
    /** Less than this from the arrays is no sun to wait for (W); judgement, no source. */
    private static final double LEAST_SUN_WATTS = 20;

    private Provocation() {}

    /**
     * What there is today.
     *
     * @param volts of the battery (V); absent where nobody knows
     * @param percent its state of charge; absent where nobody knows
     * @param arrayWatts that the arrays give (W); absent where nobody knows
     */
    public record Today(Optional<Double> volts, Optional<Double> percent, Optional<Double> arrayWatts) {
        /** Nobody has looked. */
        public static final Today UNKNOWN = new Today(Optional.empty(), Optional.empty(), Optional.empty());

        private Optional<Boolean> hasSun() {
            return arrayWatts.map(watts -> watts >= LEAST_SUN_WATTS);
        }

        private Optional<Double> at(String unit) {
            return switch (unit) {
                case "V" -> volts;
                case "%" -> percent;
                default -> Optional.empty();
            };
        }
    }

    /** The way, as a sentence; empty where there is none today, or nobody knows enough. */
    public static Optional<String> of(Plan plan, TestStep step, Today today) {
        if (step.held().orElse(false)) {
            return today.hasSun()
                    .map(sun -> sun
                            ? "The sun is out: wait until it is held."
                            : "No sun now: it is held on a bright day, or from AC.");
        }
        Optional<Double> now = today.at(step.unit());
        if (now.isEmpty()) {
            return Optional.empty();
        }
        double past = step.falling() ? step.expected() - now.get() : now.get() - step.expected();
        if (past > step.tolerance()) {
            return Optional.of("The battery is past it already: it moves once its delay is over.");
        }
        return step.falling()
                ? step.unit().equals("V") ? byLoad(plan, step, now.get()) : Optional.empty()
                : today.hasSun()
                        .filter(sun -> sun)
                        .map(sun -> "The sun is out: it comes by itself as the battery fills.");
    }

    /** The smallest load that sags the battery past a level, and does not hang on what is tried. */
    private static Optional<String> byLoad(Plan plan, TestStep step, double volts) {
        double ohms = BatteryModel.of(plan.site().battery()).ohmicOhms();
        return plan.site().loads().stream()
                .filter(load -> !step.loads().contains(load.name()))
                .filter(load -> sagged(load, volts, ohms) < step.expected() - step.tolerance())
                .min(Comparator.comparing(load -> watts(load, volts)))
                .map(load -> load.name() + " on, " + Bounds.number(Math.rint(watts(load, volts)))
                        + " W: the battery sags to about "
                        + Bounds.number(Math.rint(sagged(load, volts, ohms) * 100) / 100) + " V at once, simulated."
                        + step.delaySeconds()
                                .map(delay -> " Keep it on for " + Bounds.number(delay) + " s.")
                                .orElse(""));
    }

    private static double watts(Load load, double volts) {
        return load.consumption().highestWatts(volts, profile -> 0);
    }

    private static double sagged(Load load, double volts, double ohms) {
        return volts - watts(load, volts) / volts * ohms;
    }
}
