package sparen.simulation;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import sparen.battery.BatteryCircuit;
import sparen.battery.BatteryModel;
import sparen.power.BusBalance;
import sparen.power.ChargeRegulator;
import sparen.program.ChargeProgram;
import sparen.series.Series;
import sparen.site.ChargeController;
import sparen.site.Consumption;
import sparen.site.CurrentSource;
import sparen.site.Load;
import sparen.site.Site;
import sparen.site.SolarArray;
import sparen.sun.ArrayOutput;

/**
 * A site's bus at work in one run: its branches and what is fed into them over time. Branches are, in this order, the controllers'
 * own draw, the controllers, the sources, the loads.
 */
final class Circuit {
    /** A controller's terminal is never without resistance: a crimped lug's worth (Ω). */
    private static final double LEAST_TERMINAL_OHMS = 1e-5;

    private static final double CABLE_CELSIUS = 20;
    private static final int IDLE = 0;
    private static final int FIRST_CONTROLLER = 1;

    final Site site;
    final BatteryCircuit battery;
    final BusBalance bus;
    final List<ChargeRegulator> regulators = new ArrayList<>();
    final boolean[] connected;

    private final List<StepInput> arrayWatts = new ArrayList<>();
    private final List<CurrentInput> sources = new ArrayList<>();
    private final StepInput[] profiles;
    private final double settledOhms;
    private final double idleWatts;
    private final int firstSource;
    private final int firstLoad;
    private boolean dead;

    Circuit(Scenario scenario) {
        site = scenario.plan().site();
        BatteryModel model = BatteryModel.of(site.battery());
        battery = new BatteryCircuit(model, site.battery().startStateOfCharge());
        firstSource = FIRST_CONTROLLER + site.controllers().size();
        firstLoad = firstSource + site.sources().size();
        double mainOhms = site.mainCable().loopOhms(CABLE_CELSIUS);
        settledOhms = model.settledOhms() + mainOhms;
        bus = new BusBalance(battery, mainOhms, cableOhms());
        idleWatts = site.controllers().stream()
                .mapToDouble(ChargeController::idleWatts)
                .sum();
        for (ChargeController controller : site.controllers()) {
            ChargeProgram program = scenario.plan().program().charging().stream()
                    .filter(charging -> charging.controller().equals(controller.id()))
                    .findFirst()
                    .orElseThrow();
            regulators.add(new ChargeRegulator(program, controller.maximumAmperes()));
            arrayWatts.add(StepInput.ofMinutes(arrayWatts(scenario, controller)));
        }
        for (CurrentSource source : site.sources()) {
            sources.add(new CurrentInput(source));
        }
        connected = new boolean[site.loads().size()];
        Arrays.fill(connected, true);
        profiles = new StepInput[site.loads().size()];
        for (int i = 0; i < profiles.length; i++) {
            if (site.loads().get(i).consumption() instanceof Consumption.ImportedProfile imported) {
                var profile = scenario.profiles().get(imported.profile());
                profiles[i] = StepInput.ofProfile(profile, profile.shiftSeconds(scenario.start()));
            }
        }
    }

    private double[] cableOhms() {
        double[] ohms = new double[firstLoad + site.loads().size()];
        for (int i = 0; i < site.controllers().size(); i++) {
            double cable = site.controllers().get(i).cable().loopOhms(CABLE_CELSIUS);
            ohms[FIRST_CONTROLLER + i] = Math.max(LEAST_TERMINAL_OHMS, cable);
        }
        for (int i = 0; i < site.loads().size(); i++) {
            ohms[firstLoad + i] = site.loads().get(i).cable().loopOhms(CABLE_CELSIUS);
        }
        return ohms;
    }

    private double[] arrayWatts(Scenario scenario, ChargeController controller) {
        double[] sum = new double[scenario.weather().minutes()];
        for (SolarArray array : site.arrays()) {
            if (controller.arrays().contains(array.id())) {
                double[] watts = ArrayOutput.watts(array, scenario.weather());
                Arrays.setAll(sum, i -> sum[i] + watts[i]);
            }
        }
        return sum;
    }

    /** Takes the inputs of an instant (s). */
    void moveInputs(double seconds) {
        for (int i = 0; i < regulators.size(); i++) {
            if (arrayWatts.get(i).moveTo(seconds) || seconds == 0) {
                double output =
                        arrayWatts.get(i).value() * site.controllers().get(i).efficiency();
                regulators.get(i).offer(output);
            }
        }
        for (int i = 0; i < sources.size(); i++) {
            sources.get(i).moveTo(seconds);
            bus.setCurrent(
                    firstSource + i, sources.get(i).amperes(), sources.get(i).slope());
        }
        for (StepInput profile : profiles) {
            if (profile != null) {
                profile.moveTo(seconds);
            }
        }
    }

    /** When an input may change next (s). */
    double nextInputChange() {
        double next = Double.POSITIVE_INFINITY;
        for (int i = 0; i < arrayWatts.size(); i++) {
            next = Math.min(next, arrayWatts.get(i).nextChange());
        }
        for (int i = 0; i < sources.size(); i++) {
            next = Math.min(next, sources.get(i).nextChange());
        }
        for (StepInput profile : profiles) {
            if (profile != null) {
                next = Math.min(next, profile.nextChange());
            }
        }
        return next;
    }

