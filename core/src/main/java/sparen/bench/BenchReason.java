package sparen.bench;

import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import sparen.logic.Countdown;
import sparen.program.Level;
import sparen.program.Mode;
import sparen.program.Output;
import sparen.program.Rule;
import sparen.program.TestForce;
import sparen.quantity.Bounds;

/** Why an output at a bench stays: each level that would move it, what is read there now, and how far that is. */
final class BenchReason {
    private BenchReason() {}

    /**
     * How an output stands.
     *
     * @param closed its contact now
     * @param chatters whether it has begun to chatter
     * @param countdowns the delays that run
     * @param needed whether its mode or rule is for a closed contact now
     * @param locked how a lockout keeps it open, in words; empty where none does
     */
    record Standing(boolean closed, boolean chatters, List<Countdown> countdowns, boolean needed, String locked) {}

    /**
     * What is read where a level of a rule is.
     *
     * @param value (V, or a fraction)
     * @param knob the id of the knob that moves it; absent where none does
     */
    record Read(double value, Optional<String> knob) {}

    /** The output with what it waits for, and why it stays. */
    static BenchState.AtBench of(Output output, Standing stands, BiFunction<Rule, Level, Read> reads) {
        List<BenchState.Awaited> awaited = output.testForce() != TestForce.NONE || isLocked(stands)
                ? List.of()
                : acting(output, stands)
                        .flatMap(rule -> rule.levels().stream()
                                .filter(level ->
                                        level.value() > 0 && level.role().awaitedWhen(stands.closed()))
                                .map(level -> awaited(level, reads.apply(rule, level))))
                        .toList();
        return new BenchState.AtBench(
                output.id(),
                stands.closed(),
                stands.chatters(),
                stands.countdowns(),
                why(output, stands, awaited),
                awaited);
    }

    private static boolean isLocked(Standing stands) {
        return !stands.closed() && !stands.locked().isEmpty();
    }

    /** What is open though it is needed waits for its protection, what is not needed for its own rule; what is closed for either. */
    private static Stream<Rule> acting(Output output, Standing stands) {
        Stream<Rule> automatic = output.mode() == Mode.BY_RULE && (stands.closed() || !stands.needed())
                ? output.automatic().stream()
                : Stream.empty();
        Stream<Rule> protection = stands.closed() || stands.needed() ? output.protection().stream() : Stream.empty();
        return Stream.concat(automatic, protection);
    }

    private static BenchState.Awaited awaited(Level level, Read read) {
        Level.Role role = level.role();
        double reads = role.percent() ? read.value() * 100 : read.value();
        return new BenchState.Awaited(level.term(), level.value(), reads, role.percent(), role.falling(), read.knob());
    }

    private static String why(Output output, Standing stands, List<BenchState.Awaited> awaited) {
        if (output.testForce() != TestForce.NONE) {
            return "a test force holds it";
        }
        if (isLocked(stands)) {
            return stands.locked();
        }
        if (!awaited.isEmpty()) {
            boolean counts = !stands.countdowns().isEmpty();
            return awaited.stream().map(one -> distance(one, counts)).collect(Collectors.joining("; "));
        }
        if (output.mode() == Mode.BY_RULE) {
            return "its rule asks for it to be " + (stands.needed() ? "closed" : "open") + " now";
        }
        return "its mode is " + (output.mode() == Mode.ON ? "on" : "off");
    }

    private static String distance(BenchState.Awaited level, boolean counts) {
        String unit = level.percent() ? " %" : " V";
        boolean passed = level.falling() ? level.reads() <= level.value() : level.reads() >= level.value();
        String away = passed
                ? (counts ? "passed, but not yet for its delay" : "passed; something else of its rule is not met")
                : rounded(Math.abs(level.value() - level.reads())) + unit + " away";
        return "waits for " + level.term() + " " + Bounds.number(level.value()) + unit + "; reads "
                + rounded(level.reads()) + unit + ", " + away;
    }

    private static String rounded(double value) {
        return Bounds.number(Math.round(value * 100) / 100.0);
    }
}
