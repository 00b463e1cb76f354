package sparen.handover;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

/**
 * Something to be done at a site.
 *
 * @param id what tells it from the others of its plan
 * @param phase when
 * @param what to do, a sentence
 * @param expect the sign or number that it is right, a sentence; empty where doing it is all
 * @param stop at what nothing more is done, a sentence; empty where nothing can go wrong
 * @param between where what is measured has to lie; absent where a sign decides
 * @param plate what has to be read there letter by letter, such as a serial number; none where nothing has
 */
public record WorkStep(
        String id,
        Phase phase,
        String what,
        String expect,
        String stop,
        Optional<Between> between,
        List<String> plate) {
    /** When something is done. */
    public enum Phase {
        ARRIVAL,
        SETTING_UP,
        START_UP,
        TAKING_DOWN
    }

    /**
     * Where a number has to lie.
     *
     * @param least in its unit
     * @param most in its unit
     * @param unit of both
     */
    public record Between(double least, double most, String unit) {}

    /**
     * What is wrong with what somebody measured or read; empty where it is as expected, or nothing was written down.
     *
     * @param measured as it was typed, with a decimal point or comma and the unit or without
     * @throws InvalidQuantity when a number is wanted and none was typed
     */
    public Optional<String> failure(String measured) {
        if (measured.isBlank()) {
            return Optional.empty();
        }
        if (between.isPresent()) {
            Between wanted = between.get();
            double value = number(measured, wanted.unit());
            return value >= wanted.least() && value <= wanted.most()
                    ? Optional.empty()
                    : Optional.of("outside " + Bounds.number(wanted.least()) + " to " + Bounds.number(wanted.most())
                            + " " + wanted.unit());
        }
        String read = squeezed(measured);
        List<String> missing =
                plate.stream().filter(one -> !read.contains(squeezed(one))).toList();
        return missing.isEmpty() ? Optional.empty() : Optional.of("the plan has " + String.join(" and ", missing));
    }

    private static double number(String measured, String unit) {
        String text = measured.strip();
        if (text.endsWith(unit)) {
            text = text.substring(0, text.length() - unit.length()).strip();
        }
        try {
            double value = Double.parseDouble(text.replace(',', '.'));
            if (Double.isFinite(value)) {
                return value;
            }
        } catch (NumberFormatException none) {
            // What is no number is refused below, as one that is not finite is.
        }
        throw new InvalidQuantity("measured", "\"" + measured + "\" is not a number of " + unit);
    }

    private static String squeezed(String text) {
        return text.toLowerCase(Locale.ROOT).replaceAll("\\s", "");
    }
}
