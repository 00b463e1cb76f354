package sparen.table;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.format.LoggerFile;
import sparen.format.LoggerReader;
import sparen.quantity.InvalidQuantity;

/** Files as loggers, offices and weather services write them: each is found out by itself, and says the same numbers. */
public class DialectsTest {
    private static final ZoneId OSLO = ZoneId.of("Europe/Oslo");

    /** A file, what it is, and its first line of data: when (UTC) and what, in the units that are reckoned with, in the order found. */
    @DataProvider
    public Object[][] dialects() {
        return new Object[][] {
            {
                "ISO",
                FileKind.LOGGER,
                "time,volts,amps\n2026-01-31T14:05,25.3,-4\n2026-01-31T14:06,25.2,-4.1\n",
                "2026-01-31T13:05:00Z",
                List.of("BATTERY_VOLTS 25.3", "BATTERY_AMPERES -4.0")
            },
            {
                "a blank in it, an offset",
                FileKind.LOGGER,
                "Timestamp;Battery voltage [V]\n2026-01-31 14:05:00+02:00;25,3\n2026-01-31 14:06:00+02:00;25,2\n",
                "2026-01-31T12:05:00Z",
                List.of("BATTERY_VOLTS 25.3")
            },
            {
                "columns set with blanks",
                FileKind.LOGGER,
                "  date       time   volts    amps\n  2026-01-31 14:05  25.30   -4.2  \n  2026-01-31 14:10   9.28  -14.4\n",
                "2026-01-31T13:05:00Z",
                List.of("BATTERY_VOLTS 25.3", "BATTERY_AMPERES -4.2")
            },
            {
                "points between, comma decimals",
                FileKind.LOGGER,
                "Dato;U bat (V);I bat (A);SOC (%)\n31.01.2026 14:05;25,30;-4,2;81\n31.01.2026 14:10;25,28;-4,4;80\n",
                "2026-01-31T13:05:00Z",
                List.of("CHARGE 0.81", "BATTERY_VOLTS 25.3", "BATTERY_AMPERES -4.2")
            },
            {
                "short years and a heading of two lines",
                FileKind.LOGGER,
                "Date/Time;Battery;PV power;Load power\n;V;kW;W\n31.01.26 14:05:10;25,30;1,25;88\n31.01.26 14:06:10;25,31;1,20;90\n",
                "2026-01-31T13:05:10Z",
                List.of("ARRAY_WATTS 1250.0", "LOAD_WATTS 88.0", "BATTERY_VOLTS 25.3")
            },
            {
                "month first, AM and PM",
                FileKind.LOGGER,
                "Time,Volts\n1/31/2026 2:05 PM,12.61\n1/31/2026 2:10 PM,12.60\n",
                "2026-01-31T13:05:00Z",
                List.of("BATTERY_VOLTS 12.61")
            },
            {
                "day first, by what follows",
                FileKind.LOGGER,
                "Time,Volts\n01/02/2026 23:50,12.61\n01/02/2026 23:55,12.60\n02/02/2026 00:00,12.60\n",
                "2026-02-01T22:50:00Z",
                List.of("BATTERY_VOLTS 12.61")
            },
            {
                "date and time apart",
                FileKind.LOGGER,
                "Date,Time,Battery (V)\n2026-01-31,14:05,12.61\n2026-01-31,14:10,12.60\n",
                "2026-01-31T13:05:00Z",
                List.of("BATTERY_VOLTS 12.61")
            },
            {
                "date and time apart, AM and PM",
                FileKind.LOGGER,
                "Date\tClock\tVdc\n01/31/2026\t02:05:00 PM\t12.61\n01/31/2026\t02:06:00 PM\t12.60\n",
                "2026-01-31T13:05:00Z",
                List.of("BATTERY_VOLTS 12.61")
            },
            {
                "epoch seconds",
                FileKind.LOGGER,
                "unix,vbat,ibat\n1769864700,12.61,0.4\n1769864760,12.60,0.4\n",
                "2026-01-31T13:05:00Z",
                List.of("BATTERY_VOLTS 12.61", "BATTERY_AMPERES 0.4")
            },
            {
                "epoch milliseconds, millivolts",
                FileKind.LOGGER,
                "ts;battery mV;current mA\n1769864700000;12610;-400\n1769864760000;12600;-410\n",
                "2026-01-31T13:05:00Z",
                List.of("BATTERY_VOLTS 12.61", "BATTERY_AMPERES -0.4")
            },
            {
                "year, month, day, hour, minute",
                FileKind.LOGGER,
                "Year,Month,Day,Hour,Minute,Battery voltage\n2026,1,31,14,5,12.61\n2026,1,31,14,6,12.60\n",
                "2026-01-31T13:05:00Z",
                List.of("BATTERY_VOLTS 12.61")
            },
            {
                "date run together",
                FileKind.WEATHER,
                "time(UTC),GHI,T2m\n20260131:1405,180.5,-3.25\n20260131:1505,90,-3.5\n",
                "2026-01-31T13:05:00Z",
                List.of("GLOBAL_LIGHT 180.5", "AIR_CELSIUS -3.25")
            },
            {
                "months by name",
                FileKind.LOGGER,
                "Logged;Voltage\n31-Jan-2026 14:05;12.61\n31-Jan-2026 14:06;12.60\n",
                "2026-01-31T13:05:00Z",
                List.of("BATTERY_VOLTS 12.61")
            },
            {
                "lines before and after",
                FileKind.LOGGER,
                "Logger 4711;;\nPeriod;1 min;\n\nDate;Bank V;Bank A\n2026-01-31 14:05;25,3;-4\n2026-01-31 14:06;25,2;-4\nEnd of report\nLines: 2\n",
                "2026-01-31T13:05:00Z",
                List.of("BATTERY_VOLTS 25.3", "BATTERY_AMPERES -4.0")
            },
            {
                "separators at the end, quotes",
                FileKind.LOGGER,
                "\"time\",\"volts\",\n\"2026-01-31 14:05\",\"25.3\",\n\"2026-01-31 14:06\",\"25.2\",\n",
                "2026-01-31T13:05:00Z",
                List.of("BATTERY_VOLTS 25.3")
            },
            {
                "thousands with a point",
                FileKind.CONSUMPTION,
                "Tid;Effekt W\n31.01.2026 14:00;1.250,5\n31.01.2026 15:00;80,25\n",
                "2026-01-31T13:00:00Z",
                List.of("POWER 1250.5")
            },
            {
                "thousands with a comma, in quotes",
                FileKind.CONSUMPTION,
                "time,power (W)\n2026-01-31 14:00,\"1,250.5\"\n2026-01-31 15:00,80.25\n",
                "2026-01-31T13:00:00Z",
                List.of("POWER 1250.5")
            },
            {
                "energy a step",
                FileKind.CONSUMPTION,
                "time;consumption kWh\n2026-01-31 14:00;0,25\n2026-01-31 15:00;0,5\n",
                "2026-01-31T13:00:00Z",
                List.of("POWER 900000.0")
            },
            {
                "light each in its own unit",
                FileKind.WEATHER,
                "time;ghi [kJ/m²];dhi [Wh/m²];Module temp;Air temp [°F]\n2026-06-01 12:00;1800;100;55;50\n2026-06-01 13:00;1800;100;55;50\n",
                "2026-06-01T10:00:00Z",
                List.of("DIFFUSE_LIGHT 360000.0", "GLOBAL_LIGHT 1800000.0", "AIR_CELSIUS 10.0")
            },
            {
                "a bar between, on and off",
                FileKind.LOGGER,
                "when|battery volts|battery temperature|ambient temperature\n2026/01/31 14:05|25.3|11.5|-4\n2026/01/31 14:06|25.2|11.5|-4\n",
                "2026-01-31T13:05:00Z",
                List.of("BATTERY_CELSIUS 11.5", "BATTERY_VOLTS 25.3", "AIR_CELSIUS -4.0")
            },
            {
                "daily figures",
                FileKind.DAILY,
                "Day;Min battery voltage;Max battery voltage;Yield Wh;Consumed Wh\n2026-01-30;24,1;28,8;5400;5100\n2026-01-31;23,9;27,2;900;4800\n",
                "2026-01-29T23:00:00Z",
                List.of("LOWEST_VOLTS 24.1", "HIGHEST_VOLTS 28.8", "ENERGY_IN 5400.0", "ENERGY_OUT 5100.0")
            },
            {
                "without a heading",
                FileKind.CONSUMPTION,
                "2026-01-31T14:00;120\n2026-01-31T15:00;80\n",
                "2026-01-31T13:00:00Z",
                List.of("POWER 120.0")
            },
        };
    }

