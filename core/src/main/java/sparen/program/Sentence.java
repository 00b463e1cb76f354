package sparen.program;

import java.time.Month;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import sparen.quantity.Bounds;
import sparen.site.BatteryMonitor;
import sparen.site.DailySpan;
import sparen.site.SensePoint;
import sparen.site.Site;

/**
 * What a rule says, in words with its numbers as chips that can be edited in place. What is shown, printed and exported is this.
 *
 * @param parts words and chips in reading order
 */
public record Sentence(List<Part> parts) {
    public Sentence {
        parts = List.copyOf(parts);
    }

    /** A piece of a sentence. */
    public sealed interface Part {
        /** As plain words. */
        String plain();
    }

    /** Words that do not change. */
    public record Words(String text) implements Part {
        @Override
        public String plain() {
            return text;
        }
    }

    /**
     * A number that can be stepped and typed.
     *
     * @param field the record component it sets
     * @param label the trade's term for it
     * @param value in the unit
     * @param unit shown with it
     * @param step one press of an arrow key, in the unit
     * @param bigStep one press with Shift, in the unit
     * @param least lowest value the record accepts
     * @param most highest value the record accepts
     */
    public record NumberChip(
            String field,
            String label,
            double value,
            String unit,
            double step,
            double bigStep,
            double least,
            double most)
            implements Part {
        @Override
        public String plain() {
            return unit.equals("s") ? Sentence.duration(value) : Bounds.number(value) + " " + unit;
        }
    }

    /** One of several things, by its id. */
    public record ChoiceChip(String field, String label, String value, List<Choice> choices) implements Part {
        @Override
        public String plain() {
            return choices.stream()
                    .filter(choice -> choice.value().equals(value))
                    .map(Choice::label)
                    .collect(Collectors.joining());
        }
    }

    /** What a {@link ChoiceChip} offers. */
    public record Choice(String value, String label) {}

    /** A sentence that begins with these words. */
    public static Sentence start(String words) {
        return new Sentence(List.of(new Words(words)));
    }

    /** Adds words, to those it ends with where it does. */
    public Sentence then(String words) {
        int last = parts.size() - 1;
        if (!(parts.get(last) instanceof Words before)) {
            return with(new Words(words));
        }
        List<Part> longer = new ArrayList<>(parts);
        longer.set(last, new Words(before.text() + words));
        return new Sentence(longer);
    }

    /** Adds a voltage (V), stepped by 0.1 V and 0.5 V. */
    public Sentence volts(String field, String label, double value) {
        return number(field, label, value, "V", 0.1, 0.5, 0, 1000);
    }

    /** Adds a delay (s) of at most a day, stepped by 1 s and 10 s. */
    public Sentence seconds(String field, String label, double value) {
        return seconds(field, label, value, 86_400);
    }

    /** Adds a delay (s) with its own longest value, stepped by 1 s and 10 s. */
    public Sentence seconds(String field, String label, double value, double most) {
        return number(field, label, value, "s", 1, 10, 0, most);
    }

    /** Adds a time (s) with its own shortest and longest value, stepped by 1 s and 10 s. */
    public Sentence seconds(String field, String label, double value, double least, double most) {
        return number(field, label, value, "s", 1, 10, least, most);
    }

    /** Adds a number; see {@link NumberChip}. */
    public Sentence number(
            String field,
            String label,
            double value,
            String unit,
            double step,
            double bigStep,
            double least,
            double most) {
        return with(new NumberChip(field, label, value, unit, step, bigStep, least, most));
    }

    /** Adds the voltage at a sense point of the site, to be chosen. */
    public Sentence sensePoint(String field, String id, Site site) {
        List<Choice> choices = site.sensePoints().stream()
                .map((SensePoint point) -> new Choice(point.id(), point.name()))
                .toList();
        return then("the voltage at ").with(new ChoiceChip(field, "sense point", id, choices));
    }

    /** Adds a percentage, stepped by 1 % and 5 %. */
    public Sentence percent(String field, String label, double value) {
        return number(field, label, value, "%", 1, 5, 0, 100);
    }

    /** Adds the choice of a battery monitor of the site. */
    public Sentence monitor(String field, String id, Site site) {
        List<Choice> choices = site.monitors().stream()
                .map((BatteryMonitor monitor) -> new Choice(monitor.id(), monitor.name()))
                .toList();
        return with(new ChoiceChip(field, "battery monitor", id, choices));
    }

