package sparen.device;

import java.util.Optional;
import java.util.regex.Pattern;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

/** Versions of a device's firmware, as numbers with dots. */
public final class Firmware {
    private static final Pattern VERSION = Pattern.compile("\\d{1,6}(\\.\\d{1,6}){0,3}");

    private Firmware() {}

    /**
     * Refuses what is no version.
     *
     * @throws InvalidQuantity when it is given and not one to four numbers with dots between them
     */
    public static Optional<String> version(String field, Optional<String> version) {
        Optional<String> given = Bounds.orEmpty(version);
        given.filter(text -> !VERSION.matcher(text).matches()).ifPresent(text -> {
            throw new InvalidQuantity(field, "\"" + text + "\" must be one to four numbers with dots, like 1.4");
        });
        return given;
    }

    /** Whether one version comes before another; 1.4 and 1.4.0 are the same. */
    public static boolean isBefore(String one, String other) {
        int[] left = numbers(one);
        int[] right = numbers(other);
        int i = 0;
        while (i < left.length - 1 && left[i] == right[i]) {
            i++;
        }
        return left[i] < right[i];
    }

    private static int[] numbers(String version) {
        int[] four = new int[4];
        String[] parts = version.split("\\.");
        for (int i = 0; i < parts.length; i++) {
            four[i] = Integer.parseInt(parts[i]);
        }
        return four;
    }
}
