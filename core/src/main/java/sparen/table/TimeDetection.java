package sparen.table;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoField;
import java.time.temporal.TemporalAccessor;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/** Finds out how a file writes its times. */
final class TimeDetection {
    private static final Pattern ISO =
            Pattern.compile("\\d{4}-\\d{2}-\\d{2}([T ]\\d{2}:\\d{2}(:\\d{2}([.]\\d+)?)?(Z|[+-]\\d{2}:?\\d{2})?)?");
    private static final Pattern DIGITS = Pattern.compile("\\d+");
    private static final Pattern NUMBER = Pattern.compile("-?\\d+([.,]\\d+)?");
    private static final Pattern CLOCK = Pattern.compile("\\d{1,2}:\\d{2}(:\\d{2})?( ?[AaPp]\\.?[Mm]\\.?)?");
    /** Dates, the day before the month where either may be first. */
    private static final List<String> DATES = List.of(
            "uuuu-M-d",
            "uuuu/M/d",
            "uuuu.M.d",
            "d.M.uuuu",
            "d.M.uu",
            "d/M/uuuu",
            "M/d/uuuu",
            "d/M/uu",
            "M/d/uu",
            "d-M-uuuu",
            "M-d-uuuu",
            "d-MMM-uuuu",
            "d MMM uuuu",
            "d-MMM-uu",
            "uuuuMMdd");

    private static final List<String> CLOCKS =
            List.of(" H:mm:ss", " H:mm", " h:mm:ss a", " h:mm a", ":HHmm", "HHmm", "HHmmss", "'T'H:mm:ss", " H.mm", "");

    private static final double FIRST_EPOCH = 5e8;
    private static final double LAST_EPOCH = 4e9;
    private static final double MILLI = 1000;

    /** How its times are written, and what is to be looked at. */
    record Found(TimeFormat format, Optional<String> doubt) {}

    private final Sample sample;

    TimeDetection(Sample sample) {
        this.sample = sample;
    }

    /** How times are written; absent where no column is one. */
    Optional<Found> found() {
        Optional<Found> parts = parts();
        if (parts.isPresent()) {
            return parts;
        }
        for (int i = 0; i < sample.width; i++) {
            Optional<Found> at = at(i);
            if (at.isPresent()) {
                return at;
            }
        }
        return seconds();
    }

    /** Year, month, day and hour in columns of their own, by their headings. */
    private Optional<Found> parts() {
        List<Integer> columns = new ArrayList<>();
        for (String word : List.of(
                "year|jahr|år|yyyy|yr",
                "month|monat|måned|månad|mm|mo",
                "day|tag|dag|dd|dy",
                "hour|stunde|time|timme|hh|hr")) {
            int column = headed("(" + word + ")s?");
            if (column < 0) {
                return Optional.empty();
            }
            columns.add(column);
        }
        int minutes = headed("minutes?|min");
        if (minutes >= 0) {
            columns.add(minutes);
        }
        boolean numbers = columns.stream().allMatch(column -> sample.column(column).stream()
                .allMatch(field -> DIGITS.matcher(field).matches()));
        return numbers
                ? Optional.of(new Found(new TimeFormat(TimeFormat.Kind.PARTS, columns, ""), Optional.empty()))
                : Optional.empty();
    }

    private int headed(String pattern) {
        for (int i = 0; i < sample.headings.size(); i++) {
            if (sample.heading(i).toLowerCase(Locale.ROOT).matches(pattern)) {
                return i;
            }
        }
        return -1;
    }

    private Optional<Found> at(int column) {
        List<String> fields = sample.column(column);
        if (fields.isEmpty()) {
            return Optional.empty();
        }
        boolean apart = column + 1 < sample.width && all(sample.column(column + 1), CLOCK);
        if (all(fields, ISO) && (!apart || fields.get(0).length() > "2026-01-31".length())) {
            return Optional.of(new Found(new TimeFormat(TimeFormat.Kind.ISO, List.of(column), ""), Optional.empty()));
        }
        Optional<Found> epoch = epoch(column, fields);
        return epoch.isPresent() ? epoch : byPattern(column, fields, apart);
    }

