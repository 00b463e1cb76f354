package sparen.program;

import sparen.quantity.Bounds;

/**
 * A finding that somebody has looked at and means to leave, with the reason. It holds for those numbers only: when they change the
 * finding is open again.
 *
 * @param check simple name of the check
 * @param at id of what it stands at; may be empty
 * @param path of the field it is about; may be empty
 * @param numbers what was compared, as the finding told it; may be empty
 * @param reason why it is left, 1 to 300 characters
 */
public record Dismissal(String check, String at, String path, String numbers, String reason) {
    private static final int LONGEST_REASON = 300;

    public Dismissal {
        Bounds.name("check", check);
        Bounds.present("at", at);
        Bounds.present("path", path);
        Bounds.present("numbers", numbers);
        Bounds.present("reason", reason);
        Bounds.within("reason", reason.strip().length(), "characters", 1, LONGEST_REASON);
    }
}
