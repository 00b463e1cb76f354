package sparen.handover;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import sparen.handover.WorkStep.Between;
import sparen.handover.WorkStep.Phase;
import sparen.program.ChargeProgram;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import sparen.site.AcSource;
import sparen.site.ChargeController;
import sparen.site.Inverter;
import sparen.site.Site;
import sparen.site.SolarArray;

/** Switching a site on, battery first and arrays last, and taking it down the other way round. */
final class StartUp {
    /** How far the voltage of a supply may lie from its nominal one (fraction): EN 50160, 4.2.2, from memory. */
    private static final double AC_SHARE = 0.1;

    private final Plan plan;
    private final Site site;
    private final StepList steps;

    private StartUp(Plan plan, StepList steps) {
        this.plan = plan;
        this.site = plan.site();
        this.steps = steps;
    }

    /** Adds both ways. */
    static void add(Plan plan, StepList steps) {
        StartUp all = new StartUp(plan, steps);
        all.startUp();
        all.takingDown();
    }

    private void startUp() {
        steps.add(
                Phase.START_UP,
                "battery",
                "Measure the battery, then close its fuse or switch.",
                "Between " + Bounds.number(site.battery().lowestVolts()) + " V and "
                        + Bounds.number(site.battery().highestVolts()) + " V, the same at the bus once it is closed.",
                "No voltage at the bus, another sign than the battery's, or a spark that does not end.",
                Optional.of(
                        new Between(site.battery().lowestVolts(), site.battery().highestVolts(), "V")),
                List.of());
        site.monitors()
                .forEach(monitor -> steps.add(
                        Phase.START_UP,
                        "monitor/" + monitor.id(),
                        "Look at " + monitor.name() + ".",
                        "The battery's voltage to 1 %, and less than 1 A with nothing on.",
                        "A current with nothing switched on: something is wired past its switch."));
        plan.program().outputs().stream()
                .filter(output -> !output.loads().isEmpty())
                .sorted(Comparator.comparing((Output output) -> !steps.isCritical(output)))
                .forEach(output -> steps.add(
                        Phase.START_UP,
                        "output/" + output.id(),
                        "Switch " + output.name() + " on by hand, then give it back to its rule.",
                        steps.loads(output) + " on, and off again with it.",
                        "A fuse opens, or something gets warm."));
        site.inverter()
                .ifPresent(inverter -> steps.add(
                        Phase.START_UP,
                        "inverter",
                        "Switch " + inverter.name() + " on.",
                        Bounds.number(inverter.acVolts()) + " V at its outlet, to " + Bounds.number(100 * AC_SHARE)
                                + " %, no alarm.",
                        "An alarm, a hum that grows, or the voltage of the bus falls by more than the plan's sag.",
                        Optional.of(new Between(
                                Math.rint((1 - AC_SHARE) * inverter.acVolts()),
                                Math.rint((1 + AC_SHARE) * inverter.acVolts()),
                                "V")),
                        List.of()));
        for (AcSource source : site.acSources()) {
            steps.add(
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
        steps.add(
                Phase.START_UP,
                "array/" + controller.id(),
                "Measure " + names + " before " + controller.name() + ", then close its switch.",
                "The right sign, " + most + "; by day a current into the battery, and " + stage(controller)
                        + " in the end.",
                "The wrong sign, or more than " + controller.name() + " takes.",
                controller.maximumInputVolts().map(volts -> new Between(0, volts, "V")),
                List.of());
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
        List<WorkStep> last = new ArrayList<>(steps.all().stream()
                .filter(one -> one.phase() == Phase.START_UP)
                .toList());
        Collections.reverse(last);
        for (WorkStep step : last) {
            String id = step.id().substring(step.id().indexOf('/') + 1);
            String part = id.substring(id.indexOf('/') + 1);
            if (!id.startsWith("monitor/")) {
                steps.add(
                        Phase.TAKING_DOWN,
                        id,
                        id.equals("battery")
                                ? "Open the battery's fuse or switch."
                                : "Switch off "
                                        + (id.equals("inverter")
                                                ? site.inverter()
                                                        .map(Inverter::name)
                                                        .orElse(part)
                                                : steps.name(part))
                                        + ".",
                        id.equals("battery") ? "No voltage at the bus." : "",
                        id.startsWith("array/") ? "A current still flows into the battery." : "");
            }
        }
    }
}
