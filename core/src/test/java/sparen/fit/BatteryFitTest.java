package sparen.fit;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.testng.annotations.Test;
import sparen.battery.BatteryModel;
import sparen.fit.Estimate.Quantity;
import sparen.format.LoggerFile;
import sparen.program.Plan;
import sparen.site.Ageing;
import sparen.table.Meaning;

/** Whether a month of recorded voltages and currents gives back the battery that made them. */
public class BatteryFitTest {
    private static Estimate of(FitResult fit, Quantity quantity) {
        return fit.estimates().stream()
                .filter(one -> one.quantity() == quantity)
                .findFirst()
                .orElseThrow();
    }

    /**
     * Twenty batteries, aged by chance, each recorded with noise of 10 mV, a shunt of 1 % that is off by up to 0.1 A, and a day missing:
     * capacity within 3 %, resistances within 5 %, and the true value in the stated interval at least eighteen times of twenty.
     */
    @Test
    public void givesBackTwentyAgedBatteries() {
        AtomicInteger[] inside = {new AtomicInteger(), new AtomicInteger(), new AtomicInteger()};
        List<String> off = IntStream.range(0, 20)
                .parallel()
                .mapToObj(seed -> {
                    SplittableRandom random = new SplittableRandom(seed);
                    Ageing aged = new Ageing(0.65 + 0.4 * random.nextDouble(), 0.9 + 0.9 * random.nextDouble());
                    Plan truth = RecordedMonth.plan(Optional.of(aged));
                    LoggerFile log = RecordedMonth.recorded(RecordedMonth.truth(truth, seed), seed);
                    FitResult fit = BatteryFit.fit(
                            RecordedMonth.plan(Optional.empty()).site().battery(), log, 25);
                    BatteryModel model = BatteryModel.of(truth.site().battery());
                    double[] wanted = {200 * aged.capacityFraction(), model.ohmicOhms(), model.settledOhms()};
                    double[] within = {0.03, 0.05, 0.05};
                    StringBuilder wrong = new StringBuilder();
                    for (int i = 0; i < wanted.length; i++) {
                        Estimate found = of(fit, Quantity.values()[i]);
                        if (found.lowest() <= wanted[i] && wanted[i] <= found.highest()) {
                            inside[i].incrementAndGet();
                        }
                        if (Math.abs(found.value() / wanted[i] - 1) > within[i]
                                || found.cannotTell().isPresent()) {
                            wrong.append(seed)
                                    .append(": ")
                                    .append(found)
                                    .append(" for ")
                                    .append(wanted[i]);
                        }
                    }
                    return wrong.toString();
                })
                .filter(words -> !words.isEmpty())
                .toList();
        assertEquals(off, List.of());
        for (AtomicInteger count : inside) {
            assertTrue(count.get() >= 18, count.get() + " of 20 in their interval");
        }
    }

    /** A battery that never moves teaches nothing, and that is said. */
    @Test
    public void saysWhatTheDataCannotTell() {
        Plan plan = RecordedMonth.plan(Optional.empty());
        LoggerFile truth = RecordedMonth.truth(plan, 1);
        double[] still = new double[truth.lines()];
        Arrays.fill(still, 12.8);
        LoggerFile flat = new LoggerFile(
                truth.seconds(),
                Map.of(Meaning.BATTERY_VOLTS, still, Meaning.BATTERY_AMPERES, new double[still.length]),
                Map.of(),
                List.of());
        FitResult fit = BatteryFit.fit(plan.site().battery(), flat, 25);
        for (Quantity quantity : List.of(Quantity.CAPACITY, Quantity.RESISTANCE_AT_ONCE, Quantity.VOLTAGE_OFFSET)) {
            assertTrue(
                    of(fit, quantity).cannotTell().isPresent(),
                    of(fit, quantity).toString());
        }
        LoggerFile noCurrent =
                new LoggerFile(truth.seconds(), Map.of(Meaning.BATTERY_VOLTS, still), Map.of(), List.of());
        assertTrue(BatteryFit.fit(plan.site().battery(), noCurrent, 25)
                .cannot()
                .orElseThrow()
                .contains("current"));
    }

    /**
     * A battery of another model: two kinetic wells by their published equations, a straight line of voltage over the charge at hand and
     * one resistance. J. F. Manwell and J. G. McGowan, Solar Energy 50 (1993) 399–405, from memory; its capacity over 20 hours within 8 %.
     */
    @Test
    public void givesBackTheCapacityOfAnotherModel() {
        double most = 185;
        double share = 0.45;
        double perHour = 1.0;
        int minutes = 30 * 1440;
        double[][] columns = new double[2][minutes];
        double[] seconds = new double[minutes];
        double first = share * most * 0.9;
        double second = (1 - share) * most * 0.9;
        for (int i = 0; i < minutes; i++) {
            double hour = i / 60.0 % 24;
            double sun = i / 1440 % 4 == 3 ? 1.5 : 9;
            double draw = 1.2 + (hour >= 17 && hour < 22 ? 4 : 0) + (hour < 1 ? 8 : 0);
            double wanted = draw - (hour >= 8 && hour < 15 ? sun : 0);
            double amperes = first / (share * most) > 0.97 ? Math.max(wanted, 0) : wanted;
            double hours = 1 / 60.0;
            double gone = Math.exp(-perHour * hours);
            double all = first + second;
            double next = first * gone
                    + (all * perHour * share - amperes) * (1 - gone) / perHour
                    - amperes * share * (perHour * hours - 1 + gone) / perHour;
            second = all - amperes * hours - next;
            first = next;
            seconds[i] = 60.0 * i;
            columns[0][i] = 11.62 + 1.27 * first / (share * most) - 0.02 * amperes;
            columns[1][i] = -amperes;
        }
        double over = 20 * perHour;
        double capacity = most * perHour * share * 20 / (1 - Math.exp(-over) + share * (over - 1 + Math.exp(-over)));
        FitResult fit = BatteryFit.fit(
                RecordedMonth.plan(Optional.empty()).site().battery(),
                new LoggerFile(
                        seconds,
                        Map.of(Meaning.BATTERY_VOLTS, columns[0], Meaning.BATTERY_AMPERES, columns[1]),
                        Map.of(),
                        List.of()),
                25);
        assertEquals(
                of(fit, Quantity.CAPACITY).value(),
                capacity,
                0.08 * capacity,
                fit.estimates().toString());
    }
}