    @Test(dataProvider = "dialects")
    public void eachIsFoundOutByItself(String name, FileKind kind, String text, String first, List<String> values)
            throws IOException {
        Detection found = Detection.of(text, kind);
        assertEquals(rows(found.layout(), text).get(0), first + " " + values, name + ": " + found);
    }

    private static List<String> rows(Layout layout, String text) throws IOException {
        BadLines bad = new BadLines();
        List<String> rows = new ArrayList<>();
        TableReader.read(new StringReader(text), layout, OSLO, 1000, bad, (line, seconds, values) -> {
            List<String> told = new ArrayList<>();
            for (int i = 0; i < values.length; i++) {
                told.add(layout.columns().get(i).meaning() + " " + Math.round(values[i] * 1e6) / 1e6);
            }
            rows.add(Instant.ofEpochSecond((long) seconds) + " " + told);
        });
        assertTrue(bad.isNone(), bad.kept().toString());
        return rows;
    }

    /** Columns set with blanks are read whether they are ragged or end in some; a time with a blank is two columns. */
    @Test
    public void runsOfBlanksAreOne() throws IOException {
        String text = "date time volts\r\n2026-01-31    14:05   25.3  \r\n   2026-01-31 14:06   25.4\r\n";
        Layout layout = Detection.of(text, FileKind.LOGGER).layout();
        assertEquals(layout.separator(), " ");
        assertEquals(
                rows(layout, text),
                List.of("2026-01-31T13:05:00Z [BATTERY_VOLTS 25.3]", "2026-01-31T13:06:00Z [BATTERY_VOLTS 25.4]"));
        Layout semicolons = Detection.of(
                        text.replace("   25.", ";25.").replace("time volts", "time;volts"), FileKind.LOGGER)
                .layout();
        assertEquals(semicolons.separator(), ";", "blanks part columns where nothing else does");
    }

