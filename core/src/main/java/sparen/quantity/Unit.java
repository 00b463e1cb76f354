package sparen.quantity;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The units of the model. A number's unit is the end of its field's name, such as lvdVolts or wattsPerKelvin: this is the one table of
 * which end stands for which unit. Ratios and counts have none.
 */
public enum Unit {
    /** Ratios, counts, factors. */
    NONE(""),
    VOLTS("V", "Volts"),
    VOLTS_PER_CELL("V/cell", "VoltsPerCell"),
    VOLTS_PER_KELVIN("V/K", "VoltsPerKelvin"),
    VOLTS_PER_KELVIN_PER_CELL("V/K per cell", "VoltsPerKelvinPerCell"),
    MILLIVOLTS_PER_KELVIN("mV/K", "MillivoltsPerKelvin"),
    AMPERES("A", "Amperes"),
    AMPERE_HOURS("Ah", "AmpereHours"),
    VOLT_AMPERES("VA", "VoltAmperes"),
    WATTS("W", "Watts"),
    WATTS_PER_KELVIN("W/K", "WattsPerKelvin"),
    WATT_HOURS("Wh", "WattHours"),
    JOULES("J", "Joules"),
    OHMS("Ω", "Ohms"),
    FARADS("F", "Farads"),
    SECONDS("s", "Seconds", "SecondsFromStart"),
    SECONDS_PER_DAY("s/day", "SecondsPerDay"),
    HOURS("h", "Hours", "Hour"),
    DAYS("d", "Days"),
    PER_DAY("per day", "PerDay"),
    PER_YEAR("per year", "PerYear"),
    CELSIUS("°C", "Celsius"),
    KELVIN("K", "Kelvin"),
    KELVIN_PER_WATT("K/W", "KelvinPerWatt"),
    PER_KELVIN("1/K", "PerKelvin", "PerKelvinFraction"),
    DEGREES("°", "Degrees"),
    METRES("m", "Metres"),
    HERTZ("Hz", "Hertz"),
    WATTS_PER_SQUARE_METRE("W/m²", "WattsPerSquareMetre"),
    SQUARE_METRES("m²", "SquareMetres"),
    SQUARE_MILLIMETRES("mm²", "SquareMillimetres"),
    PERCENT("%", "Percent"),
    LITRES("l", "Litres"),
    LITRES_PER_HOUR("l/h", "LitresPerHour"),
    LITRES_PER_KILOWATT_HOUR("l/kWh", "LitresPerKilowattHour"),
    /** A price, in the currency of the place. */
    PER_KILOWATT_HOUR("per kWh", "PerKilowattHour");

    private record End(String text, Unit unit) {
        boolean ends(String field) {
            return field.endsWith(text) || field.equalsIgnoreCase(text);
        }
    }

    private static final Pattern WORD = Pattern.compile("[A-Z]?[a-z]+|[A-Z]+(?![a-z])|\\d+");
    /** The longest first, for wattsPerKelvin ends with PerKelvin too. */
    private static final List<End> ENDS = ends();

    private final String symbol;
    private final List<String> endings;

    Unit(String symbol, String... endings) {
        this.symbol = symbol;
        this.endings = List.of(endings);
    }

    private static List<End> ends() {
        List<End> ends = new ArrayList<>();
        for (Unit unit : values()) {
            unit.endings.forEach(text -> ends.add(new End(text, unit)));
        }
        ends.sort(Comparator.comparingInt(end -> -end.text().length()));
        return List.copyOf(ends);
    }

    /** As it stands behind a number; empty for {@link #NONE}. */
    public String symbol() {
        return symbol;
    }

    /**
     * The unit that a symbol stands for.
     *
     * @throws IllegalArgumentException for one that is in no unit of the table
     */
    public static Unit ofSymbol(String symbol) {
        for (Unit unit : values()) {
            if (unit.symbol.equals(symbol)) {
                return unit;
            }
        }
        throw new IllegalArgumentException("no unit \"" + symbol + "\"");
    }

    /** The unit of a field by its name; {@link #NONE} where that says none. */
    public static Unit of(String field) {
        return end(field).map(End::unit).orElse(NONE);
    }

    private static Optional<End> end(String field) {
        return ENDS.stream().filter(end -> end.ends(field)).findFirst();
    }

    /** The unit of the number at a path, by its last step. */
    public static Unit ofPath(String path) {
        return of(path.substring(path.lastIndexOf('/') + 1));
    }

    /** A field's name in lower-case words without its unit: oneWayMetres is one way; volts, which is nothing else, is volts. */
    public static String words(String field) {
        String bare = end(field)
                .map(end -> field.substring(0, field.length() - end.text().length()))
                .orElse(field);
        List<String> words = new ArrayList<>();
        Matcher matcher = WORD.matcher(bare.isEmpty() ? field : bare);
        while (matcher.find()) {
            words.add(matcher.group().toLowerCase(Locale.ROOT));
        }
        return String.join(" ", words);
    }

    /** A number with its unit, as a person writes it: no exponent, no more than twelve digits, a blank before the unit. */
    public String format(double number) {
        return symbol.isEmpty() ? Bounds.number(number) : Bounds.number(number) + " " + symbol;
    }
}
