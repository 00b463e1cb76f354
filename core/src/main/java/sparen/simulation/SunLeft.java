package sparen.simulation;

/** What the sun on the DC side could give at an instant of one run beside what is taken of it: read from the solved balance. */
final class SunLeft {
    /** So much of what the sun has to spare is taken to the AC side, so that the battery has no part in it; judgement, no source. */
    private static final double SPARE_SHARE = 0.98;
    /** A charger this near to its setpoint, or above it, is held by it (V). */
    private static final double HELD_VOLTS = 1e-6;

    private final Circuit circuit;
    private final SiteInputs inputs;

    SunLeft(Circuit circuit, SiteInputs inputs) {
        this.circuit = circuit;
        this.inputs = inputs;
    }

    /** What the arrays could give now and nobody takes (W), at the chargers' outputs. */
    double surplusWatts() {
        double unused = circuit.ac == null ? 0 : circuit.ac.side.surplusWatts();
        for (ControllerAtWork controller : circuit.controllers) {
            unused += Math.max(0, couldGive(controller) - given(controller));
        }
        return unused;
    }

    /**
     * What the sun has for the AC side, at the main bus.
     *
     * @param loadsFirst whether loads come before the battery, else only what the battery does not take counts
     * @return DC power (W), 0 for none
     */
    double spareWatts(boolean loadsFirst) {
        if (circuit.floating || circuit.dead) {
            return 0;
        }
        double could = 0;
        double others = -circuit.ac.side.drawWatts();
        boolean held = false;
        for (ControllerAtWork controller : circuit.controllers) {
            could += controller.regulator.isStopped() ? 0 : couldGive(controller);
            others += given(controller);
            double volts = circuit.bus.farVolts(controller.branch)[0];
            held |= volts > controller.regulator.regulationVolts() - HELD_VOLTS;
        }
        if (loadsFirst) {
            others += circuit.otherSourceWatts() - circuit.bus.batteryCurrent()[0] * circuit.busVolts();
        }
        return loadsFirst || held ? Math.max(0, SPARE_SHARE * (could - others)) : 0;
    }

    private double given(ControllerAtWork controller) {
        return circuit.floating
                ? 0
                : circuit.bus.current(controller.branch)[0] * circuit.bus.farVolts(controller.branch)[0];
    }

    private double couldGive(ControllerAtWork controller) {
        return controller.isArrayOpen()
                ? 0
                : Math.min(
                        controller.arrayWatts(circuit.now()) * controller.controller.efficiency(),
                        controller.controller.maximumAmperes() * Math.max(circuit.busVolts(), 1));
    }

    /** Voltage of a controller's arrays now (V): open where nothing is taken, towards the maximum power point where all is. */
    double arrayVolts(int index) {
        ControllerAtWork controller = circuit.controllers[index];
        double open = inputs.arrayVolts(index)[controller.input.minute(circuit.now())];
        double has = controller.arrayWatts(circuit.now());
        if (circuit.floating || controller.isArrayOpen() || has <= 0) {
            return open;
        }
        double share = Math.min(1, Math.max(0, given(controller) / (has * controller.controller.efficiency())));
        return open * (1 - share * controller.fallToMaximumPower());
    }

    /** Whether there is any. */
    boolean isOut() {
        return arrayWatts() > 0;
    }

    private double arrayWatts() {
        double watts = 0;
        for (ControllerAtWork controller : circuit.controllers) {
            watts += controller.arrayWatts(circuit.now());
        }
        return watts;
    }

    /** Whether it gives as much as all loads take that the site feeds. */
    boolean isEnough() {
        double wanted = 0;
        for (int i = 0; i < circuit.loads.length; i++) {
            wanted += circuit.isServed(i) && !circuit.isBeforeInverter(i) ? circuit.loads[i].watts() : 0;
        }
        return arrayWatts() > wanted;
    }
}
