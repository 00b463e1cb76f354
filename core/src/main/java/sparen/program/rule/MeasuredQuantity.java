package sparen.program.rule;

import sparen.logic.Signal;

/** What can be measured besides voltages and reports. */
public enum MeasuredQuantity {
    BATTERY_CELSIUS("battery temperature", "°C", Signal.BATTERY_CELSIUS),
    AIR_CELSIUS("air temperature", "°C", Signal.AIR_CELSIUS),
    BATTERY_AMPERES("net battery current", "A", Signal.BATTERY_AMPERES),
    AC_LOAD_WATTS("AC load", "W", Signal.AC_LOAD_WATTS),
    SURPLUS_WATTS("surplus", "W", Signal.SURPLUS_WATTS),
    SUN_ALTITUDE_DEGREES("sun altitude", "°", Signal.SUN_ALTITUDE_DEGREES);

    private final String words;
    private final String unit;
    private final int signal;

    MeasuredQuantity(String words, String unit, int signal) {
        this.words = words;
        this.unit = unit;
        this.signal = signal;
    }

    /** How a sentence calls it. */
    String words() {
        return words;
    }

    String unit() {
        return unit;
    }

    /** The signal that has it. */
    int signal() {
        return signal;
    }
}
