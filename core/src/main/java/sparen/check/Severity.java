package sparen.check;

/** How bad a finding is. */
public enum Severity {
    /** Can harm people or equipment. */
    DANGER,
    /** Will not work as meant. */
    CAUTION,
    /** Worth knowing. */
    NOTE
}
