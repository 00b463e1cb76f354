package sparen.logic;

/** The quantities conditions may compare, each the index of its number in the array of signals. */
public final class Signal {
    /** True voltage at the battery terminals (V). */
    public static final int BATTERY_VOLTS = 0;
    /** True voltage at the main bus (V). */
    public static final int BUS_VOLTS = 1;
    /** True state of charge (fraction). */
    public static final int STATE_OF_CHARGE = 2;
    /** Height of the sun's centre above the horizon, without refraction (°). */
    public static final int SUN_ALTITUDE_DEGREES = 3;
    /** How many there are. */
    public static final int COUNT = 4;

    private Signal() {}
}
