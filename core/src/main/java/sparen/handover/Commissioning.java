package sparen.handover;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import sparen.device.DeviceLink;
import sparen.device.FittedDevice;
import sparen.handover.WorkStep.Phase;
import sparen.program.ChargeProgram;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Rule;
import sparen.quantity.Bounds;
import sparen.site.AcSource;
import sparen.site.ChargeController;
import sparen.site.Inverter;
import sparen.site.Load;
import sparen.site.SensePoint;
import sparen.site.Site;
import sparen.site.SolarArray;

/**
 * What is done at a site in which order, made from its own plan: on arrival, before anything is switched on, and step by step from the
 * battery to the arrays. The order, battery first and array last, and the reverse for taking down, is common practice, no source.
 */
public final class Commissioning {
    private final Plan plan;
    private final Site site;
    private final List<WorkStep> steps = new ArrayList<>();

    private Commissioning(Plan plan) {
        this.plan = plan;
        this.site = plan.site();
    }

    /** All that is done at a site, in its order. */
    public static List<WorkStep> of(Plan plan) {
        Commissioning all = new Commissioning(plan);
        all.arrival();
        all.settingUp();
        all.startUp();
        all.takingDown();
        return List.copyOf(all.steps);
    }

    private void add(Phase phase, String id, String what, String expect, String stop) {
        steps.add(new WorkStep(
                phase.name().toLowerCase(Locale.ROOT).replace('_', '-') + "/" + id, phase, what, expect, stop));
    }

    private List<FittedDevice> devices() {
        return plan.program().devices();
    }

    private void arrival() {
        for (FittedDevice device : devices()) {
            add(
                    Phase.ARRIVAL,
                    "read/" + device.id(),
                    "Read " + device.name() + " before anything is changed, and keep it as found.",
                    "Every entry it shows stands in Handover.",
                    "");
            add(
                    Phase.ARRIVAL,
                    "plate/" + device.id(),
                    "Read serial number and firmware off " + device.name() + ".",
                    device.serial().map(serial -> "Serial number " + serial).orElse("The plan has no serial number yet")
                            + device.firmware()
                                    .map(version -> ", firmware " + version)
                                    .orElse(", no firmware yet") + ".",
                    "");
        }
    }

    private void settingUp() {
        for (FittedDevice device : devices()) {
            add(
                    Phase.SETTING_UP,
                    "reset/" + device.id(),
                    "Reset " + device.name()
                            + " to how it comes, so that nothing of before is left in a menu that does not show.",
                    "Its entries are as the sheet says it comes.",
                    "");
            if (device.profile().wire().flatMap(wire -> wire.unlock()).isPresent()) {
                add(
                        Phase.SETTING_UP,
                        "password/" + device.id(),
                        "Change the password of " + device.name()
                                + " from how it comes, and write it where the crew finds it.",
                        "The old one is refused.",
                        "");
            }
            if (hasClock(device)) {
                add(
                        Phase.SETTING_UP,
                        "clock/" + device.id(),
                        "Set the clock of " + device.name() + " to "
                                + site.location().timeZone() + ".",
                        "It shows the time of your watch, and still does after its supply was off.",
                        "");
            }
        }
        for (DeviceLink link : plan.program().links()) {
            add(
                    Phase.SETTING_UP,
                    "link/" + link.id(),
                    "Plug in " + link.name() + ": "
                            + link.ends().stream()
                                    .map(end -> end.port() + " of " + name(end.fitted()))
                                    .collect(Collectors.joining(" to "))
                            + ", a terminator at both ends of the line.",
                    "Both devices show each other.",
                    "");
        }
        for (Output output : plan.program().outputs()) {
            contact(output);
        }
        for (SensePoint point : site.sensePoints()) {
            add(
                    Phase.SETTING_UP,
                    "sense/" + point.id(),
                    "See that the sense wire of " + point.name() + " ends where the plan has it: "
                            + point.place().name().toLowerCase(Locale.ROOT).replace('_', ' ') + ".",
                    point.offsetVolts() == 0
                            ? "Its device shows what a meter shows there."
                            : "Its device shows " + Bounds.number(point.offsetVolts()) + " V more than a meter there.",
                    "");
        }
        boolean compensates = plan.program().charging().stream().anyMatch(one -> one.details()
                .filter(details -> details.compensation().isPresent()
                        || details.temperatureLimits().isPresent())
                .isPresent());
        if (compensates) {
            add(
                    Phase.SETTING_UP,
                    "sensor",
                    "See that the temperature sensor lies on the battery itself, held against it.",
                    "It shows what a thermometer there shows, to 2 °C.",
                    "");
        }
    }

    private void contact(Output output) {
        String rests = output.rest()
                .map(rest -> ", " + rest.name().toLowerCase(Locale.ROOT) + " without its coil")
                .orElse("");
        String kind = output.contact()
                .map(contact -> contact.kind().name().toLowerCase(Locale.ROOT).replace('_', ' '))
                .orElse("contact");
        add(
                Phase.SETTING_UP,
                "contact/" + output.id(),
                "See that the " + kind + " of " + output.name() + " is wired as planned" + rests
                        + ", and its jumper set so.",
                output.loads().isEmpty()
                        ? "It carries a signal only."
                        : "It carries " + loads(output) + " and nothing else.",
                "");
    }

