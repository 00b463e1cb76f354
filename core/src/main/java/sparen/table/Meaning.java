package sparen.table;

import java.util.Locale;
import java.util.regex.Pattern;
import sparen.table.ColumnUnit.Dimension;

/** What columns of files hold, each with how it is recognised in a heading and between which numbers it lies. */
public enum Meaning {
    GLOBAL_LIGHT(
            "global light",
            Dimension.LIGHT,
            0,
            1500,
            "ghi|glob|shortwave|short wave|solar rad|irradiance|einstrahlung",
            "diff|direct|dni|dhi|normal|beam|poa|tilt|plane"),
    DIFFUSE_LIGHT("diffuse light", Dimension.LIGHT, 0, 1500, "dhi|diff", "direct|dni"),
    AIR_CELSIUS(
            "temperature",
            Dimension.TEMPERATURE,
            -90,
            70,
            "temp|t2m|tair|t air|dry.?bulb|ambient",
            "module|cell|panel|batt|bank|dew|wet|soil|inverter|controller|hea?tsink"),
    POWER(
            "power",
            Dimension.POWER,
            0,
            1e6,
            "power|watt|\\bk?w\\b|load|consum|leistung|effekt|verbrauch|last",
            "factor"),
    BATTERY_VOLTS(
            "battery voltage",
            Dimension.VOLTAGE,
            0,
            1000,
            "volt|spann|spänn|spenn|\\bu ?bat|\\bv ?bat|\\bvdc|^[uv]$|\\bm?v\\b",
            "pv|panel|array|solar|module|\\bac|grid|line|\\blow|min|max|high|cell|mid|starter|ripple"),
    BATTERY_AMPERES(
            "battery current",
            Dimension.CURRENT,
            -10_000,
            10_000,
            "curr|amp|strom|ström|strøm|\\bi ?bat|^i$|\\bm?a\\b",
            "pv|panel|array|solar|module|\\bac|grid|line|load|max|min|ambient|sample|limit"),
    CHARGE(
            "state of charge",
            Dimension.SHARE,
            0,
            1,
            "soc|charge ?state|state ?of ?charge|ladezustand|laddnivå",
            "health"),
    ARRAY_WATTS(
            "array power",
            Dimension.POWER,
            0,
            1e6,
            "(pv|panel|array|solar|module|sol|yield).*(power|watt|leistung|effekt|\\bk?w\\b)|^(ppv|p ?pv)",
            "peak|max"),
    LOAD_WATTS(
            "load power",
            Dimension.POWER,
            0,
            1e6,
            "(load|consum|last|verbrauch|output|dc out|ac out).*(power|watt|leistung|effekt|\\bk?w\\b)|^load$|^p ?load",
            "max|peak|pv|solar|array"),
    BATTERY_CELSIUS(
            "battery temperature",
            Dimension.TEMPERATURE,
            -60,
            120,
            "(batt?|bank|akku|accu).*temp|temp.*(batt?|bank|akku|accu)|^t ?bat|^temp(erature)?\\b",
            "module|panel|air|ambient|controller|inverter|outdoor|cabinet"),
    CONTACT(
            "contact",
            Dimension.STATE,
            0,
            1,
            "relay|contact|output|relä|relais|\\baux",
            "power|watt|volt|curr|amp|\\bk?w\\b"),
    LOWEST_VOLTS(
            "lowest battery voltage",
            Dimension.VOLTAGE,
            0,
            1000,
            "(min|low).*(v|volt)|(volt|\\bv).*(min|low)",
            "pv|solar|cell"),
    HIGHEST_VOLTS(
            "highest battery voltage",
            Dimension.VOLTAGE,
            0,
            1000,
            "(max|high).*(v|volt)|(volt|\\bv).*(max|high)",
            "pv|solar|cell"),
    ENERGY_IN(
            "energy from the arrays",
            Dimension.ENERGY,
            0,
            1e6,
            "yield|produc|harvest|(\\bin\\b|pv|solar|charged|from).*(wh|energy)|(wh|energy).*(\\bin\\b|pv|solar|charged)|ertrag",
            "discharged|\\bout\\b|consum|load"),
    ENERGY_OUT(
            "energy to the loads",
            Dimension.ENERGY,
            0,
            1e6,
            "consum|(\\bout\\b|load|discharged|used|to).*(wh|energy)|(wh|energy).*(\\bout\\b|load|discharged|used)|verbrauch",
            "pv|solar|yield");

    private final String words;
    private final Dimension dimension;
    private final double least;
    private final double most;
    private final Pattern named;
    private final Pattern notNamed;

    Meaning(String words, Dimension dimension, double least, double most, String named, String notNamed) {
        this.words = words;
        this.dimension = dimension;
        this.least = least;
        this.most = most;
        this.named = Pattern.compile(named);
        this.notNamed = Pattern.compile(notNamed);
    }

    /** What a person reads. */
    public String words() {
        return words;
    }

    /** What it measures, and so which units it can be in. */
    public Dimension dimension() {
        return dimension;
    }

    /** The least it can be, in the unit that is reckoned with. */
    public double least() {
        return least;
    }

    /** The most it can be, in the unit that is reckoned with. */
    public double most() {
        return most;
    }

    /** Whether a column of this heading is likely to be this. */
    boolean isNamed(String heading) {
        String plain = heading.toLowerCase(Locale.ROOT).replace('_', ' ');
        return named.matcher(plain).find() && !notNamed.matcher(plain).find();
    }
}
