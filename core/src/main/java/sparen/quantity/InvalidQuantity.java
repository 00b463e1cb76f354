package sparen.quantity;

/** A value that cannot exist. The message names field, value, unit and bound; the field is kept for the interface. */
public final class InvalidQuantity extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;

    private final String field;

    /**
     * @param field the record component that was refused, as it is named in the document
     * @param problem what is wrong with its value, with unit and bound
     */
    public InvalidQuantity(String field, String problem) {
        super(field + ": " + problem);
        this.field = field;
    }

    /** The refused component's name. */
    public String field() {
        return field;
    }
}