    /** What could be otherwise is said: which of two temperatures, and whether the day or the month is first. */
    @Test
    public void whatCouldBeOtherwiseIsSaid() {
        Detection two = Detection.of(
                "time,ghi,temp,temp 2\n2026-01-31T14:00,0,1,2\n2026-01-31T15:00,0,1,2\n", FileKind.WEATHER);
        assertEquals(two.layout().columns().get(1), Column.of(2, Meaning.AIR_CELSIUS, ColumnUnit.CELSIUS));
        assertTrue(two.notes().toString().contains("\"temp 2\" could be the temperature too"), two.toString());
        Detection order = Detection.of("Time,Volts\n01/02/2026 10:00,12.6\n01/02/2026 10:05,12.6\n", FileKind.LOGGER);
        assertTrue(order.notes().toString().contains("whether day or month comes first"), order.toString());
        Detection none = Detection.of("time;a;b\n2026-01-31 10:00;1;2\n2026-01-31 10:01;1;2\n", FileKind.CONSUMPTION);
        assertTrue(none.notes().toString().contains("which column is the power is not known"), none.toString());
    }

    /** The same text in every encoding, with and without a byte order mark. */
    @Test
    public void everyEncodingSaysTheSame() {
        String text = "Tid;Spänning [V];Batteritemperatur [°C]\n2026-01-31 14:05;25,3;11\n";
        Charset latin = Charset.forName("windows-1252");
        for (Charset charset : List.of(StandardCharsets.UTF_8, StandardCharsets.UTF_16LE, StandardCharsets.UTF_16BE)) {
            assertEquals(Encoding.text(text.getBytes(charset)), text, charset.name());
            assertEquals(Encoding.text(("\uFEFF" + text).getBytes(charset)), text, charset.name() + " with a mark");
        }
        assertEquals(Encoding.text(text.getBytes(latin)), text, "Latin-1");
    }

