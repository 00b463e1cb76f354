package sparen.bench;

import java.util.List;
import sparen.quantity.Bounds;

/**
 * What is done at a bench, in time: knobs that are turned by hand. Played again it does the same.
 *
 * @param turns in the order of their times, 0 to 2000
 */
public record BenchScript(List<Turn> turns) {
    /** The longest time at a bench (s): a week. */
    public static final double MOST_SECONDS = 604_800;

    /**
     * A knob that is turned.
     *
     * @param seconds since the start (s), 0 to 604,800
     * @param knob id of the signal it imposes, as in {@code Signals}
     * @param value it is turned to, in the unit of the signal, −1e6 to 1e6
     * @param overSeconds how long the turning takes, at an even rate (s), 0 to 604,800; 0 for at once
     */
    public record Turn(double seconds, String knob, double value, double overSeconds) {
        public Turn {
            Bounds.within("seconds", seconds, 0, MOST_SECONDS);
            Bounds.name("knob", knob);
            Bounds.within("value", value, -1e6, 1e6);
            Bounds.within("overSeconds", overSeconds, 0, MOST_SECONDS);
        }

        double endSeconds() {
            return seconds + overSeconds;
        }
    }

    public BenchScript {
        turns = List.copyOf(Bounds.present("turns", turns));
        Bounds.within("turns", turns.size(), "turns", 0, 2000);
        double last = 0;
        for (Turn turn : turns) {
            Bounds.within("turns.seconds", turn.seconds(), last, MOST_SECONDS);
            last = turn.seconds();
        }
    }

    /** When its last turning is over (s). */
    public double endSeconds() {
        return turns.stream().mapToDouble(Turn::endSeconds).max().orElse(0);
    }
}
