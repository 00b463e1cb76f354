package sparen.site;

/** The kinds of battery that the model knows; the engine's parameters for each are in {@code sparen.battery}. */
public enum Chemistry {
    /** Valve-regulated lead-acid with gelled electrolyte. */
    GEL,
    /** A battery given by its own table of open-circuit voltage, ohmic resistance and RC pairs. */
    USER_TABLE
}
