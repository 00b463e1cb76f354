package sparen.quantity;

/** Numbers that stand for the same thing wherever they occur. */
public final class Standard {
    /** An hour (s). */
    public static final double HOUR = 3600;

    /** A day of 24 hours (s); a local day may have 23 or 25. */
    public static final double DAY = 86_400;

    /** A watt-hour (J). */
    public static final double WATT_HOUR = 3600;

    /** At which capacities and charging voltages of batteries are stated (°C), common practice, no source. */
    public static final double BATTERY_CELSIUS = 25;

    /** At which rooms, machines in them and conductors are taken where nothing else is known (°C), common practice, no source. */
    public static final double ROOM_CELSIUS = 20;

    /**
     * From which state of charge on a battery counts as full (fraction): what is in it, warm or cold, when it is held at absorption and takes
     * no more than 2 % of its stated capacity, by which chargers end absorption and monitors set themselves to full. Common practice, no
     * source; held by a test.
     */
    public static final double FULL_CHARGE = 0.95;

    private Standard() {}
}
