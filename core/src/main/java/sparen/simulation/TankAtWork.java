package sparen.simulation;

import sparen.power.HotWater;
import sparen.site.WaterTank;
import sparen.site.WaterTank.DrawOff;

/**
 * A hot-water tank in one run. Between two changes of its power its temperature is known in closed form, so that it is worked out only
 * when something asks; an element whose power follows the bus's voltage is corrected by what it really took.
 */
final class TankAtWork implements Part {
    private final HotWater water;
    private final LocalClock clock;
    private double since;
    private double watts;
    private double correction;
    private double due = Double.NEGATIVE_INFINITY;
    private double nextDraw;

    TankAtWork(WaterTank tank, LocalClock clock) {
        water = new HotWater(tank);
        this.clock = clock;
        nextDraw = drawAfter(0);
    }

    private double drawAfter(double seconds) {
        int day = clock.moveTo(seconds);
        double next = Double.POSITIVE_INFINITY;
        for (DrawOff draw : water.tank().draws()) {
            double today = clock.instant(day, draw.hour());
            next = Math.min(next, today > seconds ? today : clock.instant(day + 1, draw.hour()));
        }
        return next;
    }

    /** Its power is about to be said anew: brings its temperature up to date. */
    void beginPower(double seconds) {
        catchUp(seconds);
        watts = 0;
    }

    void addPower(double more) {
        watts += more;
    }

    /** All power has been said: works out when its thermostat moves. */
    void plan(double seconds) {
        due = Math.min(seconds + water.secondsToThermostat(watts), seconds + Thermal.SAMPLE_SECONDS);
    }

    /** An element took so much more than was said (J). */
    void correct(double joules) {
        correction += joules;
    }

    private void catchUp(double seconds) {
        double span = seconds - since;
        if (span > 0) {
            water.advance(span, watts + correction / span);
            correction = 0;
            since = seconds;
        }
    }

    /** Lets draws and thermostat happen at an instant (s); whether the thermostat moved. */
    boolean settle(double seconds) {
        if (seconds < due && seconds < nextDraw) {
            return false;
        }
        catchUp(seconds);
        if (seconds >= nextDraw) {
            drawNow(seconds);
            nextDraw = drawAfter(seconds);
        }
        boolean moved = water.settle();
        plan(seconds);
        return moved;
    }

    private void drawNow(double seconds) {
        int day = clock.moveTo(seconds);
        for (DrawOff draw : water.tank().draws()) {
            if (Math.abs(clock.instant(day, draw.hour()) - seconds) < 1e-3) {
                water.draw(draw.litres());
            }
        }
    }

    @Override
    public double dueSeconds() {
        return Math.min(due, nextDraw);
    }

    boolean takesHeat() {
        return water.takesHeat();
    }

    double celsius() {
        return water.celsius();
    }

    String id() {
        return water.tank().id();
    }
}
