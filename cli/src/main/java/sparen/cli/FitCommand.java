package sparen.cli;

import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Spec;
import sparen.document.Documents;
import sparen.fit.BatteryFit;
import sparen.program.Plan;
import sparen.quantity.Standard;

/** Prints which battery made what was recorded. */
@Command(
        name = "fit",
        mixinStandardHelpOptions = true,
        description =
                "Fits the battery of a plan document to the voltages and currents that a logger recorded, and prints as JSON what it"
                        + " found: each number with the interval in which it lies with 95 %.")
final class FitCommand implements Callable<Integer> {
    @Mixin
    private LogInput input;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws BadInput {
        Plan plan = input.plan();
        spec.commandLine()
                .getOut()
                .println(Documents.writeAny(
                        BatteryFit.fit(plan.site().battery(), input.log(plan), Standard.ROOM_CELSIUS)));
        return 0;
    }
}
