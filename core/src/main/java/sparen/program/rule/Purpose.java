package sparen.program.rule;

/** What an output can be for. */
public enum Purpose {
    /** Keep the battery from emptying. */
    PROTECT_BATTERY,
    /** Use what would be thrown away. */
    USE_SURPLUS,
    /** Keep charging safe. */
    SAFE_CHARGING,
    /** Keep it cool and clear of gas. */
    COOL_AND_VENT,
    /** Light and time. */
    LIGHT_AND_TIME,
    /** Bring in help. */
    BRING_HELP,
    /** Tell someone. */
    TELL_SOMEONE,
    /** By hand or by another device. */
    BY_HAND
}
