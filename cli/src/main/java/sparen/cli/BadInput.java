package sparen.cli;

/** An input that cannot be taken; its message is shown as it is. */
final class BadInput extends Exception {
    private static final long serialVersionUID = 1L;

    BadInput(String message, Throwable cause) {
        super(message, cause);
    }
}
