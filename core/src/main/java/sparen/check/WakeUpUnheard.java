package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.site.Bms;
import sparen.site.Inverter;

/** A BMS that sleeps until a charger shows it a voltage needs a charger that starts without a battery. */
final class WakeUpUnheard implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        boolean some = plan.site().controllers().stream()
                .anyMatch(controller -> controller.startsWithoutBattery().orElse(false));
        boolean byAc = !plan.site().acSources().isEmpty()
                && plan.site().inverter().flatMap(Inverter::charger).isPresent();
        boolean several = plan.bank().batteries().size() > 1;
        return plan.bank().batteries().stream()
                .filter(battery -> battery.bms().flatMap(Bms::wakeUpVolts).isPresent())
                .filter(battery -> !some && !byAc)
                .map(battery -> finding(
                                Hazard.OVER_DISCHARGE,
                                several ? Severity.CAUTION : Severity.DANGER,
                                battery.id(),
                                "Once empty it sleeps until a charger shows it a voltage, and no charger here starts"
                                        + " without a battery: after one deep discharge someone must come.")
                        .about("site/battery/batteries/" + battery.id() + "/bms/wakeUpVolts")
                        .number(
                                "wake-up voltage",
                                battery.bms().flatMap(Bms::wakeUpVolts).orElseThrow(),
                                "V"));
    }
}
