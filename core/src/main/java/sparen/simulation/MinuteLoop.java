package sparen.simulation;

import sparen.battery.BatteryMinute;
import sparen.power.BusBalance;
import sparen.power.BusCurve;
import sparen.power.BusMinute;
import sparen.power.ChargeRegulator.Limit;

/**
 * Carries a circuit through whole minutes in which nothing happens but that the sun moves: the voltage of the bus is sought at the
 * beginning, in the middle and at the end of each, where all currents meet to the last digit, with the batteries as {@link BatteryMinute}
 * has them and everything that follows the voltage alone as one {@link BusCurve}. Energies are sums by Simpson's rule over the three.
 *
 * <p>A minute counts only when every quantity stays well within its {@link Walls}, and the currents are as smooth as they are taken to
 * be. Otherwise it is given up, and the series of {@link Run} go on from where it began: what happens, happens there.
 */
final class MinuteLoop implements StepFlows {
    private static final double SECONDS = BatteryMinute.SECONDS;
    private static final int START = BusMinute.START;
    private static final int MIDDLE = BusMinute.MIDDLE;
    private static final int END = BusMinute.END;

    private static final int VOLTS = 0;
    private static final int NODE_VOLTS = 1;
    private static final int AMPERES = 2;
    private static final int CHARGE = 3;
    private static final int FIRST_BATTERY = 4;
    /** Of each battery: current, terminal voltage, charge at hand, bound charge, and by how much that is ahead. */
    private static final int OF_BATTERY = 5;
    /** Of each controller: current and voltage at its terminals. */
    private static final int OF_CONTROLLER = 2;
    /** Of each monitor: the current it sees and its count. */
    private static final int OF_MONITOR = 2;

    /** What a cubic leaves out of a rebound is at most this part of its last term, which falls with each order; judgement. */
    private static final double LEFT_OUT = 0.003;

    private static final double TOLERATED_VOLTS = 1e-6;
    /** A quantity that comes this near a wall, as a part of its bend within the minute, is left to the series. */
    private static final double NEAR = 0.5;

    private static final double HAIR = 1e-9;
    /** A controller that holds its voltage looks ahead as long as its sun is more than it takes by this (×). */
    private static final double ENOUGH = 0.999;
    /** A controller at its largest current has so much more sun than it needs (×), or is left to the series. */
    private static final double MORE = 1.01;

    private final Circuit circuit;
    private final BusBalance bus;
    private final BatteryAtWork[] all;
    private final BatteryMinute[] batteries;
    private final int firstController;
    private final int firstMonitor;
    private final double[] start;
    private final double[] middle;
    private final double[] end;
    private final Walls walls;
    private final int[] walled;
    private int walledCount;
    private final BusMinute minute;
    private final boolean[] still;
    private final BusCurve[] pastShunt;
    private final boolean[][] isPastShunt;
    private final boolean[][] stillPastShunt;
    private final int[] moving;
    private int movingCount;
    private final int[] sourceOf;
    private final double allCoulombs;

    private double now;
    private double stop;
    private double volts;
    private double storedBefore;
    private double terminalSum;

    MinuteLoop(Circuit circuit, double[] chargeSeries) {
        this.circuit = circuit;
        bus = circuit.bus;
        all = circuit.batteries.all;
        batteries = new BatteryMinute[all.length];
        double coulombs = 0;
        for (int i = 0; i < all.length; i++) {
            batteries[i] = all[i].branch.overMinutes();
            coulombs += all[i].capacityCoulombs;
        }
        allCoulombs = coulombs;
        firstController = FIRST_BATTERY + OF_BATTERY * all.length;
        firstMonitor = firstController + OF_CONTROLLER * circuit.controllers.length;
        int count = firstMonitor + OF_MONITOR * circuit.monitors.length;
        start = new double[count];
        middle = new double[count];
        end = new double[count];
        walled = new int[count];
        moving = new int[circuit.controllers.length];
        sourceOf = new int[moving.length];
        minute = new BusMinute(batteries, bus.mainOhms(), moving.length);
        still = new boolean[bus.size()];
        pastShunt = new BusCurve[circuit.monitors.length];
        isPastShunt = new boolean[pastShunt.length][bus.size()];
        stillPastShunt = new boolean[pastShunt.length][bus.size()];
        walls = new Walls(bus, count, VOLTS);
        nameAll(chargeSeries);
    }

