package sparen.power;

/** What a charge controller is doing about its setpoints. */
public enum ChargeStage {
    /** Gives all it has, on the way to absorption voltage. */
    BULK,
    /** Holds absorption voltage until its time is up. */
    ABSORPTION,
    /** Holds float voltage. */
    FLOAT
}
