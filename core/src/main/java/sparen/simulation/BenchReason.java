package sparen.simulation;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleBiFunction;
import java.util.stream.Stream;
import sparen.program.Level;
import sparen.program.Output;
import sparen.program.Rule;
import sparen.program.TestForce;
import sparen.program.Wish;
import sparen.quantity.Bounds;

/** Why an output at a bench stays: each level that would move it, what is read there now, and how far that is. */
final class BenchReason {
    private BenchReason() {}

    /**
     * The reason in words.
     *
     * @param closed its contact now
     * @param reads what is read now where a level of a rule is read (V, or a fraction)
     */
    static String of(Output output, boolean closed, ToDoubleBiFunction<Rule, Level> reads) {
        if (output.testForce() != TestForce.NONE) {
            return "a test force holds it";
        }
        List<String> waits = new ArrayList<>();
        Stream<Rule> acting = Stream.concat(
                output.wish() == Wish.AUTOMATIC ? output.automatic().stream() : Stream.empty(),
                output.protection().stream());
        acting.forEach(rule -> rule.levels().stream()
                .filter(level -> level.value() > 0 && level.role().awaitedWhen(closed))
                .forEach(level -> waits.add(distance(level, reads.applyAsDouble(rule, level)))));
        if (!waits.isEmpty()) {
            return String.join("; ", waits);
        }
        return output.wish() == Wish.AUTOMATIC
                ? "its rule does not ask for it now"
                : "its wish is " + (output.wish() == Wish.ON ? "on" : "off");
    }

    private static String distance(Level level, double read) {
        boolean percent = level.role().percent();
        double reads = percent ? read * 100 : read;
        String unit = percent ? " %" : " V";
        boolean passed = level.role().falling() ? reads <= level.value() : reads >= level.value();
        String away = passed
                ? "passed, but not yet for its delay"
                : rounded(Math.abs(level.value() - reads)) + unit + " away";
        return "waits for " + level.term() + " " + Bounds.number(level.value()) + unit + "; reads " + rounded(reads)
                + unit + ", " + away;
    }

    private static String rounded(double value) {
        return Bounds.number(Math.round(value * 100) / 100.0);
    }
}
