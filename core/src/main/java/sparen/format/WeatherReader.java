package sparen.format;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.Reader;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Reads weather: EPW, or CSV with a heading that names its columns. A file is read line by line and taken whole or refused whole.
 *
 * <p>CSV: columns {@code time}, {@code ghi} (global on the level) and {@code temperature} are needed, {@code dhi} and {@code dni} are
 * taken where they are; without them light is decomposed by Erbs. Units stand in the heading: W/m² (or none), kW/m², kJ/m² and Wh/m²
 * a step; °C or °F. Times are ISO 8601 with an offset, or local time of the site. Steps are equal, of 1 to 60 minutes; a stamp in the
 * middle of its step (half-hour stamps of hourly values) is moved to its beginning.
 *
 * <p>EPW: hour 1 is the hour that ends at one o'clock; standard time all year; months may be of different years. Source: EnergyPlus
 * weather file format, from memory.
 */
public final class WeatherReader {
    /** The most lines taken: two years of minutes and some. */
    public static final int MOST_LINES = 1_100_000;

    private static final int BAD_LINES_TOLD = 50;
    private static final double MOST_WATTS = 1500;
    private static final double LONGEST_GAP_SECONDS = 3 * 3600;
    private static final int EPW_HEADER_LINES = 8;
    private static final double EPW_MISSING_LIGHT = 9999;
    private static final double EPW_MISSING_CELSIUS = 99.9;

    private final ZoneId zone;
    private final List<ProfileReader.BadLine> bad = new ArrayList<>();
    private final List<String> notes = new ArrayList<>();
    private int badCount;
    private boolean tooLong;
    private double[] times = new double[10_000];
    private double[] global = new double[10_000];
    private double[] diffuse = new double[10_000];
    private double[] celsius = new double[10_000];
    private int size;
    private boolean perStep;

    private WeatherReader(ZoneId zone) {
        this.zone = zone;
    }

    /**
     * What was found.
     *
     * @param weather present when the file was good
     * @param lines how many good lines
     * @param badLines the first 50 of what was refused
     * @param badLineCount how many were refused
     */
    public record Reading(
            Optional<WeatherFile> weather, int lines, List<ProfileReader.BadLine> badLines, int badLineCount) {}

    /**
     * Reads a whole file.
     *
     * @param reader its content; read once, line by line
     * @param zone of times without offset
     * @throws IOException when the reader fails
     */
    public static Reading read(Reader reader, ZoneId zone) throws IOException {
        BufferedReader buffered = new BufferedReader(reader);
        buffered.mark(64);
        char[] head = new char[8];
        int got = buffered.read(head);
        buffered.reset();
        boolean epw = got == head.length && new String(head).equals("LOCATION");
        WeatherReader weather = new WeatherReader(zone);
        if (epw) {
            weather.readEpw(buffered);
        } else {
            weather.readCsv(buffered);
        }
        return weather.finish();
    }

    private void readEpw(BufferedReader reader) throws IOException {
        String location = reader.readLine();
        String[] fields = location.split(",", -1);
        double offsetHours = fields.length > 8 ? number(1, "time zone", fields[8], -12, 14, "h") : Double.NaN;
        for (int i = 1; i < EPW_HEADER_LINES; i++) {
            reader.readLine();
        }
        if (Double.isNaN(offsetHours)) {
            refuse(1, "the LOCATION line has no time zone in its ninth field");
            return;
        }
        boolean mixedYears = false;
        int firstYear = 0;
        int line = EPW_HEADER_LINES;
        for (String text = reader.readLine(); text != null && !tooLong; text = reader.readLine()) {
            line++;
            if (text.isBlank()) {
                continue;
            }
            String[] f = text.split(",", -1);
            if (f.length < 16) {
                refuse(line, f.length + " columns; an EPW line has 35");
                continue;
            }
            try {
                int year = Integer.parseInt(f[0].strip());
                firstYear = firstYear == 0 ? year : firstYear;
                mixedYears |= year != firstYear;
                LocalDate day = LocalDate.of(firstYear, Integer.parseInt(f[1].strip()), Integer.parseInt(f[2].strip()));
                int hour = Integer.parseInt(f[3].strip());
                double time = day.atStartOfDay().toEpochSecond(ZoneOffset.UTC) + 3600.0 * (hour - 1 - offsetHours);
                double warmth = missing(number(line, "temperature", f[6], -80, 100, "°C"), EPW_MISSING_CELSIUS);
                double level = missing(number(line, "global light", f[13], 0, 1e4, "Wh/m²"), EPW_MISSING_LIGHT);
                double spread = missing(number(line, "diffuse light", f[15], 0, 1e4, "Wh/m²"), EPW_MISSING_LIGHT);
                take(line, time, level, spread, warmth);
            } catch (NumberFormatException | DateTimeException wrong) {
                refuse(line, "date or hour is not a number or no day of the year: " + wrong.getMessage());
            }
        }
        if (mixedYears) {
            notes.add("months of different years are taken as of " + firstYear);
        }
    }

