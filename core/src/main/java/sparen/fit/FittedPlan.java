package sparen.fit;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import sparen.fit.Estimate.Quantity;
import sparen.program.Origin;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import sparen.quantity.Fields;
import sparen.quantity.InvalidQuantity;
import sparen.site.Ageing;
import sparen.site.BatteryMonitor;
import sparen.site.SensePoint;
import sparen.site.SolarArray;

/** Puts what was fitted into a plan, each number with its origin. */
public final class FittedPlan {
    private FittedPlan() {}

    /**
     * A plan with the fitted numbers that are wanted.
     *
     * @param wanted those that the data tell; one they do not is refused
     * @param sensePoint id of the one whose voltage was recorded; needed for an offset
     * @param until the last day that was recorded
     */
    public static Plan of(
            Plan plan, FitResult fit, List<Quantity> wanted, Optional<String> sensePoint, LocalDate until) {
        Plan with = plan;
        for (Quantity quantity : wanted) {
            Estimate estimate = fit.estimates().stream()
                    .filter(one -> one.quantity() == quantity)
                    .findFirst()
                    .orElseThrow(() -> new InvalidQuantity("quantities", quantity + " was not fitted"));
            estimate.cannotTell().ifPresent(why -> {
                throw new InvalidQuantity("quantities", quantity + " is not known: " + why);
            });
            with = taken(with, estimate, sensePoint, until);
        }
        return with;
    }

    private static Plan taken(Plan plan, Estimate estimate, Optional<String> sensePoint, LocalDate until) {
        double value = estimate.value();
        return switch (estimate.quantity()) {
            case CAPACITY -> {
                double left = rounded(value / plan.site().battery().capacityAmpereHours(), 1000);
                yield aged(plan, new Ageing(left, ageing(plan).resistanceFactor()), estimate, until);
            }
            case RESISTANCE_AT_ONCE ->
                throw new InvalidQuantity(
                        "quantities", "the plan has one resistance for a battery: take RESISTANCE_IN_THE_END (Ω)");
            case RESISTANCE_IN_THE_END -> {
                double factor = rounded(ageing(plan).resistanceFactor() * value / estimate.planned(), 1000);
                yield aged(plan, new Ageing(ageing(plan).capacityFraction(), factor), estimate, until);
            }
            case VOLTAGE_OFFSET -> {
                String id = sensePoint.orElseThrow(() -> new InvalidQuantity(
                        "sensePoint", "is missing: which of them was recorded says whose offset it is"));
                Bounds.known(
                        "sensePoint",
                        id,
                        plan.site().sensePoints().stream().map(SensePoint::id).toList());
                yield set(plan, "site/sensePoints/" + id + "/offsetVolts", rounded(value, 1000), estimate, until);
            }
            case UNSEEN_AMPERES -> {
                BatteryMonitor monitor = plan.site().monitors().stream()
                        .findFirst()
                        .orElseThrow(() -> new InvalidQuantity(
                                "quantities", "the plan has no battery monitor whose shunt could be off"));
                yield set(
                        plan,
                        "site/monitors/" + monitor.id() + "/offsetAmperes",
                        rounded(value, 1000),
                        estimate,
                        until);
            }
            case ARRAY_FACTOR -> {
                Plan with = plan;
                for (SolarArray array : plan.site().arrays()) {
                    double loss = rounded(1 - (1 - array.lossFraction()) * value, 1000);
                    with = set(with, "site/arrays/" + array.id() + "/lossFraction", loss, estimate, until);
                }
                yield with;
            }
        };
    }

    private static Ageing ageing(Plan plan) {
        return plan.site().battery().ageing().orElse(Ageing.NONE);
    }

    private static Plan aged(Plan plan, Ageing ageing, Estimate estimate, LocalDate until) {
        return origin(Fields.withAt(plan, "site/battery/ageing", ageing), "site/battery/ageing", estimate, until);
    }

    private static Plan set(Plan plan, String path, double value, Estimate estimate, LocalDate until) {
        return origin(Fields.withAt(plan, path, value), path, estimate, until);
    }

    private static Plan origin(Plan plan, String path, Estimate estimate, LocalDate until) {
        Map<String, Origin> origins = new HashMap<>(plan.origins());
        String unit = estimate.quantity().unit();
        origins.put(
                path,
                new Origin(
                        Origin.Kind.FITTED,
                        "to what was recorded until " + until + ": " + short3(estimate.lowest()) + " to "
                                + short3(estimate.highest()) + " " + unit));
        return plan.withOrigins(origins);
    }

    private static String short3(double value) {
        double size = Math.pow(10, 2 - Math.floor(Math.log10(Math.max(1e-9, Math.abs(value)))));
        return Bounds.number(rounded(value, size));
    }

    private static double rounded(double value, double by) {
        return Math.round(value * by) / by;
    }
}