    private void startUp() {
        add(
                Phase.START_UP,
                "battery",
                "Measure the battery, then close its fuse or switch.",
                "Between " + Bounds.number(site.battery().lowestVolts()) + " V and "
                        + Bounds.number(site.battery().highestVolts()) + " V, the same at the bus once it is closed.",
                "No voltage at the bus, another sign than the battery's, or a spark that does not end.");
        site.monitors()
                .forEach(monitor -> add(
                        Phase.START_UP,
                        "monitor/" + monitor.id(),
                        "Look at " + monitor.name() + ".",
                        "The battery's voltage to 1 %, and less than 1 A with nothing on.",
                        "A current with nothing switched on: something is wired past its switch."));
        plan.program().outputs().stream()
                .filter(output -> !output.loads().isEmpty())
                .sorted(Comparator.comparing((Output output) -> !isCritical(output)))
                .forEach(output -> add(
                        Phase.START_UP,
                        "output/" + output.id(),
                        "Switch " + output.name() + " on by hand, then give it back to its rule.",
                        loads(output) + " on, and off again with it.",
                        "A fuse opens, or something gets warm."));
        site.inverter()
                .map(Inverter::name)
                .ifPresent(inverter -> add(
                        Phase.START_UP,
                        "inverter",
                        "Switch " + inverter + " on.",
                        site.inverter().map(one -> Bounds.number(one.acVolts())).orElse("")
                                + " V at its outlet, no alarm.",
                        "An alarm, a hum that grows, or the voltage of the bus falls by more than the plan's sag."));
        for (AcSource source : site.acSources()) {
            add(
                    Phase.START_UP,
                    "source/" + source.id(),
                    "Let " + source.name() + " in.",
                    "It is taken in after its time to qualify, and its phases turn as before.",
                    "It is not taken in, or its breaker opens.");
        }
        for (ChargeController controller : site.controllers()) {
            array(controller);
        }
    }

    private void array(ChargeController controller) {
        String names = site.arrays().stream()
                .filter(array -> controller.arrays().contains(array.id()))
                .map(SolarArray::name)
                .collect(Collectors.joining(" and "));
        String most = controller
                .maximumInputVolts()
                .map(volts -> "below " + Bounds.number(volts) + " V")
                .orElse("as the strings have it");
        add(
                Phase.START_UP,
                "array/" + controller.id(),
                "Measure " + names + " before " + controller.name() + ", then close its switch.",
                "The right sign, " + most + "; by day a current into the battery, and " + stage(controller)
                        + " in the end.",
                "The wrong sign, or more than " + controller.name() + " takes.");
    }

    private String stage(ChargeController controller) {
        return plan.program().charging().stream()
                .filter(one -> one.controller().equals(controller.id()))
                .findFirst()
                .map(ChargeProgram::absorptionVolts)
                .map(volts -> Bounds.number(volts) + " V held")
                .orElse("its level held");
    }

    /** The other way round: nothing feeds a bus that has no battery any more. */
    private void takingDown() {
        List<WorkStep> last = new ArrayList<>(
                steps.stream().filter(one -> one.phase() == Phase.START_UP).toList());
        Collections.reverse(last);
        for (WorkStep step : last) {
            String id = step.id().substring(step.id().indexOf('/') + 1);
            String part = id.substring(id.indexOf('/') + 1);
            if (!id.startsWith("monitor/")) {
                add(
                        Phase.TAKING_DOWN,
                        id,
                        id.equals("battery")
                                ? "Open the battery's fuse or switch."
                                : "Switch off "
                                        + (id.equals("inverter")
                                                ? site.inverter()
                                                        .map(Inverter::name)
                                                        .orElse(part)
                                                : name(part))
                                        + ".",
                        id.equals("battery") ? "No voltage at the bus." : "",
                        id.startsWith("array/") ? "A current still flows into the battery." : "");
            }
        }
    }

    private boolean hasClock(FittedDevice device) {
        return plan.program().outputs().stream()
                .filter(output -> device.outputs().contains(output.id()))
                .flatMap(output -> output.automatic().stream())
                .anyMatch(Rule::goesByClock);
    }

    private boolean isCritical(Output output) {
        return !LoadsAtRisk.switchedBy(plan, output.id(), Load::critical).isEmpty();
    }

    private String loads(Output output) {
        List<String> names = LoadsAtRisk.switchedBy(plan, output.id(), load -> true);
        return names.isEmpty() ? "what it switches" : String.join(", ", names);
    }

    /** What the crew calls a part, by its id. */
    private String name(String id) {
        Map<String, String> names = new HashMap<>();
        devices().forEach(one -> names.put(one.id(), one.name()));
        plan.program().outputs().forEach(one -> names.put(one.id(), one.name()));
        site.acSources().forEach(one -> names.put(one.id(), one.name()));
        site.controllers().forEach(one -> names.put(one.id(), "the arrays of " + one.name()));
        site.inverter().ifPresent(one -> names.put("inverter", one.name()));
        return names.getOrDefault(id, id);
    }
}
