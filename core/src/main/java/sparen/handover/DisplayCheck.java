package sparen.handover;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

/**
 * Whether what was read over the wire is what the device shows: a wrong scale or order of words that is the same on reading and on
 * writing shows nowhere else. Two numbers of its own display and the live voltage against a meter, before the first write (common
 * practice, no source).
 */
public final class DisplayCheck {
    /** How far a meter and a device's own measuring may lie apart: 1 % (common practice, no source). */
    private static final double MOST_APART = 0.01;

    private static final int NUMBERS = 2;
    private static final double DUST = 1e-9;

    private DisplayCheck() {}

    /** Two numbers to be read off the display, of different scales where there are such, none of them 0; fewer where it has no more. */
    public static List<WiredEntry> asked(List<WiredEntry> entries, Map<String, String> holds) {
        List<WiredEntry> numbers = entries.stream()
                .filter(one -> one.knob().choices().isEmpty())
                .filter(one -> Optional.ofNullable(holds.get(one.place()))
                        .flatMap(ReadEntry::number)
                        .filter(number -> Math.abs(number) > DUST)
                        .isPresent())
                .toList();
        List<WiredEntry> asked = new ArrayList<>();
        for (WiredEntry one : numbers) {
            boolean isAnother = asked.stream()
                    .noneMatch(before -> before.register().scale()
                                    == one.register().scale()
                            && before.register().words() == one.register().words());
            if (isAnother && asked.size() < NUMBERS) {
                asked.add(one);
            }
        }
        numbers.stream()
                .filter(one -> !asked.contains(one))
                .limit(NUMBERS - asked.size())
                .forEach(asked::add);
        return asked;
    }

    /**
     * Refuses a number that is not what the display shows.
     *
     * @param field where it was typed
     * @param read over the wire
     * @param shown on the display, as it was typed
     * @throws InvalidQuantity when it is no number, or another one
     */
    public static void check(String field, WiredEntry entry, String read, String shown) {
        Bounds.name(field, shown);
        String text = shown.strip();
        double display = ReadEntry.number(text)
                .orElseThrow(() -> new InvalidQuantity(field, "\"" + text + "\" is not a number"));
        double wire = ReadEntry.number(read).orElseThrow();
        int point = Math.max(text.indexOf('.'), text.indexOf(','));
        int decimals = point < 0 ? 0 : text.length() - point - 1;
        if (Math.abs(wire - display) > 0.5 * Math.pow(10, -decimals) + DUST) {
            throw new InvalidQuantity(
                    field,
                    "the wire gives " + inUnit(read, entry) + " at \""
                            + entry.setting().label()
                            + "\" where the display shows " + inUnit(text, entry) + times(wire, display)
                            + ". Nothing is written: the registers of the profile are not this device's");
        }
    }

    /**
     * Refuses a voltage that is not what a meter shows.
     *
     * @param field where it was typed
     * @param read over the wire (V)
     * @param meter what a meter at the battery shows (V), above 0 to 1000
     * @throws InvalidQuantity when they are more than 1 % apart
     */
    public static void checkVolts(String field, double read, double meter) {
        Bounds.above(field, meter, "V", 0, 1000);
        if (Math.abs(read - meter) > MOST_APART * meter) {
            throw new InvalidQuantity(
                    field,
                    "the wire gives " + Bounds.number(read) + " V where the meter shows " + Bounds.number(meter)
                            + " V" + times(read, meter)
                            + ", more than 1 % apart. Nothing is written: measure at the battery's terminals, or mend the registers");
        }
    }

    private static String inUnit(String number, WiredEntry entry) {
        return (number + " " + entry.setting().unit()).strip();
    }

    /** A power of ten between two numbers is a scale that is wrong. */
    private static String times(double wire, double display) {
        double ratio = Math.abs(wire / display);
        double power = Math.rint(Math.log10(ratio));
        boolean isScale = power != 0 && Math.abs(ratio / Math.pow(10, power) - 1) < 0.02;
        return isScale
                ? ", " + Bounds.number(Math.pow(10, Math.abs(power))) + " times too " + (power > 0 ? "much" : "little")
                : "";
    }
}
