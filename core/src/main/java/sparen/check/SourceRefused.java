package sparen.check;

import java.util.List;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.result.Change;
import sparen.result.Event;
import sparen.result.RunResult;

/** A source of AC that was there and was not taken, for what it is with nothing drawn is outside what the inverter takes. */
final class SourceRefused implements RunCheck {
    @Override
    public Stream<Finding> look(PlanFacts plan, RunResult run) {
        List<Event> refused = run.events().stream()
                .filter(event -> event.has(Change.AC_REFUSED) || event.has(Change.AC_REFUSED_HERTZ))
                .toList();
        return refused.stream().limit(1).map(first -> finding(
                        Hazard.NUISANCE,
                        Severity.CAUTION,
                        first.subject(),
                        "In the run " + first.reason()
                                + ". A wider window of the inverter, or a governor set to its frequency, lets it in.")
                .about("site/inverter/transfer/accepts")
                .number("times", refused.size(), ""));
    }
}
