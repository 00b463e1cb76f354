package sparen.fit;

import java.util.List;
import java.util.Optional;

/**
 * How a model fits what was recorded.
 *
 * @param estimates of the battery, and of the arrays where their power was recorded; those of a kind the data have nothing about are left
 *     out
 * @param asPlannedVolts by which the model with the plan's numbers is off, root of the mean square (V)
 * @param fittedVolts by which it is off with the fitted ones (V)
 * @param days that count, of 24 hours
 * @param deepestDischarge lowest state of charge that was met (fraction), by the fitted model
 * @param curve measured and modelled voltage, at most 1500 points
 * @param cannot why nothing can be fitted, in words; absent where something can
 */
public record FitResult(
        List<Estimate> estimates,
        double asPlannedVolts,
        double fittedVolts,
        double days,
        double deepestDischarge,
        List<FitPoint> curve,
        Optional<String> cannot)
        implements FitResultWith {
    /**
     * A voltage as measured and as modelled.
     *
     * @param seconds since 1 January 1970 (s)
     * @param measuredVolts (V)
     * @param asPlannedVolts by the model with the plan's numbers (V)
     * @param fittedVolts by the model with the fitted ones (V)
     */
    public record FitPoint(double seconds, double measuredVolts, double asPlannedVolts, double fittedVolts) {}

    public FitResult {
        estimates = List.copyOf(estimates);
        curve = List.copyOf(curve);
    }

    /** Nothing can be fitted. */
    static FitResult none(String why) {
        return new FitResult(List.of(), 0, 0, 0, 1, List.of(), Optional.of(why));
    }
}
