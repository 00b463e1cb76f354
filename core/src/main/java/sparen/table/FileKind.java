package sparen.table;

import java.util.List;

/** The kinds of files that are taken in: what they must hold, and what they may. */
public enum FileKind {
    WEATHER(List.of(Meaning.GLOBAL_LIGHT, Meaning.AIR_CELSIUS), List.of(Meaning.DIFFUSE_LIGHT)),
    CONSUMPTION(List.of(Meaning.POWER), List.of()),
    LOGGER(
            List.of(Meaning.BATTERY_VOLTS),
            List.of(
                    Meaning.BATTERY_AMPERES,
                    Meaning.CHARGE,
                    Meaning.ARRAY_WATTS,
                    Meaning.LOAD_WATTS,
                    Meaning.BATTERY_CELSIUS,
                    Meaning.AIR_CELSIUS,
                    Meaning.GLOBAL_LIGHT,
                    Meaning.CONTACT)),
    DAILY(List.of(Meaning.LOWEST_VOLTS), List.of(Meaning.HIGHEST_VOLTS, Meaning.ENERGY_IN, Meaning.ENERGY_OUT));

    private final List<Meaning> needed;
    private final List<Meaning> more;

    FileKind(List<Meaning> needed, List<Meaning> more) {
        this.needed = needed;
        this.more = more;
    }

    /** What such a file must hold. */
    public List<Meaning> needed() {
        return needed;
    }

    /** What else such a file may hold. */
    public List<Meaning> more() {
        return more;
    }
}
