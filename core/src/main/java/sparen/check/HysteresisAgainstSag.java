package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.examined.PlanFacts.LevelOfOutput;
import sparen.examined.Tolerance;
import sparen.program.Level;

/**
 * The hysteresis must be wider than what the voltage rebounds by when the load goes, or the disconnect chatters.
 *
 * <p>The rebound is the current of all loads behind the contact at the level, times the battery's resistance in the cold and at its
 * age: the ohmic part at once, with the dynamic part in the end; with the main cable where the bus is sensed. Circuit law; that it
 * must be wider is common practice, no source.
 */
final class HysteresisAgainstSag implements Check {
    /** So much more than sag and rebound is proposed (×); judgement, no source. */
    private static final double ROOM = 1.25;

    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.levels(Level.Role.DISCONNECT, Level.Role.SHED)
                .flatMap(low ->
                        plan.partner(low, Level.Role.RECONNECT).filter(high -> high.value() > low.value()).stream()
                                .flatMap(high -> compare(plan, low, high)));
    }

    private Stream<Finding> compare(PlanFacts plan, LevelOfOutput low, LevelOfOutput high) {
        double amperes = plan.worstAmperes(low.output(), low.value());
        double cold = plan.battery().resistanceFactor(plan.coldestBatteryCelsius());
        double cableOhms = plan.isAtBattery(low) ? 0 : plan.mainCableOhms();
        double atOnce = amperes * (plan.battery().ohmicOhms() * cold + cableOhms);
        double settled = amperes * (plan.battery().settledOhms() * cold + cableOhms);
        double hysteresis = high.value() - low.value();
        if (hysteresis >= settled) {
            return Stream.empty();
        }
        boolean immediate = hysteresis < atOnce;
        double against = immediate ? atOnce : settled;
        Finding finding = finding(
                        Hazard.NUISANCE,
                        immediate ? Severity.DANGER : Severity.CAUTION,
                        low.output().id(),
                        immediate
                                ? "The hysteresis is smaller than the sag of its load: when the contact opens the voltage"
                                        + " jumps past reconnection at once, and the contact chatters."
                                : "The hysteresis is smaller than sag and rebound of its load: after some minutes of rest"
                                        + " the voltage is past reconnection without any charge, and the contact cycles.")
                .about(high.path())
                .number("hysteresis", hysteresis, "V")
                .number("sag at once", atOnce, "V")
                .number("sag and rebound, in the cold", settled, "V")
                .sure(Tolerance.below(
                        hysteresis,
                        Tolerance.METER * low.value() * 0.1,
                        against,
                        Tolerance.RESISTANCE * (against - amperes * cableOhms)));
        return Stream.of(Cures.level(finding, high, low.value() + ROOM * settled));
    }
}
