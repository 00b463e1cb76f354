package sparen.simulation;

import java.util.ArrayList;
import java.util.Arrays;
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
import sparen.battery.BatteryModel;
import sparen.battery.NearFull;
import sparen.program.ChargeProgram;
import sparen.program.rule.VoltageDisconnect;
import sparen.quantity.Standard;
import sparen.site.ChargeController;
import sparen.site.Consumption;
import sparen.site.Load;
import sparen.sun.ArrayOutput;

/**
 * A site of one controller and one disconnect on a general-purpose integrator (Dormand–Prince 8(5,3) of Hipparchus) with event
 * detection. Only the parameters are the engine's: equations, the algebra of the bus (by bisection, without any modes) and the logic of
 * stages and disconnect are written anew here.
 */
public final class ReferenceSite {
    private static final double SAMPLE = Thermal.SAMPLE_SECONDS;

    private final Scenario scenario;
    private final BatteryModel model;
    private final double[] watts;
    private final ChargeController controller;
    private final ChargeProgram program;
    private final VoltageDisconnect rule;
    private final double mainOhms;
    private final double controllerOhms;
    private final double alwaysWatts;
    private final double cutWatts;
    private final List<Double> switchings = new ArrayList<>();
    private final List<Double> stages = new ArrayList<>();
    private final double[] state;
    private double celsius;
    private double factor;
    private double shift;
    private double arrayWatts;
    private boolean closed = true;
    private int stage;
    private double set;
    private double heldSeconds;
    private double belowSince = Double.NaN;
    private double aboveSince = Double.NaN;
    private double rechargeSince = Double.NaN;
    private double darkSince = Double.NaN;
    private long evaluations;

    public ReferenceSite(Scenario scenario) {
        this.scenario = scenario;
        var site = scenario.plan().site();
        model = BatteryModel.of(site.battery());
        controller = site.controllers().get(0);
        watts = ArrayOutput.watts(
                site.arrays().get(0),
                scenario.weather(),
                scenario.start(),
                site.location().zone());
        program = scenario.plan().program().charging().get(0);
        rule = (VoltageDisconnect)
                scenario.plan().program().outputs().get(0).protection().orElseThrow();
        mainOhms = site.mainCable().loopOhms(20);
        controllerOhms = controller.cable().loopOhms(20);
        String cut = scenario.plan().program().outputs().get(0).loads().get(0);
        double always = controller.idleWatts();
        double behind = 0;
        for (Load load : site.loads()) {
            double power = ((Consumption.ConstantPower) load.consumption()).watts();
            always += load.id().equals(cut) ? 0 : power;
            behind += load.id().equals(cut) ? power : 0;
        }
        alwaysWatts = always;
        cutWatts = behind;
        state = new double[2 + model.rcOhms().length];
        state[0] = 1 - (1 - site.battery().startStateOfCharge()) * model.statedShare();
        state[1] = state[0];
        double[] air = scenario.weather().ambientCelsius();
        celsius = Arrays.stream(air, 0, 1440).average().orElseThrow();
        takeCelsius();
        set = program.absorptionVolts();
    }

    private void takeCelsius() {
        factor = model.resistanceFactor(celsius);
        shift = model.voltsPerKelvin() * (celsius - Standard.BATTERY_CELSIUS);
    }

    private double emf(double[] y) {
        double[] x = model.statesOfCharge();
        int i = 0;
        while (i < x.length - 2 && y[0] > x[i + 1]) {
            i++;
        }
        double share = (y[0] - x[i]) / (x[i + 1] - x[i]);
        double volts =
                model.openCircuitVolts()[i] + share * (model.openCircuitVolts()[i + 1] - model.openCircuitVolts()[i]);
        for (int k = 2; k < y.length; k++) {
            volts += y[k];
        }
        return volts + shift;
    }

    /** What stands between the electromotive force and the terminals at a current (V). */
    private double dropped(double[] y, double amperes) {
        if (amperes <= 0) {
            return amperes
                    * (model.ohmicOhms() + model.emptyOhms() * model.emptyMargin() / (y[0] + model.emptyMargin()))
                    * factor;
        }
        NearFull near = model.nearFull();
        double steep =
                amperes * near.ohms() * near.margin() / (1 + near.margin() - y[0]) * model.nearFullFactor(celsius);
        double most = near.mostVolts()
                + near.mostVoltsPerKelvin() * (celsius - Standard.BATTERY_CELSIUS)
                + near.mostOhms() * amperes;
        return model.ohmicOhms() * factor * amperes + (near.isBounded() ? steep * most / (steep + most) : steep);
    }

