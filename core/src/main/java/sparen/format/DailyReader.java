package sparen.format;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import sparen.quantity.InvalidQuantity;
import sparen.table.BadLine;
import sparen.table.BadLines;
import sparen.table.Layout;
import sparen.table.Meaning;
import sparen.table.TableReader;
import sparen.table.TimeFormat;

/** Reads the daily figures of a device: a line a day. */
public final class DailyReader {
    /** The most days taken: thirty years. */
    public static final int MOST_DAYS = 11_000;

    private final Layout layout;
    private final ZoneId zone;
    private final BadLines bad = new BadLines();
    private final Map<LocalDate, DailyFigure> days = new TreeMap<>();

    private DailyReader(Layout layout, ZoneId zone) {
        this.layout = layout;
        this.zone = layout.zoneAt(zone);
    }

    /**
     * What was found.
     *
     * @param days in their order; none when a line is bad
     * @param badLines the first {@value BadLines#KEPT} of the refused lines
     * @param badLineCount how many were refused
     */
    public record Reading(List<DailyFigure> days, List<BadLine> badLines, int badLineCount) {}

    /** Reads a whole file by a layout, of times in a zone where the layout has no other. */
    public static Reading read(String text, Layout layout, ZoneId zone) {
        DailyReader reader = new DailyReader(layout, zone);
        if (layout.indexOf(Meaning.LOWEST_VOLTS) < 0) {
            reader.bad.refuse(1, "no column is the lowest battery voltage: say which");
        } else if (layout.time().kind() == TimeFormat.Kind.SECONDS) {
            reader.bad.refuse(1, "no column tells the day: say which, and how it is written");
        } else {
            try {
                TableReader.read(new StringReader(text), layout, zone, MOST_DAYS, reader.bad, reader::take);
            } catch (IOException impossible) {
                throw new UncheckedIOException("reading from memory", impossible);
            }
            if (reader.days.isEmpty() && reader.bad.isNone()) {
                reader.bad.refuse(1, "the file has no day");
            }
        }
        return new Reading(
                reader.bad.isNone() ? new ArrayList<>(reader.days.values()) : List.of(),
                reader.bad.kept(),
                reader.bad.count());
    }

    private void take(long line, double time, double[] values) {
        LocalDate day = Instant.ofEpochSecond((long) time).atZone(zone).toLocalDate();
        if (Double.isNaN(values[layout.indexOf(Meaning.LOWEST_VOLTS)])) {
            return;
        }
        try {
            DailyFigure figure = new DailyFigure(
                    day,
                    values[layout.indexOf(Meaning.LOWEST_VOLTS)],
                    value(values, Meaning.HIGHEST_VOLTS),
                    value(values, Meaning.ENERGY_IN),
                    value(values, Meaning.ENERGY_OUT));
            if (days.putIfAbsent(day, figure) != null) {
                bad.refuse(line, day + " is there already");
            }
        } catch (InvalidQuantity wrong) {
            bad.refuse(line, wrong.getMessage());
        }
    }

    private Optional<Double> value(double[] values, Meaning meaning) {
        int column = layout.indexOf(meaning);
        return column < 0 || Double.isNaN(values[column]) ? Optional.empty() : Optional.of(values[column]);
    }
}
