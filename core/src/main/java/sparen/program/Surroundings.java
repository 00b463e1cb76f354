package sparen.program;

import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import sparen.logic.Signal;
import sparen.quantity.Bounds;
import sparen.quantity.Fields;
import sparen.quantity.InvalidQuantity;
import sparen.site.ChargeController;
import sparen.site.SensePoint;
import sparen.site.Site;

/**
 * What a rule can name, and which signal stands for what: the site, the outputs beside it, requests by hand.
 */
public final class Surroundings {
    private final Site site;
    private final List<Output> outputs;
    private final List<String> requests;
    private final Signals signals;
    private final int own;

    private Surroundings(Site site, List<Output> outputs, List<String> requests, Signals signals, int own) {
        this.site = site;
        this.outputs = outputs;
        this.requests = requests;
        this.signals = signals;
        this.own = own;
    }

    /** What the rules of these outputs of a site can name. */
    public static Surroundings of(Site site, List<Output> outputs) {
        return of(site, outputs, site.battery().highestVolts());
    }

    private static Surroundings of(Site site, List<Output> outputs, double restVolts) {
        TreeSet<String> requests = new TreeSet<>();
        for (Output output : outputs) {
            output.automatic().ifPresent(rule -> requests.addAll(rule.requests()));
            output.protection().ifPresent(rule -> requests.addAll(rule.requests()));
            output.lockout()
                    .filter(lockout -> lockout.release() == Lockout.Release.HAND)
                    .ifPresent(lockout -> requests.add(Lockout.resetOf(output.id())));
        }
        Signals signals = Signals.of(site, outputs, List.copyOf(requests), atDevices(site), restVolts);
        return new Surroundings(site, List.copyOf(outputs), List.copyOf(requests), signals, -1);
    }

    /** What the rules of a plan can name; at rest its battery is full and floats. */
    public static Surroundings of(Plan plan) {
        double floats = plan.program().charging().stream()
                .mapToDouble(ChargeProgram::floatVolts)
                .max()
                .orElse(plan.site().battery().highestVolts());
        return of(plan.site(), plan.program().outputs(), floats);
    }

    private static List<SensePoint> atDevices(Site site) {
        return site.sensePoints().stream()
                .filter(point -> point.place().isAtDevice())
                .toList();
    }

    /** The same, seen from one of the outputs. */
    public Surroundings at(Output output) {
        return new Surroundings(site, outputs, requests, signals, outputs.indexOf(output));
    }

    public Site site() {
        return site;
    }

    public List<Output> outputs() {
        return outputs;
    }

    /** Names of all requests by hand that some rule or lockout waits for. */
    public List<String> requests() {
        return requests;
    }

    /** The sense points that stand at a device, in the order of their signals. */
    public List<SensePoint> atDevices() {
        return atDevices(site);
    }

    /** All there are, by number. */
    public Signals signals() {
        return signals;
    }

    /** How many signals there are. */
    public int count() {
        return signals.all().size();
    }

    /** The state of charge a monitor reports (fraction). */
    public int reportedCharge(String monitor) {
        return signals.reportedCharge(site.monitor(monitor).id());
    }

    /** The stage of a charger, by its rank in {@code ChargeStage}; where it is stopped, its rank and a half more. */
    public int stage(String charger) {
        Bounds.known("charger", charger, site.chargers());
        return signals.stage(charger);
    }

    /** The voltage a charger regulates to now (V). */
    public int regulationVolts(String charger) {
        Bounds.known("charger", charger, site.chargers());
        return signals.regulation(charger);
    }

    /** The voltage of a controller's arrays (V), at whole minutes. */
    public int arrayVolts(String controller) {
        List<String> ids = site.controllers().stream().map(ChargeController::id).toList();
        Bounds.known("controller", controller, ids);
        ChargeController named = site.controllers().get(ids.indexOf(controller));
        boolean known = site.arrays().stream()
                .filter(array -> named.arrays().contains(array.id()))
                .allMatch(array -> array.string().isPresent());
        if (named.arrays().isEmpty() || !known) {
            throw new InvalidQuantity(
                    "controller", "the arrays of \"" + controller + "\" have no string voltages (V) to go by");
        }
        return signals.arrayVolts(controller);
    }

    /** Whether an output's contact is closed, 1 or 0. */
    public int contact(String output) {
        Bounds.known("output", output, outputs.stream().map(Output::id).toList());
        return signals.contact(output);
    }

    /** What the crew calls an output. */
    public String outputName(String output) {
        return outputs.stream()
                .filter(one -> one.id().equals(output))
                .map(Output::name)
                .findFirst()
                .orElse(output);
    }

    /** The id of some output other than the one it is seen from. */
    public Optional<String> anotherOutput() {
        return outputs.stream()
                .filter(output -> own < 0 || output != outputs.get(own))
                .map(Output::id)
                .findFirst();
    }

    /** Whether a request by hand is being made, 1 or 0; −1 for one that no rule of the plan waits for yet. */
    public int request(String name) {
        return signals.requested(name);
    }

    /** The hour (h) by the clock of the device that decides: its own where the output has one, else the true local time. */
    public int hour() {
        boolean ownClock = own >= 0 && outputs.get(own).clock().isPresent();
        return ownClock ? signals.clock(outputs.get(own).id()) : Signal.LOCAL_HOUR;
    }

    /** The hour (h) by an output's own clock, whether it goes by it or not. */
    public int ownHour(String output) {
        return signals.clock(output);
    }

    /** The true voltage at a sense point (V). */
    public int voltage(SensePoint point) {
        return switch (point.place()) {
            case BATTERY_TERMINALS -> Signal.BATTERY_VOLTS;
            case BUS -> Signal.BUS_VOLTS;
            case DEVICE_TERMINALS, BEHIND_CONTACT -> {
                Bounds.known(
                        "sensePoint",
                        point.id(),
                        atDevices().stream().map(SensePoint::id).toList());
                yield signals.voltage(point.id());
            }
        };
    }

    /** The signal in which a level of a rule is read: what its monitor reports, or the voltage at its sense point. */
    public int signal(Rule rule, Level level) {
        if (level.role().percent()) {
            return reportedCharge((String) Fields.get((Record) rule, "monitor"));
        }
        return level.sensePoint().map(site::sensePoint).map(this::voltage).orElse(Signal.BUS_VOLTS);
    }
}
