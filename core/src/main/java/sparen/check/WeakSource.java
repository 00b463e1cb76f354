package sparen.check;

import java.util.List;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.result.Change;
import sparen.result.Event;
import sparen.result.RunResult;

/** A source whose voltage or frequency leaves what the inverter takes as soon as it is loaded: it is taken and let go by turns. */
final class WeakSource implements RunCheck {
    /** So many times in a run are no accident; judgement, no source. */
    private static final int WORTH_TIMES = 3;

    @Override
    public Stream<Finding> look(PlanFacts plan, RunResult run) {
        List<Event> let = run.events().stream()
                .filter(event -> event.has(Change.AC_UNFIT) || event.has(Change.AC_UNFIT_HERTZ))
                .toList();
        return Stream.of(let).filter(events -> events.size() >= WORTH_TIMES).map(events -> finding(
                        Hazard.NUISANCE,
                        Severity.CAUTION,
                        events.get(0).subject(),
                        "In the run AC left what the inverter takes whenever it was loaded: taken and let go by"
                                + " turns. A lower input limit, less charge current or a wider window ends it.")
                .about("program/ac/inputLimitAmperes")
                .number("times let go", events.size(), ""));
    }
}
