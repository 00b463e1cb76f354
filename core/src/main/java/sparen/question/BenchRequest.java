package sparen.question;

import java.util.Optional;
import sparen.bench.BenchScript;
import sparen.bench.BenchState;
import sparen.bench.LiveBench;
import sparen.bench.SupplyBench;
import sparen.program.Plan;
import sparen.quantity.Bounds;

/**
 * What was done at a bench so far.
 *
 * @param untilSeconds how far it is played (s), 0 to a week
 * @param live whether a model battery answers; absent for every voltage imposed
 * @param shownSeconds how much of a live bench's time is shown as a trace (s), 10 to a week; absent for 10 min
 */
public record BenchRequest(
        Plan plan, BenchScript script, double untilSeconds, Optional<Boolean> live, Optional<Double> shownSeconds) {
    private static final double USUAL_SHOWN_SECONDS = 600;

    public BenchRequest {
        Bounds.present("plan", plan);
        Bounds.present("script", script);
        Bounds.within("untilSeconds", untilSeconds, 0, BenchScript.MOST_SECONDS);
        live = Bounds.orEmpty(live);
        shownSeconds = Bounds.orEmpty(shownSeconds);
    }

    /** What switches, when and why. */
    public BenchState play() {
        return live.orElse(false)
                ? LiveBench.play(plan, script, untilSeconds, shownSeconds.orElse(USUAL_SHOWN_SECONDS))
                : SupplyBench.play(plan, script, untilSeconds);
    }
}