    private static double missing(double value, double mark) {
        return value >= mark ? Double.NaN : value;
    }

    private void readCsv(Reader reader) {
        try (CsvReader<CsvRecord> csv = CsvReader.builder()
                .skipEmptyLines(true)
                .allowExtraFields(true)
                .allowMissingFields(true)
                .ofCsvRecord(reader)) {
            Columns columns = null;
            TimeColumn clock = new TimeColumn.Clock(zone);
            for (CsvRecord line : csv) {
                if (columns == null) {
                    columns = Columns.of(line);
                    if (!columns.missing.isEmpty()) {
                        refuse(1, "the heading has no column " + columns.missing + "; it needs time, ghi, temperature");
                        return;
                    }
                    continue;
                }
                takeCsv(line, columns, clock);
                if (tooLong) {
                    return;
                }
            }
        } catch (CsvParseException broken) {
            refuse(size + badCount + 1L, "cannot be split into columns: " + broken.getMessage());
        } catch (IOException broken) {
            refuse(size + badCount + 1L, "cannot be read: " + broken.getMessage());
        }
    }

    private void takeCsv(CsvRecord line, Columns columns, TimeColumn clock) {
        long number = line.getStartingLineNumber();
        if (line.getFieldCount() < columns.width) {
            refuse(number, line.getFieldCount() + " columns; the heading has " + columns.width);
            return;
        }
        double time;
        try {
            time = clock.parse(
                    line.getField(columns.time).strip(), size == 0 ? Double.NEGATIVE_INFINITY : times[size - 1]);
        } catch (IllegalArgumentException wrong) {
            refuse(number, wrong.getMessage());
            return;
        }
        double level = number(number, "ghi", line.getField(columns.ghi), 0, 1e7, columns.unit) * columns.lightFactor;
        double warmth = number(number, "temperature", line.getField(columns.temperature), -150, 150, "°");
        warmth = columns.fahrenheit ? (warmth - 32) / 1.8 : warmth;
        double spread = columns.dhi < 0
                ? Double.NaN
                : number(number, "dhi", line.getField(columns.dhi), 0, 1e7, columns.unit) * columns.lightFactor;
        if (Double.isNaN(level) || Double.isNaN(warmth)) {
            return;
        }
        perStep = columns.perStep;
        take(number, time, level, spread, warmth);
    }

    private void take(long line, double time, double level, double spread, double warmth) {
        if (size > 0 && time <= times[size - 1]) {
            refuse(line, "its time is not after the line before: a repeated hour or a file out of order");
            return;
        }
        if (!perStep && level > MOST_WATTS) {
            refuse(
                    line,
                    "global light of " + Math.round(level) + " W/m² is above " + (int) MOST_WATTS
                            + " W/m²: is the unit kJ/m² or Wh/m² a step? Say so in the heading, like ghi_kJ/m2");
            return;
        }
        if (size == MOST_LINES) {
            refuse(line, "more than " + MOST_LINES + " lines");
            tooLong = true;
            return;
        }
        if (size == times.length) {
            times = Arrays.copyOf(times, size * 2);
            global = Arrays.copyOf(global, size * 2);
            diffuse = Arrays.copyOf(diffuse, size * 2);
            celsius = Arrays.copyOf(celsius, size * 2);
        }
        times[size] = time;
        global[size] = level;
        diffuse[size] = spread;
        celsius[size++] = warmth;
    }

    private double number(long line, String name, String field, double least, double most, String unit) {
        try {
            double value = Double.parseDouble(field.strip());
            if (value >= least && value <= most) {
                return value;
            }
            return refuse(line, name + " " + field + " " + unit + " is outside " + least + " to " + most + " " + unit);
        } catch (NumberFormatException wrong) {
            return refuse(line, name + " \"" + field + "\" is not a number");
        }
    }

    private double refuse(long line, String reason) {
        badCount++;
        if (bad.size() < BAD_LINES_TOLD) {
            bad.add(new ProfileReader.BadLine(line, reason));
        }
        return Double.NaN;
    }

    private Reading finish() {
        if (size < 2 && badCount == 0) {
            refuse(1, "the file has fewer than two lines of weather");
        }
        WeatherFile file = badCount > 0 ? null : assemble();
        return new Reading(badCount > 0 ? Optional.empty() : Optional.of(file), size, List.copyOf(bad), badCount);
    }

