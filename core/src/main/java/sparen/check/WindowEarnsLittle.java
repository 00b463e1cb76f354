package sparen.check;

import java.util.List;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.AcProgram;
import sparen.program.AcProgram.AcWindow;
import sparen.site.AcSource;

/** A window that charges dear and gives cheap, or loses more in the battery than the prices differ by. */
final class WindowEarnsLittle implements Check {
    /** What comes back of what is stored by way of charger, battery and inverter (fraction); common practice, no source. */
    private static final double ROUND_TRIP_LEAD_ACID = 0.68;

    private static final double ROUND_TRIP_LITHIUM = 0.82;

    @Override
    public Stream<Finding> look(PlanFacts plan) {
        boolean discharges = plan.program().ac().map(AcProgram::windows).orElse(List.of()).stream()
                .anyMatch(window -> window.kind() == AcWindow.Kind.DISCHARGE);
        boolean charges = plan.program().ac().map(AcProgram::windows).orElse(List.of()).stream()
                .anyMatch(window -> window.kind() == AcWindow.Kind.CHARGE);
        double back = plan.bank().chemistry().isLithium() ? ROUND_TRIP_LITHIUM : ROUND_TRIP_LEAD_ACID;
        return plan.site().acSources().stream()
                .filter(AcSource.Feeder.class::isInstance)
                .map(AcSource.Feeder.class::cast)
                .filter(feeder -> charges && discharges && feeder.bands().size() > 1)
                .flatMap(feeder -> {
                    double cheap = feeder.bands().stream()
                            .mapToDouble(AcSource.PriceBand::importPerKilowattHour)
                            .min()
                            .orElseThrow();
                    double dear = feeder.bands().stream()
                            .mapToDouble(AcSource.PriceBand::importPerKilowattHour)
                            .max()
                            .orElseThrow();
                    return cheap < dear * back
                            ? Stream.empty()
                            : Stream.of(finding(
                                            Hazard.WASTE,
                                            Severity.NOTE,
                                            feeder.id(),
                                            "Charging in the cheap hours for the dear ones loses more on the way than the"
                                                    + " prices differ by.")
                                    .about("site/acSources/" + feeder.id() + "/bands")
                                    .number("a unit that comes back costs", cheap / back, "/kWh")
                                    .number("the dear hours cost", dear, "/kWh"));
                });
    }
}
