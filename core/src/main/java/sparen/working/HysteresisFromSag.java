package sparen.working;

import java.util.stream.Stream;
import sparen.check.Cures;
import sparen.examined.PlanFacts;
import sparen.examined.PlanFacts.LevelOfOutput;
import sparen.program.Level;
import sparen.quantity.Bounds;
import sparen.quantity.Fields;

/** The least hysteresis a disconnect needs: what its load makes the voltage sag, in the cold, with a quarter of room. */
final class HysteresisFromSag implements Calculator {
    private static final double ROOM = 1.25;

    @Override
    public Stream<Working> work(PlanFacts plan) {
        return plan.levels(Level.Role.DISCONNECT, Level.Role.SHED)
                .flatMap(low -> plan.partner(low, Level.Role.RECONNECT).stream().map(high -> work(plan, low, high)));
    }

    private Working work(PlanFacts plan, LevelOfOutput low, LevelOfOutput high) {
        double amperes = plan.worstAmperes(low.output(), low.value());
        double celsius = plan.coldestBatteryCelsius();
        double ohms = plan.battery().settledOhms() * plan.battery().resistanceFactor(celsius);
        double cable = plan.isAtBattery(low) ? 0 : plan.mainCableOhms();
        double least = low.value() + ROOM * amperes * (ohms + cable);
        double taken = Math.ceil(least * 10) / 10;
        return working(
                        high.path(),
                        "Least " + high.level().term() + " of " + low.output().name(),
                        taken,
                        "V")
                .line("its loads draw %.1f A at %.1f V", amperes, low.value())
                .line("battery %.1f mΩ at %.0f °C, cable %.1f mΩ", ohms * 1000, celsius, cable * 1000)
                .line(
                        "sag and rebound %.1f A × %.1f mΩ = %.2f V",
                        amperes, (ohms + cable) * 1000, amperes * (ohms + cable))
                .line("%.1f V + 1.25 × %.2f V = %.2f V", low.value(), amperes * (ohms + cable), least)
                .enters(
                        high.level().term() + " of " + low.output().name() + " to " + Bounds.number(taken) + " V",
                        Cures.rule(high, rule -> Fields.with(rule, high.level().field(), taken)));
    }
}
