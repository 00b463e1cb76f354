package sparen.result;

import java.util.List;
import sparen.quantity.Unit;

/**
 * What can become of a part, and why. Each is said in words by one sentence, in which {@code {limit}}, {@code {read}} and so on stand
 * for the numbers that come with it; they are named here with unit and decimals.
 */
public enum Change {
    // What became of it.
    /** It is so of each of several alike. */
    EACH_OF("each of {count} batteries", count()),
    /** A BMS opened the path for charging: from now on its battery takes nothing. */
    CHARGE_PATH_OPENED("charge path opened"),
    CHARGE_PATH_CLOSED("charge path closed"),
    /** A BMS opened the path for discharging: from now on its battery gives nothing. */
    DISCHARGE_PATH_OPENED("discharge path opened"),
    DISCHARGE_PATH_CLOSED("discharge path closed"),
    /** A BMS waits for a charger to wake it. */
    FELL_ASLEEP("asleep"),
    /** A generator has been called. */
    STARTING("starting"),
    /** A start failed; the next is awaited. */
    START_FAILED("waiting"),
    RUNNING("running"),
    /** It runs on unloaded. */
    COOLING("cooling"),
    STOPPED("stopped"),
    /** All its starts failed: it waits for a hand. */
    GAVE_UP("failed"),
    /** A feeder is there again. */
    CAME("the feeder is back"),
    /** A feeder is gone. */
    WENT("outage"),
    /** An output stays open from now on, after so many trips; the detail says until when. */
    LOCKED_OUT("{detail}"),
    /** An output may close again. */
    LET_GO("the lockout is over"),

    // A battery's own protection.
    BATTERY_HIGH("battery at or above its highest {limit}; it reads {read}", limit(Unit.VOLTS, 2), read(Unit.VOLTS, 3)),
    BATTERY_HIGH_OVER(
            "battery back at or below its release {limit}; it reads {read}", limit(Unit.VOLTS, 2), read(Unit.VOLTS, 3)),
    BATTERY_LOW("battery at or below its lowest {limit}; it reads {read}", limit(Unit.VOLTS, 2), read(Unit.VOLTS, 3)),
    BATTERY_LOW_OVER(
            "battery back at or above its release {limit}; it reads {read}", limit(Unit.VOLTS, 2), read(Unit.VOLTS, 3)),
    NOT_TALKED_TO("nothing has talked to it for {wait}", delay()),
    WOKEN("woken: a charger shows it {read}", read(Unit.VOLTS, 2)),
    CHARGE_CURRENT("charging above {limit}; it takes {read}", limit(Unit.AMPERES, 1), read(Unit.AMPERES, 1)),
    DISCHARGE_CURRENT("discharging above {limit}; it gives {read}", limit(Unit.AMPERES, 1), read(Unit.AMPERES, 1)),
    CURRENT_RELEASED("over-current release time is up"),
    TOO_COLD_TO_CHARGE("charging allowed from {limit}; it has {read}", limit(Unit.CELSIUS, 0), read(Unit.CELSIUS, 1)),
    TOO_HOT_TO_CHARGE("charging allowed up to {limit}; it has {read}", limit(Unit.CELSIUS, 0), read(Unit.CELSIUS, 1)),
    CHARGE_TEMPERATURE_OVER("its temperature allows charging again; it has {read}", read(Unit.CELSIUS, 1)),
    TOO_COLD_TO_DISCHARGE(
            "discharging allowed from {limit}; it has {read}", limit(Unit.CELSIUS, 0), read(Unit.CELSIUS, 1)),
    TOO_HOT_TO_DISCHARGE(
            "discharging allowed up to {limit}; it has {read}", limit(Unit.CELSIUS, 0), read(Unit.CELSIUS, 1)),
    DISCHARGE_TEMPERATURE_OVER("its temperature allows discharging again; it has {read}", read(Unit.CELSIUS, 1)),

    // A converter.
    INPUT_LOW("stops: input {read}, its lowest {limit}", limit(Unit.VOLTS, 2), read(Unit.VOLTS, 2)),
    INPUT_BACK("starts again: input {read}, from {limit}", limit(Unit.VOLTS, 2), read(Unit.VOLTS, 2)),
    OVERLOAD(
            "overload: {read} wanted of {limit}; off for {wait}",
            limit(Unit.AMPERES, 1),
            read(Unit.AMPERES, 1),
            delay()),
    TRIES_AGAIN("tries again after an overload"),

    // The brake of a generator of direct current.
    BRAKED("braked: {limit} or more at the bus; it reads {read}", limit(Unit.VOLTS, 2), read(Unit.VOLTS, 2)),
    BRAKE_RELEASED("let go: {limit} or less at the bus; it reads {read}", limit(Unit.VOLTS, 2), read(Unit.VOLTS, 2)),

