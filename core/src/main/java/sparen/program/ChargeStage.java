package sparen.program;

/** The stages of a charge cycle. */
public enum ChargeStage {
    /** All the source gives, up to the absorption voltage. */
    BULK,
    /** The absorption voltage is held for its time. */
    ABSORPTION,
    /** The float voltage is held until the recharge level is reached. */
    FLOAT,
    /** The equalization voltage is held. */
    EQUALIZATION,
    /** Nothing until the recharge level, or the resume level of a controller without stages. */
    OFF
}
