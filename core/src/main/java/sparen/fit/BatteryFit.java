package sparen.fit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.util.Pair;
import sparen.battery.BatteryModel;
import sparen.format.LoggerFile;
import sparen.quantity.Standard;
import sparen.site.BatteryBank;
import sparen.table.Meaning;

/**
 * Fits the model of a battery to recorded voltages and currents, by least squares (Levenberg and Marquardt). Weak expectations stand in
 * for what the data do not say: capacity and resistances within half of the plan's, the shunt within a thousandth of the capacity, the
 * voltage within 0.1 V for each 12 V. A number is told only where the data say far more than those.
 *
 * <p>Residuals follow each other; intervals are widened by what they have in common with their neighbours, (1 + r) ÷ (1 − r) with r the
 * correlation of neighbours (G. E. P. Box and G. M. Jenkins, from memory), and by the shunt's own class of 1 %.
 */
public final class BatteryFit {
    static final int CAPACITY = 0;
    static final int AT_ONCE = 1;
    static final int REBOUND = 2;
    static final int OFFSET = 3;
    static final int UNSEEN = 4;
    private static final int STARTS = 5;

    /** By how much a voltage is off before anything is known (V for each 12 V). */
    private static final double SIGMA_VOLTS = 0.01;

    private static final double NEARLY_EMPTY = 0.05;
    private static final int MOST_EVALUATIONS = 24;
    private static final int MOST_POINTS = 1500;
    private final BatteryBank bank;
    private final BatteryModel planned;
    private final Segments segments;
    private final double volts12;
    private final double[] start;
    private final double[] expected;
    private final double[] sigma;
    private final int counted;
    private double weightVolts;

    private BatteryFit(BatteryBank bank, Segments segments) {
        this.bank = bank;
        this.segments = segments;
        planned = BatteryModel.of(bank);
        volts12 = planned.openCircuitVolts()[planned.openCircuitVolts().length - 1] / 12.8;
        int stretches = segments.stretches.size();
        expected = new double[STARTS + stretches];
        sigma = new double[STARTS + stretches];
        Arrays.fill(expected, CAPACITY, OFFSET, 1);
        Arrays.fill(sigma, CAPACITY, OFFSET, 0.5);
        sigma[OFFSET] = 0.1 * volts12;
        sigma[UNSEEN] = 0.001 * bank.capacityAmpereHours();
        Arrays.fill(expected, STARTS, expected.length, 0.7);
        Arrays.fill(sigma, STARTS, sigma.length, 0.4);
        start = expected.clone();
        for (int i = 0; i < stretches; i++) {
            start[STARTS + i] = stateAtRest(segments.stretches.get(i).get(0).volts());
        }
        counted = (int) segments.stretches.stream()
                .flatMap(List::stream)
                .filter(Segments.Segment::counts)
                .count();
        weightVolts = SIGMA_VOLTS * volts12;
    }

    /**
     * Fits a bank's model to what was recorded.
     *
     * @param log with voltage and current of the battery; temperatures where they are known
     * @param celsius of the battery where none is recorded (°C)
     */
    public static FitResult fit(BatteryBank bank, LoggerFile log, double celsius) {
        if (log.column(Meaning.BATTERY_AMPERES).isEmpty()) {
            return FitResult.none("the battery's current was not recorded: without it no charge can be counted");
        }
        Segments segments = new Segments(log, celsius, bank.capacityAmpereHours(), kneeVolts(bank));
        if (segments.stretches.isEmpty()) {
            return FitResult.none("no twelve hours without a gap were recorded");
        }
        return new BatteryFit(bank, segments).fit();
    }

    /** The voltage at rest of a battery that is nearly empty (V): below it its voltage falls steeply and says little of the rest. */
    private static double kneeVolts(BatteryBank bank) {
        BatteryModel model = BatteryModel.of(bank);
        int knee = 0;
        while (model.statesOfCharge()[knee] < NEARLY_EMPTY) {
            knee++;
        }
        return model.openCircuitVolts()[knee];
    }

    /** The state of charge (fraction) whose voltage at rest is nearest, a first guess. */
    private double stateAtRest(double volts) {
        double[] curve = planned.openCircuitVolts();
        double[] charge = planned.statesOfCharge();
        for (int i = 1; i < curve.length; i++) {
            if (volts < curve[i]) {
                double share = (volts - curve[i - 1]) / (curve[i] - curve[i - 1]);
                return Math.max(0.05, charge[i - 1] + Math.max(0, share) * (charge[i] - charge[i - 1]));
            }
        }
        return 0.97;
    }

