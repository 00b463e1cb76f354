package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.site.SolarArray;
import sparen.sun.ColdMorning;

/** On the coldest morning a string stands higher than its controller survives. NEC 690.7(A) table and the sheet, from memory; see {@link sparen.sun.ColdMorning}. */
final class StringVoltageInCold implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        double cold = Math.max(-40, plan.coldestAirCelsius());
        return plan.site().controllers().stream()
                .filter(controller -> controller.maximumInputVolts().isPresent())
                .flatMap(controller -> plan.site().arrays().stream()
                        .filter(array -> controller.arrays().contains(array.id()))
                        .filter(array -> array.string().isPresent())
                        .filter(array -> volts(array, cold)
                                > controller.maximumInputVolts().orElseThrow())
                        .map(array -> finding(
                                        Hazard.OVERLOAD,
                                        Severity.DANGER,
                                        controller.id(),
                                        "On the coldest morning the strings of " + array.name()
                                                + " stand higher than it survives.")
                                .about("site/arrays/" + array.id() + "/string")
                                .number("string in the cold", volts(array, cold), "V")
                                .number(
                                        "it survives",
                                        controller.maximumInputVolts().orElseThrow(),
                                        "V")
                                .number("coldest night to be expected", cold, "°C")));
    }

    private static double volts(SolarArray array, double cold) {
        SolarArray.ModuleString string = array.string().orElseThrow();
        return Math.max(
                ColdMorning.stringVolts(string.openCircuitVolts(), 1, cold),
                ColdMorning.stringVoltsByCoefficient(
                        string.openCircuitVolts(), 1, cold, string.voltsPerKelvinFraction()));
    }
}