    private void nameAll(double[] chargeSeries) {
        walls.name(bus.busVolts(), VOLTS);
        walls.name(bus.batteryVolts(), NODE_VOLTS);
        walls.name(bus.batteryCurrent(), AMPERES);
        walls.nameStill(bus.nothing());
        for (int i = 0; i < all.length; i++) {
            int first = FIRST_BATTERY + OF_BATTERY * i;
            walls.name(all[i].branch.current(), first);
            walls.name(all[i].branch.terminalVolts(), first + 1);
            double[][] charges = all[i].branch.circuit().watchedCharges();
            for (int k = 0; k < charges.length; k++) {
                walls.name(charges[k], first + 2 + k);
            }
        }
        walls.name(chargeSeries, CHARGE);
        for (int i = 0; i < circuit.controllers.length; i++) {
            walls.name(bus.ownCurrent(circuit.controllers[i].branch), firstController + OF_CONTROLLER * i);
            walls.name(bus.ownFarVolts(circuit.controllers[i].branch), firstController + OF_CONTROLLER * i + 1);
        }
        for (int i = 0; i < pastShunt.length; i++) {
            pastShunt[i] = new BusCurve();
            circuit.monitors[i].nameSeries(walls, firstMonitor + OF_MONITOR * i);
            for (int branch : circuit.monitors[i].unseen()) {
                isPastShunt[i][branch] = true;
            }
        }
        for (int branch = 0; branch < bus.size(); branch++) {
            walls.nameBranch(branch);
        }
    }

    /**
     * Begins at an instant (s) at which everything has settled.
     *
     * @param until nothing but the sun moves before this (s)
     * @param watch says what else is watched
     * @return whether minutes can be tried from here
     */
    boolean begin(double seconds, double until, java.util.function.Consumer<Walls> watch) {
        now = seconds;
        stop = until;
        if (!circuit.flowsPlainly() || seconds % SECONDS != 0 || !takeControllers() || seconds + SECONDS > stop) {
            return false;
        }
        for (BatteryAtWork battery : all) {
            if (!battery.branch.carries()) {
                return false;
            }
        }
        volts = bus.busVolts()[0];
        if (!followVolts() || !gatherWalls(watch)) {
            return false;
        }
        for (int i = 0; i < batteries.length; i++) {
            batteries[i].take(all[i].branch.current()[0]);
        }
        storedBefore = circuit.batteries.storedJoules();
        terminalSum = 0;
        return true;
    }

    /** Sorts the controllers: those whose current moves with the sun, and the others, which follow the voltage; whether it is worth it. */
    private boolean takeControllers() {
        java.util.Arrays.fill(still, true);
        movingCount = 0;
        boolean moves = false;
        for (int i = 0; i < circuit.controllers.length; i++) {
            ControllerAtWork controller = circuit.controllers[i];
            boolean pulses = controller.input.amperes() != null;
            sourceOf[i] = -1;
            if (controller.regulator.limit() == Limit.ARRAY_POWER
                    || pulses && controller.regulator.limit() == Limit.CURRENT) {
                sourceOf[i] = movingCount;
                moving[movingCount++] = i;
                still[controller.branch] = false;
                moves |= controller.validUntil() <= now + SECONDS;
            } else if (controller.regulator.limit() != Limit.CURRENT && !controller.rests()) {
                stop = Math.min(stop, controller.validUntil());
            }
        }
        minute.begin(movingCount);
        return moves;
    }

    /** Takes all that follows the voltage anew, about the present one. */
    private boolean followVolts() {
        if (!bus.follow(minute.curve(), volts, still)) {
            return false;
        }
        for (int i = 0; i < pastShunt.length; i++) {
            for (int branch = 0; branch < still.length; branch++) {
                stillPastShunt[i][branch] = isPastShunt[i][branch] && still[branch];
            }
            if (!bus.follow(pastShunt[i], volts, stillPastShunt[i])) {
                return false;
            }
        }
        return true;
    }

    private boolean gatherWalls(java.util.function.Consumer<Walls> watch) {
        walls.begin();
        watch.accept(walls);
        for (Part part : circuit.parts) {
            part.watch(walls, circuit);
        }
        for (FuseAtWork fuse : circuit.fuses) {
            fuse.watch(walls, circuit);
        }
        walledCount = 0;
        for (int i = 0; i < start.length; i++) {
            if (walls.low()[i] > Double.NEGATIVE_INFINITY || walls.high()[i] < Double.POSITIVE_INFINITY) {
                walled[walledCount++] = i;
            }
        }
        return walls.isUnderstood();
    }

