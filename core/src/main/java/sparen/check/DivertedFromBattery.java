package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.result.Ledger;
import sparen.result.RunResult;

/** What was diverted came out of the battery and not out of surplus. */
final class DivertedFromBattery implements RunCheck {
    private static final double TELLING = 0.6;

    @Override
    public Stream<Finding> look(PlanFacts plan, RunResult run) {
        double diverted = run.ledger().totalDivertedJoules();
        double fromBattery = run.ledger().flows().joules(Ledger.Flows.Source.BATTERY, Ledger.Flows.Use.DIVERSION);
        return diverted < 3.6e5 || fromBattery < TELLING * diverted
                ? Stream.empty()
                : Stream.of(finding(
                                Hazard.OVER_DISCHARGE,
                                Severity.CAUTION,
                                "",
                                "In the run most of what was diverted came out of the battery.")
                        .number("diverted", diverted / 3.6e6, "kWh")
                        .number("of it from the battery", fromBattery / 3.6e6, "kWh"));
    }
}
