package sparen.check;

import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.quantity.Standard;
import sparen.result.Change;
import sparen.result.Event;
import sparen.result.RunResult;

/** Chargers that were kept from charging for hours in a run: by cold, heat, over-voltage, silence or their enable. */
final class ChargingStopped implements RunCheck {
    /** So many hours in a run are worth a word (h); judgement, no source. */
    private static final double WORTH_HOURS = 1;

    private record Cause(Change stops, Change releases, String name) {}

    private static final Cause[] CAUSES = {
        new Cause(Change.COLD_STOPS, Change.COLD_RELEASES, "by cold"),
        new Cause(Change.HEAT_STOPS, Change.HEAT_RELEASES, "by heat"),
        new Cause(Change.OVER_VOLTAGE_STOPS, Change.OVER_VOLTAGE_RELEASES, "by over-voltage"),
        new Cause(Change.SILENCE_STOPS, Change.SILENCE_RELEASES, "by silence"),
        new Cause(Change.ENABLE_STOPS, Change.ENABLE_RELEASES, "by its enable")
    };

    @Override
    public Stream<Finding> look(PlanFacts plan, RunResult run) {
        Map<String, Map<Change, Double>> hours = new LinkedHashMap<>();
        for (Event event : run.events()) {
            for (Cause cause : CAUSES) {
                double since = event.has(cause.stops()) ? run.toldUntilSeconds() - event.seconds() : 0;
                double over = event.has(cause.releases()) ? run.toldUntilSeconds() - event.seconds() : 0;
                if (since > 0 || over > 0) {
                    hours.computeIfAbsent(event.subject(), charger -> new EnumMap<>(Change.class))
                            .merge(cause.stops(), (since - over) / Standard.HOUR, Double::sum);
                }
            }
        }
        return hours.entrySet().stream()
                .filter(entry -> total(entry.getValue()) >= WORTH_HOURS)
                .map(entry -> finding(entry.getKey(), entry.getValue()));
    }

    private static double total(Map<Change, Double> hours) {
        return hours.values().stream().mapToDouble(Double::doubleValue).sum();
    }

    private Finding finding(String charger, Map<Change, Double> hours) {
        boolean failing = hours.containsKey(Change.OVER_VOLTAGE_STOPS) || hours.containsKey(Change.SILENCE_STOPS);
        Finding finding = finding(
                Hazard.WASTE,
                failing ? Severity.CAUTION : Severity.NOTE,
                charger,
                "In the run it was kept from charging for hours, day and night counted.");
        for (Cause cause : CAUSES) {
            if (hours.containsKey(cause.stops())) {
                finding = finding.number(cause.name(), hours.get(cause.stops()), "h");
            }
        }
        return finding;
    }
}
