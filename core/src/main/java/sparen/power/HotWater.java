package sparen.power;

import sparen.quantity.Standard;
import sparen.series.Series;
import sparen.site.WaterTank;

/**
 * A hot-water tank at work in one run, well mixed: C dT/dt = P − G (T − T_room), with the thermostat's two levels.
 *
 * <p>Source: heat balance of a mixed tank, J. A. Duffie and W. A. Beckman, Solar Engineering of Thermal Processes, chapter on energy
 * storage, from memory. Water has 4186 J/(kg K).
 */
public final class HotWater {
    private static final double JOULES_PER_LITRE_KELVIN = 4186;
    private final WaterTank tank;
    private final double joulesPerKelvin;
    private double celsius;
    private boolean takes;

    public HotWater(WaterTank tank) {
        this.tank = tank;
        joulesPerKelvin = tank.litres() * JOULES_PER_LITRE_KELVIN;
        celsius = tank.startCelsius();
        takes = celsius < tank.offCelsius();
    }

    /** Whether its thermostat is closed. */
    public boolean takesHeat() {
        return takes;
    }

    /** Its temperature now (°C). */
    public double celsius() {
        return celsius;
    }

    /**
     * When its thermostat moves if this power goes on (s from now), infinite for never.
     *
     * @param watts heating it (W)
     */
    public double secondsToThermostat(double watts) {
        double bound = takes ? tank.offCelsius() : tank.onCelsius();
        return secondsTo(bound, watts);
    }

    private double secondsTo(double bound, double watts) {
        double g = tank.lossWattsPerKelvin();
        if (g == 0) {
            double rate = watts / joulesPerKelvin;
            double seconds = (bound - celsius) / rate;
            return rate != 0 && seconds >= 0 ? seconds + Series.FINEST_SECONDS : Double.POSITIVE_INFINITY;
        }
        double settled = Standard.ROOM_CELSIUS + watts / g;
        double share = (bound - settled) / (celsius - settled);
        if (!(share > 0 && share <= 1)) {
            return Double.POSITIVE_INFINITY;
        }
        return -joulesPerKelvin / g * StrictMath.log(share) + Series.FINEST_SECONDS;
    }

    /** Goes on for a time (s) with a power (W) into it. */
    public void advance(double seconds, double watts) {
        double g = tank.lossWattsPerKelvin();
        if (g == 0) {
            celsius += watts * seconds / joulesPerKelvin;
            return;
        }
        double settled = Standard.ROOM_CELSIUS + watts / g;
        celsius = settled + (celsius - settled) * StrictMath.exp(-g * seconds / joulesPerKelvin);
    }

    /** Takes water out (l), replaced by cold. */
    public void draw(double litres) {
        celsius += litres / tank.litres() * (tank.coldCelsius() - celsius);
    }

    /**
     * Lets the thermostat look.
     *
     * @return whether it moved
     */
    public boolean settle() {
        boolean moves = takes ? celsius >= tank.offCelsius() : celsius <= tank.onCelsius();
        takes ^= moves;
        return moves;
    }

    /** What stands there. */
    public WaterTank tank() {
        return tank;
    }
}