    // The AC side.
    INVERTER_LOW(
            "stops on low voltage: {limit} or less at its terminals for {wait}; it reads {read}",
            limit(Unit.VOLTS, 2),
            delay(),
            read(Unit.VOLTS, 2)),
    INVERTER_LOW_OVER(
            "starts again: {limit} or more at its terminals; it reads {read}",
            limit(Unit.VOLTS, 2),
            read(Unit.VOLTS, 2)),
    INVERTER_HIGH("stops on high voltage {limit}; it reads {read}", limit(Unit.VOLTS, 2), read(Unit.VOLTS, 2)),
    INVERTER_HIGH_OVER("starts again below {limit}; it reads {read}", limit(Unit.VOLTS, 2), read(Unit.VOLTS, 2)),
    ALARM("low-voltage alarm at {limit}; it reads {read}", limit(Unit.VOLTS, 2), read(Unit.VOLTS, 2)),
    ALARM_OVER("low-voltage alarm over at {limit}; it reads {read}", limit(Unit.VOLTS, 2), read(Unit.VOLTS, 2)),
    INVERTER_LOW_SOC(
            "stops: state of charge at or below {limit}; it is {read}", limit(Unit.PERCENT, 0), read(Unit.PERCENT, 1)),
    INVERTER_LOW_SOC_OVER(
            "starts again: state of charge above {limit}; it is {read}", limit(Unit.PERCENT, 0), read(Unit.PERCENT, 1)),
    ALARM_SOC(
            "alarm: state of charge at or below {limit}; it is {read}", limit(Unit.PERCENT, 0), read(Unit.PERCENT, 1)),
    ALARM_SOC_OVER(
            "alarm over: state of charge above {limit}; it is {read}", limit(Unit.PERCENT, 0), read(Unit.PERCENT, 1)),
    TO_AC("loads to AC: battery at or below {limit} for {wait}", limit(Unit.VOLTS, 2), delay()),
    TO_BATTERY("loads to battery: at or above {limit} for {wait}", limit(Unit.VOLTS, 2), delay()),
    TO_AC_SOC("loads to AC: battery at or below {limit} for {wait}", limit(Unit.PERCENT, 0), delay()),
    TO_BATTERY_SOC("loads to battery: above {limit} for {wait}", limit(Unit.PERCENT, 0), delay()),
    TO_AC_SUN("loads to AC: the sun gives less than they take for {wait}", delay()),
    TO_SUN("loads to the sun: it gives what they take for {wait}", delay()),
    WINDOW_CHARGED("charged to {limit}: its window charges no further", limit(Unit.PERCENT, 0)),
    CHARGED_FROM_AC("charged to {limit}: AC charges no further", limit(Unit.PERCENT, 0)),
    CHARGES_FROM_AC("at or below {limit}: AC charges again", limit(Unit.PERCENT, 0)),
    AC_UNFIT(
            "AC at {read} under its load is outside what it takes, {limit}: back to the inverter",
            limit(Unit.VOLTS, 0),
            read(Unit.VOLTS, 0)),
    AC_UNFIT_HERTZ(
            "AC at {read} under its load is outside what it takes, {limit}: back to the inverter",
            limit(Unit.HERTZ, 1),
            read(Unit.HERTZ, 1)),
    AC_REFUSED("AC at {read} is outside what it takes, {limit}: not taken", limit(Unit.VOLTS, 0), read(Unit.VOLTS, 0)),
    AC_REFUSED_HERTZ(
            "AC at {read} is outside what it takes, {limit}: not taken", limit(Unit.HERTZ, 1), read(Unit.HERTZ, 1)),
    OVERLOAD_BYPASSED("overload, {read} of what it carries: the loads go to AC for 3 min", read(Unit.PERCENT, 0)),
    TRANSFERRED("transferred to AC, good for {wait}", delay()),
    AC_GONE("AC is gone: back to the inverter"),
    TRANSFERRED_BACK("transferred from AC to the inverter"),
    BREAKER_TRIPPED(
            "the source's breaker trips: {read} on a leg that gives {limit}",
            limit(Unit.WATTS, 0),
            read(Unit.WATTS, 0)),
    INVERTER_OVERLOAD(
            "overload, {read} of what it carries: off for 3 min, try {tries}", read(Unit.PERCENT, 0), tries()),
    INVERTER_GAVE_UP(
            "overload, {read} of what it carries: given up after {tries} tries", read(Unit.PERCENT, 0), tries()),
    SEARCHES("goes to search: less than {limit}; there are {read}", limit(Unit.WATTS, 0), read(Unit.WATTS, 0)),
    WAKES("wakes: at least {limit}; there are {read}", limit(Unit.WATTS, 0), read(Unit.WATTS, 0)),

    // Stages of a charger.
    RECHARGE_REACHED("recharge level reached for its delay"),
    SOURCE_BACK("its source is back"),
    /** A window charges to a state of charge, whatever the stage was. */
    AIMED("its window charges to a state of charge"),
    BULK_BEGAN("new cycle: bulk on the way to {set}", set()),
    ABSORPTION_BEGAN("absorption voltage {set} reached at its terminals", set()),
    RESTED_HIGH("rested high"),
    TAIL_REACHED("tail current reached"),
    ABSORPTION_TIME_UP("absorption time is up"),
    CYCLE_TOO_LONG("the whole cycle took too long"),
    EQUALIZATION_TIME_UP("equalization time is up"),
    EQUALIZATION_GIVEN_UP("equalization given up"),
    FLOAT_BEGAN("float at {set}", set()),
    EQUALIZATION_BEGAN("equalization is due; on the way to {set}", set()),
    CHARGING_ENDED("charging stops until the level to begin again"),
    EQUALIZATION_HELD_DOWN(
            "held below its {limit} by ceiling, temperature or the battery's request: {read}",
            limit(Unit.VOLTS, 2),
            read(Unit.VOLTS, 2)),

