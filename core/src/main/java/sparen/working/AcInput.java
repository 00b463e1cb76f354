package sparen.working;

import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import sparen.examined.AcInlet;
import sparen.examined.PlanFacts;
import sparen.power.PlanningArithmetic;
import sparen.program.AcProgram;
import sparen.quantity.Bounds;
import sparen.site.AcSource;
import sparen.site.Inverter;

/** Input limit: the weakest source, with room. A breaker bears 80 % for ever under some codes; a generator a little under its rating. */
final class AcInput implements Calculator {
    private static final double BREAKER = 0.8;
    private static final double GENERATOR = 0.9;

    @Override
    public Stream<Working> work(PlanFacts plan) {
        if (plan.site().inverter().flatMap(Inverter::transfer).isEmpty()
                || plan.site().acSources().isEmpty()) {
            return Stream.empty();
        }
        Inverter inverter = plan.site().inverter().get();
        double least = inverter.transfer().orElseThrow().maximumAmperes();
        Working working = working("program/ac/inputLimitAmperes", "AC input limit", 0, "A")
                .line("the transfer switch: %.0f A", least);
        for (AcSource source : plan.site().acSources()) {
            double leg = source.legAmperes(inverter.acVolts());
            double share = source instanceof AcSource.Feeder ? BREAKER : GENERATOR;
            double volts = AcSource.legVolts(inverter.acVolts(), source.legs());
            working = working.line(
                    "%s: %.0f W a leg / %.0f V%s = %.1f A, × %.0f %% = %.1f A",
                    source.name(),
                    source.legWatts(inverter.acVolts()),
                    volts,
                    volts < inverter.acVolts()
                            ? String.format(Locale.ROOT, " to neutral (%.0f V between the legs)", inverter.acVolts())
                            : " to neutral",
                    leg,
                    share * 100,
                    leg * share);
            least = Math.min(least, leg * share);
        }
        for (AcSource source : plan.site().acSources()) {
            working = source instanceof AcSource.Generator && inverter.charger().isPresent()
                    ? besideLoads(plan, inverter, source, working)
                    : working;
        }
        double taken = Math.floor(least * 2) / 2;
        Working done = new Working(
                working.calculator(), working.path(), working.title(), working.lines(), taken, "A", Optional.empty());
        AcProgram ac = plan.program().ac().orElse(AcProgram.PLAIN);
        return Stream.of(done.enters(
                "AC input limit to " + Bounds.number(taken) + " A",
                changed ->
                        changed.withProgram(changed.program().withAc(Optional.of(ac.withInputLimitAmperes(taken))))));
    }

    /** What a generator leaves for charging beside the loads on AC, at their mean. */
    private static Working besideLoads(PlanFacts plan, Inverter inverter, AcSource source, Working working) {
        double watts = source.legWatts(inverter.acVolts()) * source.legs();
        double efficiency = inverter.charger().orElseThrow().efficiency();
        double volts = plan.site().nominalVolts();
        double loads = AcInlet.loadWatts(plan, inverter);
        return working.line(
                "%s charges beside its loads with (%.0f W − %.0f W) × %.0f %% / %.0f V = %.0f A",
                source.name(),
                watts,
                loads,
                efficiency * 100,
                volts,
                Math.max(0, PlanningArithmetic.generatorChargeAmperes(watts, 1, loads, efficiency, volts)));
    }
}