    /** Puts the lines on equal steps; short gaps are filled by straight lines, longer ones refuse the file. */
    private WeatherFile assemble() {
        double step = Double.POSITIVE_INFINITY;
        for (int i = 1; i < size; i++) {
            step = Math.min(step, times[i] - times[i - 1]);
        }
        if (step < 60 || step > 3600) {
            refuse(2, "steps of " + step + " s; 60 to 3600 s are taken");
            return null;
        }
        double first = times[0];
        double middle = Math.floorMod((long) first, (long) step);
        if (middle != 0 && middle == step / 2) {
            notes.add("stamps in the middle of their steps are moved to the beginning");
            first -= middle;
        }
        int steps = (int) Math.round((times[size - 1] - times[0]) / step) + 1;
        double[] level = new double[steps];
        double[] spread = new double[steps];
        double[] warmth = new double[steps];
        int filled = 0;
        for (int i = 0; i < size; i++) {
            int at = (int) Math.round((times[i] - times[0]) / step);
            if (Math.abs(times[0] + at * step - times[i]) > 1) {
                refuse(i + 2L, "its time does not lie on steps of " + step + " s");
                return null;
            }
            double factor = perStep ? 1 / step : 1;
            level[at] = global[i] * factor;
            spread[at] = diffuse[i] * factor;
            warmth[at] = celsius[i];
            if (level[at] > MOST_WATTS) {
                refuse(
                        i + 2L,
                        "global light of " + Math.round(level[at]) + " W/m² as mean of its step is above "
                                + (int) MOST_WATTS + " W/m²: is the unit in the heading right?");
            }
            if (i > 0) {
                int before = (int) Math.round((times[i - 1] - times[0]) / step);
                if ((at - before - 1) * step > LONGEST_GAP_SECONDS) {
                    refuse(
                            i + 2L,
                            "a gap of " + Math.round((at - before - 1) * step / 3600)
                                    + " h before it; at most 3 h are filled");
                    return null;
                }
                for (int gap = before + 1; gap < at; gap++) {
                    double share = (gap - before) / (double) (at - before);
                    fill(level, gap, before, at, share);
                    fill(spread, gap, before, at, share);
                    fill(warmth, gap, before, at, share);
                    filled++;
                }
            }
        }
        int patched = patch(level, step) + patch(warmth, step);
        if (badCount > 0) {
            return null;
        }
        if (filled + patched > 0) {
            notes.add((filled + patched) + " missing values were filled by straight lines");
        }
        return new WeatherFile(
                Instant.ofEpochSecond(Math.round(first)), (int) Math.round(step), level, spread, warmth, notes);
    }

    private static void fill(double[] values, int gap, int before, int after, double share) {
        values[gap] = values[before] + share * (values[after] - values[before]);
    }

    /** Fills values that the file marks as missing; a missing stretch of more than three hours refuses the file. */
    private int patch(double[] values, double step) {
        int patched = 0;
        int before = -1;
        for (int i = 0; i < values.length; i++) {
            if (Double.isNaN(values[i])) {
                continue;
            }
            if (i - before > 1) {
                if ((i - before - 1) * step > LONGEST_GAP_SECONDS) {
                    refuse(i + 1L, "values are missing for more than 3 h before it");
                    return 0;
                }
                for (int gap = before + 1; gap < i; gap++) {
                    double share = (gap - before) / (double) (i - before);
                    values[gap] = before < 0 ? values[i] : values[before] + share * (values[i] - values[before]);
                    patched++;
                }
            }
            before = i;
        }
        for (int i = before + 1; i < values.length && before >= 0; i++) {
            values[i] = values[before];
            patched++;
        }
        if (before < 0) {
            refuse(1, "a column has no value at all");
        }
        return patched;
    }

    /** Which column holds what, and in which unit. */
    private static final class Columns {
        private int time = -1;
        private int ghi = -1;
        private int dhi = -1;
        private int temperature = -1;
        private int width;
        private double lightFactor = 1;
        private boolean perStep;
        private boolean fahrenheit;
        private String unit = "W/m²";
        private String missing = "";

        static Columns of(CsvRecord heading) {
            Columns columns = new Columns();
            columns.width = heading.getFieldCount();
            for (int i = 0; i < columns.width; i++) {
                columns.name(i, heading.getField(i).strip().toLowerCase(Locale.ROOT));
            }
            columns.missing = (columns.time < 0 ? "time " : "")
                    + (columns.ghi < 0 ? "ghi " : "")
                    + (columns.temperature < 0 ? "temperature" : "");
            return columns;
        }

        private void name(int i, String name) {
            if (name.startsWith("time") || name.startsWith("date")) {
                time = i;
            } else if (name.startsWith("ghi")) {
                ghi = i;
                takeUnit(name);
            } else if (name.startsWith("dhi")) {
                dhi = i;
            } else if (name.startsWith("temp")) {
                temperature = i;
                fahrenheit = name.contains("°f") || name.endsWith("_f") || name.contains("fahrenheit");
            }
        }

        private void takeUnit(String name) {
            if (name.contains("kj")) {
                lightFactor = 1000;
                perStep = true;
                unit = "kJ/m²";
            } else if (name.contains("kw") && !name.contains("kwh")) {
                lightFactor = 1000;
                unit = "kW/m²";
            } else if (name.contains("wh")) {
                lightFactor = name.contains("kwh") ? 3.6e6 : 3600;
                perStep = true;
                unit = "Wh/m²";
            }
        }
    }
}
