package sparen.fit;

import java.util.List;
import java.util.Optional;
import org.hipparchus.linear.RealMatrix;
import sparen.battery.BatteryModel;
import sparen.fit.Estimate.Quantity;
import sparen.site.BatteryBank;

/** What fitted parameters and their covariances say in the trade's numbers, each with its interval. */
final class FitEstimates {
    /** What any model leaves out of the voltage of six cells of lead (V); judgement. */
    private static final double MODEL_VOLTS = 0.0005;

    private static final double CELLS_OF_12_VOLTS = 6;
    private static final double GAIN_SIGMA = 0.006;
    private static final double NINETY_FIVE = 1.96;
    /** A number is told when its interval is within this share of it to each side, */
    private static final double TOLD_WITHIN = 0.2;

    /** or when the data leave no more than this of what was expected. */
    private static final double TOLD_OF_EXPECTED = 0.5;

    private final BatteryBank bank;
    private final BatteryModel planned;
    private final double rowSeconds;
    private final double systematicOhms;
    private final double[] sigma;

    /**
     * @param rowSeconds how long a recorded row is (s)
     * @param ampereSpread by how much the currents that count differ (A): what a model leaves out of a voltage looks like resistance
     * @param sigma what was expected of each parameter before anything was known
     */
    FitEstimates(BatteryBank bank, BatteryModel planned, double rowSeconds, double ampereSpread, double[] sigma) {
        systematicOhms = MODEL_VOLTS * bank.cellsInSeries() / CELLS_OF_12_VOLTS / ampereSpread;
        this.bank = bank;
        this.planned = planned;
        this.rowSeconds = rowSeconds;
        this.sigma = sigma;
    }

    /** Of what was fitted, and its covariances. */
    List<Estimate> of(double[] at, RealMatrix spread) {
        double ohms = planned.ohmicOhms();
        double rebound = planned.settledOhms() - ohms;
        // Ah over the stated hours: what is stated, as far as it is aged.
        double hours = bank.capacityAmpereHours()
                * bank.ageing().map(ageing -> ageing.capacityFraction()).orElse(1.0);
        double both = ohms * ohms * spread.getEntry(BatteryFit.AT_ONCE, BatteryFit.AT_ONCE)
                + 2 * ohms * rebound * spread.getEntry(BatteryFit.AT_ONCE, BatteryFit.REBOUND)
                + rebound * rebound * spread.getEntry(BatteryFit.REBOUND, BatteryFit.REBOUND);
        double atOnce =
                Math.hypot(systematicOhms, Math.hypot(ohms * deviation(spread, BatteryFit.AT_ONCE), unresolvedOhms()));
        double end = at[BatteryFit.AT_ONCE] * ohms + at[BatteryFit.REBOUND] * rebound;
        double expectedEnd = Math.hypot(ohms, rebound) * sigma[BatteryFit.AT_ONCE];
        return List.of(
                estimate(
                        Quantity.CAPACITY,
                        at[BatteryFit.CAPACITY] * hours,
                        hours * deviation(spread, BatteryFit.CAPACITY),
                        hours,
                        hours * sigma[BatteryFit.CAPACITY]),
                estimate(
                        Quantity.RESISTANCE_AT_ONCE,
                        at[BatteryFit.AT_ONCE] * ohms,
                        atOnce,
                        ohms,
                        ohms * sigma[BatteryFit.AT_ONCE]),
                estimate(
                        Quantity.RESISTANCE_IN_THE_END,
                        end,
                        Math.hypot(systematicOhms, Math.sqrt(Math.max(0, both))),
                        ohms + rebound,
                        expectedEnd),
                estimate(
                        Quantity.VOLTAGE_OFFSET,
                        at[BatteryFit.OFFSET],
                        deviation(spread, BatteryFit.OFFSET),
                        0,
                        sigma[BatteryFit.OFFSET]),
                estimate(
                        Quantity.UNSEEN_AMPERES,
                        at[BatteryFit.UNSEEN],
                        deviation(spread, BatteryFit.UNSEEN),
                        0,
                        sigma[BatteryFit.UNSEEN]));
    }

    /** Rows of a minute cannot tell what acts within the minute from what acts at once: an eighth of it a row, judgement. */
    private double unresolvedOhms() {
        double ohms = 0;
        for (int i = 0; i < planned.rcOhms().length; i++) {
            ohms += planned.rcOhms()[i] * Math.min(1, rowSeconds / planned.rcSeconds()[i]) / 8;
        }
        return ohms;
    }

    private static double deviation(RealMatrix spread, int parameter) {
        return Math.sqrt(Math.max(0, spread.getEntry(parameter, parameter)));
    }

    private Estimate estimate(Quantity quantity, double value, double deviation, double plan, double expectedSigma) {
        boolean scales = plan != 0;
        double wide = NINETY_FIVE * (scales ? Math.hypot(deviation, GAIN_SIGMA * value) : deviation);
        boolean told = scales ? wide <= TOLD_WITHIN * value : deviation <= TOLD_OF_EXPECTED * expectedSigma;
        return new Estimate(
                quantity,
                value,
                value - wide,
                value + wide,
                plan,
                told ? Optional.empty() : Optional.of(why(quantity)));
    }

    private String why(Quantity quantity) {
        return switch (quantity) {
            case CAPACITY -> "the battery was hardly drawn down, or its voltage hardly moves with its charge";
            case RESISTANCE_AT_ONCE, RESISTANCE_IN_THE_END -> "the current hardly changed by steps";
            case VOLTAGE_OFFSET -> "an offset and another charge at the start look alike in these days";
            case UNSEEN_AMPERES -> "too few days were recorded for a small current to add up";
            case ARRAY_FACTOR -> "no clear day was recorded on which the arrays were not held back";
        };
    }
}