    /** A clock that keeps standard time all year goes through the night in which others go forward. */
    @Test
    public void standardTimeAllYear() throws IOException {
        String text = "time,volts\n2026-03-29T01:30,25\n2026-03-29T02:30,25\n2026-07-01T12:00,25\n";
        Layout layout = Detection.of(text, FileKind.LOGGER).layout();
        BadLines bad = new BadLines();
        TableReader.read(new StringReader(text), layout, OSLO, 10, bad, (line, seconds, values) -> {});
        assertTrue(
                bad.kept().get(0).reason().endsWith("Does its clock keep standard time all year?"),
                bad.kept().toString());
        List<String> rows = rows(layout.withStandardTimeAllYear(true), text);
        assertTrue(rows.get(1).startsWith("2026-03-29T01:30:00Z"), rows.get(1));
        assertTrue(rows.get(2).startsWith("2026-07-01T11:00:00Z"), rows.get(2));
    }

    /** A gap stays one, a clock that is set back repeats nothing, and both are told. */
    @Test
    public void gapsAndJumpsOfALoggersClockAreTold() {
        StringBuilder text = new StringBuilder("time,volts,amps\n");
        for (int minute = 0; minute < 30; minute++) {
            text.append(String.format(
                    Locale.ROOT, "2026-01-31T10:%02d,25.%d,%s%n", minute, minute % 10, minute == 5 ? "" : "-4"));
        }
        text.append("2026-01-31T10:20,26.0,-4\n2026-01-31T10:31,26.1,-4\n2026-01-31T15:31,26.2,-4\n");
        LoggerReader.Reading reading = LoggerReader.read(
                text.toString(), Detection.of(text.toString(), FileKind.LOGGER).layout(), OSLO);
        LoggerFile log = reading.log().orElseThrow();
        assertEquals(log.lines(), 32);
        assertTrue(Double.isNaN(log.column(Meaning.BATTERY_AMPERES).orElseThrow()[5]), "not measured is not zero");
        assertEquals(
                log.notes(),
                List.of(
                        "its clock was set back by 9 min at 2026-01-31 10:29: 1 lines of a time that was there already were left out",
                        "nothing for 5 h from 2026-01-31 10:31 on"));
        String autumn =
                "time,volts\n2026-10-25T01:30,25\n2026-10-25T02:30,25\n2026-10-25T02:30,24\n2026-10-25T03:30,24\n";
        LoggerFile night = LoggerReader.read(
                        autumn, Detection.of(autumn, FileKind.LOGGER).layout(), OSLO)
                .log()
                .orElseThrow();
        assertEquals(night.seconds()[3] - night.seconds()[0], 3 * 3600.0, "the hour that comes twice is two hours");
    }

    @DataProvider
    public Object[][] impossible() {
        Layout good = Detection.of("time,volts\n2026-01-31T14:05,25\n", FileKind.LOGGER)
                .layout();
        return new Object[][] {
            {(Runnable) () -> good.withSeparator(";;"), "separator: \";;\" must be one character"},
            {(Runnable) () -> good.withDecimal("x"), "decimal: \"x\" must be a point or a comma"},
            {(Runnable) () -> new TimeFormat(TimeFormat.Kind.PATTERN, List.of(0), "bb"), "pattern: \"bb\" is no pattern"
            },
            {
                (Runnable) () -> Column.of(1, Meaning.BATTERY_VOLTS, ColumnUnit.WATTS),
                "unit: W is no unit of battery voltage"
            },
            {
                (Runnable) () -> good.withLongestGapSeconds(1e9),
                "longestGapSeconds: 1000000000 s is outside 0 to 2678400 s"
            },
        };
    }

    @Test(dataProvider = "impossible")
    public void anImpossibleLayoutIsRefusedByName(Runnable made, String words) {
        InvalidQuantity refused = expectThrows(InvalidQuantity.class, made::run);
        assertFalse(refused.getMessage().isEmpty());
        assertTrue(refused.getMessage().startsWith(words), refused.getMessage());
    }
}
