package sparen.program;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;
import sparen.logic.Signal;
import sparen.program.NamedSignal.Kind;
import sparen.quantity.Standard;
import sparen.quantity.Unit;
import sparen.site.SensePoint;
import sparen.site.Site;

/**
 * Every signal of a plan, each said once: its number, its name, its unit, between what it is turned and where it rests. The fixed ones
 * come first, in the order of {@link Signal}; then for each monitor its report; for each charger its stage and its present regulation
 * level; for each controller the voltage of its arrays; for each output its contact; for each request; for each output its clock's
 * hour; at last the voltage at each sense point at a device.
 */
public final class Signals {
    private static final Pattern OTHERS = Pattern.compile("[^A-Za-z0-9]+");
    private static final double NOON = 12;
    private static final double HIGH_SUN = 30;
    private static final double MOST_WATTS = 5000;

    /** What its parts' signals are called before their name, and the fixed ones as a whole. */
    private enum Said {
        REPORTED("reported_charge_", "reported charge "),
        STAGE("stage_", "stage "),
        REGULATION("regulation_volts_", "regulation "),
        ARRAY("array_volts_", "array voltage "),
        CONTACT("contact_", "contact of "),
        REQUEST("request_", "request "),
        CLOCK("clock_hour_", "clock of "),
        POINT("volts_", "voltage at "),
        LOAD("load_watts_", "load ");

        private final String id;
        private final String name;

        Said(String id, String name) {
            this.id = id;
            this.name = name;
        }
    }

    private final double restVolts;
    private final double nominalVolts;
    private final List<NamedSignal> all = new ArrayList<>();
    private final Map<String, Integer> numbers = new TreeMap<>();

    private Signals(double nominalVolts, double restVolts) {
        this.nominalVolts = nominalVolts;
        this.restVolts = restVolts;
    }

    /**
     * The signals of a site and its outputs.
     *
     * @param restVolts where voltages rest (V)
     */
    static Signals of(
            Site site, List<Output> outputs, List<String> requests, List<SensePoint> points, double restVolts) {
        Signals signals = new Signals(site.nominalVolts(), restVolts);
        signals.addFixed();
        site.monitors().forEach(one -> signals.add(Said.REPORTED, one.id(), one.name(), Kind.CHARGE, 1));
        for (String charger : site.chargers()) {
            signals.add(Said.STAGE, charger, site.chargerName(charger), Kind.STAGE, ChargeStage.FLOAT.ordinal());
            signals.add(Said.REGULATION, charger, site.chargerName(charger), Kind.REGULATION, restVolts);
        }
        site.controllers().forEach(one -> signals.add(Said.ARRAY, one.id(), one.name(), Kind.ARRAY_VOLTAGE, restVolts));
        outputs.forEach(one -> signals.add(Said.CONTACT, one.id(), one.name(), Kind.CONTACT, 0));
        requests.forEach(one -> signals.add(Said.REQUEST, one, one, Kind.REQUEST, 0));
        outputs.forEach(one -> signals.add(Said.CLOCK, one.id(), one.name(), Kind.DEVICE_HOUR, NOON));
        points.forEach(one -> signals.add(Said.POINT, one.id(), one.name(), Kind.VOLTAGE, restVolts));
        return signals;
    }

    private void addFixed() {
        for (int number = 0; number < Signal.FIRST_OF_SITE; number++) {
            all.add(fixed(number));
        }
    }

    private NamedSignal fixed(int number) {
        return switch (number) {
            case Signal.BATTERY_VOLTS -> signal("battery_volts", "battery voltage", Kind.VOLTAGE, restVolts);
            case Signal.BUS_VOLTS -> signal("bus_volts", "bus voltage", Kind.VOLTAGE, restVolts);
            case Signal.STATE_OF_CHARGE -> charge(1);
            case Signal.SUN_ALTITUDE_DEGREES ->
                new NamedSignal(
                        "sun_altitude_degrees",
                        "height of the sun",
                        Kind.SUN,
                        Unit.DEGREES.symbol(),
                        1,
                        -30,
                        60,
                        1,
                        HIGH_SUN);
            case Signal.LOCAL_HOUR -> clock(NOON);
            case Signal.LOCAL_MONTH -> calendar("local_month", "month", 12, 6);
            case Signal.LOCAL_WEEKDAY -> calendar("local_weekday", "day of the week", 7, 1);
            case Signal.BATTERY_CELSIUS ->
                signal("battery_celsius", "battery temperature", Kind.TEMPERATURE, Standard.ROOM_CELSIUS);
            case Signal.AIR_CELSIUS -> air(Standard.ROOM_CELSIUS);
            case Signal.BATTERY_AMPERES -> signal("battery_amperes", "battery current", Kind.CURRENT, 0);
            case Signal.AC_LOAD_WATTS -> signal("ac_load_watts", "load on AC", Kind.POWER, 0);
            case Signal.AC_PRESENT -> signal("ac_present", "AC present", Kind.PRESENT, 0);
            case Signal.SURPLUS_WATTS -> signal("surplus_watts", "surplus", Kind.POWER, 0);
            case Signal.BMS_TALKS -> talk();
            case Signal.FAULT -> signal("fault", "fault", Kind.FAULT, 0);
            default -> throw new IllegalArgumentException("no fixed signal has the number " + number);
        };
    }

