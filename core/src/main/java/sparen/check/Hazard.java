package sparen.check;

/** What a finding can lead to. */
public enum Hazard {
    OVER_DISCHARGE,
    LOSS_OF_CONTROL,
    NUISANCE
}