    private static boolean all(List<String> fields, Pattern pattern) {
        return !fields.isEmpty()
                && fields.stream()
                                        .filter(field -> pattern.matcher(field).matches())
                                        .count()
                                * 10
                        >= fields.size() * 9L;
    }

    private static Optional<Found> epoch(int column, List<String> fields) {
        if (!all(fields, NUMBER)) {
            return Optional.empty();
        }
        double first = Double.parseDouble(fields.get(0).replace(',', '.'));
        boolean seconds = first > FIRST_EPOCH && first < LAST_EPOCH;
        boolean milliseconds = first > FIRST_EPOCH * MILLI && first < LAST_EPOCH * MILLI;
        boolean rising = fields.size() < 2
                || Double.parseDouble(fields.get(fields.size() - 1).replace(',', '.')) > first;
        TimeFormat.Kind kind = seconds ? TimeFormat.Kind.EPOCH_SECONDS : TimeFormat.Kind.EPOCH_MILLISECONDS;
        return rising && (seconds || milliseconds)
                ? Optional.of(new Found(new TimeFormat(kind, List.of(column), ""), Optional.empty()))
                : Optional.empty();
    }

    /** Of the patterns that read all of it the one whose times go on most evenly; where two do, the day is first and it is told. */
    private Optional<Found> byPattern(int column, List<String> fields, boolean apart) {
        List<Integer> columns = apart ? List.of(column, column + 1) : List.of(column);
        List<String> texts = new ArrayList<>();
        for (List<String> row : sample.rows) {
            if (column + columns.size() <= row.size() && !row.get(column).isBlank()) {
                texts.add(String.join(
                        " ", columns.stream().map(one -> row.get(one).strip()).toList()));
            }
        }
        if (fields.stream().noneMatch(field -> field.length() >= "1.1.26".length())) {
            return Optional.empty();
        }
        String best = null;
        String other = null;
        double least = Double.POSITIVE_INFINITY;
        for (String pattern : patterns()) {
            double unrest = unrest(pattern, texts);
            if (unrest < least) {
                other = null;
                best = pattern;
                least = unrest;
            } else if (unrest == least && best != null && other == null && Double.isFinite(unrest)) {
                other = pattern;
            }
        }
        if (best == null) {
            return Optional.empty();
        }
        Optional<String> doubt = Optional.ofNullable(other)
                .map(also -> "its dates could be written otherwise too: say whether day or month comes first");
        return Optional.of(new Found(new TimeFormat(TimeFormat.Kind.PATTERN, columns, best), doubt));
    }

    private static List<String> patterns() {
        List<String> all = new ArrayList<>();
        for (String date : DATES) {
            for (String clock : CLOCKS) {
                all.add(date + clock);
            }
        }
        return all;
    }

    /** The longest step of its times (s), more where one goes back; infinite where a text is not of the pattern. */
    private static double unrest(String pattern, List<String> texts) {
        DateTimeFormatter formatter = TimeFormat.formatter(pattern);
        double longest = 0;
        double before = Double.NaN;
        int wrong = 0;
        for (String text : texts) {
            double seconds = seconds(formatter, text);
            if (Double.isNaN(seconds)) {
                wrong++;
                continue;
            }
            double step = Double.isNaN(before) ? 0 : seconds - before;
            longest = Math.max(longest, step < 0 ? 1e9 - step : step);
            before = seconds;
        }
        return wrong * 10 > texts.size() || texts.isEmpty() ? Double.POSITIVE_INFINITY : longest;
    }

    private static double seconds(DateTimeFormatter formatter, String text) {
        try {
            TemporalAccessor parsed = formatter.parse(text);
            LocalDateTime time = parsed.isSupported(ChronoField.HOUR_OF_DAY)
                    ? LocalDateTime.from(parsed)
                    : LocalDate.from(parsed).atStartOfDay();
            return time.toEpochSecond(ZoneOffset.UTC);
        } catch (DateTimeException otherwise) {
            return Double.NaN;
        }
    }

    /** A first column of small numbers that rise: seconds since the beginning. */
    private Optional<Found> seconds() {
        List<String> fields = sample.column(0);
        return all(fields, NUMBER)
                ? Optional.of(new Found(new TimeFormat(TimeFormat.Kind.SECONDS, List.of(0), ""), Optional.empty()))
                : Optional.empty();
    }
}
