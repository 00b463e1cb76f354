package sparen.check;

import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.quantity.Standard;
import sparen.result.Held;
import sparen.result.Held.Reason;
import sparen.result.RunResult;
import sparen.result.Window;

/** Chargers and batteries that were kept from charging for hours in a run: by cold, heat, over-voltage, silence or an enable. */
final class ChargingStopped implements RunCheck {
    /** So many hours in a run are worth a word (h); judgement, no source. */
    private static final double WORTH_HOURS = 1;

    private static final Set<Reason> FAILING = Set.of(Reason.OVER_VOLTAGE, Reason.SILENCE);
    private static final Map<Reason, String> NAMES = Map.of(
            Reason.COLD, "by cold",
            Reason.HEAT, "by heat",
            Reason.OVER_VOLTAGE, "by over-voltage",
            Reason.SILENCE, "by silence",
            Reason.ENABLE, "by its enable");

    @Override
    public Stream<Finding> look(PlanFacts plan, RunResult run) {
        return Held.of(run.events(), run.toldUntilSeconds(), new Window(0, Math.max(1, run.seconds()), 1)).stream()
                .filter(held -> held.seconds() >= WORTH_HOURS * Standard.HOUR)
                .map(this::finding);
    }

    private Finding finding(Held held) {
        boolean isFailing = held.reasons().stream().anyMatch(one -> FAILING.contains(one.reason()));
        Finding finding = finding(
                Hazard.WASTE,
                isFailing ? Severity.CAUTION : Severity.NOTE,
                held.subject(),
                "In the run it was kept from charging for hours, day and night counted.");
        for (Held.Hold one : held.reasons()) {
            finding = finding.number(NAMES.get(one.reason()), one.seconds() / Standard.HOUR, "h");
        }
        return finding;
    }
}
