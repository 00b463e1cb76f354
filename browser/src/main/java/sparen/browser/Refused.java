package sparen.browser;

/** A question that cannot be taken, with the place in it. */
final class Refused extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final String pointer;

    /**
     * @param pointer JSON Pointer (RFC 6901) into the question
     * @param detail why, in plain words
     */
    Refused(String pointer, String detail) {
        super(detail);
        this.pointer = pointer;
    }

    String pointer() {
        return pointer;
    }
}
