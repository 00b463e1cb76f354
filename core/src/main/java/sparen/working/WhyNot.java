package sparen.working;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import sparen.program.Level;
import sparen.program.Mode;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Rule;
import sparen.program.TestForce;
import sparen.quantity.Bounds;
import sparen.result.DayFigures;
import sparen.result.OutputFigures;
import sparen.result.RunResult;

/** Why an output stayed as it was through a whole run. */
public final class WhyNot {
    private final RunResult run;

    private WhyNot(RunResult run) {
        this.run = run;
    }

    /**
     * The reason.
     *
     * @param output an output of the plan of the run
     * @return empty where it did move
     */
    public static Optional<String> of(Plan plan, RunResult run, String output) {
        OutputFigures figures = run.outputs().stream()
                .filter(one -> one.output().equals(output))
                .findFirst()
                .orElseThrow();
        Output named = plan.program().outputs().stream()
                .filter(one -> one.id().equals(output))
                .findFirst()
                .orElseThrow();
        return figures.switchings() > 0 ? Optional.empty() : Optional.of(new WhyNot(run).format(named, figures));
    }

    private String format(Output output, OutputFigures figures) {
        if (output.testForce() != TestForce.NONE) {
            return "a test force holds it";
        }
        Optional<Rule> acting = output.mode() == Mode.BY_RULE ? output.automatic() : Optional.empty();
        List<Rule> rules =
                Stream.concat(acting.stream(), output.protection().stream()).toList();
        if (rules.isEmpty()) {
            return "its mode is " + (output.mode() == Mode.ON ? "on" : "off") + " and nothing guards it";
        }
        if (output.mode() == Mode.OFF) {
            return "its mode is off";
        }
        List<String> reasons = rules.stream()
                .flatMap(rule -> rule.levels().stream())
                .filter(level -> level.value() > 0)
                .flatMap(level -> notReached(level, figures.startsClosed()).stream())
                .toList();
        return reasons.isEmpty() ? "what it waits for did not last for its delay" : String.join("; ", reasons);
    }

    /** Only a level that would have moved it from where it stood is a reason. */
    private Optional<String> notReached(Level level, boolean closed) {
        Level.Role role = level.role();
        if (!role.awaitedWhen(closed)) {
            return Optional.empty();
        }
        String name = level.term() + " " + Bounds.number(level.value()) + (role.percent() ? " %" : " V");
        if (role.falling()) {
            double lowest = role.percent()
                    ? 100 * run.lowestStateOfCharge().value()
                    : run.lowestBatteryVolts().value();
            return Optional.of(
                    lowest > level.value()
                            ? name + " was not reached: the lowest was " + rounded(lowest, role.percent())
                            : name + " was passed, but not for its delay or not where it is read");
        }
        if (!role.percent()) {
            return Optional.of(name + " was not reached for its delay");
        }
        double highest = 100
                * run.days().stream()
                        .mapToDouble(DayFigures::highestStateOfCharge)
                        .max()
                        .orElse(0);
        return highest < level.value()
                ? Optional.of(name + " was not reached: the highest was " + rounded(highest, true))
                : Optional.empty();
    }

    private static String rounded(double value, boolean percent) {
        return percent ? Math.round(value) + " %" : Bounds.number(Math.round(value * 100) / 100.0) + " V";
    }
}
