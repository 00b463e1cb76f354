package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;

/** In every state of operation there is exactly one bond of neutral and earth: none leaves faults undetected, two send currents through the earth. */
final class NeutralBond implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.site().earthing().stream().flatMap(earthing -> {
            Stream<Finding> inverting = earthing.whileInverting() == 1
                    ? Stream.empty()
                    : Stream.of(format("while the inverter feeds the loads", earthing.whileInverting()));
            Stream<Finding> fed = plan.site().acSources().stream()
                    .filter(source -> earthing.whileFedBy(source.id()) != 1)
                    .map(source ->
                            format("while " + source.name() + " feeds the loads", earthing.whileFedBy(source.id())));
            return Stream.concat(inverting, fed);
        });
    }

    private Finding format(String state, int bonds) {
        return finding(
                        Hazard.SHOCK,
                        Severity.DANGER,
                        "",
                        (bonds == 0 ? "No bond" : "More than one bond") + " of neutral and earth " + state
                                + ". There has to be exactly one; work on it is for licensed hands.")
                .about("site/earthing")
                .number("bonds", bonds, "");
    }
}
