package sparen.table;

import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/** Reads the numbers of a file by its layout. */
final class Numbers {
    /** What stands where nothing was measured. */
    private static final Set<String> NOTHING =
            Set.of("", "nan", "-", "--", "---", "n/a", "na", "null", "none", "#n/a", "?");

    private static final Set<String> YES = Set.of("1", "on", "closed", "true", "yes", "active");
    private static final Set<String> NO = Set.of("0", "off", "open", "false", "no", "inactive");

    private final boolean decimalComma;
    private final String thousands;

    Numbers(Layout layout) {
        decimalComma = layout.decimal().equals(",");
        thousands = layout.thousands().orElse("");
    }

    /** Whether a field says that nothing was measured. */
    static boolean isNothing(String field) {
        return field.isEmpty() || field.length() <= 4 && NOTHING.contains(field.toLowerCase(Locale.ROOT));
    }

    /**
     * A number in digits; letters but that of an exponent are none.
     *
     * @throws NumberFormatException when it is not a number
     */
    static double parse(String text) {
        for (int i = 0; i < text.length(); i++) {
            char one = text.charAt(i);
            if (one > 'e' || one > '9' && one != 'e' && one != 'E') {
                throw new NumberFormatException(text);
            }
        }
        return Double.parseDouble(text);
    }

    /** A number in digits, NaN for what is none. */
    static double orNaN(String text) {
        try {
            return parse(text.strip());
        } catch (NumberFormatException none) {
            return Double.NaN;
        }
    }

    /**
     * A number as the file writes it.
     *
     * @throws NumberFormatException when it is not a number
     */
    double read(String field) {
        String plain = field;
        if (!thousands.isEmpty()) {
            plain = plain.replace(thousands, "");
        }
        return parse(decimalComma ? plain.replace(',', '.') : plain);
    }

    /** 1 or 0 for words and digits that say so. */
    static Optional<Double> state(String field) {
        String word = field.toLowerCase(Locale.ROOT);
        return YES.contains(word) ? Optional.of(1.0) : NO.contains(word) ? Optional.of(0.0) : Optional.empty();
    }
}
