package sparen.check;

/** What a finding can lead to, the worst first. */
public enum Hazard {
    /** Electric shock. */
    SHOCK,
    /** Hydrogen. */
    GAS,
    /** A frozen or overheated battery is charged. */
    COLD_OR_HOT_CHARGE,
    OVER_CHARGE,
    OVER_DISCHARGE,
    /** A conductor, contact or device carries more than it can. */
    OVERLOAD,
    /** Something does not do what it was told, or nobody can tell. */
    LOSS_OF_CONTROL,
    /** Energy or fuel is thrown away. */
    WASTE,
    /** It works, to somebody's annoyance. */
    NUISANCE
}
