package sparen.table;

import de.siegmar.fastcsv.reader.CsvRecord;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoField;
import java.time.temporal.TemporalAccessor;
import java.util.List;

/** Reads the times of a file by its layout. */
final class TimeReader {
    private static final double FARTHEST_SECONDS = 1e11;
    private static final int AFTER_DATE = 10;

    private final TimeFormat format;
    private final ZoneId zone;
    private final boolean standardTime;
    private final boolean oneYear;
    private final DateTimeFormatter formatter;
    private int firstYear;
    private boolean mixedYears;
    private double previous = Double.NEGATIVE_INFINITY;

    TimeReader(Layout layout, ZoneId site) {
        format = layout.time();
        zone = layout.zoneAt(site);
        standardTime = layout.standardTimeAllYear();
        oneYear = layout.oneYear();
        formatter = format.kind() == TimeFormat.Kind.PATTERN ? TimeFormat.formatter(format.pattern()) : null;
    }

    /** Whether months of different years were taken as of one. */
    boolean hasMixedYears() {
        return mixedYears;
    }

    /** The year all of it is taken as of; 0 where none is. */
    int year() {
        return oneYear ? firstYear : 0;
    }

    /**
     * The time of a line (s), since 1 January 1970 or since the beginning of the file.
     *
     * @throws IllegalArgumentException saying what is wrong, with valid examples
     */
    double read(CsvRecord line) {
        double time =
                switch (format.kind()) {
                    case SECONDS -> seconds(field(line), 1);
                    case EPOCH_SECONDS -> seconds(field(line), 1);
                    case EPOCH_MILLISECONDS -> seconds(field(line), 0.001);
                    case ISO -> iso(field(line));
                    case PATTERN -> byPattern(field(line));
                    case PARTS -> parts(line);
                };
        previous = time;
        return time;
    }

    private String field(CsvRecord line) {
        List<Integer> columns = format.columns();
        String first = line.getField(columns.get(0)).strip();
        return columns.size() == 1
                ? first
                : first + " " + line.getField(columns.get(1)).strip();
    }

    private static double seconds(String field, double factor) {
        try {
            double seconds = Numbers.parse(field.replace(',', '.')) * factor;
            if (Math.abs(seconds) <= FARTHEST_SECONDS) {
                return seconds;
            }
        } catch (NumberFormatException notANumber) {
            throw new IllegalArgumentException(
                    "time \"" + field + "\" is neither seconds (0, 60, 120.5) nor ISO 8601 (2026-01-31T14:05)",
                    notANumber);
        }
        throw new IllegalArgumentException("time \"" + field + "\" is outside -1e11 to 1e11 s");
    }

    private double iso(String field) {
        try {
            String iso = field.length() > AFTER_DATE && field.charAt(AFTER_DATE) == ' '
                    ? field.substring(0, AFTER_DATE) + 'T' + field.substring(AFTER_DATE + 1)
                    : field;
            if (iso.length() == AFTER_DATE) {
                return local(LocalDate.parse(iso).atStartOfDay(), field);
            }
            return hasOffset(iso) ? seconds(OffsetDateTime.parse(iso)) : local(LocalDateTime.parse(iso), field);
        } catch (DateTimeException wrong) {
            throw new IllegalArgumentException(
                    "time \"" + field + "\" is not ISO 8601, such as 2026-01-31T14:05 or 2026-01-31T14:05:00+01:00",
                    wrong);
        }
    }

    private static boolean hasOffset(String iso) {
        return iso.endsWith("Z") || iso.indexOf('+', AFTER_DATE) > 0 || iso.indexOf('-', AFTER_DATE) > 0;
    }

    private double byPattern(String field) {
        try {
            TemporalAccessor parsed = formatter.parse(field);
            if (parsed.isSupported(ChronoField.OFFSET_SECONDS)) {
                return seconds(OffsetDateTime.from(parsed));
            }
            LocalDateTime time = parsed.isSupported(ChronoField.HOUR_OF_DAY)
                    ? LocalDateTime.from(parsed)
                    : LocalDate.from(parsed).atStartOfDay();
            return local(time, field);
        } catch (DateTimeException wrong) {
            throw new IllegalArgumentException("time \"" + field + "\" is not like " + format.pattern(), wrong);
        }
    }

    private double parts(CsvRecord line) {
        int[] parts = new int[5];
        for (int i = 0; i < format.columns().size(); i++) {
            String field = line.getField(format.columns().get(i)).strip();
            try {
                parts[i] = (int) Numbers.parse(field);
            } catch (NumberFormatException notANumber) {
                throw new IllegalArgumentException("date or hour \"" + field + "\" is not a number", notANumber);
            }
        }
        try {
            LocalDate day = LocalDate.of(year(parts[0]), parts[1], parts[2]);
            if (parts[3] < 0 || parts[3] > 24) {
                throw new DateTimeException("hour " + parts[3] + " is outside 0 to 24 h");
            }
            return local(
                    day.atStartOfDay().plusHours(parts[3]).plusMinutes(parts[4]),
                    line.getFields().toString());
        } catch (DateTimeException wrong) {
            throw new IllegalArgumentException("no day or hour of the year: " + wrong.getMessage(), wrong);
        }
    }

    private int year(int year) {
        firstYear = firstYear == 0 ? year : firstYear;
        mixedYears |= oneYear && year != firstYear;
        return oneYear ? firstYear : year;
    }

    private double local(LocalDateTime time, String field) {
        if (standardTime) {
            return seconds(time.atOffset(zone.getRules().getStandardOffset(time.toInstant(ZoneOffset.UTC))));
        }
        List<ZoneOffset> offsets = zone.getRules().getValidOffsets(time);
        if (offsets.isEmpty()) {
            throw new IllegalArgumentException("time \"" + field + "\" does not exist in " + zone
                    + ": the clocks go forward over it. Does its clock keep standard time all year?");
        }
        double earlier = seconds(time.atOffset(offsets.get(0)));
        return offsets.size() == 1 || earlier > previous ? earlier : seconds(time.atOffset(offsets.get(1)));
    }

    private static double seconds(OffsetDateTime time) {
        return time.toEpochSecond() + time.getNano() / 1e9;
    }
}