    /** What the controller pushes into a bus at a voltage: the least of power, current and what holds its voltage, never less than 0. */
    private double pushed(double bus) {
        double power = arrayWatts * controller.efficiency();
        if (power <= 0) {
            return 0;
        }
        double byPower = (Math.sqrt(bus * bus + 4 * controllerOhms * power) - bus) / (2 * controllerOhms);
        return Math.max(0, Math.min(Math.min(byPower, controller.maximumAmperes()), (set - bus) / controllerOhms));
    }

    private double net(double bus) {
        return pushed(bus) - (alwaysWatts + (closed ? cutWatts : 0)) / bus;
    }

    /** The bus voltage by bisection: what flows into the battery must be what it takes. */
    private double bus(double[] y) {
        double emf = emf(y);
        double low = emf * 0.7;
        double high = Math.max(emf, set) * 1.3;
        for (int i = 0; i < 80; i++) {
            double middle = (low + high) / 2;
            double amperes = net(middle);
            if (amperes * mainOhms + dropped(y, amperes) + emf > middle) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return (low + high) / 2;
    }

    private double terminals(double[] y) {
        double bus = bus(y);
        return bus - mainOhms * net(bus);
    }

    private boolean isHeld(double[] y) {
        double bus = bus(y);
        double pushed = pushed(bus);
        return arrayWatts > 0 && pushed > 1e-7 && Math.abs(bus + controllerOhms * pushed - set) < 1e-7;
    }

    private double controllerVolts(double[] y) {
        double bus = bus(y);
        return bus + controllerOhms * pushed(bus);
    }

    /** How far it is from being held: positive while power or current do not reach the voltage. */
    private double shortOfHeld(double[] y) {
        double bus = bus(y);
        double power = arrayWatts * controller.efficiency();
        double byPower =
                power <= 0 ? 0 : (Math.sqrt(bus * bus + 4 * controllerOhms * power) - bus) / (2 * controllerOhms);
        return (set - bus) / controllerOhms - Math.min(byPower, controller.maximumAmperes());
    }

    private final class Equations implements OrdinaryDifferentialEquation {
        @Override
        public int getDimension() {
            return state.length;
        }

        @Override
        public double[] computeDerivatives(double t, double[] y) {
            evaluations++;
            double amperes = net(bus(y));
            boolean charging = amperes > 0;
            double gas = charging && model.gasMargin() > 0 ? model.gasMargin() / (1 + model.gasMargin() - y[0]) : 0;
            double c = model.wells().availableShare();
            double exchange = y[1] > y[0]
                    ? model.wells().followsPerSecond(celsius)
                    : model.wells().fillsPerSecond(celsius);
            double[] d = new double[y.length];
            double stored = (1 - gas) * amperes - model.selfDischargeAmperes();
            d[0] = stored / (c * model.capacityCoulombs()) + exchange * (1 - c) * (y[1] - y[0]);
            d[1] = c == 1 ? d[0] : -exchange * c * (y[1] - y[0]);
            for (int k = 2; k < y.length; k++) {
                d[k] = (amperes * model.rcOhms()[k - 2] * factor - y[k]) / model.rcSeconds()[k - 2];
            }
            return d;
        }
    }

    /** Integrates the whole scenario at a relative tolerance. */
    public void run(double tolerance) {
        double t = 0;
        double end = scenario.durationSeconds();
        double[] air = scenario.weather().ambientCelsius();
        double nextSample = SAMPLE;
        while (t < end) {
            int minute = (int) Math.floor(t / 60 + 1e-9);
            arrayWatts = watts[Math.min(watts.length - 1, minute)];
            if (t >= nextSample - 1e-9) {
                double decay = Math.exp(-SAMPLE / 43_200);
                double outside = air[(int) ((nextSample - SAMPLE / 2) / 60)];
                celsius = outside + (celsius - outside) * decay;
                nextSample += SAMPLE;
                takeCelsius();
            }
            settle(t);
            double stop = Math.min(end, Math.min(60.0 * (minute + 1), nextSample));
            stop = Math.min(stop, due());
            t = integrate(t, stop, tolerance);
        }
        settle(t);
    }

    /** How often the bus was solved for the derivatives. */
    long evaluations() {
        return evaluations;
    }

    private double due() {
        double due = Double.POSITIVE_INFINITY;
        due = Double.isNaN(belowSince) ? due : Math.min(due, belowSince + rule.lvdDelaySeconds());
        due = Double.isNaN(aboveSince) ? due : Math.min(due, aboveSince + rule.lvrDelaySeconds());
        due = Double.isNaN(rechargeSince) ? due : Math.min(due, rechargeSince + program.rechargeDelaySeconds());
        return stage == 1 && held ? Math.min(due, heldAt + program.absorptionSeconds() - heldSeconds) : due;
    }

    private boolean held;
    private double heldAt;

    private void settle(double t) {
        for (int round = 0; round < 20; round++) {
            if (!settleOnce(t)) {
                return;
            }
        }
        throw new IllegalStateException("does not settle at " + t);
    }

    /** After an hour without light, when it comes back, a charger begins anew. */
    private boolean beginsAnew(double t) {
        if (arrayWatts <= 0) {
            darkSince = Double.isNaN(darkSince) ? t : darkSince;
            return false;
        }
        boolean anew = t - darkSince >= 3600 && stage != 0;
        darkSince = Double.NaN;
        if (anew) {
            held = false;
            rechargeSince = Double.NaN;
            enter(0, program.absorptionVolts(), t);
        }
        return anew;
    }

    private boolean settleOnce(double t) {
        if (beginsAnew(t)) {
            return true;
        }
        boolean nowHeld = isHeld(state);
        if (held && !nowHeld && stage == 1) {
            heldSeconds += t - heldAt;
        }
        if (nowHeld && !held) {
            heldAt = t;
        }
        held = nowHeld;
        if (stage == 0 && held) {
            heldSeconds = 0;
            heldAt = t;
            enter(1, program.absorptionVolts(), t);
            return true;
        }
        if (stage == 1 && held && t >= heldAt + program.absorptionSeconds() - heldSeconds - 1e-9) {
            held = false;
            enter(2, program.floatVolts(), t);
            return true;
        }
        boolean low = stage != 0 && arrayWatts > 0 && controllerVolts(state) <= program.rechargeVolts();
        rechargeSince = low ? (Double.isNaN(rechargeSince) ? t : rechargeSince) : Double.NaN;
        if (low && t >= rechargeSince + program.rechargeDelaySeconds() - 1e-9) {
            rechargeSince = Double.NaN;
            enter(0, program.absorptionVolts(), t);
            return true;
        }
        return settleDisconnect(t);
    }

    private void enter(int next, double volts, double t) {
        stage = next;
        set = volts;
        stages.add(t);
    }

    private boolean settleDisconnect(double t) {
        double volts = terminals(state);
        boolean below = closed && volts <= rule.lvdVolts();
        boolean above = !closed && volts >= rule.lvrVolts();
        belowSince = below ? (Double.isNaN(belowSince) ? t : belowSince) : Double.NaN;
        aboveSince = above ? (Double.isNaN(aboveSince) ? t : aboveSince) : Double.NaN;
        boolean switches = below && t >= belowSince + rule.lvdDelaySeconds() - 1e-9
                || above && t >= aboveSince + rule.lvrDelaySeconds() - 1e-9;
        if (switches) {
            closed = !closed;
            belowSince = Double.NaN;
            aboveSince = Double.NaN;
            switchings.add(t);
        }
        return switches;
    }

    private double integrate(double from, double to, double tolerance) {
        if (to - from < 1e-9) {
            return to;
        }
        double[] absolute = new double[state.length];
        Arrays.fill(absolute, tolerance);
        double[] relative = new double[state.length];
        Arrays.fill(relative, tolerance);
        DormandPrince853Integrator integrator = new DormandPrince853Integrator(1e-13, 60, absolute, relative);
        integrator.addEventDetector(new Crossing(y -> terminals(y) - (closed ? rule.lvdVolts() : rule.lvrVolts())));
        integrator.addEventDetector(new Crossing(this::shortOfHeld));
        if (stage != 0) {
            integrator.addEventDetector(new Crossing(y -> controllerVolts(y) - program.rechargeVolts()));
        }
        ODEStateAndDerivative end = integrator.integrate(new Equations(), new ODEState(from, state), to);
        System.arraycopy(end.getPrimaryState(), 0, state, 0, state.length);
        return Math.max(end.getTime(), from + 1e-7);
    }

    private interface Margin {
        double of(double[] state);
    }

    private record Crossing(Margin margin) implements ODEEventDetector {
        @Override
        public double g(ODEStateAndDerivative state) {
            return margin.of(state.getPrimaryState());
        }

        @Override
        public AdaptableInterval getMaxCheckInterval() {
            return (state, forward) -> 30;
        }

        @Override
        public int getMaxIterationCount() {
            return 100;
        }

        @Override
        public BracketedUnivariateSolver<UnivariateFunction> getSolver() {
            return new BracketingNthOrderBrentSolver(0, 1e-6, 0, 5);
        }

        @Override
        public ODEEventHandler getHandler() {
            return (state, detector, increasing) -> Action.STOP;
        }
    }

    public List<Double> switchings() {
        return switchings;
    }

    public List<Double> stages() {
        return stages;
    }

    /** State of charge at the end: of both wells, counted down from full in parts of what is stated (fraction). */
    public double charge() {
        double c = model.wells().availableShare();
        return 1 - (1 - c * state[0] - (1 - c) * state[1]) / model.statedShare();
    }
}
