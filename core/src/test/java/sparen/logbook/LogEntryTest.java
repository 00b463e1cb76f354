package sparen.logbook;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.bench.DailyReplay;
import sparen.format.DailyFigure;
import sparen.format.DailyReader;
import sparen.program.FullSite;
import sparen.quantity.InvalidQuantity;
import sparen.table.Detection;
import sparen.table.FileKind;

/** What is written into the log of a site says, each number by hand. */
public class LogEntryTest {
    private static LogEntry entry(EntryKind kind, String part, Map<String, Double> numbers, Double... cells) {
        return new LogEntry(
                UUID.randomUUID(),
                kind,
                Instant.parse("2026-11-20T10:00:00Z"),
                Optional.ofNullable(part),
                numbers,
                List.of(cells),
                "");
    }

    @DataProvider
    public Object[][] said() {
        return new Object[][] {
            {
                entry(EntryKind.DEVICE_AGAINST_METER, "bus", Map.of("shown", 25.37, "meter", 25.3)),
                "It reads 0.07 V high.",
                true
            },
            {
                entry(EntryKind.DEVICE_AGAINST_METER, "bus", Map.of("shown", 25.28, "meter", 25.3)),
                "It reads 0.02 V low. That is within what a hand meter is right to.",
                false
            },
            // 10 K below 25 °C: 0.001 × 10 ÷ 1.67 = 0.006 lower; the lowest is the third.
            {
                entry(EntryKind.SPECIFIC_GRAVITY, null, Map.of("electrolyteCelsius", 15.0), 1.262, 1.258, 1.226),
                "At 25 °C 1.220 to 1.256 kg/l, cell 3 lowest; spread 0.036 kg/l. From 0.030 kg/l on a bank is equalized.",
                true
            },
            {
                entry(EntryKind.CELL_VOLTAGES, null, Map.of(), 2.11, 2.12, 2.10),
                "Mean 2.110 V, cell 3 lowest; spread 20 mV.",
                false
            },
            {
                entry(EntryKind.CELL_VOLTAGES, null, Map.of(), 3.33, 3.28, 3.32),
                "Mean 3.310 V, cell 2 lowest; spread 50 mV. Above 30 mV a bank is balanced or equalized.",
                true
            },
            {
                entry(EntryKind.CONTACT_TEMPERATURE, "radio", Map.of("contactCelsius", 71.0, "airCelsius", 12.0)),
                "59 K above the air. Look at its terminals and what it carries: terminals may rise by 65 K, no more.",
                true
            },
        };
    }

    @Test(dataProvider = "said")
    public void numbersSayWhatTheyMean(LogEntry entry, String words, boolean caution) {
        entry.mustFit(FullSite.PLAN);
        EntrySays says = EntrySays.of(entry);
        assertEquals(says.says(), words);
        assertEquals(says.isCaution(), caution);
    }

    @DataProvider
    public Object[][] wrong() {
        return new Object[][] {
            {(Runnable) () -> entry(EntryKind.FUEL_LEFT, "generator", Map.of()), "numbers.litres: is missing"},
            {
                (Runnable) () -> entry(EntryKind.FUEL_LEFT, "generator", Map.of("litres", -1.0)),
                "numbers.litres: -1 l is outside 0 to 100000 l"
            },
            {(Runnable) () -> entry(EntryKind.FUEL_LEFT, null, Map.of("litres", 1.0)), "part: is missing"},
            {(Runnable) () -> entry(EntryKind.NOTE, null, Map.of()), "note: 0 characters is outside 1 to 2000"},
            {
                (Runnable) () -> entry(EntryKind.SPECIFIC_GRAVITY, null, Map.of("electrolyteCelsius", 15.0), 12.6),
                "cells: 12.6 kg/l is outside 1 to 1.4 kg/l"
            },
            {(Runnable) () -> entry(EntryKind.BALANCED, null, Map.of(), 3.3), "cells: 1 cells is outside 0 to 0 cells"},
            {
                (Runnable)
                        () -> entry(EntryKind.SPARE_TRIED, "nobody", Map.of()).mustFit(FullSite.PLAN),
                "part: \"nobody\" is not one of"
            },
        };
    }

    @Test(dataProvider = "wrong")
    public void whatCannotBeIsRefusedByName(Runnable made, String words) {
        String message = expectThrows(InvalidQuantity.class, made::run).getMessage();
        assertTrue(message.startsWith(words), message);
    }

    /** A flooded bank is watered every 60 days, a lithium one never; what somebody has said goes before what is usual. */
    @Test
    public void upkeepIsDueByWhatWasDoneLast() {
        LocalDate done = LocalDate.of(2026, 11, 1);
        List<Upkeep> due = Upkeep.of(
                FullSite.PLAN,
                Map.of(EntryKind.FILTER_CLEANED, 30, EntryKind.FUEL_LEFT, 0),
                Map.of(EntryKind.WATER_ADDED, done, EntryKind.FILTER_CLEANED, done),
                LocalDate.of(2026, 6, 1));
        Upkeep water = due.stream()
                .filter(one -> one.kind() == EntryKind.WATER_ADDED)
                .findFirst()
                .orElseThrow();
        assertEquals(water, new Upkeep(EntryKind.WATER_ADDED, 60, true, Optional.of(done), LocalDate.of(2026, 12, 31)));
        Upkeep filter = due.stream()
                .filter(one -> one.kind() == EntryKind.FILTER_CLEANED)
                .findFirst()
                .orElseThrow();
        assertEquals(filter.due(), LocalDate.of(2026, 12, 1));
        assertTrue(
                !filter.isUsual() && due.stream().noneMatch(one -> one.kind() == EntryKind.FUEL_LEFT), due.toString());
        assertTrue(Upkeep.of(FullSite.LITHIUM, Map.of(), Map.of(), done).stream()
                .noneMatch(one -> one.kind() == EntryKind.WATER_ADDED));
    }

    /** Daily figures tell on which days a level was reached, and no more; the radio's LVD is 22.8 V, its LVR 25 V. */
    @Test
    public void dailyFiguresTellTheDaysOfALevel() {
        String text = "Day;Min V;Max V;Yield Wh\n30.01.2026;22,7;25,5;5400\n31.01.2026;23,1;24,8;\n";
        DailyReader.Reading reading = DailyReader.read(
                text,
                Detection.of(text, FileKind.DAILY).layout(),
                FullSite.PLAN.site().location().zone());
        assertEquals(
                reading.days().get(1),
                new DailyFigure(
                        LocalDate.of(2026, 1, 31), 23.1, Optional.of(24.8), Optional.empty(), Optional.empty()));
        List<DailyReplay> radio = DailyReplay.of(FullSite.PLAN, reading.days()).stream()
                .filter(one -> one.output().equals("radio"))
                .toList();
        assertEquals(radio.size(), 2, radio.toString());
        for (DailyReplay level : radio) {
            assertEquals(level.days(), List.of(LocalDate.of(2026, 1, 30)), level.toString());
        }
        assertTrue(DailyReader.read(
                        "Day;Min V;Max V\n30.01.2026;25;22\n",
                        Detection.of("Day;Min V;Max V\n30.01.2026;25;22\n", FileKind.DAILY)
                                .layout(),
                        FullSite.PLAN.site().location().zone())
                .badLines()
                .get(0)
                .reason()
                .contains("below the lowest of the day"));
    }
}