    /**
     * Solves the balance with all limits of the controllers kept.
     *
     * @return false on a voltage collapse
     */
    boolean solve() {
        bus.setPower(IDLE, dead ? 0 : -idleWatts);
        for (int i = 0; i < connected.length; i++) {
            applyLoad(i);
        }
        int mostRounds = 8 + 16 * regulators.size() * regulators.size();
        for (int i = 0; i < regulators.size(); i++) {
            regulators.get(i).apply(bus, FIRST_CONTROLLER + i);
        }
        for (int round = 0; round < mostRounds; round++) {
            if (!bus.solve()) {
                return false;
            }
            int changed = firstToChange();
            if (changed < 0) {
                return true;
            }
            regulators.get(changed).apply(bus, FIRST_CONTROLLER + changed);
        }
        throw new IllegalStateException("the controllers' limits do not settle; battery at " + bus.batteryVolts()[0]
                + " V, " + battery.charge()[0] + " of full");
    }

    /** One controller changes its limit at a time: several at once would answer to a voltage that none of them leaves behind. */
    private int firstToChange() {
        for (int i = 0; i < regulators.size(); i++) {
            if (regulators.get(i).reconsider(bus, FIRST_CONTROLLER + i)) {
                return i;
            }
        }
        return -1;
    }

    private void applyLoad(int i) {
        int branch = firstLoad + i;
        if (!isServed(i)) {
            bus.setOpen(branch);
            return;
        }
        Consumption consumption = site.loads().get(i).consumption();
        if (consumption instanceof Consumption.Resistance resistance) {
            bus.setResistance(branch, resistance.ohms());
        } else {
            bus.setPower(branch, -wantedWatts(i));
        }
    }

    /** What a load would take (W) if it were connected; a resistance at nominal voltage. */
    double wantedWatts(int load) {
        Consumption consumption = site.loads().get(load).consumption();
        if (consumption instanceof Consumption.ConstantPower constant) {
            return constant.watts();
        }
        if (consumption instanceof Consumption.Resistance resistance) {
            return site.nominalVolts() * site.nominalVolts() / resistance.ohms();
        }
        return profiles[load].value();
    }

    /** Shortens a step (s) until what its series leave out is below a tolerance (V). */
    double trim(double seconds, double voltsTolerance) {
        double step = seconds;
        while (step > Series.FINEST_SECONDS && leftOutVolts(step) > voltsTolerance) {
            step /= 2;
        }
        return step;
    }

    private double leftOutVolts(double step) {
        int order = bus.order();
        return Math.max(
                Series.term(bus.busVolts(), order, step), Series.term(bus.batteryCurrent(), order, step) * settledOhms);
    }

    /** The first instant within a step (s) at which the battery or a controller leaves the piece of its model it is on. */
    double firstExit(double step, double mostCharge) {
        double high = battery.isFull() ? 1 : Math.min(battery.segmentEnd(), mostCharge);
        double exit = Series.firstExit(battery.charge(), bus.order(), step, battery.segmentStart(), high);
        double lowAmperes = battery.isCharging() ? 0 : Double.NEGATIVE_INFINITY;
        double highAmperes = battery.isCharging() ? Double.POSITIVE_INFINITY : 0;
        exit = Math.min(exit, Series.firstExit(bus.batteryCurrent(), bus.order(), step, lowAmperes, highAmperes));
        for (int i = 0; i < regulators.size(); i++) {
            exit = Math.min(exit, exit(regulators.get(i), FIRST_CONTROLLER + i, step));
        }
        return exit;
    }

    private double exit(ChargeRegulator regulator, int branch, double step) {
        double[] volts = bus.farVolts(branch);
        double low = regulator.lowestVolts();
        double high = regulator.highestVolts();
        double recharge = regulator.rechargeVolts();
        if (volts[0] <= recharge) {
            high = Math.min(high, recharge);
        } else if (!Double.isNaN(recharge)) {
            low = Math.max(low, Math.nextUp(recharge));
        }
        return Math.min(
                Series.firstExit(volts, bus.order(), step, low, high),
                Series.firstExit(
                        bus.current(branch), bus.order(), step, regulator.lowestAmperes(), regulator.highestAmperes()));
    }

    /** Voltage at a controller's own terminals now (V). */
    double controllerVolts(int controller) {
        return bus.farVolts(FIRST_CONTROLLER + controller)[0];
    }

    /** Energy a controller gave over a step (J). */
    double controllerJoules(int controller, double step) {
        return bus.branchJoules(FIRST_CONTROLLER + controller, step);
    }

    /** Energy a controller's arrays had at their maximum power point over a step (J). */
    double arrayJoules(int controller, double step) {
        return arrayWatts.get(controller).value() * step;
    }

    /** Energy all sources of given current brought over a step (J). */
    double sourceJoules(double step) {
        double sum = 0;
        for (int i = 0; i < sources.size(); i++) {
            sum += bus.branchJoules(firstSource + i, step);
        }
        return sum;
    }

    /** Energy a load took over a step (J). */
    double loadJoules(int load, double step) {
        return -bus.branchJoules(firstLoad + load, step);
    }

    /** Energy the controllers drew for themselves over a step (J). */
    double idleJoules(double step) {
        return dead ? 0 : idleWatts * step;
    }

    /** Whether a load is fed now. */
    boolean isServed(int load) {
        return connected[load] && !dead;
    }

    boolean isDead() {
        return dead;
    }

    void setDead(boolean nothingIsFed) {
        dead = nothingIsFed;
    }

    /** The loads' ids, in the site's order. */
    List<String> loadIds() {
        return site.loads().stream().map(Load::id).toList();
    }
}