    /** The true state of charge, at rest at so much (fraction). */
    public NamedSignal charge(double rest) {
        return signal("state_of_charge", "true state of charge", Kind.TRUE_CHARGE, rest);
    }

    /** The true local time, at rest at so much (h). */
    public NamedSignal clock(double rest) {
        return signal("local_hour", "clock", Kind.HOUR, rest);
    }

    /** The temperature of the air, at rest at so much (°C). */
    public NamedSignal air(double rest) {
        return signal("air_celsius", "cabinet temperature", Kind.TEMPERATURE, rest);
    }

    /** Whether the batteries' data line talks, as it does at rest. */
    public NamedSignal talk() {
        return signal("bms_talks", "BMS talks", Kind.PRESENT, 1);
    }

    /** The light on the arrays, which only a live bench has; at rest none. */
    public NamedSignal light() {
        return new NamedSignal(
                "sun_watts_per_square_metre",
                "sun on the arrays",
                Kind.SUN,
                Unit.WATTS_PER_SQUARE_METRE.symbol(),
                1,
                0,
                1200,
                10,
                0);
    }

    /** What a load draws, which only a live bench imposes, at rest at so much (W). */
    public NamedSignal load(String id, String name, double rest) {
        return signal(idOf(Said.LOAD, id), Said.LOAD.name + name, Kind.LOAD_POWER, rest);
    }

    /** A request by hand, at rest not made. */
    public NamedSignal request(String request) {
        return signal(idOf(Said.REQUEST, request), Said.REQUEST.name + request, Kind.REQUEST, 0);
    }

    private static NamedSignal calendar(String id, String name, double most, double rest) {
        return new NamedSignal(id, name, Kind.CALENDAR, "", 1, 1, most, 1, rest);
    }

    private NamedSignal signal(String id, String name, Kind kind, double rest) {
        double low = Math.round(nominalVolts * 0.7);
        double high = Math.round(nominalVolts * 1.4);
        return switch (kind) {
            case VOLTAGE, REGULATION -> new NamedSignal(id, name, kind, Unit.VOLTS.symbol(), 1, low, high, 0.01, rest);
            case ARRAY_VOLTAGE -> new NamedSignal(id, name, kind, Unit.VOLTS.symbol(), 1, 0, 200, 1, rest);
            case TRUE_CHARGE, CHARGE -> new NamedSignal(id, name, kind, Unit.PERCENT.symbol(), 100, 0, 1, 0.01, rest);
            case HOUR, DEVICE_HOUR -> new NamedSignal(id, name, kind, Unit.HOURS.symbol(), 1, 0, 23.99, 0.25, rest);
            case TEMPERATURE -> new NamedSignal(id, name, kind, Unit.CELSIUS.symbol(), 1, -30, 60, 1, rest);
            case CURRENT -> new NamedSignal(id, name, kind, Unit.AMPERES.symbol(), 1, -100, 100, 1, rest);
            case LOAD_POWER, POWER -> new NamedSignal(id, name, kind, Unit.WATTS.symbol(), 1, 0, MOST_WATTS, 10, rest);
            case STAGE -> new NamedSignal(id, name, kind, "", 1, 0, ChargeStage.values().length - 1, 1, rest);
            case PRESENT, FAULT, REQUEST, CONTACT -> new NamedSignal(id, name, kind, "", 1, 0, 1, 1, rest);
            default -> throw new IllegalArgumentException(kind + " is made by itself");
        };
    }

    private void add(Said said, String part, String partName, Kind kind, double rest) {
        numbers.put(key(said, part), all.size());
        all.add(signal(idOf(said, part), said.name + partName, kind, rest));
    }

    private static String key(Said said, String part) {
        return said + "/" + part;
    }

    private static String idOf(Said said, String part) {
        return said.id + OTHERS.matcher(part).replaceAll("_").toLowerCase(Locale.ROOT);
    }

    /** All of them, in the order of their numbers. */
    public List<NamedSignal> all() {
        return Collections.unmodifiableList(all);
    }

    int reportedCharge(String monitor) {
        return number(Said.REPORTED, monitor);
    }

    int stage(String charger) {
        return number(Said.STAGE, charger);
    }

    int regulation(String charger) {
        return number(Said.REGULATION, charger);
    }

    /** Of a controller's arrays, whether their voltages are known or not. */
    public int arrayVolts(String controller) {
        return number(Said.ARRAY, controller);
    }

    int contact(String output) {
        return number(Said.CONTACT, output);
    }

    int requested(String request) {
        return number(Said.REQUEST, request);
    }

    int clock(String output) {
        return number(Said.CLOCK, output);
    }

    int voltage(String sensePoint) {
        return number(Said.POINT, sensePoint);
    }

    private int number(Said said, String part) {
        return numbers.getOrDefault(key(said, part), -1);
    }
}
