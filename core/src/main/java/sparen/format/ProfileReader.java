package sparen.format;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.IOException;
import java.io.Reader;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Reads a consumption profile: two columns, time and power.
 *
 * <p>Time is seconds, or ISO 8601 with an offset, or without one (then local time of the given zone). Power is in watts, or in
 * kilowatts where the heading says kW. Columns are parted by semicolons, tabs or commas; with the first two a decimal comma may be
 * used. A heading line is optional.
 */
public final class ProfileReader {
    /** The most lines taken. */
    public static final int MOST_LINES = 2_000_000;

    /** The highest power taken (W). */
    public static final double MOST_WATTS = 1e6;

    private static final int BAD_LINES_TOLD = 50;
    private static final double SPAN_OF_ONE_LINE = 86_400;

    private final ZoneId zone;
    private final List<BadLine> bad = new ArrayList<>();
    private int badCount;
    private double[] seconds = new double[1024];
    private double[] watts = new double[1024];
    private int size;
    private boolean kilowatts;
    private boolean clock;
    private Instant first;
    private double firstSeconds;
    private TimeColumn times;

    private ProfileReader(ZoneId zone) {
        this.zone = zone;
    }

    /**
     * A line that was refused.
     *
     * @param line its number in the file, from 1
     * @param reason what is wrong with it
     */
    public record BadLine(long line, String reason) {}

    /**
     * What was found.
     *
     * @param profile present when every line was good
     * @param lines how many good lines
     * @param kilowatts whether the heading says kW; otherwise W was taken
     * @param separator what parts the columns
     * @param badLines the first {@value ProfileReader#BAD_LINES_TOLD} of the refused lines
     * @param badLineCount how many were refused
     */
    public record Reading(
            Optional<Profile> profile,
            int lines,
            boolean kilowatts,
            String separator,
            List<BadLine> badLines,
            int badLineCount) {}

    /**
     * Reads a whole file.
     *
     * @param text its content
     * @param zone of times without offset
     */
    public static Reading read(String text, ZoneId zone) {
        return new ProfileReader(zone).readAll(text.startsWith("\uFEFF") ? text.substring(1) : text);
    }

    private Reading readAll(String text) {
        char separator = separator(text);
        try (Reader reader = new StringReader(text);
                CsvReader<CsvRecord> csv = CsvReader.builder()
                        .fieldSeparator(separator)
                        .skipEmptyLines(true)
                        .allowExtraFields(true)
                        .allowMissingFields(true)
                        .ofCsvRecord(reader)) {
            boolean heading = true;
            for (CsvRecord line : csv) {
                if (!heading || !isHeading(line)) {
                    take(line);
                }
                heading = false;
            }
        } catch (CsvParseException broken) {
            refuse(size + badCount + 1L, "cannot be split into columns: " + broken.getMessage());
        } catch (IOException impossible) {
            throw new UncheckedIOException("reading from memory", impossible);
        }
        if (size == 0 && badCount == 0) {
            refuse(1, "the file has no line with time and power");
        }
        Optional<Profile> profile = badCount > 0 ? Optional.empty() : Optional.of(profile());
        return new Reading(profile, size, kilowatts, String.valueOf(separator), List.copyOf(bad), badCount);
    }

    private static char separator(String text) {
        String head = text.substring(0, Math.min(text.length(), 2000));
        return head.indexOf(';') >= 0 ? ';' : head.indexOf('\t') >= 0 ? '\t' : ',';
    }

    private boolean isHeading(CsvRecord line) {
        String last = line.getField(line.getFieldCount() - 1).strip();
        boolean words = !last.isEmpty() && Character.isLetter(last.charAt(0)) && !last.equalsIgnoreCase("nan");
        kilowatts = words && last.toLowerCase(Locale.ROOT).contains("kw");
        return words;
    }

    private void take(CsvRecord line) {
        long number = line.getStartingLineNumber();
        if (line.getFieldCount() != 2) {
            refuse(number, line.getFieldCount() + " columns; two are expected, time and power");
            return;
        }
        if (size == MOST_LINES) {
            refuse(number, "more than " + MOST_LINES + " lines");
            return;
        }
        double power = power(number, line.getField(1).strip());
        double time = time(number, line.getField(0).strip());
        if (!Double.isNaN(power) && !Double.isNaN(time)) {
            append(time, power);
        }
    }

    private double power(long line, String field) {
        double factor = kilowatts ? 1000 : 1;
        double value;
        try {
            value = Double.parseDouble(field.replace(',', '.')) * factor;
        } catch (NumberFormatException notANumber) {
            return refuse(line, "power \"" + field + "\" is not a number");
        }
        if (!(value >= 0 && value <= MOST_WATTS)) {
            return refuse(line, "power " + field + (kilowatts ? " kW" : " W") + " is outside 0 to 1000000 W");
        }
        return value;
    }

    private double time(long line, String field) {
        if (times == null) {
            clock = field.indexOf('-', 1) > 0 && field.length() >= 16;
            times = clock ? new TimeColumn.Clock(zone) : new TimeColumn.Seconds();
        }
        double previous = size == 0 ? Double.NEGATIVE_INFINITY : origin() + seconds[size - 1];
        try {
            double time = times.parse(field, previous);
            if (time <= previous) {
                return refuse(line, "time \"" + field + "\" is not after the line before");
            }
            return time;
        } catch (IllegalArgumentException wrong) {
            return refuse(line, wrong.getMessage());
        }
    }

    private double origin() {
        return clock ? first.toEpochMilli() / 1000.0 : firstSeconds;
    }

    private void append(double time, double power) {
        if (size == 0) {
            firstSeconds = time;
            first = clock ? Instant.ofEpochMilli(Math.round(time * 1000)) : null;
        }
        if (size == seconds.length) {
            seconds = Arrays.copyOf(seconds, size * 2);
            watts = Arrays.copyOf(watts, size * 2);
        }
        seconds[size] = time - origin();
        watts[size++] = power;
    }

    private double refuse(long line, String reason) {
        badCount++;
        if (bad.size() < BAD_LINES_TOLD) {
            bad.add(new BadLine(line, reason));
        }
        return Double.NaN;
    }

    private Profile profile() {
        double last = seconds[size - 1];
        double span = size == 1 ? SPAN_OF_ONE_LINE : last + (last - seconds[size - 2]);
        return new Profile(Optional.ofNullable(first), Arrays.copyOf(seconds, size), Arrays.copyOf(watts, size), span);
    }
}
