package sparen.simulation;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import sparen.logic.Countdown;

/**
 * How a bench stands.
 *
 * @param seconds since the start (s)
 * @param outputs in the program's order
 * @param events since the start: the printed tape
 * @param knobs what each signal is at now, by name, in its unit
 * @param nextSeconds when something happens next if nobody turns a knob (s); absent for never
 */
public record BenchState(
        double seconds,
        List<AtBench> outputs,
        List<Event> events,
        Map<String, Double> knobs,
        Optional<Double> nextSeconds) {
    /**
     * An output at the bench.
     *
     * @param output its id
     * @param closed its contact
     * @param wished whether its wish is for a closed contact
     * @param chatters whether it has begun to chatter, and is bounded
     * @param countdowns what it is counting down
     */
    public record AtBench(
            String output, boolean closed, boolean wished, boolean chatters, List<Countdown> countdowns) {}
}
