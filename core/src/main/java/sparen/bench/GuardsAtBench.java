package sparen.bench;

import java.util.ArrayList;
import java.util.List;
import sparen.battery.BmsAtWork;
import sparen.logic.Signal;
import sparen.result.Event;
import sparen.result.Fact;
import sparen.result.PartEvent;
import sparen.series.Stay;
import sparen.site.ParallelBattery;
import sparen.site.Site;

/**
 * The BMS of a plan's batteries on a bench supply: voltage, temperature and current are imposed, of the current each battery has its
 * share. One that sleeps is shown what stands at its terminals.
 */
final class GuardsAtBench {
    private final List<Guard> guards = new ArrayList<>();

    private record Guard(String id, BmsAtWork bms, double share) {}

    GuardsAtBench(Site site) {
        for (ParallelBattery one : site.battery().batteries()) {
            one.bms().ifPresent(bms -> guards.add(new Guard(one.id(), new BmsAtWork(bms), one.capacityShare())));
        }
    }

    /** Lets all look at an instant (s); what moved. */
    List<PartEvent> settle(double now, double[] values) {
        List<PartEvent> happened = new ArrayList<>();
        double volts = values[Signal.BATTERY_VOLTS];
        boolean talks = values[Signal.BMS_TALKS] > 0;
        for (Guard one : guards) {
            boolean couldCharge = one.bms().mayCharge();
            boolean couldDischarge = one.bms().mayDischarge();
            double amperes = values[Signal.BATTERY_AMPERES] * one.share();
            if (one.bms().settle(now, volts, amperes, values[Signal.BATTERY_CELSIUS], volts, talks)) {
                List<Fact> facts = one.bms().changesFrom(couldCharge, couldDischarge);
                facts.addAll(one.bms().causes());
                happened.add(new PartEvent(Event.Kind.PATH, one.id(), facts));
            }
        }
        return happened;
    }

    /** When a timer of one of them is due (s). */
    double dueSeconds() {
        return guards.stream().mapToDouble(one -> one.bms().dueSeconds()).min().orElse(Double.POSITIVE_INFINITY);
    }

    /** The same of one battery; infinite for what is none. */
    double dueOf(String subject) {
        return guards.stream()
                .filter(one -> one.id().equals(subject))
                .mapToDouble(one -> one.bms().dueSeconds())
                .min()
                .orElse(Double.POSITIVE_INFINITY);
    }

    /** Says within which bounds all of them stay as they are. */
    void watch(Stay stay, double[] volts, double[] amperes) {
        for (Guard one : guards) {
            stay.within(volts, one.bms().lowestVolts(volts[0]), one.bms().highestVolts(volts[0]));
            double own = amperes[0] * one.share();
            stay.within(
                    amperes,
                    one.bms().lowestAmperes(own) / one.share(),
                    one.bms().highestAmperes(own) / one.share());
        }
    }

    /** How they stand. */
    List<BenchState.BatteryAtBench> standing() {
        return guards.stream()
                .map(one -> new BenchState.BatteryAtBench(
                        one.id(),
                        one.bms().mayCharge(),
                        one.bms().mayDischarge(),
                        one.bms().isAsleep()))
                .toList();
    }
}
