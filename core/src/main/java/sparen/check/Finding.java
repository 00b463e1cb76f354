package sparen.check;

import java.util.List;

/**
 * Something wrong, or worth a look, in a plan.
 *
 * @param check simple name of the check's class
 * @param hazard what it can lead to
 * @param severity how bad
 * @param output id of the output it stands at
 * @param text what is wrong and why, in plain words
 * @param compared the numbers behind it
 */
public record Finding(
        String check, Hazard hazard, Severity severity, String output, String text, List<Compared> compared) {
    public Finding {
        compared = List.copyOf(compared);
    }
}
