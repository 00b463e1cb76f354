package sparen.bench;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import sparen.format.LoggerFile;
import sparen.program.Plan;
import sparen.result.Event;
import sparen.setting.DeviceSettings;

/**
 * What a program would have switched on the voltages, charges and temperatures that were recorded: the program stands on the bench, and
 * the recorded numbers turn its knobs, in straight lines from row to row. Over a gap everything stands as it was. The battery answers to
 * what happened then, not to what would have been switched: after the first divergence the replay tells what the rules would have made of
 * that day, no more.
 *
 * @param from when the first row was
 * @param days how long was recorded, of 24 hours
 * @param events what the outputs would have done, seconds from {@code from} on; at most {@value #MOST_EVENTS}
 * @param eventsLeftOut how many more there are
 * @param outputs each output by itself
 */
public record Replay(Instant from, double days, List<Event> events, int eventsLeftOut, List<OutputReplay> outputs) {
    /** The most events that are told. */
    public static final int MOST_EVENTS = 2000;

    /**
     * What one output would have done.
     *
     * @param output its id
     * @param closings how often it would have closed
     * @param openSeconds how long it would have been open (s)
     * @param recordedClosings how often its contact did close; absent where that was not recorded
     * @param divergence where it first stood otherwise than was recorded for longer than two rows; absent where it never did
     * @param cannotTell names of the signals it goes by that were not recorded; they are taken at rest
     */
    public record OutputReplay(
            String output,
            int closings,
            double openSeconds,
            Optional<Integer> recordedClosings,
            Optional<Divergence> divergence,
            List<String> cannotTell) {}

    /**
     * An output would have stood otherwise than it did.
     *
     * @param at from when on
     * @param wouldBeClosed how it would have stood
     * @param reason why, in words; empty where it never moved before
     */
    public record Divergence(Instant at, boolean wouldBeClosed, String reason) {}

    /** Plays what was recorded to a plan as its devices hold it. */
    public static Replay of(Plan plan, LoggerFile log) {
        return new ReplayPlayer(DeviceSettings.asSet(plan), log).play();
    }
}
