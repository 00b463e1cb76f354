package sparen.working;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.UnaryOperator;
import sparen.examined.Cure;
import sparen.program.Plan;

/**
 * A sum done on paper, with its working, for the place where its number is entered. A planning figure; local codes decide.
 *
 * @param calculator simple name of the class that did it
 * @param path of the field it is for, with ids for list entries, as in origins
 * @param title what is worked out
 * @param lines the working, one step a line, with numbers and units
 * @param value the result, in the unit
 * @param unit such as h
 * @param takes the change that enters it; empty where it only tells
 */
public record Working(
        String calculator,
        String path,
        String title,
        List<String> lines,
        double value,
        String unit,
        Optional<Cure> takes) {
    public Working {
        lines = List.copyOf(lines);
    }

    static Working of(Class<?> calculator, String path, String title, double value, String unit) {
        return new Working(calculator.getSimpleName(), path, title, List.of(), value, unit, Optional.empty());
    }

    /** The same with one more line of working. */
    Working line(String format, Object... numbers) {
        List<String> more = new ArrayList<>(lines);
        more.add(String.format(Locale.ROOT, format, numbers));
        return new Working(calculator, path, title, more, value, unit, takes);
    }

    /** The same with the change that enters it. */
    Working enters(String says, UnaryOperator<Plan> change) {
        return new Working(calculator, path, title, lines, value, unit, Optional.of(new Cure(says, change)));
    }
}
