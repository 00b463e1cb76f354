package sparen.format;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.IOException;
import java.io.Reader;
import java.io.StringReader;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.quantity.InvalidQuantity;
import sparen.site.Location;
import sparen.sun.ImportedWeather;
import sparen.sun.Weather;
import sparen.table.BadLine;

/** What becomes of good and of bad weather files; every outcome is stated. */
public class WeatherReaderTest {
    private static final ZoneId OSLO = ZoneId.of("Europe/Oslo");

    private static WeatherReader.Reading read(String text) throws IOException {
        return WeatherReader.read(new StringReader(text), OSLO);
    }

    /** Hourly lines from a local time on; light only at noon. */
    private static String hours(String heading, String first, int count, String line) {
        StringBuilder text = new StringBuilder(heading).append('\n');
        LocalDateTime time = LocalDateTime.parse(first);
        for (int i = 0; i < count; i++) {
            text.append(String.format(line, time.plusHours(i))).append('\n');
        }
        return text.toString();
    }

    @Test
    public void takesHoursOfLightAndKeepsTheirEnergy() throws IOException {
        String csv = hours("time,ghi,temperature", "2025-06-01T00:00", 48, "%s,200,12");
        WeatherFile file = read(csv).weather().orElseThrow();
        assertEquals(file.stepSeconds(), 3600);
        Location place = new Location(60, 10, 0, "Europe/Oslo");
        Instant start = Instant.parse("2025-05-31T22:00:00Z");
        Weather weather = ImportedWeather.of(file, place, start, 2 * 1440);
        double noon = 0;
        for (int i = 12 * 60; i < 13 * 60; i++) {
            noon += (weather.diffuseWatts()[i] + weather.beamWatts()[i] * weather.up()[i]) / 60;
        }
        assertEquals(noon, 200, 0.5, "mean of the hour at noon");
        assertEquals(weather.ambientCelsius()[100], 12.0);
    }

    /** Another year's weather is taken by month, day and hour; 29 February is the day before. */
    @Test
    public void anotherYearIsTakenByItsDay() throws IOException {
        WeatherFile file = read(hours("time,ghi,temperature", "2023-02-27T00:00", 72, "%s,0,5"))
                .weather()
                .orElseThrow();
        assertEquals(file.stepAt(Instant.parse("2024-02-27T11:30:00Z")), 12);
        assertEquals(file.stepAt(Instant.parse("2024-02-29T11:30:00Z")), 36, "the 28th");
        assertEquals(file.stepAt(Instant.parse("2024-07-01T00:00:00Z")), -1);
        InvalidQuantity none = expectThrows(
                InvalidQuantity.class,
                () -> ImportedWeather.of(
                        file, new Location(60, 10, 0, "UTC"), Instant.parse("2024-07-01T00:00:00Z"), 10));
        assertTrue(none.getMessage().contains("2024-07-01"), none.getMessage());
    }

    @DataProvider
    public Object[][] broken() {
        String good = "time,ghi,temperature\n";
        return new Object[][] {
            {"missing column", "time,temperature\n2025-01-01T00:00,1\n", 1, "no column is the global light"},
            {"words", good + "2025-01-01T00:00,0,1\n2025-01-01T01:00,zero,1\n", 3, "\"zero\" is not a number"},
            {"wrong unit", good + "2025-06-01T12:00,2900,1\n2025-06-01T13:00,0,1\n", 2, "is the unit right?"},
            {"repeated", good + "2025-01-01T00:00,0,1\n2025-01-01T00:00,0,1\n", 3, "not after the line before"},
            {"skipped by the clock", good + "2025-03-30T01:00,0,1\n2025-03-30T02:30,0,1\n", 3, "does not exist"},
            {
                "a long gap",
                good + "2025-01-01T00:00,0,1\n2025-01-01T01:00,0,1\n2025-01-01T08:00,0,1\n",
                4,
                "a gap of 6 h"
            },
            {"off its steps", good + "2025-01-01T00:00,0,1\n2025-01-01T01:00,0,1\n2025-01-01T02:10,0,1\n", 4, "steps of"
            },
            {"short line", good + "2025-01-01T00:00,0,1\n2025-01-01T01:00,0\n", 3, "2 columns; 3 are expected"},
            {"empty", good, 1, "fewer than two lines"},
        };
    }

    /** What is missing for too long is told at the line from which on it is known again, blank lines counted. */
    @Test
    public void theLineThatIsToldIsThatOfTheFile() throws IOException {
        StringBuilder text = new StringBuilder("station 7\n\ntime,ghi,temperature\n");
        for (int hour = 0; hour < 8; hour++) {
            text.append(String.format("2025-01-01T%02d:00,%s,3%n%n", hour, hour >= 1 && hour < 6 ? "" : "0"));
        }
        BadLine bad = read(text.toString()).badLines().get(0);
        assertEquals(bad.line(), 16, "hour 6, a blank line after each: " + bad);
        assertTrue(
                bad.reason().contains("light is missing for more than is filled before it; at most 3 h"), bad.reason());
    }

    @Test(dataProvider = "broken")
    public void refusesTheWholeFileAndNamesTheLine(String name, String text, long line, String words)
            throws IOException {
        WeatherReader.Reading reading = read(text);
        assertTrue(reading.weather().isEmpty(), name);
        BadLine bad = reading.badLines().get(0);
        assertEquals(bad.line(), line, name + ": " + bad);
        assertTrue(bad.reason().contains(words), bad.toString());
    }

