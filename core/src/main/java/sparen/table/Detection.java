package sparen.table;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * What was found out about a file.
 *
 * @param layout proposed; what it lacks a person has to say
 * @param headings above the columns, as far as there are any
 * @param notes what could be otherwise too
 * @param place whose weather an EPW file has (°): latitude and longitude; absent for other files
 */
public record Detection(Layout layout, List<String> headings, List<String> notes, Optional<Place> place) {
    /** Lines at the beginning and at the end of a file that are looked at. */
    public static final int LINES_LOOKED_AT = 400;

    /**
     * Where a file says it is from.
     *
     * @param latitudeDegrees north positive (°)
     * @param longitudeDegrees east positive (°)
     */
    public record Place(double latitudeDegrees, double longitudeDegrees) {}

    private static final Pattern COMMA_DECIMALS = Pattern.compile("[-+]?[\\d. '\u00a0\u202f]*,(\\d{1,2}|\\d{4,})");
    private static final Pattern COMMA_THREE = Pattern.compile("[-+]?\\d{1,3}(,\\d{3})+");
    private static final Pattern POINT_DECIMALS = Pattern.compile("[-+]?[\\d, '\u00a0\u202f]*\\.\\d+");
    private static final Pattern GROUPED = Pattern.compile("[-+]?\\d{1,3}(([. ,'\u00a0\u202f])\\d{3})+([.,]\\d+)?");

    public Detection {
        headings = List.copyOf(headings);
        notes = List.copyOf(notes);
    }

    /**
     * Looks at a file.
     *
     * @param text all of it, or its beginning and its end
     * @param kind what it is taken for
     */
    public static Detection of(String text, FileKind kind) {
        String content = text.startsWith("\uFEFF") ? text.substring(1) : text;
        if (EpwHeader.begins(content) && kind == FileKind.WEATHER) {
            return EpwHeader.read(content.substring(0, lineEnd(content)));
        }
        List<String> head = content.lines().limit(LINES_LOOKED_AT).toList();
        Sample sample = Sample.of(head, tail(content));
        List<String> notes = new ArrayList<>();
        Optional<TimeDetection.Found> time = new TimeDetection(sample).found();
        time.flatMap(TimeDetection.Found::doubt).ifPresent(notes::add);
        TimeFormat format =
                time.map(TimeDetection.Found::format).orElse(new TimeFormat(TimeFormat.Kind.ISO, List.of(0), ""));
        String decimal = decimal(sample, format);
        Layout layout = new Layout(
                String.valueOf(sample.separator),
                decimal,
                thousands(sample, format, decimal),
                Math.min(200, sample.before - sample.headingLines),
                sample.headingLines,
                Math.min(200, sample.footer),
                Math.min(Column.MOST, sample.width),
                format,
                Optional.empty(),
                false,
                false,
                false,
                new ColumnDetection(sample, format, decimal, notes).columns(kind),
                Layout.USUAL_GAP_SECONDS);
        for (Meaning missing : layout.missing(kind)) {
            notes.add("which column is the " + missing.words() + " is not known: say which");
        }
        return new Detection(layout, sample.headings, notes, Optional.empty());
    }

    private static int lineEnd(String content) {
        int end = content.indexOf('\n');
        return end < 0 ? content.length() : end;
    }

    /** The first lines of data of a file, parted by a layout: at most so many. */
    public static List<List<String>> firstRows(String text, Layout layout, int most) {
        return text.lines()
                .skip((long) layout.skippedLines() + layout.headingLines())
                .filter(line -> !line.isBlank())
                .limit(most)
                .map(line -> Sample.split(line, layout.separator().charAt(0)))
                .toList();
    }

    private static List<String> tail(String content) {
        int from = content.length();
        for (int lines = 0; lines < 40 && from > 0; lines++) {
            from = Math.max(0, content.lastIndexOf('\n', from - 1));
        }
        return content.substring(from).lines().toList();
    }

    private static List<String> numbers(Sample sample, TimeFormat time) {
        List<String> all = new ArrayList<>();
        for (int i = 0; i < sample.width; i++) {
            if (!time.columns().contains(i)) {
                sample.column(i).stream().filter(Sample::isLikeNumber).forEach(all::add);
            }
        }
        return all;
    }

    /** A comma where numbers have one that is no thousands' mark. */
    private static String decimal(Sample sample, TimeFormat time) {
        List<String> numbers = numbers(sample, time);
        if (numbers.stream().anyMatch(one -> COMMA_DECIMALS.matcher(one).matches())) {
            return ",";
        }
        boolean threes =
                numbers.stream().anyMatch(one -> COMMA_THREE.matcher(one).matches());
        boolean points =
                numbers.stream().anyMatch(one -> POINT_DECIMALS.matcher(one).matches());
        return threes && !points && sample.separator != ',' ? "," : ".";
    }

    private static Optional<String> thousands(Sample sample, TimeFormat time, String decimal) {
        for (String number : numbers(sample, time)) {
            var grouped = GROUPED.matcher(number);
            if (grouped.matches() && !grouped.group(2).equals(decimal)) {
                return Optional.of(grouped.group(2));
            }
        }
        return Optional.empty();
    }
}
