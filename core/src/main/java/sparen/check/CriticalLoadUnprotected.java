package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.Level;

/** A critical load that empties the battery for everything else, with nothing that takes any load off. */
final class CriticalLoadUnprotected implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        boolean bms = plan.bank().batteries().stream()
                .anyMatch(battery -> battery.bms().isPresent());
        boolean some =
                plan.levels(Level.Role.DISCONNECT, Level.Role.CUT_OFF, Level.Role.SHED, Level.Role.DISCONNECT_SOC)
                                .findAny()
                                .isPresent()
                        || plan.site().inverter().isPresent()
                                && plan.site().loads().stream()
                                        .allMatch(load -> load.feed().isPresent());
        return some || plan.site().loads().isEmpty()
                ? Stream.empty()
                : Stream.of(finding(
                                Hazard.OVER_DISCHARGE,
                                bms ? Severity.CAUTION : Severity.DANGER,
                                "",
                                bms
                                        ? "Nothing but the BMS takes loads off a low battery: it drops the chargers too."
                                        : "Nothing takes any load off a low battery.")
                        .about("program/outputs"));
    }
}