    /** Gaps of up to three hours are filled and told; half-hour stamps are moved; the autumn's repeated hour is two hours. */
    @Test
    public void fillsShortGapsMovesMiddlesAndKnowsTheAutumn() throws IOException {
        WeatherFile gap =
                read("time,ghi,temperature\n2025-01-01T00:00,0,0\n2025-01-01T01:00,0,0\n2025-01-01T04:00,0,6\n")
                        .weather()
                        .orElseThrow();
        assertEquals(gap.celsius()[3], 4.0, 1e-12);
        assertEquals(
                gap.notes(), List.of("4 missing values were filled by straight lines"), "two hours, light and warmth");
        WeatherFile unmeasured =
                read("time,ghi,temperature\n2025-01-01T00:00,0,0\n2025-01-01T01:00,NaN,2\n2025-01-01T02:00,,4\n2025-01-01T03:00,300,6\n")
                        .weather()
                        .orElseThrow();
        assertEquals(unmeasured.globalWatts(), new double[] {0, 100, 200, 300}, 1e-9);
        WeatherFile middle = read(hours("time,ghi,temperature", "2025-01-01T00:30", 5, "%s,0,1"))
                .weather()
                .orElseThrow();
        assertEquals(middle.first(), Instant.parse("2024-12-31T23:00:00Z"));
        String autumn =
                "time,ghi,temperature\n2025-10-26T01:00,0,1\n2025-10-26T02:00,0,2\n2025-10-26T02:00,0,3\n2025-10-26T03:00,0,4\n";
        assertEquals(read(autumn).weather().orElseThrow().steps(), 4);
    }

    /** kJ/m² and Wh/m² of a step, and °F, by their headings. */
    @Test
    public void unitsStandInTheHeading() throws IOException {
        WeatherFile file = read(hours("time,ghi_kJ/m2,temperature_F", "2025-06-01T10:00", 3, "%s,1800,50"))
                .weather()
                .orElseThrow();
        assertEquals(file.globalWatts()[1], 500, 1e-9);
        assertEquals(file.celsius()[1], 10, 1e-9);
        WeatherFile minutes = read("time,ghi_Wh,temperature\n2025-06-01T10:00,5,1\n2025-06-01T10:01,5,1\n")
                .weather()
                .orElseThrow();
        assertEquals(minutes.globalWatts()[0], 300, 1e-9);
    }

    /** EPW: hour 1 ends at one o'clock of standard time; months of different years are one year; 9999 is missing. */
    @Test
    public void readsTheHoursOfAnEpwFile() throws IOException {
        StringBuilder epw = new StringBuilder("LOCATION,Nowhere,-,-,-,0,60.0,10.0,1.0,50.0\n");
        epw.append("x\n".repeat(7));
        for (int hour = 1; hour <= 24; hour++) {
            String year = hour < 13 ? "2004" : "1998";
            String light = hour == 5 ? "9999" : "100";
            epw.append(year)
                    .append(",3,1,")
                    .append(hour)
                    .append(",0,?,7.5,0,0,0,0,0,0,")
                    .append(light)
                    .append(",0,40")
                    .append(",0".repeat(19))
                    .append('\n');
        }
        WeatherFile file = read(epw.toString()).weather().orElseThrow();
        assertEquals(file.first(), Instant.parse("2004-02-29T23:00:00Z"), "0:00 of the standard time, an hour ahead");
        assertEquals(file.steps(), 24);
        assertEquals(file.diffuseWatts()[3], 40.0);
        assertEquals(file.globalWatts()[4], 100.0, "the missing hour is filled");
        assertTrue(file.notes().get(0).contains("as of 2004"), file.notes().toString());
        String noZone = epw.toString().replace(",60.0,10.0,1.0,50.0", "");
        assertTrue(read(noZone).badLines().get(0).reason().contains("no time zone"));
    }

    /** A hundred megabytes are read line by line and refused at the line that is too many, in little memory. */
    @Test
    public void aHugeFileIsRefusedWithoutHoldingIt() throws IOException {
        long[] handed = new long[1];
        Reader endless = new Reader() {
            private static final String HEADING = "time,ghi,temperature\n";
            private final LocalDateTime first = LocalDateTime.parse("2020-01-01T00:00");
            private String line = HEADING;
            private int at;
            private long given;
            private int number;

            @Override
            public int read(char[] into, int offset, int length) {
                if (given > 100_000_000L) {
                    return -1;
                }
                int count = 0;
                while (count < length) {
                    if (at == line.length()) {
                        line = first.plusMinutes(number++) + "Z,0,1.000000000000000000000000000000000000000\n";
                        at = 0;
                    }
                    into[offset + count++] = line.charAt(at++);
                }
                given += count;
                handed[0] = given;
                return count;
            }

            @Override
            public void close() {
                given = Long.MAX_VALUE;
            }
        };
        WeatherReader.Reading reading = WeatherReader.read(endless, OSLO);
        assertTrue(reading.weather().isEmpty());
        assertTrue(
                reading.badLines().get(0).reason().contains("more than 1100000 lines"),
                reading.badLines().get(0).toString());
        assertTrue(handed[0] < 75_000_000, handed[0] + " characters were read");
    }
}
