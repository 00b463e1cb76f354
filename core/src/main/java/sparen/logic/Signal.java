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
    /** Day of the week by the local calendar, 1 (Monday) to 7. */
    public static final int LOCAL_WEEKDAY = 8;
    /** Net current into all batteries (A). */
    public static final int BATTERY_AMPERES = 9;
    /** Power of all loads on the AC side that are fed (W). */
    public static final int AC_LOAD_WATTS = 10;
    /** 1 while a source on the AC side is at hand, else 0. */
    public static final int AC_PRESENT = 11;
    /** What the arrays could give and nobody takes (W), at whole minutes. */
    public static final int SURPLUS_WATTS = 12;
    /** 1 while the batteries' data line talks, else 0. */
    public static final int BMS_TALKS = 13;
    /** 1 while something is out of order: loads lost, a path or fuse open, the data line silent, a generator that gave up. */
    public static final int FAULT = 14;
    /** Index of the first signal that depends on the site and its program. */
    public static final int FIRST_OF_SITE = 15;

    private Signal() {}
}
