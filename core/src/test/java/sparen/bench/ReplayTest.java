package sparen.bench;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.Test;
import sparen.fit.RecordedMonth;
import sparen.format.LoggerFile;
import sparen.program.Mode;
import sparen.program.Plan;
import sparen.program.rule.SurplusBySoc;
import sparen.quantity.Fields;
import sparen.result.Event;
import sparen.simulation.Scenario;
import sparen.simulation.Simulation;
import sparen.site.BatteryMonitor;
import sparen.sun.Climate;
import sparen.sun.WeatherGenerator;
import sparen.table.Meaning;

/** What a program makes of recorded numbers; its radio opens at 11.3 V after 60 s and closes at 12.6 V after 300 s. */
public class ReplayTest {
    private static final Plan PLAN = RecordedMonth.plan(Optional.empty());

    /** Falls from 13 V to 11 V in two hours, and rises back in two: rows a minute. */
    private static LoggerFile valley(Map<String, double[]> contacts) {
        double[] seconds = new double[241];
        double[] volts = new double[241];
        for (int i = 0; i < 241; i++) {
            seconds[i] = RecordedMonth.START.getEpochSecond() + 60.0 * i;
            volts[i] = 11 + Math.abs(i - 120) / 60.0;
        }
        return new LoggerFile(seconds, Map.of(Meaning.BATTERY_VOLTS, volts), contacts, List.of());
    }

    /**
     * By hand: the straight line is at 11.3 V after 13 − 11.3 = 1.7 V of 1 V an hour, 6120 s, and it opens 60 s later; it is at 12.6 V again
     * 1.6 h after the bottom at 7200 s, 12,960 s, and closes 300 s later.
     */
    @Test
    public void switchesWhereTheRecordedLineCrossesItsLevels() {
        Replay replay = Replay.of(PLAN, valley(Map.of()));
        assertEquals(replay.events().size(), 2, replay.events().toString());
        Event opened = replay.events().get(0);
        Event closed = replay.events().get(1);
        assertEquals(opened.kind(), Event.Kind.OPENED);
        assertEquals(opened.seconds(), 6180, 0.01);
        assertEquals(closed.kind(), Event.Kind.CLOSED);
        assertEquals(closed.seconds(), 13_260, 0.01);
        Replay.OutputReplay radio = replay.outputs().get(0);
        assertEquals(radio.closings(), 1);
        assertEquals(radio.openSeconds(), 13_260 - 6180, 61);
        assertEquals(radio.recordedClosings(), Optional.empty());
        assertTrue(radio.cannotTell().isEmpty(), radio.toString());
    }

    /** The contact that was recorded stayed closed: the replay says from when on it would not have, and why. */
    @Test
    public void tellsWhereItFirstDiverges() {
        double[] closed = new double[241];
        Arrays.fill(closed, 1);
        Replay.OutputReplay radio = Replay.of(PLAN, valley(Map.of("radio-output", closed)))
                .outputs()
                .get(0);
        Replay.Divergence divergence = radio.divergence().orElseThrow();
        assertEquals(divergence.at(), Instant.parse("2026-09-20T01:43:00Z"), "6180 s, by the row of its minute");
        assertTrue(!divergence.wouldBeClosed() && divergence.reason().contains("11.3"), divergence.toString());
        assertEquals(radio.recordedClosings(), Optional.of(0));
    }

    /** A rule by a state of charge that nobody recorded cannot be replayed, and says so. */
    @Test
    public void saysWhatWasNotRecorded() {
        Plan bySoc = Fields.withAt(
                Fields.withAt(
                        Fields.withAt(
                                PLAN,
                                "site/monitors",
                                List.of(new BatteryMonitor(
                                        "monitor", "monitor", 200, 0.9, 0, 0, 1, 10, 14, 4, 60, List.of()))),
                        "program/outputs/radio-output/automatic",
                        new SurplusBySoc("monitor", 95, 60, 90, 60)),
                "program/outputs/radio-output/mode",
                Mode.BY_RULE);
        Replay.OutputReplay radio = Replay.of(bySoc, valley(Map.of())).outputs().get(0);
        assertEquals(radio.cannotTell(), List.of("reported charge monitor"));
    }

    /** A simulated month, recorded and replayed under its own program, switches as it did, each within five minutes: the voltage creeps past its levels. */
    @Test
    public void aRunReplaysAsItRan() {
        int minutes = RecordedMonth.DAYS * 1440;
        Simulation.Recorded run = Simulation.prepare(new Scenario(
                        PLAN,
                        RecordedMonth.START,
                        minutes * 60.0,
                        WeatherGenerator.generate(
                                PLAN.site().location(), RecordedMonth.START, minutes, Climate.atLatitude(62), 11),
                        Map.of()))
                .record(Simulation.Watch.NONE);
        List<Event> ran = run.result().events().stream()
                .filter(event -> event.subject().equals("radio-output"))
                .toList();
        List<Event> replayed = Replay.of(PLAN, RecordedMonth.truth(PLAN, 11)).events();
        assertTrue(ran.size() >= 4, "it switches: " + ran.size());
        assertEquals(replayed.size(), ran.size());
        for (int i = 0; i < ran.size(); i++) {
            assertEquals(replayed.get(i).kind(), ran.get(i).kind());
            assertEquals(replayed.get(i).seconds(), ran.get(i).seconds(), 300, "event " + i);
        }
    }
}
