package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.power.PlanningArithmetic;
import sparen.program.Output;
import sparen.program.rule.VentilationByGassing;
import sparen.quantity.Standard;
import sparen.result.RunResult;

/**
 * A battery that gassed in a run while its ventilation stood still. The air that the most gas needed is Q = 0.05 n I, EN IEC 62485-2, from
 * memory; see {@link sparen.power.PlanningArithmetic}.
 */
final class GassedUnventilated implements RunCheck {
    /** Less than this is its delay (h); judgement, no source. */
    private static final double WORTH_HOURS = 0.25;

    @Override
    public Stream<Finding> look(PlanFacts plan, RunResult run) {
        double hours = run.battery().secondsUnventilated() / Standard.HOUR;
        return plan.outputs().stream()
                .filter(output -> hours >= WORTH_HOURS && ventilates(output))
                .limit(1)
                .map(output -> finding(
                                Hazard.GAS,
                                Severity.CAUTION,
                                output.id(),
                                "In the run the battery gassed while its ventilation stood still.")
                        .about("program/outputs/" + output.id() + "/automatic/gassingVolts")
                        .number("gassed without it", hours, "h")
                        .number("most current that made gas", run.battery().highestGasAmperes(), "A")
                        .number(
                                "air needed then",
                                PlanningArithmetic.airForGas(
                                        plan.bank().cellsInSeries(),
                                        run.battery().highestGasAmperes()),
                                "m³/h",
                                "EN IEC 62485-2"));
    }

    private static boolean ventilates(Output output) {
        return output.automatic().filter(VentilationByGassing.class::isInstance).isPresent();
    }
}
