package sparen.standin;

/** What a device can do wrong. */
public enum Fault {
    /** Takes nothing. */
    REJECTS,
    /** Says yes to a number outside its range and keeps the bound. */
    LIMITS,
    /** Keeps every fiftieth number only. */
    ROUNDS,
    /** Answers late. */
    SLOW,
    /** Keeps a tenth of what is written. */
    WRITES_A_TENTH,
    /** Tells ten times what it holds. */
    READS_TEN_TIMES,
    /** Takes and tells ten times what it means: its registers have another scale than the profile says. */
    OTHER_SCALE,
    /** Takes and tells numbers of two registers the other way round than the profile says. */
    OTHER_ORDER,
    /** Says it has saved, and has not. */
    FORGETS
}
