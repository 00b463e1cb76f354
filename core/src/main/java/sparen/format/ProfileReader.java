package sparen.format;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import sparen.table.BadLine;
import sparen.table.BadLines;
import sparen.table.Detection;
import sparen.table.FileKind;
import sparen.table.Layout;
import sparen.table.Meaning;
import sparen.table.TableReader;
import sparen.table.TimeFormat;

/**
 * Reads a consumption profile: times and powers, laid out in any way. Power stays from each line to the next; where nothing was
 * measured that of before stays, no longer than the layout says.
 */
public final class ProfileReader {
    /** The most lines taken. */
    public static final int MOST_LINES = 2_000_000;

    /** The highest power taken (W). */
    public static final double MOST_WATTS = 1e6;

    private static final double SPAN_OF_ONE_LINE = 86_400;

    private final Layout layout;
    private final BadLines bad = new BadLines();
    private final boolean clock;
    private final boolean perStep;
    private double[] seconds = new double[1024];
    private double[] watts = new double[1024];
    private int size;
    private double first;
    private double unknownSince = Double.NaN;

    private ProfileReader(Layout layout) {
        this.layout = layout;
        clock = layout.time().kind() != TimeFormat.Kind.SECONDS;
        int power = layout.indexOf(Meaning.POWER);
        perStep = power >= 0 && layout.columns().get(power).unit().isPerStep();
    }

    /**
     * What was found.
     *
     * @param profile present when every line was good
     * @param lines how many good lines
     * @param badLines the first {@value BadLines#KEPT} of the refused lines
     * @param badLineCount how many were refused
     */
    public record Reading(Optional<Profile> profile, int lines, List<BadLine> badLines, int badLineCount) {}

    /**
     * Reads a whole file as its layout is found out.
     *
     * @param text its content
     * @param zone of times without offset
     */
    public static Reading read(String text, ZoneId zone) {
        return read(text, Detection.of(text, FileKind.CONSUMPTION).layout(), zone);
    }

    /**
     * Reads a whole file by a layout.
     *
     * @param text its content
     * @param zone of times without offset, where the layout has no other
     */
    public static Reading read(String text, Layout layout, ZoneId zone) {
        return new ProfileReader(layout).readAll(text.startsWith("\uFEFF") ? text.substring(1) : text, zone);
    }

    private Reading readAll(String text, ZoneId zone) {
        int power = layout.indexOf(Meaning.POWER);
        if (text.isBlank()) {
            bad.refuse(1, "the file has no line with time and power");
        } else if (power < 0) {
            bad.refuse(1, "no column is the power: say which");
        } else {
            try {
                TableReader.read(
                        new StringReader(text),
                        layout,
                        zone,
                        MOST_LINES,
                        bad,
                        (line, time, values) -> take(line, time, values[power]));
            } catch (IOException impossible) {
                throw new UncheckedIOException("reading from memory", impossible);
            }
            if (size == 0 && bad.isNone()) {
                bad.refuse(1, "the file has no line with time and power");
            }
        }
        Optional<Profile> profile = bad.isNone() ? Optional.of(profile()) : Optional.empty();
        return new Reading(profile, size, bad.kept(), bad.count());
    }

    private void take(long line, double time, double power) {
        if (size > 0 && time <= first + seconds[size - 1]) {
            bad.refuse(line, "its time is not after the line before");
            return;
        }
        if (Double.isNaN(power)) {
            unknownSince = Double.isNaN(unknownSince) ? time : unknownSince;
            return;
        }
        if (time - unknownSince > layout.longestGapSeconds()) {
            bad.refuse(
                    line,
                    "no power is known for " + Math.round((time - unknownSince) / 3600) + " h before it; at most "
                            + Math.round(layout.longestGapSeconds() / 3600) + " h are bridged");
        }
        unknownSince = Double.NaN;
        append(time, power);
    }

    private void append(double time, double power) {
        if (size == 0) {
            first = time;
        }
        if (size == seconds.length) {
            seconds = Arrays.copyOf(seconds, size * 2);
            watts = Arrays.copyOf(watts, size * 2);
        }
        seconds[size] = time - first;
        watts[size++] = power;
    }

    private Profile profile() {
        double last = seconds[size - 1];
        double span = size == 1 ? SPAN_OF_ONE_LINE : last + (last - seconds[size - 2]);
        double[] powers = Arrays.copyOf(watts, size);
        for (int i = 0; i < size && perStep; i++) {
            powers[i] /= (i + 1 < size ? seconds[i + 1] : span) - seconds[i];
        }
        return new Profile(
                clock ? Optional.of(Instant.ofEpochMilli(Math.round(first * 1000))) : Optional.empty(),
                Arrays.copyOf(seconds, size),
                powers,
                span);
    }
}
