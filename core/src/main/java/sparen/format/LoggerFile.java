package sparen.format;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;
import sparen.table.Meaning;

/**
 * What a logger recorded, its lines in the order of time; what was not measured is NaN.
 *
 * @param seconds of each line, since 1 January 1970 (s), rising
 * @param columns what was measured, in V, A (into the battery), a fraction, W, °C, W/m²; each as long as {@code seconds}
 * @param contacts of outputs by their ids: 1 closed, 0 open
 * @param notes gaps, jumps of its clock, and what was left out
 */
public record LoggerFile(
        double[] seconds, Map<Meaning, double[]> columns, Map<String, double[]> contacts, List<String> notes) {
    /** The most lines taken: two years of minutes. */
    public static final int MOST_LINES = 1_100_000;

    /** Nothing for so many times the usual step is a gap; judgement, no source. */
    private static final double GAP_STEPS = 10;

    public LoggerFile {
        Bounds.within("lines", seconds.length, "lines", 1, MOST_LINES);
        columns = Collections.unmodifiableMap(new EnumMap<>(columns));
        contacts = Collections.unmodifiableMap(new LinkedHashMap<>(contacts));
        columns.forEach((meaning, values) -> asLong(meaning.words(), values, seconds.length));
        contacts.forEach((output, values) -> asLong(output, values, seconds.length));
        notes = List.copyOf(notes);
    }

    private static void asLong(String name, double[] values, int lines) {
        if (values.length != lines) {
            throw new InvalidQuantity(name, values.length + " values for " + lines + " lines");
        }
    }

    /** How many lines it has. */
    public int lines() {
        return seconds.length;
    }

    /** The usual time from one line to the next (s): the middle one of all; a minute where there is one line only. */
    public double usualSeconds() {
        double[] steps = new double[seconds.length - 1];
        for (int i = 0; i < steps.length; i++) {
            steps[i] = seconds[i + 1] - seconds[i];
        }
        Arrays.sort(steps);
        return steps.length == 0 ? 60 : steps[steps.length / 2];
    }

    /** Whether nothing for so long (s) is a gap, where steps are usually of another length (s). */
    public static boolean isGap(double length, double usualSeconds) {
        return length > GAP_STEPS * usualSeconds;
    }

    /** How often a recorded contact closed: 1 for closed, 0 for open, NaN where nobody knows. */
    public static int closings(double[] contact) {
        int closings = 0;
        for (int i = 1; i < contact.length; i++) {
            closings += contact[i - 1] < 0.5 && contact[i] >= 0.5 ? 1 : 0;
        }
        return closings;
    }

    /** When its first line was. */
    public Instant from() {
        return instant(seconds[0]);
    }

    /** When its last line was. */
    public Instant to() {
        return instant(seconds[seconds.length - 1]);
    }

    /** A column; absent where it was not measured. */
    public Optional<double[]> column(Meaning meaning) {
        return Optional.ofNullable(columns.get(meaning));
    }

    /**
     * Several files as one, in the order of time; where two overlap the lines of the earlier one count.
     *
     * @param files at least one
     */
    public static LoggerFile join(List<LoggerFile> files) {
        List<LoggerFile> sorted = new ArrayList<>(files);
        sorted.sort(Comparator.comparingDouble(file -> file.seconds[0]));
        if (sorted.size() == 1) {
            return sorted.get(0);
        }
        int lines = sorted.stream().mapToInt(LoggerFile::lines).sum();
        Bounds.within("lines", lines, "lines", 1, MOST_LINES);
        double[] seconds = new double[lines];
        Map<Meaning, double[]> columns = new EnumMap<>(Meaning.class);
        Map<String, double[]> contacts = new LinkedHashMap<>();
        sorted.forEach(file -> {
            file.columns.keySet().forEach(one -> columns.computeIfAbsent(one, any -> unknown(lines)));
            file.contacts.keySet().forEach(one -> contacts.computeIfAbsent(one, any -> unknown(lines)));
        });
        int size = 0;
        for (LoggerFile file : sorted) {
            int from = 0;
            while (size > 0 && from < file.lines() && file.seconds[from] <= seconds[size - 1]) {
                from++;
            }
            int count = file.lines() - from;
            System.arraycopy(file.seconds, from, seconds, size, count);
            int at = size;
            int begin = from;
            file.columns.forEach((one, values) -> System.arraycopy(values, begin, columns.get(one), at, count));
            file.contacts.forEach((one, values) -> System.arraycopy(values, begin, contacts.get(one), at, count));
            size += count;
        }
        int all = size;
        columns.replaceAll((one, values) -> Arrays.copyOf(values, all));
        contacts.replaceAll((one, values) -> Arrays.copyOf(values, all));
        return new LoggerFile(
                Arrays.copyOf(seconds, all),
                columns,
                contacts,
                sorted.stream().flatMap(file -> file.notes.stream()).toList());
    }

    private static double[] unknown(int lines) {
        double[] values = new double[lines];
        Arrays.fill(values, Double.NaN);
        return values;
    }

    /**
     * What lies between two instants.
     *
     * @throws InvalidQuantity when nothing does
     */
    public LoggerFile between(Instant from, Instant to) {
        int first = 0;
        int end = lines();
        while (first < end && seconds[first] < from.getEpochSecond()) {
            first++;
        }
        while (end > first && seconds[end - 1] > to.getEpochSecond()) {
            end--;
        }
        if (first == end) {
            throw new InvalidQuantity("from", "nothing was recorded between " + from + " and " + to);
        }
        int begin = first;
        int behind = end;
        Map<Meaning, double[]> cut = new EnumMap<>(Meaning.class);
        columns.forEach((one, values) -> cut.put(one, Arrays.copyOfRange(values, begin, behind)));
        Map<String, double[]> cutContacts = new LinkedHashMap<>();
        contacts.forEach((one, values) -> cutContacts.put(one, Arrays.copyOfRange(values, begin, behind)));
        return new LoggerFile(Arrays.copyOfRange(seconds, begin, behind), cut, cutContacts, notes);
    }

    private static Instant instant(double seconds) {
        return Instant.ofEpochMilli(Math.round(seconds * 1000));
    }
}
