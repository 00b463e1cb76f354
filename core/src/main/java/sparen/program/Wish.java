package sparen.program;

/** What a person wants of an output. Its protection still acts when the wish is on. */
public enum Wish {
    OFF,
    ON,
    /** By the output's automatic rule. */
    AUTOMATIC
}
