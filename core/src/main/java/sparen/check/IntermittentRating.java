package sparen.check;

import java.util.Optional;
import java.util.stream.Stream;
import sparen.examined.ContactLoad;
import sparen.examined.PlanFacts;
import sparen.program.Contact;
import sparen.program.Output;
import sparen.result.OutputFigures;
import sparen.result.RunResult;

/** A contact that carries more than it is rated for on end, and was closed for longer at a stretch than its intermittent rating lets it. */
final class IntermittentRating implements RunCheck {
    @Override
    public Stream<Finding> look(PlanFacts plan, RunResult run) {
        return plan.outputs().stream()
                .flatMap(output -> output.contact().flatMap(contact -> look(plan, output, contact, run)).stream());
    }

    private Optional<Finding> look(PlanFacts plan, Output output, Contact contact, RunResult run) {
        double amperes = ContactLoad.dcAmperes(plan, output);
        if (contact.intermittent().isEmpty() || amperes <= contact.dcAmperes().orElse(0.0)) {
            return Optional.empty();
        }
        Contact.Intermittent rated = contact.intermittent().get();
        double longest = run.outputs().stream()
                .filter(one -> one.output().equals(output.id()))
                .mapToDouble(one -> longestClosed(one, run.toldUntilSeconds()))
                .max()
                .orElse(0);
        return longest <= rated.seconds()
                ? Optional.empty()
                : Optional.of(finding(
                                Hazard.OVERLOAD,
                                Severity.DANGER,
                                output.id(),
                                "In the run its contact carried for longer than its intermittent rating lets it what it may not carry on end.")
                        .about("program/outputs/" + output.id() + "/contact/intermittent/seconds")
                        .number("load", amperes, "A")
                        .number("closed at a stretch", longest, "s")
                        .number("rated for", rated.seconds(), "s"));
    }

    private static double longestClosed(OutputFigures output, double end) {
        double longest = 0;
        double since = 0;
        boolean closed = output.startsClosed();
        for (double change : output.changeSeconds()) {
            if (change == 0) {
                continue;
            }
            longest = closed ? Math.max(longest, change - since) : longest;
            closed = !closed;
            since = change;
        }
        return closed ? Math.max(longest, end - since) : longest;
    }
}
