package sparen.working;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.Level;

/** A level said for a cell and as its 12 V number, for comparing with what is known of other banks. Setpoints scale with the number of cells. */
final class CellScaling implements Calculator {
    @Override
    public Stream<Working> work(PlanFacts plan) {
        int cells = plan.bank().cellsInSeries();
        int of12 = plan.bank().chemistry().cellsOf12Volts();
        return plan.levels(Level.Role.values())
                .filter(placed -> !placed.level().role().percent())
                .map(placed -> working(
                                placed.path(),
                                placed.level().term() + " of " + placed.output().name() + " scaled",
                                placed.value() / cells * of12,
                                "V")
                        .line("%.2f V / %d cells = %.3f V a cell", placed.value(), cells, placed.value() / cells)
                        .line(
                                "%.3f V × %d = %.2f V in a 12 V set",
                                placed.value() / cells, of12, placed.value() / cells * of12));
    }
}
