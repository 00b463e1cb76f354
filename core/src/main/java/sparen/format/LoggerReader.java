package sparen.format;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import sparen.quantity.Standard;
import sparen.table.BadLine;
import sparen.table.BadLines;
import sparen.table.Column;
import sparen.table.Layout;
import sparen.table.Meaning;
import sparen.table.TableReader;
import sparen.table.TimeFormat;

/**
 * Reads what a logger recorded. Gaps stay gaps and are told; where its clock was set back, lines of a time that was there already are
 * left out, and that is told too.
 */
public final class LoggerReader {
    private static final int MOST_NOTES = 40;

    private final Layout layout;
    private final ZoneId zone;
    private final BadLines bad = new BadLines();
    private final List<String> notes = new ArrayList<>();
    private final double[][] columns;
    private double[] seconds = new double[4096];
    private int size;
    private int leftOut;
    private double setBackAt = Double.NaN;
    private double setBackTo;

    private LoggerReader(Layout layout, ZoneId zone) {
        this.layout = layout;
        this.zone = layout.zoneAt(zone);
        columns = new double[layout.columns().size()][seconds.length];
    }

    /**
     * What was found.
     *
     * @param log present when every line was good
     * @param lines how many good lines
     * @param badLines the first {@value BadLines#KEPT} of the refused lines
     * @param badLineCount how many were refused
     */
    public record Reading(Optional<LoggerFile> log, int lines, List<BadLine> badLines, int badLineCount) {}

    /**
     * Reads a whole file by a layout.
     *
     * @param text its content
     * @param zone of times without offset, where the layout has no other
     */
    public static Reading read(String text, Layout layout, ZoneId zone) {
        return new LoggerReader(layout, zone).readAll(text, zone);
    }

    private Reading readAll(String text, ZoneId site) {
        if (layout.indexOf(Meaning.BATTERY_VOLTS) < 0) {
            bad.refuse(1, "no column is the battery voltage: say which");
        } else if (layout.time().kind() == TimeFormat.Kind.SECONDS) {
            bad.refuse(1, "no column tells the day and hour: say which, and how it is written");
        } else {
            try {
                notes.addAll(
                        TableReader.read(new StringReader(text), layout, site, LoggerFile.MOST_LINES, bad, this::take));
            } catch (IOException impossible) {
                throw new UncheckedIOException("reading from memory", impossible);
            }
            setBackIsOver();
            if (size < 2 && bad.isNone()) {
                bad.refuse(1, "the file has fewer than two lines of measurements");
            }
        }
        return new Reading(bad.isNone() ? Optional.of(file()) : Optional.empty(), size, bad.kept(), bad.count());
    }

    private void take(long line, double time, double[] values) {
        if (size > 0 && time <= seconds[size - 1]) {
            if (Double.isNaN(setBackAt) && time < seconds[size - 1]) {
                setBackAt = seconds[size - 1];
                setBackTo = time;
            }
            leftOut++;
            return;
        }
        setBackIsOver();
        if (size == seconds.length) {
            seconds = Arrays.copyOf(seconds, size * 2);
            for (int i = 0; i < columns.length; i++) {
                columns[i] = Arrays.copyOf(columns[i], size * 2);
            }
        }
        seconds[size] = time;
        for (int i = 0; i < columns.length; i++) {
            columns[i][size] = values[i];
        }
        size++;
    }

    private void setBackIsOver() {
        if (leftOut == 0) {
            return;
        }
        note(
                Double.isNaN(setBackAt)
                        ? leftOut + " lines of a time that was there already were left out"
                        : "its clock was set back by " + span(setBackAt - setBackTo) + " at " + local(setBackAt) + ": "
                                + leftOut + " lines of a time that was there already were left out");
        leftOut = 0;
        setBackAt = Double.NaN;
    }

    private void note(String text) {
        if (notes.size() < MOST_NOTES) {
            notes.add(text);
        }
    }

    private LoggerFile file() {
        Map<Meaning, double[]> measured = new EnumMap<>(Meaning.class);
        Map<String, double[]> contacts = new LinkedHashMap<>();
        for (int i = 0; i < columns.length; i++) {
            Column column = layout.columns().get(i);
            double[] values = Arrays.copyOf(columns[i], size);
            if (column.meaning() == Meaning.CONTACT) {
                contacts.put(column.part().orElse("contact-" + (column.index() + 1)), values);
            } else {
                measured.put(column.meaning(), perSecond(column, values));
            }
        }
        noteGaps(new LoggerFile(Arrays.copyOf(seconds, size), measured, contacts, List.of()));
        return new LoggerFile(Arrays.copyOf(seconds, size), measured, contacts, notes);
    }

    /** Sums over a step become means of it; the last step is as long as the one before. */
    private double[] perSecond(Column column, double[] values) {
        for (int i = 0; i < values.length && column.unit().isPerStep(); i++) {
            int from = Math.min(i, values.length - 2);
            values[i] /= seconds[from + 1] - seconds[from];
        }
        return values;
    }

    private void noteGaps(LoggerFile file) {
        double usual = file.usualSeconds();
        int gaps = 0;
        for (int i = 0; i + 1 < size; i++) {
            double step = seconds[i + 1] - seconds[i];
            if (LoggerFile.isGap(step, usual)) {
                gaps++;
                note("nothing for " + span(step) + " from " + local(seconds[i]) + " on");
            }
        }
        if (gaps > 1) {
            note(gaps + " gaps in all");
        }
    }

    private String local(double at) {
        return Instant.ofEpochSecond((long) at)
                .atZone(zone)
                .toLocalDateTime()
                .truncatedTo(ChronoUnit.MINUTES)
                .toString()
                .replace('T', ' ');
    }

    private static String span(double length) {
        if (length >= 2 * Standard.DAY) {
            return Math.round(length / Standard.DAY) + " days";
        }
        return length >= 2 * Standard.HOUR
                ? Math.round(length / Standard.HOUR) + " h"
                : Math.round(length / 60) + " min";
    }
}
