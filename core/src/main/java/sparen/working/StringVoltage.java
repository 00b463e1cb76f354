package sparen.working;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.site.SolarArray;
import sparen.sun.ColdMorning;

/** String voltage on the coldest night, by the table and by the sheet; see {@link ColdMorning}. */
final class StringVoltage implements Calculator {
    @Override
    public Stream<Working> work(PlanFacts plan) {
        double cold = Math.max(-40, plan.coldestAirCelsius());
        return plan.site().arrays().stream()
                .filter(array -> array.string().isPresent())
                .map(array -> {
                    SolarArray.ModuleString string = array.string().orElseThrow();
                    double byTable = ColdMorning.stringVolts(string.openCircuitVolts(), 1, cold);
                    double bySheet = ColdMorning.stringVoltsByCoefficient(
                            string.openCircuitVolts(), 1, cold, string.voltsPerKelvinFraction());
                    return working(
                                    "site/arrays/" + array.id() + "/string/openCircuitVolts",
                                    "String voltage of " + array.name() + " in the cold",
                                    Math.max(byTable, bySheet),
                                    "V")
                            .line("coldest night to be expected %.0f °C", cold)
                            .line(
                                    "table NEC 690.7(A): %.1f V × %.2f = %.1f V",
                                    string.openCircuitVolts(), ColdMorning.factor(cold), byTable)
                            .line(
                                    "by the sheet: %.1f V × (1 %+.4f /K × %.0f K) = %.1f V",
                                    string.openCircuitVolts(), string.voltsPerKelvinFraction(), cold - 25, bySheet);
                });
    }
}
