package sparen.check;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.AcProgram;
import sparen.program.AcProgram.AcWindow;
import sparen.site.AcSource.Feeder;
import sparen.site.AcSource.PriceBand;
import sparen.site.DailySpan;

/** A window that charges dear and gives cheap, or loses more in the battery than the prices of its own hours differ by. */
final class WindowEarnsLittle implements Check {
    /** What comes back of what is stored by way of charger, battery and inverter (fraction); common practice, no source. */
    private static final double ROUND_TRIP_LEAD_ACID = 0.68;

    private static final double ROUND_TRIP_LITHIUM = 0.82;

    /** Prices are looked up at so many instants of a window. */
    private static final int INSTANTS = 96;

    @Override
    public Stream<Finding> look(PlanFacts plan) {
        List<AcWindow> windows = plan.program().ac().map(AcProgram::windows).orElse(List.of());
        double back = plan.bank().chemistry().isLithium() ? ROUND_TRIP_LITHIUM : ROUND_TRIP_LEAD_ACID;
        return plan.site().acSources().stream()
                .filter(Feeder.class::isInstance)
                .map(Feeder.class::cast)
                .filter(feeder -> feeder.bands().size() > 1)
                .flatMap(feeder -> look(feeder, windows, back).stream());
    }

    private Optional<Finding> look(Feeder feeder, List<AcWindow> windows, double back) {
        OptionalDouble paid = windows.stream()
                .filter(window -> window.kind() == AcWindow.Kind.CHARGE)
                .mapToDouble(window -> mean(feeder, window.when(), PriceBand::importPerKilowattHour))
                .min();
        OptionalDouble got = windows.stream()
                .filter(window -> window.kind() == AcWindow.Kind.DISCHARGE)
                .mapToDouble(window -> mean(
                        feeder,
                        window.when(),
                        window.toGrid().orElse(false)
                                ? PriceBand::exportPerKilowattHour
                                : PriceBand::importPerKilowattHour))
                .max();
        if (paid.isEmpty() || got.isEmpty() || paid.getAsDouble() < got.getAsDouble() * back) {
            return Optional.empty();
        }
        return Optional.of(finding(
                        Hazard.WASTE,
                        Severity.NOTE,
                        feeder.id(),
                        "Charging in the cheap hours for the dear ones loses more on the way than the prices differ by.")
                .about("site/acSources/" + feeder.id() + "/bands")
                .number("a unit that comes back costs", paid.getAsDouble() / back, "/kWh")
                .number("it saves or brings", got.getAsDouble(), "/kWh"));
    }

    /** The mean price over the hours of a span, on a day on which it holds; outside all bands nothing is paid. */
    private static double mean(Feeder feeder, DailySpan span, ToDoubleFunction<PriceBand> price) {
        return IntStream.range(0, INSTANTS)
                .mapToDouble(i -> (span.fromHour() + span.hours() * (i + 0.5) / INSTANTS) % 24)
                .map(hour -> feeder.bands().stream()
                        .filter(band -> band.when().holdsAt(hour))
                        .mapToDouble(price)
                        .findFirst()
                        .orElse(0))
                .average()
                .orElseThrow();
    }
}
