package sparen.question;

import java.util.List;
import java.util.Optional;
import sparen.program.Plan;
import sparen.program.Rule;
import sparen.program.Surroundings;
import sparen.program.rule.Purpose;
import sparen.program.rule.Rules;
import sparen.quantity.Bounds;

/**
 * An output of a plan that rules are wanted for.
 *
 * @param plan with the output
 * @param output its id
 */
public record OfferRequest(Plan plan, String output) {
    public OfferRequest {
        Bounds.present("plan", plan);
        Bounds.id("output", output);
    }

    /**
     * A kind of rule.
     *
     * @param rule one with usual numbers; absent where the site lacks what it needs
     * @param sentence what that says
     */
    public record Offer(String name, Purpose purpose, String title, Optional<Rule> rule, Optional<String> sentence) {}

    /** Every kind of rule; empty where the plan has no such output. */
    public Optional<List<Offer>> offers() {
        return plan.program().outputs().stream()
                .filter(one -> one.id().equals(output))
                .findFirst()
                .map(found -> offers(Surroundings.of(plan).at(found)));
    }

    private static List<Offer> offers(Surroundings around) {
        return Rules.ALL.stream()
                .map(kind -> {
                    Optional<Rule> usual = kind.usual().apply(around);
                    return new Offer(
                            kind.name(), kind.purpose(), kind.title(), usual, usual.map(rule -> rule.sentence(around)
                                    .plain()));
                })
                .toList();
    }
}
