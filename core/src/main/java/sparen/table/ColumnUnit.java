package sparen.table;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/** The units that columns of files are in, each with how it is recognised in a heading. */
public enum ColumnUnit {
    KILOWATT_HOURS_PER_SQUARE_METRE("kWh/m² a step", Dimension.LIGHT, 3.6e6, 0, true, "kwh"),
    WATT_HOURS_PER_SQUARE_METRE("Wh/m² a step", Dimension.LIGHT, 3600, 0, true, "wh"),
    MEGAJOULES_PER_SQUARE_METRE("MJ/m² a step", Dimension.LIGHT, 1e6, 0, true, "mj"),
    KILOJOULES_PER_SQUARE_METRE("kJ/m² a step", Dimension.LIGHT, 1000, 0, true, "kj"),
    JOULES_PER_SQUARE_CENTIMETRE("J/cm² a step", Dimension.LIGHT, 1e4, 0, true, "j/?cm2"),
    KILOWATTS_PER_SQUARE_METRE("kW/m²", Dimension.LIGHT, 1000, 0, false, "kw"),
    WATTS_PER_SQUARE_METRE("W/m²", Dimension.LIGHT, 1, 0, false, "w"),
    FAHRENHEIT("°F", Dimension.TEMPERATURE, 1 / 1.8, -32 / 1.8, false, "°?f", "deg ?f", "fahrenheit"),
    KELVIN("K", Dimension.TEMPERATURE, 1, -273.15, false, "k", "kelvin"),
    CELSIUS("°C", Dimension.TEMPERATURE, 1, 0, false, "°?c", "deg ?c", "celsius"),
    KILOWATT_HOURS_A_STEP("kWh a step", Dimension.POWER, 3.6e6, 0, true, "kwh"),
    WATT_HOURS_A_STEP("Wh a step", Dimension.POWER, 3600, 0, true, "wh"),
    KILOWATTS("kW", Dimension.POWER, 1000, 0, false, "kw", "kilowatts?"),
    WATTS("W", Dimension.POWER, 1, 0, false, "w", "watts?"),
    MILLIVOLTS("mV", Dimension.VOLTAGE, 0.001, 0, false, "mv", "millivolts?"),
    VOLTS("V", Dimension.VOLTAGE, 1, 0, false, "v", "volts?"),
    MILLIAMPERES("mA", Dimension.CURRENT, 0.001, 0, false, "ma", "milliamp(ere)?s?"),
    AMPERES("A", Dimension.CURRENT, 1, 0, false, "a", "amp(ere)?s?"),
    PERCENT("%", Dimension.SHARE, 0.01, 0, false, "%", "percent", "pct"),
    FRACTION("0 to 1", Dimension.SHARE, 1, 0, false, "fraction"),
    MEGAWATT_HOURS("MWh", Dimension.ENERGY, 1e6, 0, false, "mwh"),
    KILOWATT_HOURS("kWh", Dimension.ENERGY, 1000, 0, false, "kwh"),
    WATT_HOURS("Wh", Dimension.ENERGY, 1, 0, false, "wh"),
    YES_OR_NO("on or off", Dimension.STATE, 1, 0, false);

    /** What units measure. */
    public enum Dimension {
        LIGHT,
        TEMPERATURE,
        POWER,
        VOLTAGE,
        CURRENT,
        SHARE,
        ENERGY,
        STATE
    }

    private final String symbol;
    private final Dimension dimension;
    private final double factor;
    private final double offset;
    private final boolean perStep;
    private final List<Pattern> spellings;

    ColumnUnit(String symbol, Dimension dimension, double factor, double offset, boolean perStep, String... spellings) {
        this.symbol = symbol;
        this.dimension = dimension;
        this.factor = factor;
        this.offset = offset;
        this.perStep = perStep;
        this.spellings = Arrays.stream(spellings)
                .map(one -> Pattern.compile("(?<![a-z°])" + one + "(?![a-z])"))
                .toList();
    }

    /** As it stands behind a number. */
    public String symbol() {
        return symbol;
    }

    /** What it measures. */
    public Dimension dimension() {
        return dimension;
    }

    /** Whether numbers in it are sums over a step, so that what they are a second is only known with the step's length. */
    public boolean isPerStep() {
        return perStep;
    }

    /** A number of it in the unit that is reckoned with: W/m², °C, W, V, A, a fraction, Wh; of sums over a step J/m² or J. */
    public double toOwn(double value) {
        return value * factor + offset;
    }

    /** All that measure something, the most usual last. */
    public static List<ColumnUnit> of(Dimension dimension) {
        return Arrays.stream(values()).filter(one -> one.dimension == dimension).toList();
    }

    /** The unit of a dimension that a text, such as a heading, says; absent where it says none. */
    public static Optional<ColumnUnit> saidIn(String text, Dimension dimension) {
        String plain = plain(text);
        return of(dimension).stream()
                .filter(unit -> unit.spellings.stream()
                        .anyMatch(spelling -> spelling.matcher(plain).find()))
                .findFirst();
    }

    /** Whether a text is nothing but a unit, or empty. */
    static boolean isUnit(String text) {
        String bare = plain(text).replaceAll("^[\\[(]|[\\])]$", "").strip();
        return bare.isEmpty()
                || Arrays.stream(values())
                        .flatMap(unit -> unit.spellings.stream())
                        .anyMatch(spelling -> spelling.matcher(bare).lookingAt() && bare.length() <= LONGEST_UNIT);
    }

    private static final int LONGEST_UNIT = 8;

    private static String plain(String text) {
        return text.toLowerCase(Locale.ROOT)
                .replace("²", "2")
                .replace("^2", "2")
                .replace("º", "°")
                .replace('_', ' ');
    }
}
