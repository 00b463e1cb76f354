package sparen.question;

import java.util.List;
import sparen.bench.AutoBench;
import sparen.program.Plan;

/** One level walked, and whether its output did as the level says. */
public record Walked(AutoBench.Row row, boolean asExpected) {
    /** Every level of a program, up or down. */
    public static List<Walked> of(Plan plan) {
        return AutoBench.walk(plan).stream()
                .map(row -> new Walked(row, row.asExpected()))
                .toList();
    }
}
