package sparen.table;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;

/** The beginning and the end of a file, parted into columns by what parts them best. */
final class Sample {
    /** What dates, times and numbers consist of. */
    private static final Pattern LIKE_NUMBER = Pattern.compile(
            "[-+(]?\\d[\\d.,' \u00a0\u202f:/TZ+\\-)]*([eE][-+]?\\d+)?( ?[AaPp]\\.?[Mm]\\.?)?|[-+]?[.,]\\d+"
                    + "|\\d{1,2}[- ./][A-Za-z]{3}[- ./]\\d{2,4}[ T\\d:.]*");

    private static final List<Character> SEPARATORS = List.of(';', '\t', '|', ',', ' ');

    final char separator;
    /** How many columns a line has. */
    final int width;
    /** How many lines stand before the first one of data. */
    final int before;
    /** Lines of data, parted. */
    final List<List<String>> rows;
    /** What is above the columns; empty where there is no heading. */
    final List<String> headings;
    /** Lines of the heading. */
    final int headingLines;
    /** Lines after the last one of data. */
    final int footer;

    private Sample(char separator, int width, List<String> head, List<String> tail) {
        this.separator = separator;
        this.width = width;
        List<List<String>> parted =
                head.stream().map(line -> split(line, separator)).toList();
        int first = 0;
        while (first < parted.size() && !isData(parted.get(first), width)) {
            first++;
        }
        // Without a line of data the first one is taken for a heading.
        before = first == parted.size() ? Math.min(1, first) : first;
        rows = parted.subList(before, parted.size()).stream()
                .filter(row -> isData(row, width))
                .toList();
        List<List<String>> above = new ArrayList<>();
        for (int i = before - 1; i >= 0 && isHeading(parted.get(i), width); i--) {
            above.add(0, parted.get(i));
        }
        headingLines = Math.min(above.size(), isUnits(above) ? 2 : 1);
        headings = headings(above.subList(above.size() - headingLines, above.size()));
        footer = footer(tail);
    }

    /** Parts a file's first and last lines; those of a short file are the same. */
    static Sample of(List<String> head, List<String> tail) {
        char best = ',';
        int mostRows = 0;
        int width = 1;
        for (char separator : SEPARATORS) {
            if (separator == ' ' && mostRows > 0) {
                // Blanks stand within times and words too: they part columns where nothing else does.
                break;
            }
            Map<Integer, Integer> counts = new TreeMap<>();
            for (String line : head) {
                List<String> fields = trimmed(split(line, separator));
                if (fields.size() > 1 && isLikeData(fields)) {
                    counts.merge(split(line, separator).size(), 1, Integer::sum);
                }
            }
            int found = counts.isEmpty() ? 0 : Collections.max(counts.values());
            if (found > mostRows) {
                mostRows = found;
                best = separator;
                width = counts.entrySet().stream()
                        .filter(entry -> entry.getValue() == found)
                        .mapToInt(Map.Entry::getKey)
                        .max()
                        .orElse(1);
            }
        }
        if (mostRows == 0 && !head.isEmpty()) {
            width = split(head.get(0), best).size();
        }
        return new Sample(best, width, head, tail);
    }

    static List<String> split(String line, char separator) {
        try (CsvReader<CsvRecord> csv = CsvReader.builder()
                .fieldSeparator(separator)
                .allowExtraFields(true)
                .allowMissingFields(true)
                .ofCsvRecord(SingleBlanks.of(new StringReader(line), separator))) {
            for (CsvRecord one : csv) {
                return one.getFields();
            }
            return List.of("");
        } catch (CsvParseException | IOException broken) {
            // A quote that is never closed: what it is worth is told when the file is read.
            return List.of(line);
        }
    }

    /** Without empty fields at the end. */
    private static List<String> trimmed(List<String> fields) {
        int end = fields.size();
        while (end > 0 && fields.get(end - 1).isBlank()) {
            end--;
        }
        return fields.subList(0, end);
    }

    private boolean isData(List<String> fields, int wanted) {
        List<String> told = trimmed(fields);
        return told.size() > 1 && told.size() <= wanted && isLikeData(told);
    }

    /** Begins with a date or number, and half of what is told are such. */
    private static boolean isLikeData(List<String> fields) {
        long told = fields.stream().filter(field -> !field.isBlank()).count();
        long numbers =
                fields.stream().filter(field -> isLikeNumber(field.strip())).count();
        return isLikeNumber(fields.get(0).strip()) && numbers * 2 >= told;
    }

    static boolean isLikeNumber(String field) {
        return LIKE_NUMBER.matcher(field).matches();
    }

    /** As wide as the data, or one that lacks what a separator at the end makes, and words. */
    private static boolean isHeading(List<String> fields, int width) {
        List<String> told = trimmed(fields);
        return told.size() > 1
                && Math.abs(fields.size() - width) <= 1
                && told.stream().noneMatch(field -> isLikeNumber(field.strip()));
    }

    /** Whether the line next to the data says units, so that what they are of stands above it. */
    private static boolean isUnits(List<List<String>> above) {
        return !above.isEmpty() && above.get(above.size() - 1).stream().allMatch(ColumnUnit::isUnit);
    }

    private List<String> headings(List<List<String>> lines) {
        List<String> joined = new ArrayList<>();
        for (int i = 0; i < width && !lines.isEmpty(); i++) {
            StringBuilder words = new StringBuilder();
            for (List<String> line : lines) {
                String word = i < line.size() ? line.get(i).strip() : "";
                words.append(words.length() > 0 && !word.isEmpty() ? " " : "").append(word);
            }
            joined.add(words.toString());
        }
        return joined;
    }

    private int footer(List<String> tail) {
        int lines = 0;
        for (int i = tail.size() - 1; i >= 0; i--) {
            String line = tail.get(i);
            if (line.isBlank()) {
                continue;
            }
            List<String> fields = split(line, separator);
            if (isLikeNumber(fields.get(0).strip())) {
                return lines;
            }
            lines++;
        }
        // No line of data at all: nothing is a footer of it.
        return 0;
    }

    /** What stands in a column, as far as something does. */
    List<String> column(int index) {
        return rows.stream()
                .filter(row -> index < row.size())
                .map(row -> row.get(index).strip())
                .filter(field -> !Numbers.isNothing(field))
                .toList();
    }

    /** What is above a column; empty where nothing is. */
    String heading(int index) {
        return index < headings.size() ? headings.get(index) : "";
    }
}
