package sparen.simulation;

import sparen.power.BusBalance;
import sparen.power.ChargeRegulator;
import sparen.power.ChargeRegulator.Limit;
import sparen.series.Series;
import sparen.series.Stay;
import sparen.site.ChargeController;
import sparen.site.Site;

/**
 * A charge controller with its arrays in one run. While it holds its voltage the sun does not matter as long as there is enough of
 * it, so that a bright hour is one step and not sixty.
 */
final class ControllerAtWork implements Part {
    /** So much more than is taken counts as enough for looking ahead (×). */
    private static final double AMPLE = 1.15;

    private static final int MOST_MINUTES_AHEAD = 720;

    final ChargeController controller;
    final ChargeRegulator regulator;
    final ArrayInput input;
    final int branch;
    private double offered = -1;
    private double heldWatts;
    private double validUntil = Double.NEGATIVE_INFINITY;
    private boolean looksAhead;
    private boolean arrayOpen;
    private final double fallToMaximumPower;

    ControllerAtWork(ChargeController controller, Site site, ChargeRegulator regulator, ArrayInput input, int branch) {
        fallToMaximumPower = site.arrays().stream()
                .filter(array -> controller.arrays().contains(array.id()))
                .flatMap(array -> array.string().stream())
                .findFirst()
                .map(string -> 1 - string.maximumPowerVolts() / string.openCircuitVolts())
                .orElse(0.0);
        this.controller = controller;
        this.regulator = regulator;
        this.input = input;
        this.branch = branch;
    }

    /** Takes the sun of an instant (s). */
    void moveTo(double seconds) {
        boolean stillGood = looksAhead
                && regulator.limit() == Limit.VOLTAGE
                && heldWatts <= 0.999 * offered * controller.efficiency();
        if (seconds < validUntil && (stillGood || !looksAhead)) {
            return;
        }
        int minute = input.minute(seconds);
        int next = minute + 1;
        double watts = input.watts()[minute];
        looksAhead = false;
        if (regulator.limit() == Limit.VOLTAGE && input.amperes() == null) {
            double enough = AMPLE * heldWatts / controller.efficiency();
            int last = Math.min(input.watts().length, minute + MOST_MINUTES_AHEAD);
            while (watts >= enough && next < last && input.watts()[next] >= enough) {
                watts = Math.min(watts, input.watts()[next++]);
            }
            looksAhead = next > minute + 1;
        } else {
            next = sameUntil(minute);
        }
        validUntil = 60.0 * next;
        offer(minute, watts);
    }

    /** Goes back from looking ahead to what the arrays give at this very minute (s); whether it had looked ahead. */
    boolean lookNow(double seconds) {
        if (!looksAhead) {
            return false;
        }
        looksAhead = false;
        heldWatts = Double.POSITIVE_INFINITY;
        int minute = input.minute(seconds);
        validUntil = 60.0 * (minute + 1);
        offer(minute, input.watts()[minute]);
        return true;
    }

    /** Opens or closes the line from its arrays. */
    void connectArray(boolean closed, double seconds) {
        if (arrayOpen == closed) {
            arrayOpen = !closed;
            validUntil = Double.NEGATIVE_INFINITY;
            looksAhead = false;
            moveTo(seconds);
        }
    }

    boolean isArrayOpen() {
        return arrayOpen;
    }

    private int sameUntil(int minute) {
        int next = minute + 1;
        double watts = input.watts()[minute];
        while (next < input.watts().length && input.watts()[next] == watts) {
            next++;
        }
        return next;
    }

    private void offer(int minute, double watts) {
        offered = arrayOpen ? 0 : watts;
        if (arrayOpen) {
            regulator.offer(0);
        } else if (input.amperes() == null) {
            regulator.offer(watts * controller.efficiency());
        } else {
            double amperes = input.amperes()[minute];
            regulator.offer(amperes > 0 ? Double.POSITIVE_INFINITY : 0, amperes);
        }
    }

    /** Notes what it gives at the end of a step (s). */
    void advance(BusBalance bus, double seconds) {
        if (regulator.limit() == Limit.VOLTAGE) {
            heldWatts = regulator.regulationVolts() * Series.at(bus.current(branch), bus.order(), seconds);
        } else {
            heldWatts = Double.POSITIVE_INFINITY;
        }
    }

    /** Until when the sun it has taken holds (s). */
    double validUntil() {
        return validUntil;
    }

    /** When its sun changes, or a timer of its regulator is due (s). */
    @Override
    public double dueSeconds() {
        return Math.min(validUntil, regulator.dueSeconds());
    }

    @Override
    public void watch(Stay stay, Circuit circuit) {
        ChargerAtWork.watch(stay, circuit, regulator, branch);
    }

    @Override
    public String toString() {
        return controller.id() + " " + regulator.limit() + " " + regulator.stage();
    }

    /** What part of the open-circuit voltage is missing at the maximum power point of its first array (fraction). */
    double fallToMaximumPower() {
        return fallToMaximumPower;
    }

    /** What its arrays have now (W). */
    double arrayWatts(double seconds) {
        return input.watts()[input.minute(seconds)];
    }
}
