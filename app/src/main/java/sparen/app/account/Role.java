package sparen.app.account;

/** What a person may do. */
public enum Role {
    /** Reads and changes. */
    TECHNICIAN,
    /** Reads, changes nothing. */
    OBSERVER
}
