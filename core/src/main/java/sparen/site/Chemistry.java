package sparen.site;

/** The kinds of battery that the model knows; the engine's parameters for each are in {@code sparen.battery.Chemistries}. */
public enum Chemistry {
    /** Vented lead-acid with liquid electrolyte. */
    FLOODED,
    /** Valve-regulated lead-acid with the electrolyte in a glass mat. */
    AGM,
    /** Valve-regulated lead-acid with gelled electrolyte. */
    GEL,
    /** Lithium iron phosphate. */
    LITHIUM_IRON_PHOSPHATE,
    /** Lithium nickel manganese cobalt oxide. */
    NMC,
    /** A battery given by its own table of open-circuit voltage, ohmic resistance and RC pairs. */
    USER_TABLE;

    /** Whether it is a lithium chemistry: no temperature compensation, no equalization, no charge when frozen. */
    public boolean isLithium() {
        return this == LITHIUM_IRON_PHOSPHATE || this == NMC;
    }

    /** Whether it is a lead-acid chemistry. */
    public boolean isLeadAcid() {
        return this == FLOODED || this == AGM || this == GEL;
    }

    /** How many of its cells make what is called a 12 V battery. */
    public int cellsOf12Volts() {
        return isLithium() ? 4 : 6;
    }
}
