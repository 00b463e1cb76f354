package sparen.browser;

import java.util.LinkedHashSet;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What the class library of scripts does otherwise than that of Java. */
final class Library {
    private static final char PERCENT = '\uE000';

    private Library() {}

    /** A text with numbers in it: a percent sign there is counted as a number. */
    static String format(Locale locale, String format, Object[] numbers) {
        return String.format(locale, format.replace("%%", String.valueOf(PERCENT)), numbers)
                .replace(PERCENT, '%');
    }

    /** Each once: there what was seen is forgotten between the parts of a flat map. */
    static <T> Stream<T> distinct(Stream<T> several) {
        return several.collect(Collectors.toCollection(LinkedHashSet::new)).stream();
    }
}
