package sparen.document;

/** A document that cannot be taken, with the place of the trouble. */
public final class DocumentProblem extends Exception {
    private static final long serialVersionUID = 1L;

    private final String pointer;

    /**
     * @param pointer RFC 6901 pointer into the document; empty for the whole of it
     * @param problem what is wrong, with value, unit and bound where there are any
     * @param cause what was thrown
     */
    public DocumentProblem(String pointer, String problem, Throwable cause) {
        super(problem, cause);
        this.pointer = pointer;
    }

    /** RFC 6901 pointer to the field; empty for the whole document. */
    public String pointer() {
        return pointer;
    }
}
