package sparen.program;

import sparen.quantity.Bounds;

/**
 * Where a number comes from.
 *
 * @param kind how far it can be trusted
 * @param note which sheet, clause or measurement; may be empty
 */
public record Origin(Kind kind, String note) {
    /** The kinds of origin; a guess is shown as unconfirmed wherever it stands. */
    public enum Kind {
        MAKERS_SHEET,
        STANDARD,
        COMMON_PRACTICE,
        MEASURED,
        /** Found by fitting the model to what was recorded. */
        FITTED,
        GUESS
    }

    public Origin {
        Bounds.present("kind", kind);
        Bounds.present("note", note);
        Bounds.within("note", note.length(), "characters", 0, 300);
    }
}
