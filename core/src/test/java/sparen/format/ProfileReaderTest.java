package sparen.format;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.measure.Machine;

public class ProfileReaderTest {
    private static final ZoneId STOCKHOLM = ZoneId.of("Europe/Stockholm");

    @DataProvider
    public Object[][] spellings() {
        return new Object[][] {
            {"time,power\n2026-01-05T00:00Z,1500\n2026-01-05T00:01Z,20.5\n"},
            {"time;power kW\n2026-01-05T01:00+01:00;1,5\n2026-01-05T01:01+01:00;0,0205\n"},
            {"2026-01-05 01:00;1500\n2026-01-05 01:01;20,5"},
            {"\uFEFFtime\tpower in W\r\n2026-01-05T01:00:00\t1500\r\n2026-01-05T01:01:00\t20,5\r\n"},
        };
    }

    @Test(dataProvider = "spellings")
    public void readsEverySpellingAlike(String text) {
        Profile profile = ProfileReader.read(text, STOCKHOLM).profile().orElseThrow();
        assertEquals(profile.start(), Optional.of(Instant.parse("2026-01-05T00:00:00Z")));
        assertEquals(profile.seconds(), new double[] {0, 60});
        assertEquals(profile.watts(), new double[] {1500, 20.5}, 1e-9);
        assertEquals(profile.spanSeconds(), 120);
    }

    @Test
    public void readsSecondsAndRepeats() {
        Profile profile =
                ProfileReader.read("0,10\n600,30\n900,0\n", STOCKHOLM).profile().orElseThrow();
        assertEquals(profile.start(), Optional.empty());
        assertEquals(profile.spanSeconds(), 1200);
        assertEquals(profile.meanWatts(), (10.0 * 600 + 30 * 300) / 1200, 1e-12);
    }

    @DataProvider
    public Object[][] badLines() {
        return new Object[][] {
            {"0,1\n60\n", 2, "1 columns; 2 are expected"},
            {"0,1\n60,two\n", 2, "power \"two\" is not a number"},
            {"0,1\n60,\n20000,1\n", 3, "no power is known for 6 h before it; at most 3 h"},
            {"0,1\n60,-5\n", 2, "power -5 W is outside"},
            {"0,1\n60,1\n60,2\n", 3, "not after the line before"},
            {"time,power\n2026-01-05T00:00,1\nfive past,2\n2026-01-05T00:10,3\n", 3, "is not ISO 8601, such as"},
            {"time;power\n2026-03-29T01:59;1\n2026-03-29T02:30;2\n", 3, "the clocks go forward over it"},
            {"", 1, "no line with time and power"},
        };
    }

    @Test(dataProvider = "badLines")
    public void namesTheBadLineAndTakesNothing(String text, int line, String reason) {
        ProfileReader.Reading reading = ProfileReader.read(text, STOCKHOLM);
        assertTrue(reading.profile().isEmpty());
        assertEquals(reading.badLineCount(), 1);
        assertEquals(reading.badLines().get(0).line(), line);
        assertTrue(
                reading.badLines().get(0).reason().contains(reason),
                reading.badLines().toString());
    }

    /** In the night the clocks go back, 02:00 to 02:59 occurs twice: two hours of readings, not one. */
    @Test
    public void tellsTheRepeatedHourApart() {
        List<String> times = List.of("01:30", "02:00", "02:30", "02:00", "02:30", "03:00");
        StringBuilder text = new StringBuilder();
        times.forEach(time -> text.append("2026-10-25T").append(time).append(";5\n"));
        Profile profile =
                ProfileReader.read(text.toString(), STOCKHOLM).profile().orElseThrow();
        assertEquals(profile.seconds(), new double[] {0, 1800, 3600, 5400, 7200, 9000});
    }

    /** A year of minutes allocates less than twice what parsing its times and numbers alone does. */
    @Test
    public void readsAYearOfMinutesWithoutMuchAdo() {
        StringBuilder text = new StringBuilder("time;power\n");
        Instant start = Instant.parse("2026-01-01T00:00:00Z");
        int lines = 525_600;
        for (int i = 0; i < lines; i++) {
            text.append(start.plusSeconds(60L * i)).append(';').append(i % 97).append(",5\n");
        }
        String all = text.toString();
        long parsing = Machine.allocatedBytes(() -> {
            for (String line : all.split("\n")) {
                int separator = line.indexOf(';');
                if (Character.isDigit(line.charAt(0))) {
                    assertTrue(
                            OffsetDateTime.parse(line.substring(0, separator)).toEpochSecond()
                                            + Double.parseDouble(line.substring(separator + 1)
                                                    .replace(',', '.'))
                                    > 0);
                }
            }
        });
        ProfileReader.Reading[] reading = new ProfileReader.Reading[1];
        long whole = Machine.allocatedBytes(() -> reading[0] = ProfileReader.read(all, STOCKHOLM));
        assertEquals(reading[0].lines(), lines);
        assertEquals(reading[0].profile().orElseThrow().spanSeconds(), 365 * 86_400.0);
        assertTrue(whole < 2 * parsing, whole + " bytes against " + parsing);
    }
}