    /** Works out the next minute; false when it does not count, and the loop is over. */
    boolean next() {
        if (now + SECONDS > stop || !takeSun() || !minute.curve().reaches(volts) && !followVolts()) {
            return false;
        }
        return minute.solve(volts) && isSmooth() && staysWithin();
    }

    /** Takes the sun of this minute; whether every charger stays at its limit with it, but for what the walls say. */
    private boolean takeSun() {
        for (int i = 0; i < circuit.controllers.length; i++) {
            ControllerAtWork controller = circuit.controllers[i];
            int at = controller.input.minute(now);
            double watts = controller.input.watts()[at];
            if (!controller.isArrayOpen() && watts <= 0 != controller.isDark()) {
                return false;
            }
            double could = watts * controller.controller.efficiency();
            boolean holds =
                    switch (controller.regulator.limit()) {
                        case ARRAY_POWER -> {
                            minute.givePower(sourceOf[i], could, bus.cableOhms(controller.branch));
                            yield true;
                        }
                        case CURRENT -> sourceOf[i] < 0 ? could > mostWatts(controller) : givePulses(i, at);
                        case VOLTAGE -> heldWatts(controller) <= ENOUGH * controller.offeredWatts();
                        case NOTHING -> true;
                    };
            if (!holds) {
                return false;
            }
        }
        return true;
    }

    private boolean givePulses(int i, int at) {
        ControllerAtWork controller = circuit.controllers[i];
        double amperes = controller.regulator.mostAmperes(controller.input.amperes()[at]);
        minute.giveCurrent(sourceOf[i], amperes, bus.cableOhms(controller.branch));
        return true;
    }

    /** What a controller at its largest current may come to need (W). */
    private double mostWatts(ControllerAtWork controller) {
        return controller.regulator.mostAmperes() * volts * MORE;
    }

    private double heldWatts(ControllerAtWork controller) {
        return controller.regulator.regulationVolts() * bus.linearAmperes(controller.branch, volts);
    }

    private boolean isSmooth() {
        for (BatteryMinute battery : batteries) {
            if (battery.doubt() * LEFT_OUT > TOLERATED_VOLTS) {
                return false;
            }
        }
        return true;
    }

    private boolean staysWithin() {
        lookAtBus(START, start);
        lookAtBus(MIDDLE, middle);
        lookAtBus(END, end);
        for (int i = 0; i < batteries.length; i++) {
            lookAt(i);
        }
        for (int i = 0; i < sourceOf.length; i++) {
            lookAtController(i, START, start);
            lookAtController(i, MIDDLE, middle);
            lookAtController(i, END, end);
        }
        for (int i = 0; i < pastShunt.length; i++) {
            lookAtMonitor(i);
        }
        double[] low = walls.low();
        double[] high = walls.high();
        for (int k = 0; k < walledCount; k++) {
            int i = walled[k];
            double a = start[i];
            double b = middle[i];
            double c = end[i];
            double margin = NEAR * Math.abs(a - 2 * b + c) + HAIR * Math.abs(b);
            if (!(Math.min(a, Math.min(b, c)) - margin >= low[i] && Math.max(a, Math.max(b, c)) + margin <= high[i])) {
                return false;
            }
        }
        return true;
    }

    private void lookAtBus(int time, double[] into) {
        into[VOLTS] = minute.volts(time);
        into[NODE_VOLTS] = minute.nodeVolts(time);
        into[AMPERES] = minute.amperes(time);
        into[CHARGE] = 0;
    }

    private void lookAt(int i) {
        batteries[i].look();
        lookAtBattery(i, START, start);
        lookAtBattery(i, MIDDLE, middle);
        lookAtBattery(i, END, end);
    }

    private void lookAtBattery(int i, int time, double[] into) {
        BatteryMinute battery = batteries[i];
        int at = FIRST_BATTERY + OF_BATTERY * i;
        into[at] = minute.batteryAmperes(time, i);
        into[at + 1] = into[NODE_VOLTS] - battery.cableOhms() * into[at];
        into[at + 2] = battery.available(time);
        into[at + 3] = battery.bound(time);
        into[at + 4] = into[at + 3] - into[at + 2];
        into[CHARGE] += all[i].capacityCoulombs / allCoulombs * battery.charge(time);
    }

