package sparen.program;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
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
 * What a rule can name, and which signal stands for what: the site, the outputs beside it, requests by hand. The signals are the fixed
 * ones, then for each monitor its report; for each charger its stage and its present regulation level; for each controller the
 * voltage and power of its arrays; for each output its contact; for each request; for each output its clock's hour; at last the
 * voltage at each sense point at a device.
 */
public final class Surroundings {
    private final Site site;
    private final List<Output> outputs;
    private final List<String> requests;
    private final List<SensePoint> atDevices;
    private final int own;

    private Surroundings(Site site, List<Output> outputs, List<String> requests, int own) {
        this.site = site;
        this.outputs = outputs;
        this.requests = requests;
        this.own = own;
        atDevices = site.sensePoints().stream()
                .filter(point -> point.place().isAtDevice())
                .toList();
    }

    /** What the rules of these outputs of a site can name. */
    public static Surroundings of(Site site, List<Output> outputs) {
        TreeSet<String> requests = new TreeSet<>();
        for (Output output : outputs) {
            output.automatic().ifPresent(rule -> requests.addAll(rule.requests()));
            output.protection().ifPresent(rule -> requests.addAll(rule.requests()));
        }
        return new Surroundings(site, List.copyOf(outputs), List.copyOf(requests), -1);
    }

    /** What the rules of a plan can name. */
    public static Surroundings of(Plan plan) {
        return of(plan.site(), plan.program().outputs());
    }

    /** The same, seen from one of the outputs. */
    public Surroundings at(Output output) {
        return new Surroundings(site, outputs, requests, outputs.indexOf(output));
    }

    public Site site() {
        return site;
    }

    public List<Output> outputs() {
        return outputs;
    }

    /** Names of all requests by hand that some rule waits for. */
    public List<String> requests() {
        return requests;
    }

    /** The sense points that stand at a device, in the order of their signals. */
    public List<SensePoint> atDevices() {
        return atDevices;
    }

    /** How many signals there are. */
    public int count() {
        return firstAtDevice() + atDevices.size();
    }

    /** The state of charge a monitor reports (fraction). */
    public int reportedCharge(String monitor) {
        return Signal.FIRST_OF_SITE + site.monitors().indexOf(site.monitor(monitor));
    }

    private int firstStage() {
        return Signal.FIRST_OF_SITE + site.monitors().size();
    }

    /** The stage of a charger, by its rank in {@code ChargeStage}; where it is stopped, its rank and a half more. */
    public int stage(String charger) {
        Bounds.known("charger", charger, site.chargers());
        return firstStage() + 2 * site.chargers().indexOf(charger);
    }

    /** The voltage a charger regulates to now (V). */
    public int regulationVolts(String charger) {
        return stage(charger) + 1;
    }

    private int firstArray() {
        return firstStage() + 2 * site.chargers().size();
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
        return firstArray() + ids.indexOf(controller);
    }

    private int firstOutput() {
        return firstArray() + site.controllers().size();
    }

    /** Whether an output's contact is closed, 1 or 0. */
    public int contact(String output) {
        List<String> ids = outputs.stream().map(Output::id).toList();
        Bounds.known("output", output, ids);
        return firstOutput() + ids.indexOf(output);
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

    private int firstRequest() {
        return firstOutput() + outputs.size();
    }

    /** Whether a request by hand is being made, 1 or 0. */
    public int request(String name) {
        return firstRequest() + requests.indexOf(name);
    }

    private int firstHour() {
        return firstRequest() + requests.size();
    }

    /** The hour (h) by the clock of the device that decides: its own where the output has one, else the true local time. */
    public int hour() {
        boolean ownClock = own >= 0 && outputs.get(own).clock().isPresent();
        return ownClock ? firstHour() + own : Signal.LOCAL_HOUR;
    }

    /** Index of the first sense point at a device. */
    public int firstAtDevice() {
        return firstHour() + outputs.size();
    }

    /** The true voltage at a sense point (V). */
    public int voltage(SensePoint point) {
        return switch (point.place()) {
            case BATTERY_TERMINALS -> Signal.BATTERY_VOLTS;
            case BUS -> Signal.BUS_VOLTS;
            case DEVICE_TERMINALS, BEHIND_CONTACT -> firstAtDevice() + rank(point);
        };
    }

    private int rank(SensePoint point) {
        List<String> ids =
                new ArrayList<>(atDevices.stream().map(SensePoint::id).toList());
        Bounds.known("sensePoint", point.id(), ids);
        return ids.indexOf(point.id());
    }

    /** The signal in which a level of a rule is read: what its monitor reports, or the voltage at its sense point. */
    public int signal(Rule rule, Level level) {
        if (level.role().percent()) {
            return reportedCharge((String) Fields.get((Record) rule, "monitor"));
        }
        return level.sensePoint().map(site::sensePoint).map(this::voltage).orElse(Signal.BUS_VOLTS);
    }

    /** A name for each signal, in words joined by underscores, for texts that have variables. */
    public List<String> names() {
        List<String> names = new ArrayList<>(Signal.NAMES);
        site.monitors().forEach(monitor -> names.add("reported_charge_" + monitor.id()));
        for (String charger : site.chargers()) {
            names.add("stage_" + charger);
            names.add("regulation_volts_" + charger);
        }
        site.controllers().forEach(controller -> names.add("array_volts_" + controller.id()));
        outputs.forEach(output -> names.add("contact_" + output.id()));
        requests.forEach(request -> names.add("request_" + request));
        outputs.forEach(output -> names.add("clock_hour_" + output.id()));
        atDevices.forEach(point -> names.add("volts_" + point.id()));
        return names.stream()
                .map(name -> name.replaceAll("[^A-Za-z0-9]+", "_").toLowerCase(Locale.ROOT))
                .toList();
    }
}
