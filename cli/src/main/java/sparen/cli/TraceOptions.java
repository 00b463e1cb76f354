package sparen.cli;

import picocli.CommandLine.Option;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

/** In which steps a trace is written, and whether a mark stands before it. */
final class TraceOptions {
    @Option(
            names = "--step",
            paramLabel = "N",
            description =
                    "length of a step of trace.csv, s: 60, 900, 3600 … (default: a minute, or what makes 20,000 of it)")
    private Integer step;

    @Option(names = "--bom", description = "with a byte order mark, for programs that want one")
    private boolean bom;

    String mark() {
        return bom ? "\uFEFF" : "";
    }

    /** How many steps a run of a length (s) has. */
    int buckets(double seconds, int most) {
        if (step == null) {
            return (int) Math.max(1, Math.min(most, seconds / 60));
        }
        Bounds.within("--step", step, "s", 1, seconds);
        double buckets = seconds / step;
        if (buckets != Math.rint(buckets)) {
            throw new InvalidQuantity("--step", step + " s does not go into " + Bounds.number(seconds) + " s");
        }
        Bounds.within("--step", buckets, "steps", 1, most);
        return (int) buckets;
    }
}
