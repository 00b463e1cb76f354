package sparen.program;

/** A contact held past mode and protection for a test. Temporary, and a finding until withdrawn. */
public enum TestForce {
    NONE,
    OPEN,
    CLOSED
}
