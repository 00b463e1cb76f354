package sparen.cli;

import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;
import sparen.bench.AutoBench;
import sparen.bench.BenchScript;
import sparen.bench.LiveBench;
import sparen.bench.SupplyBench;
import sparen.document.Documents;
import sparen.program.Plan;
import sparen.quantity.InvalidQuantity;

/** Plays a script of the bench, or walks every level. */
@Command(
        name = "bench",
        mixinStandardHelpOptions = true,
        description =
                "Puts the program of a plan document on a bench supply and prints as JSON what happens: by a script that was"
                        + " kept at the bench, or, without one, by walking every level.")
final class BenchCommand implements Callable<Integer> {
    @Mixin
    private DocumentInput input;

    @Option(names = "--script", paramLabel = "FILE", description = "what is turned, and when (JSON)")
    private Path script;

    @Option(
            names = "--seconds",
            paramLabel = "N",
            description = "how far it is played (default: a minute past its last turn)")
    private Double seconds;

    @Option(
            names = "--live",
            description = "with a model of the site's battery behind it, instead of every voltage imposed")
    private boolean live;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws BadInput {
        Plan plan = input.plan();
        Map<String, Object> told = new LinkedHashMap<>();
        told.put("simulated", "at a bench; no proof of safety");
        if (script == null) {
            told.put("levels", AutoBench.walk(plan));
        } else {
            BenchScript turns = Inputs.script(script);
            try {
                double until = seconds == null ? turns.endSeconds() + 60 : seconds;
                told.put(
                        "bench",
                        live
                                ? LiveBench.play(plan, turns, until, Math.max(10, until))
                                : SupplyBench.play(plan, turns, until));
            } catch (InvalidQuantity invalid) {
                throw new BadInput(script + ": " + invalid.getMessage(), invalid);
            }
        }
        spec.commandLine().getOut().println(Documents.writeAny(told));
        return 0;
    }
}
