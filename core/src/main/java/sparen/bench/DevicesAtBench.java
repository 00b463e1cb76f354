package sparen.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import sparen.logic.Signal;
import sparen.output.OutputAtWork;
import sparen.power.AcConditions;
import sparen.power.AcSide;
import sparen.program.AcProgram;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Surroundings;
import sparen.result.Event;
import sparen.result.Fact;
import sparen.result.PartEvent;
import sparen.series.Series;
import sparen.series.Stay;
import sparen.site.Site;

/**
 * What stands at a plan's site on a bench supply, beside its outputs: chargers, batteries' guards, generators of direct current, and the
 * inverter. What stands at their terminals is imposed. The AC side has its first source while AC is present, its windows by the imposed
 * clock, and its load evenly on its legs.
 */
final class DevicesAtBench {
    /** So finely (K, W) a temperature or load that is turned slowly is looked at. */
    private static final double KELVIN = 0.1;

    private static final double WATTS = 10;

    private final Site site;
    private final ChargersAtBench chargers;
    private final GuardsAtBench guards;
    private final SourcesAtBench sources;
    private final WindowsAtBench windows;
    private final AcSide ac;
    private final AcConditions conditions = new AcConditions();

    DevicesAtBench(Plan plan, Surroundings around) {
        site = plan.site();
        chargers = new ChargersAtBench(plan, around);
        guards = new GuardsAtBench(site);
        sources = new SourcesAtBench(site);
        windows = new WindowsAtBench(plan.program().ac().map(AcProgram::windows).orElse(List.of()));
        ac = site.inverter()
                .map(one -> new AcSide(one, plan.program().ac().orElse(AcProgram.PLAIN)))
                .orElse(null);
        conditions.dcAlive = true;
    }

    /** Carries the contacts' positions to what they act on. */
    void connect(List<OutputAtWork> outputs) {
        for (OutputAtWork one : outputs) {
            for (String id : one.output().loads()) {
                chargers.connect(one, id);
                sources.connect(one, id);
                if (ac != null && ac.inverter().id().equals(id)) {
                    if (one.output().side().orElse(Output.Side.ENABLE) == Output.Side.CHARGE) {
                        ac.enableCharger(one.isClosed());
                    } else {
                        ac.enable(one.isClosed());
                    }
                }
            }
        }
    }

    /** A hand has turned the knob of a charger's stage, or of nothing here. */
    void turned(int signal, double value, double now) {
        chargers.turned(signal, value, now);
    }

    /** Lets all look at an instant (s) until none moves any more, and writes what they do into the signals; what happened. */
    List<PartEvent> settle(double now, double[] values) {
        double volts = values[Signal.BUS_VOLTS];
        List<PartEvent> happened = new ArrayList<>(guards.settle(now, values));
        happened.addAll(sources.settle(now, volts));
        if (ac != null) {
            takeConditions(values, volts);
            List<Fact> facts = ac.settle(now, conditions);
            if (!facts.isEmpty()) {
                happened.add(new PartEvent(Event.Kind.AC, ac.inverter().id(), facts));
            }
        }
        boolean acOffers = ac != null && ac.sourceAtHand() >= 0 && ac.offerWatts() > 0;
        happened.addAll(chargers.settle(now, values, acOffers));
        write(values);
        return happened;
    }

    /** Writes stages and regulation levels into the signals. */
    void write(double[] values) {
        chargers.write(values);
    }

    private void takeConditions(double[] values, double volts) {
        boolean present = values[Signal.AC_PRESENT] > 0 && !site.acSources().isEmpty();
        conditions.source = present ? 0 : -1;
        conditions.from = present ? site.acSources().get(0) : null;
        for (int leg = 0; leg < ac.inverter().legs(); leg++) {
            conditions.legWatts[leg] =
                    values[Signal.AC_LOAD_WATTS] / ac.inverter().legs();
        }
        conditions.voltAmperes = values[Signal.AC_LOAD_WATTS];
        conditions.airCelsius = values[Signal.AIR_CELSIUS];
        conditions.stateOfCharge = values[Signal.STATE_OF_CHARGE];
        conditions.sunEnough = values[Signal.AC_LOAD_WATTS] == 0 || values[Signal.SURPLUS_WATTS] > 0;
        conditions.window = windows.inForce(values);
        conditions.dcVolts = volts;
    }

    /** When a timer of one of them is due (s). */
    double dueSeconds() {
        double due = Math.min(chargers.dueSeconds(), Math.min(guards.dueSeconds(), sources.dueSeconds()));
        return ac == null ? due : Math.min(due, ac.dueSeconds());
    }

    /** When a delay of one of them is up, or the time for which it holds a voltage (s); infinite for what is none. */
    double dueOf(String subject) {
        double due = Math.min(chargers.dueOf(subject), Math.min(guards.dueOf(subject), sources.dueOf(subject)));
        return ac != null && ac.inverter().id().equals(subject) ? Math.min(due, ac.dueSeconds()) : due;
    }

    /** Says within which bounds all of them stay as they are; signals move evenly. */
    void watch(Stay stay, double[] values, double[] slopes) {
        double[] volts = series(Signal.BUS_VOLTS, values, slopes);
        double[] amperes = series(Signal.BATTERY_AMPERES, values, slopes);
        chargers.watch(stay, volts, amperes);
        guards.watch(stay, series(Signal.BATTERY_VOLTS, values, slopes), amperes);
        sources.watch(stay, volts);
        windows.watch(stay, series(Signal.LOCAL_HOUR, values, slopes));
        stay.onSideOf(series(Signal.SUN_ALTITUDE_DEGREES, values, slopes), 0);
        stay.onSideOf(series(Signal.AC_PRESENT, values, slopes), 0);
        stay.onSideOf(series(Signal.BMS_TALKS, values, slopes), 0);
        grid(stay, series(Signal.BATTERY_CELSIUS, values, slopes), KELVIN);
        if (ac != null) {
            stay.within(volts, ac.lowestVolts(volts[0]), ac.highestVolts(volts[0]));
            grid(stay, series(Signal.AC_LOAD_WATTS, values, slopes), WATTS);
            stay.onSideOf(series(Signal.SURPLUS_WATTS, values, slopes), 0);
            double[] charge = series(Signal.STATE_OF_CHARGE, values, slopes);
            double window = conditions.window == null ? Double.NaN : conditions.window.stateOfCharge();
            stay.within(charge, ac.lowestCharge(charge[0], window), ac.highestCharge(charge[0], window));
        }
    }

    private static double[] series(int signal, double[] values, double[] slopes) {
        double[] moving = new double[Series.LOW_ORDER + 1];
        moving[0] = values[signal];
        moving[1] = slopes[signal];
        return moving;
    }

    private static void grid(Stay stay, double[] moving, double by) {
        if (moving[1] != 0) {
            stay.within(moving, moving[0] - by, moving[0] + by);
        }
    }

    /** How the chargers stand. */
    List<BenchState.ChargerAtBench> chargers(double now) {
        return chargers.standing(now);
    }

    /** How the batteries' guards stand. */
    List<BenchState.BatteryAtBench> batteries() {
        return guards.standing();
    }

    /** How the generators of direct current stand. */
    List<BenchState.SourceAtBench> sources(double[] values) {
        return sources.standing(values);
    }

    /** How the inverter stands, where there is one. */
    Optional<BenchState.InverterAtBench> inverter() {
        return Optional.ofNullable(ac)
                .map(one -> new BenchState.InverterAtBench(
                        one.inverter().id(), one.isAlive(), one.sourceAtHand() >= 0, one.isSearching()));
    }
}
