package sparen.program;

/** What a person wants of an output. Its protection still acts when the mode is on. */
public enum Mode {
    OFF,
    ON,
    /** By the output's automatic rule. */
    BY_RULE
}
