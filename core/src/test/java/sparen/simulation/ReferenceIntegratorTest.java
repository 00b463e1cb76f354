package sparen.simulation;

import static org.testng.Assert.assertEquals;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BracketedUnivariateSolver;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.ODEStateAndDerivative;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.events.Action;
import org.hipparchus.ode.events.AdaptableInterval;
import org.hipparchus.ode.events.ODEEventDetector;
import org.hipparchus.ode.events.ODEEventHandler;
import org.hipparchus.ode.nonstiff.DormandPrince853Integrator;
import org.testng.annotations.Test;
import sparen.program.rule.VoltageDisconnect;
import sparen.result.RunResult;
import sparen.site.BatteryTable;
import sparen.site.Consumption;
import sparen.site.CurrentSource;
import sparen.site.SensePoint;

/**
 * A constant-power load under a rising and falling charging current, against a general-purpose integrator with event detection
 * (Dormand–Prince 8(5,3) of Hipparchus) and its own algebra: the quadratic of the load's current in closed form.
 */
public class ReferenceIntegratorTest {
    private static final double CAPACITY = 60 * 3600;
    private static final double OHMIC = 0.012;
    private static final double RC_OHMS = 0.010;
    private static final double RC_SECONDS = 180;
    private static final double MAIN_OHMS = 0.006;
    private static final double WATTS = 130;
    private static final double LVD = 11.9;
    private static final double LVR = 12.7;
    private static final double LVD_DELAY = 5;
    private static final double LVR_DELAY = 30;
    private static final double DAY = 86_400;
    private static final double PERIOD = 21_600;

    private static double source(double t) {
        double phase = t % PERIOD / PERIOD;
        return phase < 0.5 ? 36 * phase : 36 * (1 - phase);
    }

    private static double emf(double[] state) {
        return 11.2 + 2.2 * state[0] + state[1];
    }

    /** Current into the battery (A): the source's, less what the load draws through main cable and battery resistance. */
    private static double current(double t, double[] state, boolean closed) {
        if (!closed) {
            return source(t);
        }
        double ohms = OHMIC + MAIN_OHMS;
        double open = emf(state) + ohms * source(t);
        double load = (open - Math.sqrt(open * open - 4 * ohms * WATTS)) / (2 * ohms);
        return source(t) - load;
    }

    private static double busVolts(double t, double[] state, boolean closed) {
        return emf(state) + (OHMIC + MAIN_OHMS) * current(t, state, closed);
    }

    @Test
    public void switchesWhereAGeneralPurposeIntegratorSaysSo() {
        List<CurrentSource.Point> points = new ArrayList<>();
        for (double t = 0; t <= DAY; t += PERIOD / 2) {
            points.add(new CurrentSource.Point(t, source(t)));
        }
        BatteryTable table =
                Sites.Circuit.table(List.of(0.0, 1.0), List.of(11.2, 13.4), OHMIC, RC_OHMS, RC_SECONDS / RC_OHMS);
        RunResult result = new Sites.Circuit(table, CAPACITY / 3600, 0.6)
                .cable(MAIN_OHMS, SensePoint.Place.BUS)
                .source(points)
                .load(
                        "radio",
                        new Consumption.ConstantPower(WATTS),
                        new VoltageDisconnect("point", LVD, LVD_DELAY, LVR, LVR_DELAY))
                .run(DAY);

        double[] state = {0.6, 0};
        List<Double> expected = reference(state);
        assertEquals(result.outputs().get(0).changeSeconds().length, expected.size(), "switchings " + expected);
        for (int i = 0; i < expected.size(); i++) {
            assertEquals(result.outputs().get(0).changeSeconds()[i], expected.get(i), 0.01, "switching " + i);
        }
        assertEquals(result.endStateOfCharge(), state[0], 1e-6);
        assertEquals(result.ledger().closingError(), 0, 1e-9);
    }

    /** Integrates a day in place and returns the instants of switching. */
    private static List<Double> reference(double[] state) {
        List<Double> switchings = new ArrayList<>();
        double t = 0;
        boolean closed = true;
        while (t < DAY) {
            double crossing = integrate(t, DAY, state, closed, true);
            if (crossing >= DAY) {
                return switchings;
            }
            double due = crossing + (closed ? LVD_DELAY : LVR_DELAY);
            t = integrate(crossing, Math.min(due, DAY), state, closed, false);
            closed = !closed;
            switchings.add(t);
        }
        return switchings;
    }

    /** Goes on to an instant, or to the crossing that is awaited; kinks of the source are met exactly. */
    private static double integrate(double from, double to, double[] state, boolean closed, boolean await) {
        double t = from;
        while (t < to) {
            double kink = (Math.floor(t / (PERIOD / 2) + 1e-12) + 1) * PERIOD / 2;
            double stop = Math.min(to, kink);
            Threshold threshold = new Threshold(closed);
            if (await && threshold.above(t, state) <= 0) {
                return t;
            }
            DormandPrince853Integrator integrator = new DormandPrince853Integrator(1e-6, 60, 1e-11, 1e-11);
            if (await) {
                integrator.addEventDetector(threshold);
            }
            ODEStateAndDerivative end = integrator.integrate(new Battery(closed), new ODEState(t, state), stop);
            System.arraycopy(end.getPrimaryState(), 0, state, 0, state.length);
            t = end.getTime();
            if (await && t < stop) {
                return t;
            }
        }
        return t;
    }

    private record Battery(boolean closed) implements OrdinaryDifferentialEquation {
        @Override
        public int getDimension() {
            return 2;
        }

        @Override
        public double[] computeDerivatives(double t, double[] state) {
            double amperes = current(t, state, closed);
            return new double[] {amperes / CAPACITY, (amperes * RC_OHMS - state[1]) / RC_SECONDS};
        }
    }

    /** Positive until the awaited threshold is reached. */
    private record Threshold(boolean closed) implements ODEEventDetector {
        double above(double t, double[] state) {
            double volts = busVolts(t, state, closed);
            return closed ? volts - LVD : LVR - volts;
        }

        @Override
        public double g(ODEStateAndDerivative state) {
            return above(state.getTime(), state.getPrimaryState());
        }

        @Override
        public AdaptableInterval getMaxCheckInterval() {
            return (state, forward) -> 5;
        }

        @Override
        public int getMaxIterationCount() {
            return 100;
        }

        @Override
        public BracketedUnivariateSolver<UnivariateFunction> getSolver() {
            return new BracketingNthOrderBrentSolver(0, 1e-7, 0, 5);
        }

        @Override
        public ODEEventHandler getHandler() {
            return (state, detector, increasing) -> Action.STOP;
        }
    }
}
