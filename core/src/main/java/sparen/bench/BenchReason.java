package sparen.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleBiFunction;
import java.util.stream.Stream;
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
     * The reason in words.
     *
     * @param closed its contact now
     * @param needed whether its mode is for a closed contact now
     * @param locked how a lockout keeps it open, in words; empty where none does
     * @param counts whether some delay of its rules is running
     * @param reads what is read now where a level of a rule is read (V, or a fraction)
     */
    static String of(
            Output output,
            boolean closed,
            boolean needed,
            String locked,
            boolean counts,
            ToDoubleBiFunction<Rule, Level> reads) {
        if (output.testForce() != TestForce.NONE) {
            return "a test force holds it";
        }
        if (!closed && !locked.isEmpty()) {
            return locked;
        }
        List<String> waits = new ArrayList<>();
        // What is open though it is needed waits for its protection, what is not needed for its own rule; what is
        // closed for either.
        Stream<Rule> automatic =
                output.mode() == Mode.BY_RULE && (closed || !needed) ? output.automatic().stream() : Stream.empty();
        Stream<Rule> protection = closed || needed ? output.protection().stream() : Stream.empty();
        Stream<Rule> acting = Stream.concat(automatic, protection);
        acting.forEach(rule -> rule.levels().stream()
                .filter(level -> level.value() > 0 && level.role().awaitedWhen(closed))
                .forEach(level -> waits.add(distance(level, reads.applyAsDouble(rule, level), counts))));
        if (!waits.isEmpty()) {
            return String.join("; ", waits);
        }
        if (output.mode() == Mode.BY_RULE) {
            return "its rule asks for it to be " + (needed ? "closed" : "open") + " now";
        }
        return "its mode is " + (output.mode() == Mode.ON ? "on" : "off");
    }

    private static String distance(Level level, double read, boolean counts) {
        boolean percent = level.role().percent();
        double reads = percent ? read * 100 : read;
        String unit = percent ? " %" : " V";
        boolean passed = level.role().falling() ? reads <= level.value() : reads >= level.value();
        String away = passed
                ? (counts ? "passed, but not yet for its delay" : "passed; something else of its rule is not met")
                : rounded(Math.abs(level.value() - reads)) + unit + " away";
        return "waits for " + level.term() + " " + Bounds.number(level.value()) + unit + "; reads " + rounded(reads)
                + unit + ", " + away;
    }

    private static String rounded(double value) {
        return Bounds.number(Math.round(value * 100) / 100.0);
    }
}
