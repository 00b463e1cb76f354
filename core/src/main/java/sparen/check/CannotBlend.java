package sparen.check;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.AcProgram;
import sparen.program.AcProgram.AcWindow;
import sparen.program.AcProgram.SourcePriority;
import sparen.site.AcSource;
import sparen.site.Inverter;

/** What is asked of the AC side takes gear that puts power beside AC, and a feeder that takes some back. */
final class CannotBlend implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        AcProgram ac = plan.program().ac().orElse(AcProgram.PLAIN);
        Inverter inverter = plan.site().inverter().orElse(null);
        if (inverter == null || inverter.transfer().isEmpty()) {
            return Stream.empty();
        }
        List<Finding> found = new ArrayList<>();
        boolean gives = ac.windows().stream().anyMatch(AcWindow::givesBesideAc);
        if (!inverter.blends() && gives) {
            found.add(at(
                    inverter,
                    Severity.CAUTION,
                    "A window gives a set power, or power to the grid, but this inverter only switches: it gives the loads"
                            + " what they take, and nothing out.",
                    "program/ac/windows"));
        }
        boolean sunOnAc = ac.source() == SourcePriority.AC_FIRST || ac.source() == SourcePriority.SUN_FIRST;
        if (!inverter.blends() && sunOnAc && !plan.site().controllers().isEmpty() && hasFeeder(plan)) {
            found.add(at(
                    inverter,
                    Severity.NOTE,
                    ac.source() == SourcePriority.SUN_FIRST
                            ? "It only switches: while the sun is short of what the loads take, all of it comes from AC."
                            : "It only switches: while AC feeds, sun that the battery does not take is thrown away.",
                    "program/ac/source"));
        }
        if (ac.givesOut() && hasFeeder(plan) && takesBack(plan) == 0) {
            found.add(at(
                    inverter,
                    Severity.CAUTION,
                    "Power is to go out, but no feeder of the site takes any back.",
                    "program/ac/exportsSurplus"));
        }
        return found.stream();
    }

    private Finding at(Inverter inverter, Severity severity, String text, String path) {
        return finding(Hazard.WASTE, severity, inverter.id(), text).about(path);
    }

    private static boolean hasFeeder(PlanFacts plan) {
        return plan.site().acSources().stream().anyMatch(AcSource.Feeder.class::isInstance);
    }

    private static double takesBack(PlanFacts plan) {
        return plan.site().acSources().stream()
                .filter(AcSource.Feeder.class::isInstance)
                .mapToDouble(one -> ((AcSource.Feeder) one).exportWatts())
                .max()
                .orElse(0);
    }
}
