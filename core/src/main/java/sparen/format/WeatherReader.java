package sparen.format;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.Reader;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import sparen.quantity.Standard;
import sparen.table.BadLine;
import sparen.table.BadLines;
import sparen.table.Detection;
import sparen.table.FileKind;
import sparen.table.Layout;
import sparen.table.Meaning;
import sparen.table.TableReader;
import sparen.table.TimeFormat;

/**
 * Reads weather, laid out in any way: global light and temperature, and diffuse light where it is known; else light is decomposed by
 * Erbs. A file is read line by line and taken whole or refused whole.
 *
 * <p>Steps are equal, of 1 to 60 minutes. A stamp in the middle of its step (half-hour stamps of hourly values) is moved to its
 * beginning, one at the end where the layout says so.
 */
public final class WeatherReader {
    /** The most lines taken: two years of minutes and some. */
    public static final int MOST_LINES = 1_100_000;

    private static final int CHARACTERS_LOOKED_AT = 200_000;

    private final Layout layout;
    private final BadLines bad = new BadLines();
    private final List<String> notes = new ArrayList<>();
    private final int ghi;
    private final int dhi;
    private final int warm;
    private long[] lines = new long[10_000];
    private double[] times = new double[10_000];
    private double[] global = new double[10_000];
    private double[] diffuse = new double[10_000];
    private double[] celsius = new double[10_000];
    private int size;

    private WeatherReader(Layout layout) {
        this.layout = layout;
        ghi = layout.indexOf(Meaning.GLOBAL_LIGHT);
        dhi = layout.indexOf(Meaning.DIFFUSE_LIGHT);
        warm = layout.indexOf(Meaning.AIR_CELSIUS);
    }

    /**
     * What was found.
     *
     * @param weather present when the file was good
     * @param lines how many good lines
     * @param badLines the first {@value BadLines#KEPT} of what was refused
     * @param badLineCount how many were refused
     */
    public record Reading(Optional<WeatherFile> weather, int lines, List<BadLine> badLines, int badLineCount) {}

    /**
     * Reads a whole file as its layout is found out from its beginning.
     *
     * @param reader its content; read once, line by line
     * @param zone of times without offset
     * @throws IOException when the reader fails
     */
    public static Reading read(Reader reader, ZoneId zone) throws IOException {
        BufferedReader buffered = new BufferedReader(reader, CHARACTERS_LOOKED_AT);
        buffered.mark(CHARACTERS_LOOKED_AT);
        char[] head = new char[CHARACTERS_LOOKED_AT];
        int got = 0;
        for (int more = 0; more >= 0 && got < head.length; got += Math.max(more, 0)) {
            more = buffered.read(head, got, head.length - got);
        }
        buffered.reset();
        // The last line may be cut; a file's end is only looked at when all of it is there.
        String looked = new String(head, 0, got);
        Detection found = Detection.of(
                got == head.length ? looked.substring(0, looked.lastIndexOf('\n') + 1) : looked, FileKind.WEATHER);
        return read(buffered, found.layout(), zone);
    }

    /** Reads a whole file in memory by a layout. */
    public static Reading read(String text, Layout layout, ZoneId zone) {
        try {
            return read(new StringReader(text), layout, zone);
        } catch (IOException impossible) {
            throw new UncheckedIOException("reading from memory", impossible);
        }
    }

    /**
     * Reads a whole file by a layout.
     *
     * @param reader its content; read once, line by line
     * @param zone of times without offset, where the layout has no other
     * @throws IOException when the reader fails
     */
    public static Reading read(Reader reader, Layout layout, ZoneId zone) throws IOException {
        WeatherReader weather = new WeatherReader(layout);
        if (weather.canRead()) {
            weather.notes.addAll(TableReader.read(reader, layout, zone, MOST_LINES, weather.bad, weather::take));
        }
        return weather.finish();
    }

    private boolean canRead() {
        if (ghi < 0 || warm < 0) {
            bad.refuse(
                    1,
                    "no column is the "
                            + String.join(
                                    ", nor the ",
                                    layout.missing(FileKind.WEATHER).stream()
                                            .map(Meaning::words)
                                            .toList())
                            + ": say which");
        } else if (layout.time().kind() == TimeFormat.Kind.SECONDS) {
            bad.refuse(1, "no column tells the day and hour: say which, and how it is written");
        } else if (layout.oneYear() && layout.zone().isEmpty()) {
            bad.refuse(1, "the LOCATION line has no time zone in its ninth field: say which");
        }
        return bad.isNone();
    }

    private void take(long line, double time, double[] values) {
        if (size > 0 && time <= times[size - 1]) {
            bad.refuse(line, "its time is not after the line before: a repeated hour or a file out of order");
            return;
        }
        if (size == times.length) {
            lines = Arrays.copyOf(lines, size * 2);
            times = Arrays.copyOf(times, size * 2);
            global = Arrays.copyOf(global, size * 2);
            diffuse = Arrays.copyOf(diffuse, size * 2);
            celsius = Arrays.copyOf(celsius, size * 2);
        }
        lines[size] = line;
        times[size] = time;
        global[size] = values[ghi];
        diffuse[size] = dhi < 0 ? Double.NaN : values[dhi];
        celsius[size++] = values[warm];
    }

    private Reading finish() {
        if (size < 2 && bad.isNone()) {
            bad.refuse(1, "the file has fewer than two lines of weather");
        }
        Optional<WeatherFile> file = Optional.empty();
        if (bad.isNone()) {
            double step = Double.POSITIVE_INFINITY;
            for (int i = 1; i < size; i++) {
                step = Math.min(step, times[i] - times[i - 1]);
            }
            if (step < 60 || step > Standard.HOUR) {
                bad.refuse(2, "steps of " + step + " s; 60 to 3600 s are taken");
            } else {
                file = new WeatherSteps(layout, lines, times, size, step, bad, notes).put(global, diffuse, celsius);
            }
        }
        return new Reading(bad.isNone() ? file : Optional.empty(), size, bad.kept(), bad.count());
    }
}
