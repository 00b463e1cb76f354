package sparen.table;

import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

/**
 * How a file is laid out: found out, or said by a person.
 *
 * @param separator what parts the columns: one character; a blank stands for any run of blanks
 * @param decimal what stands before the decimals: a point or a comma
 * @param thousands what stands between the thousands: one character; absent for nothing
 * @param skippedLines before the heading, 0 to 200
 * @param headingLines that name the columns and their units, 0 to 5
 * @param footerLines after the last measurement, 0 to 200
 * @param width how many columns a line has, 1 to 500
 * @param time how times are written
 * @param zone of times without an offset; absent for the site's
 * @param standardTimeAllYear whether the clocks that wrote it never went forward in spring
 * @param stampsEnd whether a time is the end of its step, not the beginning
 * @param oneYear whether months of different years are taken as of one
 * @param columns that are taken
 * @param longestGapSeconds so long nothing may be known (s), 0 to 31 days: what is missing is filled by straight lines
 */
public record Layout(
        String separator,
        String decimal,
        Optional<String> thousands,
        int skippedLines,
        int headingLines,
        int footerLines,
        int width,
        TimeFormat time,
        Optional<String> zone,
        boolean standardTimeAllYear,
        boolean stampsEnd,
        boolean oneYear,
        List<Column> columns,
        double longestGapSeconds)
        implements LayoutWith {
    /** So long nothing may be known where nobody says otherwise (s); common practice, no source. */
    public static final double USUAL_GAP_SECONDS = 3 * 3600;

    private static final int MOST_LINES_AROUND = 200;
    private static final double LONGEST_GAP = 31 * 86_400.0;

    public Layout {
        separator = character("separator", separator);
        if (!".".equals(decimal) && !",".equals(decimal)) {
            throw new InvalidQuantity("decimal", "\"" + decimal + "\" must be a point or a comma");
        }
        thousands = Bounds.orEmpty(thousands).map(one -> character("thousands", one));
        Bounds.within("skippedLines", skippedLines, "lines", 0, MOST_LINES_AROUND);
        Bounds.within("headingLines", headingLines, "lines", 0, 5);
        Bounds.within("footerLines", footerLines, "lines", 0, MOST_LINES_AROUND);
        Bounds.within("width", width, "columns", 1, Column.MOST);
        Bounds.present("time", time);
        zone = Bounds.orEmpty(zone);
        zone.ifPresent(Layout::zoneOf);
        columns = Bounds.orNone(columns);
        Bounds.within("columns", columns.size(), "columns", 0, Column.MOST);
        Bounds.unique(
                "columns", columns.stream().map(one -> "column " + one.index()).toList());
        Bounds.unique(
                "columns",
                columns.stream()
                        .map(one -> one.meaning().words()
                                + one.part().map(id -> " " + id).orElse(""))
                        .toList());
        Bounds.within("longestGapSeconds", longestGapSeconds, 0, LONGEST_GAP);
    }

    private static String character(String field, String value) {
        if (Bounds.present(field, value).length() != 1) {
            throw new InvalidQuantity(field, "\"" + value + "\" must be one character");
        }
        return value;
    }

    private static ZoneId zoneOf(String id) {
        try {
            return ZoneId.of(id);
        } catch (DateTimeException unknown) {
            throw new InvalidQuantity("zone", "\"" + id + "\" is no time zone, such as Europe/Oslo or +01:00");
        }
    }

    /** The zone of its times at a site of a zone. */
    public ZoneId zoneAt(ZoneId site) {
        return zone.map(Layout::zoneOf).orElse(site);
    }

    /** Which of what a kind of file must hold is not among its columns. */
    public List<Meaning> missing(FileKind kind) {
        return kind.needed().stream().filter(one -> indexOf(one) < 0).toList();
    }

    /** Which of its columns, counted among those taken, holds something; −1 where none does. */
    public int indexOf(Meaning meaning) {
        for (int i = 0; i < columns.size(); i++) {
            if (columns.get(i).meaning() == meaning) {
                return i;
            }
        }
        return -1;
    }
}
