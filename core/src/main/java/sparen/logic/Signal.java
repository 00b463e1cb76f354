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
    /** Hours since local midnight by the true clock (h). */
    public static final int LOCAL_HOUR = 4;
    /** Month by the local calendar, 1 to 12. */
    public static final int LOCAL_MONTH = 5;
    /** Temperature of the battery (°C), at its samples. */
    public static final int BATTERY_CELSIUS = 6;
    /** Temperature of the air (°C), at its samples. */
    public static final int AIR_CELSIUS = 7;
    /** Index of the first signal that depends on the site: reported states of charge, then sense points at devices. */
    public static final int FIRST_OF_SITE = 8;

    private Signal() {}
}
