package sparen.app.account;

import com.nulabinc.zxcvbn.Strength;
import com.nulabinc.zxcvbn.Zxcvbn;
import java.nio.charset.StandardCharsets;
import java.util.List;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

/**
 * What a password has to be: long, and nothing that is guessed soon (NIST SP 800-63B, 5.1.1.2, from memory: no rules about kinds of
 * characters, but a list of common ones; the list and the guessing are a library's).
 */
final class Passwords {
    private static final int SHORTEST = 12;
    /** As many as the hash looks at (bytes). */
    private static final int LONGEST = 72;
    /** Fewer than some 10^8 guesses are few; the library's own bound. */
    private static final int LEAST_SCORE = 3;

    private static final Zxcvbn GUESSING = new Zxcvbn();

    private Passwords() {}

    /**
     * Refuses a password that is none. What was tried is not said again.
     *
     * @param personal what its owner is called, which is no password
     */
    static void check(String field, String password, List<String> personal) {
        Bounds.present(field, password);
        if (password.length() < SHORTEST) {
            throw new InvalidQuantity(field, "has " + password.length() + " characters; use " + SHORTEST + " or more");
        }
        if (password.getBytes(StandardCharsets.UTF_8).length > LONGEST) {
            throw new InvalidQuantity(field, "is longer than " + LONGEST + " bytes, more than are looked at");
        }
        Strength strength = GUESSING.measure(password, personal);
        if (strength.getScore() < LEAST_SCORE) {
            throw new InvalidQuantity(
                    field,
                    "is common, or made of what is easily guessed; several words that do not belong together are better");
        }
    }

    /** Whether it can be one at all, before it is compared with anything. */
    static void bounded(String field, String password) {
        Bounds.present(field, password);
        Bounds.within(field, password.getBytes(StandardCharsets.UTF_8).length, "bytes", 1, LONGEST);
    }
}