    private void lookAtController(int i, int time, double[] into) {
        int at = firstController + OF_CONTROLLER * i;
        int branch = circuit.controllers[i].branch;
        into[at] = sourceOf[i] < 0 ? bus.linearAmperes(branch, into[VOLTS]) : minute.sourceAmperes(time, sourceOf[i]);
        into[at + 1] = into[VOLTS] + bus.cableOhms(branch) * into[at];
    }

    private void lookAtMonitor(int i) {
        int at = firstMonitor + OF_MONITOR * i;
        start[at] = seen(i, start);
        middle[at] = seen(i, middle);
        end[at] = seen(i, end);
        MonitorAtWork monitor = circuit.monitors[i];
        double half = (5 * start[at] + 8 * middle[at] - end[at]) / 24 * SECONDS;
        start[at + 1] = monitor.counter.count();
        middle[at + 1] = start[at + 1] + monitor.counter.gain(half, SECONDS / 2);
        end[at + 1] = start[at + 1] + monitor.counter.gain(BusMinute.sum(start[at], middle[at], end[at]), SECONDS);
    }

    private double seen(int monitor, double[] node) {
        double past = pastShunt[monitor].amperes(node[VOLTS]);
        for (int k = 0; k < movingCount; k++) {
            if (isPastShunt[monitor][Branches.FIRST_CONTROLLER + moving[k]]) {
                past += node[firstController + OF_CONTROLLER * moving[k]];
            }
        }
        return node[AMPERES] - past;
    }

    @Override
    public double terminalJoules() {
        return minute.terminalJoules();
    }

    /** Known at the end of all minutes only: what went in and is not there. */
    @Override
    public double batteryLossJoules() {
        return 0;
    }

    @Override
    public double cableJoules() {
        return minute.cableJoules();
    }

    @Override
    public double branchJoules(int branch) {
        return still[branch]
                ? BusMinute.sum(
                        bus.branchWatts(branch, start[VOLTS]),
                        bus.branchWatts(branch, middle[VOLTS]),
                        bus.branchWatts(branch, end[VOLTS]))
                : minute.sourceJoules(sourceOf[branch - Branches.FIRST_CONTROLLER]);
    }

    /** Takes the minute that was worked out into the state. */
    void advance() {
        for (int i = 0; i < pastShunt.length; i++) {
            int at = firstMonitor + OF_MONITOR * i;
            circuit.monitors[i].counter.add(BusMinute.sum(start[at], middle[at], end[at]), SECONDS);
        }
        circuit.correctTanks(SECONDS, this);
        terminalSum += terminalJoules();
        for (BatteryMinute battery : batteries) {
            battery.advance();
        }
        volts = end[VOLTS];
        now += SECONDS;
    }

    /** Gives everything back to the circuit as it stands; the energy lost in the batteries since the beginning (J). */
    double finish() {
        for (int i = 0; i < batteries.length; i++) {
            batteries[i].giveBack();
            all[i].branch.resume(end[FIRST_BATTERY + OF_BATTERY * i]);
        }
        bus.guess(volts);
        for (int i = 0; i < sourceOf.length; i++) {
            circuit.controllers[i].noteHeld(end[firstController + OF_CONTROLLER * i]);
        }
        double lost = terminalSum - (circuit.batteries.storedJoules() - storedBefore);
        circuit.thermal.heat(lost);
        return lost;
    }

    /** The voltage where the batteries join at the beginning of the minute (V). */
    double nodeVolts() {
        return start[NODE_VOLTS];
    }

    /** State of charge at the beginning of the minute (fraction), as it is told. */
    double charge() {
        return Math.max(0, start[CHARGE]);
    }

    /** The same at its end. */
    double chargeAtEnd() {
        return Math.max(0, end[CHARGE]);
    }

    /** Writes a quantity over the minute as a series: 0 for the batteries' voltage, 1 for that of the bus, 2 for the charge. */
    void write(double[][] series) {
        write(NODE_VOLTS, series[0]);
        write(VOLTS, series[1]);
        write(CHARGE, series[2]);
    }

    private void write(int quantity, double[] series) {
        double a = start[quantity];
        double b = middle[quantity];
        double c = end[quantity];
        series[0] = a;
        series[1] = (4 * b - 3 * a - c) / SECONDS;
        series[2] = 2 * (a - 2 * b + c) / (SECONDS * SECONDS);
    }
}
