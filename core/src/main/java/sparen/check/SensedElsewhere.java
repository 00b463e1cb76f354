package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.Level;

/** Cable drop between battery and sense point makes a level act early under load. */
final class SensedElsewhere implements Check {
    /** So large a part of the hysteresis makes a difference that is told (fraction); judgement, no source. */
    private static final double TELLING = 0.5;

    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.levels(Level.Role.DISCONNECT, Level.Role.SHED, Level.Role.CUT_OFF)
                .filter(low -> plan.point(low).isPresent() && !plan.isAtBattery(low))
                .flatMap(low -> plan.partner(low, Level.Role.RECONNECT).stream().flatMap(high -> {
                    double drop = plan.worstAmperesOfAll(low.value()) * plan.mainCableOhms();
                    double hysteresis = high.value() - low.value();
                    return hysteresis > 0 && drop > TELLING * hysteresis
                            ? Stream.of(finding(
                                            Hazard.NUISANCE,
                                            Severity.CAUTION,
                                            low.output().id(),
                                            "At full load the cable between battery and sense point takes more than half of"
                                                    + " the hysteresis: it opens early, at a battery that is still good.")
                                    .about(low.path())
                                    .number("drop at full load", drop, "V")
                                    .number("hysteresis", hysteresis, "V"))
                            : Stream.empty();
                }));
    }
}
