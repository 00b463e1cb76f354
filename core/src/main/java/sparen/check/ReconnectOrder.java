package sparen.check;

import java.util.EnumMap;
import java.util.Map;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.examined.PlanFacts.LevelOfOutput;
import sparen.program.Level;

/** Each level that gives back must lie beyond the one that takes away, or the contact turns at the very level that moved it. */
final class ReconnectOrder implements Check {
    private static final Map<Level.Role, Level.Role> PARTNERS = new EnumMap<>(Map.of(
            Level.Role.DISCONNECT, Level.Role.RECONNECT,
            Level.Role.CUT_OFF, Level.Role.RECONNECT,
            Level.Role.SHED, Level.Role.RECONNECT,
            Level.Role.WARNING, Level.Role.CLEARS,
            Level.Role.TRANSFER_TO_AC, Level.Role.BACK_TO_BATTERY,
            Level.Role.SURPLUS_OFF, Level.Role.SURPLUS_ON,
            Level.Role.OVER_VOLTAGE_RELEASE, Level.Role.OVER_VOLTAGE_STOP));

    /** Proposed distance for 12 V (V); common practice, no source. */
    private static final double USUAL_HYSTERESIS = 1;

    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return PARTNERS.keySet().stream()
                .flatMap(plan::levels)
                .flatMap(
                        low -> plan
                                .partner(low, PARTNERS.get(low.level().role()))
                                .filter(high -> high.value() <= low.value())
                                .stream()
                                .map(high -> format(plan, low, high)));
    }

    private Finding format(PlanFacts plan, LevelOfOutput low, LevelOfOutput high) {
        boolean takesLoadsOff = low.level().role().disconnects();
        Finding finding = finding(
                        takesLoadsOff ? Hazard.OVER_DISCHARGE : Hazard.LOSS_OF_CONTROL,
                        takesLoadsOff ? Severity.DANGER : Severity.CAUTION,
                        low.output().id(),
                        "The " + high.level().term() + " is not above the "
                                + low.level().term() + ": the contact turns back at the very level that moved it.")
                .about(high.path())
                .number(high.level().term(), high.value(), "V", plan.origin(high.path()))
                .number(low.level().term(), low.value(), "V", plan.origin(low.path()));
        return Cures.level(
                finding, high, low.value() + USUAL_HYSTERESIS * plan.site().nominalVolts() / 12);
    }
}