    private FitResult fit() {
        double[] startsOnly = solve(true, start).getPoint().toArray();
        double asPlanned = rms(startsOnly);
        LeastSquaresOptimizer.Optimum first = solve(false, startsOnly);
        double[] residuals = residuals(first.getPoint().toArray());
        double neighbours = Math.max(0, Math.min(0.98, correlation(residuals)));
        // The second time each residual weighs as much as it says by itself.
        weightVolts = Math.max(1e-4, rms(first.getPoint().toArray())) * Math.sqrt((1 + neighbours) / (1 - neighbours));
        LeastSquaresOptimizer.Optimum fitted = solve(false, first.getPoint().toArray());
        double[] at = fitted.getPoint().toArray();
        return new FitResult(
                new FitEstimates(bank, planned, segments.rowSeconds, segments.ampereSpread(), sigma)
                        .of(at, fitted.getCovariances(1e-14)),
                asPlanned,
                rms(at),
                segments.stretches.stream()
                                .flatMap(List::stream)
                                .mapToDouble(Segments.Segment::seconds)
                                .sum()
                        / Standard.DAY,
                deepest(at),
                curve(startsOnly, at),
                Optional.empty());
    }

    private LeastSquaresOptimizer.Optimum solve(boolean startsOnly, double[] from) {
        int parameters = from.length;
        int rows = counted + parameters;
        return new LevenbergMarquardtOptimizer()
                .withInitialStepBoundFactor(1)
                .optimize(new LeastSquaresBuilder()
                        .start(from)
                        .target(new double[rows])
                        .maxEvaluations(MOST_EVALUATIONS * 4)
                        .maxIterations(MOST_EVALUATIONS)
                        .checker((iteration, before, after) -> iteration > MOST_EVALUATIONS / 2
                                || Math.abs(before.getCost() - after.getCost()) < 1e-4 * after.getCost())
                        .lazyEvaluation(false)
                        .model(point -> linearised(point.toArray(), startsOnly))
                        .build());
    }

    /** Weighted residuals with those of the expectations, and how they change with each parameter. */
    private Pair<RealVector, RealMatrix> linearised(double[] at, boolean startsOnly) {
        double[] here = weighted(at);
        RealMatrix slopes = new Array2DRowRealMatrix(here.length, at.length);
        for (int j = startsOnly ? STARTS : 0; j < at.length; j++) {
            double step = sigma[j] * 1e-4;
            double[] beside = at.clone();
            beside[j] += step;
            double[] there = weighted(beside);
            for (int i = 0; i < here.length; i++) {
                slopes.setEntry(i, j, (there[i] - here[i]) / step);
            }
        }
        return new Pair<>(new ArrayRealVector(here, false), slopes);
    }

    private double[] weighted(double[] at) {
        double[] residuals = residuals(at);
        double[] all = Arrays.copyOf(residuals, residuals.length + at.length);
        for (int i = 0; i < residuals.length; i++) {
            all[i] /= weightVolts;
        }
        for (int j = 0; j < at.length; j++) {
            all[residuals.length + j] = (at[j] - expected[j]) / sigma[j];
        }
        return all;
    }

    private double[] residuals(double[] at) {
        double[] residuals = new double[counted];
        int[] next = new int[1];
        follow(at, (segment, volts, charge) -> {
            if (segment.counts()) {
                residuals[next[0]++] = volts - segment.volts();
            }
        });
        return residuals;
    }

    private interface Followed {
        void take(Segments.Segment segment, double volts, double stateOfCharge);
    }

    private void follow(double[] at, Followed followed) {
        BatteryModel model = scaled(at);
        for (int i = 0; i < segments.stretches.size(); i++) {
            double charge = Math.max(0.01, Math.min(1, at[STARTS + i]));
            FollowedStretch stretch = new FollowedStretch(model, charge, at[OFFSET], at[UNSEEN]);
            for (Segments.Segment segment : segments.stretches.get(i)) {
                followed.take(segment, stretch.volts(segment), stretch.stateOfCharge());
            }
        }
    }

    private BatteryModel scaled(double[] at) {
        return planned.scaled(Math.max(0.05, at[CAPACITY]), Math.max(0.01, at[AT_ONCE]), Math.max(0.01, at[REBOUND]));
    }

    private double rms(double[] at) {
        double[] residuals = residuals(at);
        return Math.sqrt(Arrays.stream(residuals).map(one -> one * one).sum() / Math.max(1, residuals.length));
    }

    private static double correlation(double[] residuals) {
        double own = 0;
        double next = 0;
        for (int i = 0; i + 1 < residuals.length; i++) {
            own += residuals[i] * residuals[i];
            next += residuals[i] * residuals[i + 1];
        }
        return own == 0 ? 0 : next / own;
    }

    private double deepest(double[] at) {
        double[] lowest = {1};
        follow(at, (segment, volts, charge) -> lowest[0] = Math.min(lowest[0], charge));
        return lowest[0];
    }

    private List<FitResult.FitPoint> curve(double[] asPlanned, double[] fitted) {
        List<Double> before = new ArrayList<>();
        List<FitResult.FitPoint> points = new ArrayList<>();
        follow(asPlanned, (segment, volts, charge) -> before.add(volts));
        int every = Math.max(1, before.size() / MOST_POINTS);
        int[] number = new int[1];
        follow(fitted, (segment, volts, charge) -> {
            if (number[0] % every == 0) {
                points.add(new FitResult.FitPoint(segment.at(), segment.volts(), before.get(number[0]), volts));
            }
            number[0]++;
        });
        return points;
    }
}
