package sparen.format;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.io.StringReader;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.table.BadLine;

/**
 * Files damaged at random, as by a broken card or a careless editor: each is either taken whole or refused with numbered lines and
 * reasons, never half taken, and never by an exception.
 */
public class DamagedFilesTest {
    private static final ZoneId ZONE = ZoneId.of("Europe/Oslo");
    private static final String[] RUBBISH = {"", "NaN", "-1e308", "much", "1,2,3,4", ";;", "\"", "\u0000", "1e999", "٣"
    };

    @DataProvider
    private Object[][] seeds() {
        Object[][] rows = new Object[80][];
        for (int seed = 0; seed < rows.length; seed++) {
            rows[seed] = new Object[] {seed};
        }
        return rows;
    }

    private static List<String> lines(String heading, String line) {
        List<String> lines = new ArrayList<>(List.of(heading));
        LocalDateTime time = LocalDateTime.parse("2026-01-01T00:00");
        for (int hour = 0; hour < 60; hour++) {
            lines.add(String.format(line, time.plusHours(hour)));
        }
        return lines;
    }

    /** Between one and four lines are replaced, repeated, cut, swapped or left out. */
    private static String damaged(List<String> good, Random random) {
        List<String> lines = new ArrayList<>(good);
        for (int times = 1 + random.nextInt(4); times > 0; times--) {
            int at = 1 + random.nextInt(lines.size() - 2);
            String line = lines.get(at);
            switch (random.nextInt(5)) {
                case 0 -> lines.set(at, line.substring(0, random.nextInt(line.length())));
                case 1 -> lines.add(at, line);
                case 2 -> lines.set(at, line.replaceFirst("[^,]*$", RUBBISH[random.nextInt(RUBBISH.length)]));
                case 3 -> lines.set(at, lines.set(at + 1, line));
                default -> lines.set(at, RUBBISH[random.nextInt(RUBBISH.length)]);
            }
        }
        return String.join("\n", lines);
    }

    @Test(dataProvider = "seeds")
    public void aProfileIsTakenWholeOrNotAtAll(int seed) {
        List<String> good = lines("time,power", "%s,20");
        ProfileReader.Reading reading = ProfileReader.read(damaged(good, new Random(seed)), ZONE);
        assertEquals(
                reading.profile().isPresent(),
                reading.badLineCount() == 0,
                reading.badLines().toString());
        told(reading.badLines(), reading.badLineCount());
        reading.profile().ifPresent(profile -> {
            assertEquals(profile.watts().length, reading.lines());
            for (double watts : profile.watts()) {
                assertTrue(watts >= 0 && watts <= ProfileReader.MOST_WATTS, watts + " W were taken");
            }
        });
    }

    @Test(dataProvider = "seeds")
    public void weatherIsTakenWholeOrNotAtAll(int seed) throws IOException {
        List<String> good = lines("time,ghi,temperature", "%s,120,4");
        WeatherReader.Reading reading = WeatherReader.read(new StringReader(damaged(good, new Random(seed))), ZONE);
        assertFalse(reading.weather().isEmpty() && reading.badLineCount() == 0, "refused without a reason");
        told(reading.badLines(), reading.badLineCount());
    }

    private static void told(List<BadLine> bad, int count) {
        assertTrue(bad.size() <= count, bad.size() + " of " + count);
        assertEquals(bad.isEmpty(), count == 0);
        long before = 0;
        for (BadLine line : bad) {
            assertFalse(line.reason().isBlank(), "line " + line.line());
            assertTrue(line.line() >= before, "in the order of the file: " + bad);
            before = line.line();
        }
    }
}