    /** Adds a current (A), stepped by 0.5 A and 5 A. */
    public Sentence amperes(String field, String label, double value) {
        return number(field, label, value, "A", 0.5, 5, 0, 10_000);
    }

    /** Adds a temperature (°C), stepped by 1 °C and 5 °C. */
    public Sentence celsius(String field, String label, double value) {
        return number(field, label, value, "°C", 1, 5, -50, 90);
    }

    /** Adds the sun's altitude (°), stepped by 0.1° and 1°. */
    public Sentence sun(String field, double value) {
        return number(field, "sun altitude", value, "°", 0.1, 1, -18, 10);
    }

    /** Adds an hour of the day (h), stepped by a quarter and a whole one. */
    public Sentence hour(String field, String label, double value, double least, double most) {
        return number(field, label, value, "h", 0.25, 1, least, most);
    }

    /** A span in words. */
    public static String span(DailySpan span) {
        return clock(span.fromHour()) + " to " + clock(span.toHour()) + days(span);
    }

    private static String days(DailySpan span) {
        List<String> weekdays = span.weekdays().stream()
                .map(day -> day.getDisplayName(TextStyle.SHORT, Locale.ENGLISH))
                .toList();
        String days = weekdays.isEmpty() ? "" : " on " + String.join(", ", weekdays);
        return days + months(span.months());
    }

    /** Months of the year (1 to 12) by their names, with a word before them; nothing for none. */
    public static String months(Collection<Integer> months) {
        return months.isEmpty()
                ? ""
                : months.stream()
                        .map(month -> Month.of(month).getDisplayName(TextStyle.SHORT, Locale.ENGLISH))
                        .collect(Collectors.joining(", ", " in ", ""));
    }

    /** An hour of the day as a clock shows it. */
    public static String clock(double hours) {
        long minutes = Math.round(hours * 60);
        return String.format(Locale.ROOT, "%02d:%02d", minutes / 60, minutes % 60);
    }

    /** Adds a span's two hours, and its days and months in words. */
    public Sentence hours(String field, DailySpan span) {
        return hour(field + ".fromHour", "from", span.fromHour(), 0, 24)
                .then(" to ")
                .hour(field + ".toHour", "to", span.toHour(), 0, 24)
                .then(days(span));
    }

    /** Adds the choice of a charger of the site. */
    public Sentence charger(String field, String id, Site site) {
        return choice(field, "charger", id, named(site, site.chargers()));
    }

    /** Adds the choice of a charge controller of the site. */
    public Sentence controller(String field, String id, Site site) {
        return choice(
                field,
                "controller",
                id,
                named(site, site.controllers().stream().map(one -> one.id()).toList()));
    }

    private static List<Choice> named(Site site, List<String> ids) {
        return ids.stream().map(id -> new Choice(id, site.chargerName(id))).toList();
    }

    /** Adds the choice of another output. */
    public Sentence output(String field, String id, Surroundings around) {
        List<Choice> choices = around.outputs().stream()
                .map(output -> new Choice(output.id(), output.name()))
                .toList();
        return choice(field, "output", id, choices);
    }

    /** Adds a choice. */
    public Sentence choice(String field, String label, String value, List<Choice> choices) {
        return with(new ChoiceChip(field, label, value, choices));
    }

    /** Adds how levels move with temperature, where they do. */
    public Sentence compensated(String field, Optional<Double> millivoltsPerKelvin) {
        return millivoltsPerKelvin.isEmpty()
                ? this
                : then("; levels move by ")
                        .number(field, "compensation", millivoltsPerKelvin.get(), "mV/K", 0.5, 1, -10, 0)
                        .then(" a cell");
    }

    /** The whole sentence as plain words. */
    public String plain() {
        return parts.stream().map(Part::plain).collect(Collectors.joining());
    }

    /** A duration (s) as it is said: "20 s", "2 min", "1 h 30 min". */
    public static String duration(double seconds) {
        if (seconds < 60 || seconds != Math.rint(seconds)) {
            return Bounds.number(seconds) + " s";
        }
        long whole = Math.round(seconds);
        StringBuilder said = new StringBuilder();
        append(said, whole / 3600, "h");
        append(said, whole % 3600 / 60, "min");
        append(said, whole % 60, "s");
        return said.toString();
    }

    private static void append(StringBuilder said, long count, String unit) {
        if (count > 0) {
            said.append(said.length() == 0 ? "" : " ").append(count).append(' ').append(unit);
        }
    }

    private Sentence with(Part part) {
        List<Part> longer = new ArrayList<>(parts);
        longer.add(part);
        return new Sentence(longer);
    }
}
