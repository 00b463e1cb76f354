package sparen.check;

import java.util.Optional;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.ChargeDetails;

/** A device that guesses its nominal voltage at power-up guesses wrong on a very low or a very full battery. */
final class NominalVoltageGuessed implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.program().charging().stream()
                .filter(one -> one.details()
                        .flatMap(ChargeDetails::guessesNominalVolts)
                        .orElse(false))
                .map(one -> finding(
                                Hazard.OVER_CHARGE,
                                Severity.CAUTION,
                                one.controller(),
                                "It guesses its nominal voltage at power-up: on an empty bank it takes the next lower one."
                                        + " Fix it.")
                        .about("program/charging/" + one.controller() + "/details/guessesNominalVolts")
                        .cure(
                                "nominal voltage fixed",
                                Cures.details(
                                        one.controller(),
                                        details -> details.withGuessesNominalVolts(Optional.of(false)))));
    }
}
