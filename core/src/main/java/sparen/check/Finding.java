package sparen.check;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import sparen.examined.Cure;
import sparen.program.Dismissal;
import sparen.program.Plan;

/**
 * Something wrong, or worth a look, in a plan or in a run of it.
 *
 * @param check simple name of the check's class
 * @param hazard what it can lead to
 * @param severity how bad
 * @param at id of the output, device or battery it stands at; empty for the whole site
 * @param path of the field it is about, with ids for list entries, as in origins; may be empty
 * @param text what is wrong and why, in plain words
 * @param compared the numbers behind it
 * @param certainty how sure it is with the tolerances of meters, devices and ageing (fraction); empty where nothing is uncertain
 * @param cures changes that clear it, the first the most usual
 * @param dismissed why somebody left it as it is; empty while it is open
 */
public record Finding(
        String check,
        Hazard hazard,
        Severity severity,
        String at,
        String path,
        String text,
        List<Compared> compared,
        Optional<Double> certainty,
        List<Cure> cures,
        Optional<String> dismissed) {
    private static final MathContext TOLD = new MathContext(4);

    public Finding {
        compared = List.copyOf(compared);
        cures = List.copyOf(cures);
    }

    static Finding of(Class<?> check, Hazard hazard, Severity severity, String at, String text) {
        return new Finding(
                check.getSimpleName(),
                hazard,
                severity,
                at,
                "",
                text,
                List.of(),
                Optional.empty(),
                List.of(),
                Optional.empty());
    }

    /** The same about a field. */
    Finding about(String field) {
        return new Finding(check, hazard, severity, at, field, text, compared, certainty, cures, dismissed);
    }

    /** The same with one more number behind it. */
    Finding number(String name, double value, String unit) {
        return number(name, value, unit, "");
    }

    /** The same with one more number and where that comes from. */
    Finding number(String name, double value, String unit, String origin) {
        List<Compared> more = new ArrayList<>(compared);
        more.add(new Compared(name, value, unit, origin.isEmpty() ? Optional.empty() : Optional.of(origin)));
        return new Finding(check, hazard, severity, at, path, text, more, certainty, cures, dismissed);
    }

    /** The same, so sure (fraction). */
    Finding sure(double fraction) {
        return new Finding(check, hazard, severity, at, path, text, compared, Optional.of(fraction), cures, dismissed);
    }

    /** The same with one more cure. */
    Finding cure(String says, UnaryOperator<Plan> change) {
        List<Cure> more = new ArrayList<>(cures);
        more.add(new Cure(says, change));
        return new Finding(check, hazard, severity, at, path, text, compared, certainty, more, dismissed);
    }

    /** Whether nobody has left it as it is. */
    public boolean isOpen() {
        return dismissed.isEmpty();
    }

    /** The numbers behind it, by which it is known again. */
    public String numbers() {
        return compared.stream()
                .map(one -> one.name() + " " + new BigDecimal(one.value()).round(TOLD) + " " + one.unit())
                .collect(Collectors.joining("; "));
    }

    /** The same, left as it is where the program says so of just these numbers. */
    Finding dismissedBy(List<Dismissal> dismissals) {
        Optional<String> reason = dismissals.stream()
                .filter(one -> one.check().equals(check)
                        && one.at().equals(at)
                        && one.path().equals(path)
                        && one.numbers().equals(numbers()))
                .map(Dismissal::reason)
                .findFirst();
        return new Finding(check, hazard, severity, at, path, text, compared, certainty, cures, reason);
    }
}
