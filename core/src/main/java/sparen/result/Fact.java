package sparen.result;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import sparen.logic.Reading;
import sparen.quantity.Bounds;
import sparen.quantity.Unit;

/**
 * One fact of an event: what became of its subject or why, with its numbers.
 *
 * @param change what it is
 * @param numbers the limit it came by, what was read there, a time to wait …
 * @param detail the plan's own words where it has some, such as a rule's condition; may be empty
 */
public record Fact(Change change, List<Quantity> numbers, String detail) {
    /**
     * A number of a fact.
     *
     * @param name limit, read, set, wait, tries or count
     * @param value in its unit
     * @param decimals after the point, as it is said
     */
    public record Quantity(String name, double value, Unit unit, int decimals) {
        private static final double SHARPEST = 1000;

        /** What was read stands with all its decimals, as an instrument shows it; what was set without idle zeros. */
        String words() {
            String number = name.equals("read")
                    ? String.format(Locale.ROOT, "%." + decimals + "f", value)
                    : Bounds.number(Math.rint(value * SHARPEST) / SHARPEST);
            return unit.symbol().isEmpty() ? number : number + " " + unit.symbol();
        }
    }

    public Fact {
        numbers = List.copyOf(numbers);
    }

    /** A fact with its numbers in the order in which its change names them. */
    public static Fact of(Change change, double... values) {
        return of(change, "", values);
    }

    /** A fact with a detail. */
    public static Fact of(Change change, String detail, double... values) {
        if (values.length != change.numbers().size()) {
            throw new IllegalArgumentException(change + " comes with " + change.numbers());
        }
        List<Quantity> numbers = new ArrayList<>();
        for (int i = 0; i < values.length; i++) {
            Change.Number number = change.numbers().get(i);
            numbers.add(new Quantity(number.name(), values[i], number.unit(), number.decimals()));
        }
        return new Fact(change, numbers, detail);
    }

    /** By a rule's own condition (in words), with the level it compares with and what it reads, where it has them. */
    public static Fact byRule(String because, Optional<Reading> reading, double[] signals) {
        List<Quantity> numbers = new ArrayList<>();
        reading.ifPresent(one -> {
            Unit unit = Unit.ofSymbol(one.unit());
            one.limit().ifPresent(limit -> numbers.add(new Quantity("limit", limit, unit, one.decimals())));
            numbers.add(new Quantity("read", one.read(signals), unit, one.decimals()));
        });
        return new Fact(reading.isEmpty() ? Change.BY_RULE : Change.BY_READING, numbers, because);
    }

    /** It in words. */
    public String words() {
        String said = change.words();
        for (Quantity number : numbers) {
            said = said.replace("{" + number.name() + "}", number.words());
        }
        // Last, for what people call things may have braces of its own.
        return said.replace("{detail}", detail);
    }

    /** Facts in words: what became of the subject, then why. */
    public static String words(List<Fact> facts) {
        String outcomes = said(facts, true, ", ");
        String causes = said(facts, false, "; ");
        return outcomes.isEmpty() || causes.isEmpty() ? outcomes + causes : outcomes + ": " + causes;
    }

    private static String said(List<Fact> facts, boolean outcome, String between) {
        StringBuilder said = new StringBuilder();
        for (Fact fact : facts) {
            if (fact.change().isOutcome() == outcome) {
                said.append(said.length() == 0 ? "" : between).append(fact.words());
            }
        }
        return said.toString();
    }
}
