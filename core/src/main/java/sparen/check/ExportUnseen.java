package sparen.check;

import java.util.Optional;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.AcProgram;
import sparen.site.AcCoupledArray;
import sparen.site.AcCoupledArray.ArrayMeter;
import sparen.site.AcSource;
import sparen.site.AcSource.ExportMeter;
import sparen.site.Inverter;

/** What goes out to a feeder is only held by an inverter whose meter there sees all of it, the right way round. */
final class ExportUnseen implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        Inverter inverter = plan.site().inverter().orElse(null);
        if (inverter == null || inverter.transfer().isEmpty()) {
            return Stream.empty();
        }
        AcProgram ac = plan.program().ac().orElse(AcProgram.PLAIN);
        return plan.site().acSources().stream()
                .filter(AcSource.Feeder.class::isInstance)
                .map(AcSource.Feeder.class::cast)
                .filter(feeder -> feeder.exportWatts() > 0)
                .flatMap(feeder -> of(plan, ac, feeder));
    }

    private Stream<Finding> of(PlanFacts plan, AcProgram ac, AcSource.Feeder feeder) {
        Optional<ExportMeter> meter = feeder.meter();
        boolean hasArrays = !plan.site().acArrays().isEmpty();
        if (meter.isEmpty() && (ac.givesOut() || hasArrays)) {
            return Stream.of(at(
                    feeder,
                    Severity.CAUTION,
                    "Nothing at " + feeder.name()
                            + " tells the inverter what goes out. A limit, or none at all, is kept by a"
                            + " meter where the feeder comes in; here it is taken as kept."));
        }
        if (meter.isPresent() && meter.get().reversed()) {
            return Stream.of(at(
                    feeder,
                    Severity.DANGER,
                    "The meter is in the wrong way round: the inverter takes what goes out for what comes in, and sends"
                            + " more. No limit is kept but the feeder's own. Turn it, or its sign, and see it fall to 0"
                            + " with a load switched on."));
        }
        if (meter.isPresent() && meter.get().blindToAcArrays() && hasArrays) {
            if (own(plan).anyMatch(one -> one.filter(ArrayMeter::reversed).isPresent())) {
                return Stream.of(at(
                        feeder,
                        Severity.DANGER,
                        "The second meter, at the array on the AC side, is in the wrong way round: what it brings is taken"
                                + " for what is drawn, and more goes out past the limit. Turn it, or its sign."));
            }
            if (own(plan).allMatch(Optional::isPresent)) {
                return Stream.empty();
            }
            return Stream.of(at(
                    feeder,
                    Severity.CAUTION,
                    "The meter does not see the arrays on the AC side: what they have too much goes out past it,"
                            + " whatever the limit. Put it before all of them, or a second one at each."));
        }
        if (meter.flatMap(ExportMeter::blindToLoads).orElse(false) && hasLoads(plan, feeder)) {
            return Stream.of(at(
                    feeder,
                    Severity.NOTE,
                    "The meter does not see the loads before the inverter: what they take is bought, though battery or sun"
                            + " could feed them. Put it before them."));
        }
        return Stream.empty();
    }

    private static boolean hasLoads(PlanFacts plan, AcSource.Feeder feeder) {
        return plan.site().loads().stream()
                .anyMatch(load -> load.feed().filter(feeder.id()::equals).isPresent());
    }

    private static Stream<Optional<ArrayMeter>> own(PlanFacts plan) {
        return plan.site().acArrays().stream().map(AcCoupledArray::meter);
    }

    private Finding at(AcSource.Feeder feeder, Severity severity, String text) {
        return finding(Hazard.WASTE, severity, feeder.id(), text).about("site/acSources/" + feeder.id() + "/meter");
    }
}
