package sparen.handover;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import sparen.device.DeviceLink;
import sparen.device.FittedDevice;
import sparen.handover.WorkStep.Phase;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Rule;
import sparen.quantity.Bounds;
import sparen.site.SensePoint;
import sparen.site.Site;

/**
 * What is done at a site in which order, made from its own plan: on arrival, before anything is switched on, and step by step from the
 * battery to the arrays. The order, battery first and array last, and the reverse for taking down, is common practice, no source.
 */
public final class Commissioning {
    private final Plan plan;
    private final Site site;
    private final StepList steps;

    private Commissioning(Plan plan) {
        this.plan = plan;
        this.site = plan.site();
        this.steps = new StepList(plan);
    }

    /** All that is done at a site, in its order. */
    public static List<WorkStep> of(Plan plan) {
        Commissioning all = new Commissioning(plan);
        all.arrival();
        all.settingUp();
        StartUp.add(plan, all.steps);
        return all.steps.all();
    }

    private List<FittedDevice> devices() {
        return plan.program().devices();
    }

    private void arrival() {
        for (FittedDevice device : devices()) {
            steps.add(
                    Phase.ARRIVAL,
                    "read/" + device.id(),
                    "Read " + device.name() + " before anything is changed, and keep it as found.",
                    "Every entry it shows stands in Handover.",
                    "");
            steps.add(
                    Phase.ARRIVAL,
                    "plate/" + device.id(),
                    "Read serial number and firmware off " + device.name() + ".",
                    device.serial().map(serial -> "Serial number " + serial).orElse("The plan has no serial number yet")
                            + device.firmware()
                                    .map(version -> ", firmware " + version)
                                    .orElse(", no firmware yet") + ".",
                    "",
                    Optional.empty(),
                    Stream.of(device.serial(), device.firmware())
                            .flatMap(Optional::stream)
                            .toList());
        }
    }

    private void settingUp() {
        for (FittedDevice device : devices()) {
            steps.add(
                    Phase.SETTING_UP,
                    "reset/" + device.id(),
                    "Reset " + device.name()
                            + " to how it comes, so that nothing of before is left in a menu that does not show.",
                    "Its entries are as the sheet says it comes.",
                    "");
            if (device.profile().wire().flatMap(wire -> wire.unlock()).isPresent()) {
                steps.add(
                        Phase.SETTING_UP,
                        "password/" + device.id(),
                        "Change the password of " + device.name()
                                + " from how it comes, and write it where the crew finds it.",
                        "The old one is refused.",
                        "");
            }
            if (hasClock(device)) {
                steps.add(
                        Phase.SETTING_UP,
                        "clock/" + device.id(),
                        "Set the clock of " + device.name() + " to "
                                + site.location().timeZone() + ".",
                        "It shows the time of your watch, and still does after its supply was off.",
                        "");
            }
        }
        for (DeviceLink link : plan.program().links()) {
            steps.add(
                    Phase.SETTING_UP,
                    "link/" + link.id(),
                    "Plug in " + link.name() + ": "
                            + link.ends().stream()
                                    .map(end -> end.port() + " of " + steps.name(end.fitted()))
                                    .collect(Collectors.joining(" to "))
                            + ", a terminator at both ends of the line.",
                    "Both devices show each other.",
                    "");
        }
        for (Output output : plan.program().outputs()) {
            contact(output);
        }
        for (SensePoint point : site.sensePoints()) {
            steps.add(
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
            steps.add(
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
        steps.add(
                Phase.SETTING_UP,
                "contact/" + output.id(),
                "See that the " + kind + " of " + output.name() + " is wired as planned" + rests
                        + ", and its jumper set so.",
                output.loads().isEmpty()
                        ? "It carries a signal only."
                        : "It carries " + steps.loads(output) + " and nothing else.",
                "");
    }

    private boolean hasClock(FittedDevice device) {
        return plan.program().outputs().stream()
                .filter(output -> device.outputs().contains(output.id()))
                .flatMap(output -> output.automatic().stream())
                .anyMatch(Rule::goesByClock);
    }
}