    // What stops a charger, and lets it go on.
    ENABLE_STOPS("stops charging: its enable, or the contact before it, is off"),
    ENABLE_RELEASES("may charge again: enabled"),
    COLD_STOPS("stops charging: battery below {limit}; it has {read}", limit(Unit.CELSIUS, 1), read(Unit.CELSIUS, 1)),
    COLD_RELEASES(
            "may charge again: battery at or above {limit}; it has {read}",
            limit(Unit.CELSIUS, 1),
            read(Unit.CELSIUS, 1)),
    HEAT_STOPS("stops charging: battery above {limit}; it has {read}", limit(Unit.CELSIUS, 1), read(Unit.CELSIUS, 1)),
    HEAT_RELEASES(
            "may charge again: battery at or below {limit}; it has {read}",
            limit(Unit.CELSIUS, 1),
            read(Unit.CELSIUS, 1)),
    OVER_VOLTAGE_STOPS(
            "stops charging: {limit} or more at its terminals; it reads {read}",
            limit(Unit.VOLTS, 2),
            read(Unit.VOLTS, 3)),
    OVER_VOLTAGE_RELEASES(
            "may charge again: {limit} or less at its terminals; it reads {read}",
            limit(Unit.VOLTS, 2),
            read(Unit.VOLTS, 3)),
    SILENCE_STOPS("stops charging: the battery has not talked for {wait}", delay()),
    SILENCE_RELEASES("may charge again: the battery talks"),

    // Outputs; the detail is the rule's own words.
    BY_RULE("{detail}"),
    BY_READING("{detail}; it reads {read}"),
    /** After a trip: it waits, the detail says how long. */
    WAITS("waits {detail} before it closes again"),
    WAIT_OVER("its wait after a trip is over"),
    TRIPPED_OUT("locked out after {tries} trips", tries()),
    COIL_LET_GO("the coil lets go below {limit}; it reads {read}", limit(Unit.VOLTS, 2), read(Unit.VOLTS, 3)),
    COIL_PULLED_IN("the coil pulls in at or above {limit}; it reads {read}", limit(Unit.VOLTS, 2), read(Unit.VOLTS, 3)),
    DEVICE_DEAD("the device that decides is without power"),
    DEVICE_FED("the device that decides is fed again"),
    CHATTERS("{count} switchings within a second; from here on each state is held for a second at least", count()),

    // The rest.
    FUSE_OPENED("opened: {read} through a fuse of {limit}", limit(Unit.AMPERES, 1), read(Unit.AMPERES, 1)),
    THERMOSTAT_CLOSED("the thermostat closes"),
    THERMOSTAT_OPENED("hot: the thermostat opens"),
    COUNTED_FULL("full by voltage and tail current: count set to 100 %"),
    CLOCK_LOST("its clock has lost the time and begins at midnight"),
    BUS_LOST("no battery may give; every load on the main bus is lost"),
    EMPTIED("the battery is empty; every load is lost"),
    COLLAPSED("the battery cannot carry the loads at any voltage; every load is lost"),
    CAN_GIVE_AGAIN("the battery can give again; loads are fed where their contacts are closed"),
    BUS_WITHOUT_BATTERY(
            "every battery opened while it was being charged: the bus is left to live chargers without a battery, and its voltage"
                    + " is whatever they make of it{detail}"),
    LIVE_ARRAY_CUT_OFF("its battery side opened under a live array: it has nowhere to put its current{detail}");

    /** A number that comes with a change: its name, unit and decimals in words. */
    record Number(String name, Unit unit, int decimals) {}

    private final String words;
    private final List<Number> numbers;

    Change(String words, Number... numbers) {
        this.words = words;
        this.numbers = List.of(numbers);
    }

    private static Number limit(Unit unit, int decimals) {
        return new Number("limit", unit, decimals);
    }

    private static Number read(Unit unit, int decimals) {
        return new Number("read", unit, decimals);
    }

    /** The voltage that is regulated to. */
    private static Number set() {
        return new Number("set", Unit.VOLTS, 3);
    }

    private static Number delay() {
        return new Number("wait", Unit.SECONDS, 0);
    }

    private static Number count() {
        return new Number("count", Unit.NONE, 0);
    }

    private static Number tries() {
        return new Number("tries", Unit.NONE, 0);
    }

    String words() {
        return words;
    }

    List<Number> numbers() {
        return numbers;
    }

    /** Whether it says what became of the part, and not why. */
    boolean isOutcome() {
        return ordinal() <= LET_GO.ordinal();
    }
}
