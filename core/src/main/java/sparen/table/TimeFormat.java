package sparen.table;

import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeFormatterBuilder;
import java.time.temporal.ChronoField;
import java.util.List;
import java.util.Locale;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

/**
 * How a file writes its times.
 *
 * @param kind of notation
 * @param columns where they stand, from 0: one, or two for a date and a time apart; for {@link Kind#PARTS} year, month, day, hour and,
 *     where there are, minutes
 * @param pattern of {@link Kind#PATTERN}, in the letters of {@link DateTimeFormatter}: {@code dd.MM.yyyy HH:mm}; else empty
 */
public record TimeFormat(Kind kind, List<Integer> columns, String pattern) {
    /** The notations. */
    public enum Kind {
        /** ISO 8601, with or without an offset. */
        ISO,
        /** As a pattern says. */
        PATTERN,
        /** Seconds since 1 January 1970, 00:00 UTC. */
        EPOCH_SECONDS,
        /** Milliseconds since 1 January 1970, 00:00 UTC. */
        EPOCH_MILLISECONDS,
        /** Seconds since the first line; which day that was nobody knows. */
        SECONDS,
        /** Year, month, day and hour in columns of their own. */
        PARTS
    }

    private static final int MOST_COLUMNS = 5;
    private static final int LONGEST_PATTERN = 60;

    public TimeFormat {
        Bounds.present("kind", kind);
        columns = Bounds.list("columns", columns, 1, MOST_COLUMNS);
        columns.forEach(column -> Bounds.within("columns", column, "columns", 0, Column.MOST - 1.0));
        if (kind == Kind.PARTS) {
            Bounds.within("columns", columns.size(), "columns", 4, MOST_COLUMNS);
        }
        pattern = pattern == null ? "" : pattern;
        Bounds.within("pattern", pattern.length(), "characters", kind == Kind.PATTERN ? 1 : 0, LONGEST_PATTERN);
        if (kind == Kind.PATTERN) {
            formatter(pattern);
        }
    }

    /** Reads by a pattern; months by name are English, seconds and more may be missing. */
    static DateTimeFormatter formatter(String pattern) {
        try {
            return new DateTimeFormatterBuilder()
                    .parseCaseInsensitive()
                    .appendPattern(pattern)
                    .parseDefaulting(ChronoField.ERA, 1)
                    .toFormatter(Locale.ENGLISH);
        } catch (IllegalArgumentException wrong) {
            throw new InvalidQuantity("pattern", "\"" + pattern + "\" is no pattern such as dd.MM.yyyy HH:mm");
        }
    }
}
