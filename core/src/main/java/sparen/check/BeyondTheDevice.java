package sparen.check;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import sparen.device.FittedDevice;
import sparen.examined.PlanFacts;
import sparen.program.Plan;
import sparen.quantity.Unit;
import sparen.setting.DeviceSettings;
import sparen.setting.Setting;

/** A number or rule that the device which is to carry it cannot hold. A coded switch is one decision, and one finding. */
final class BeyondTheDevice implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        List<Setting> beyond = plan.settings().stream()
                .filter(one -> one.problem().isPresent())
                .toList();
        Map<List<String>, List<Setting>> positions = beyond.stream()
                .filter(one -> one.kind() == Setting.Kind.POSITION)
                .collect(Collectors.groupingBy(
                        one -> List.of(one.device(), one.at()), LinkedHashMap::new, Collectors.toList()));
        return Stream.concat(
                positions.values().stream().map(together -> position(plan, together)),
                beyond.stream()
                        .filter(one -> one.kind() != Setting.Kind.POSITION)
                        .map(one -> found(plan, one)));
    }

    private static String name(PlanFacts plan, Setting one) {
        return plan.program().devices().stream()
                .filter(fitted -> fitted.id().equals(one.device()))
                .map(fitted -> fitted.name())
                .findFirst()
                .orElseThrow();
    }

    private Finding position(PlanFacts plan, List<Setting> together) {
        Setting first = together.get(0);
        Finding finding = finding(
                        Hazard.LOSS_OF_CONTROL,
                        Severity.CAUTION,
                        first.at(),
                        name(plan, first) + " has no position that sets all of this; the nearest is " + first.enter()
                                + ".")
                .about(first.path());
        for (Setting one : together) {
            finding = finding.number(one.label() + " wanted", one.wanted(), one.planUnit())
                    .number(one.label() + " it sets", one.effective(), one.planUnit());
        }
        finding = finding.cure("all as position " + first.enter() + " sets it", changed -> {
            Plan next = changed;
            for (Setting one : together) {
                next = DeviceSettings.asSet(next, one);
            }
            return next;
        });
        return elsewhere(plan, first, finding);
    }

    private Finding found(PlanFacts plan, Setting one) {
        String device = name(plan, one);
        Finding finding = finding(
                        Hazard.LOSS_OF_CONTROL,
                        Severity.CAUTION,
                        one.at(),
                        device + " cannot hold " + one.label() + ": "
                                + one.problem().orElseThrow() + ".")
                .about(one.path());
        if (one.actsOtherwise() && one.kind() == Setting.Kind.WORD) {
            finding = finding.cure(
                    one.label() + " to what it can: " + one.enter(), changed -> DeviceSettings.asSet(changed, one));
        } else if (one.actsOtherwise()) {
            Unit unit = Unit.ofPath(one.path());
            finding = finding.number("wanted", one.wanted(), unit.symbol())
                    .number("it does", one.effective(), unit.symbol())
                    .cure(
                            one.label() + " to what it can: " + unit.format(one.effective()),
                            changed -> DeviceSettings.asSet(changed, one));
        }
        return elsewhere(plan, one, finding);
    }

    /** The other devices of the site that could carry the output as it is wanted, each a cure. */
    private static Finding elsewhere(PlanFacts plan, Setting one, Finding finding) {
        boolean isOutput =
                plan.outputs().stream().anyMatch(output -> output.id().equals(one.at()));
        Finding told = finding;
        for (FittedDevice other : plan.program().devices()) {
            boolean isFree = other.outputs().size() < other.profile().outputs()
                    && !other.outputs().contains(one.at());
            if (isFree && isOutput) {
                Plan moved = moved(plan.asWanted(), one.at(), other.id());
                boolean holds = DeviceSettings.of(moved).stream()
                        .noneMatch(each ->
                                each.at().equals(one.at()) && each.problem().isPresent());
                if (holds) {
                    told = told.cure(
                            "carried by " + other.name() + " instead, which can",
                            changed -> moved(changed, one.at(), other.id()));
                }
            }
        }
        return told;
    }

    private static Plan moved(Plan plan, String output, String to) {
        List<FittedDevice> devices = plan.program().devices().stream()
                .map(device -> device.withOutputs(Stream.concat(
                                device.outputs().stream().filter(id -> !id.equals(output)),
                                device.id().equals(to) ? Stream.of(output) : Stream.empty())
                        .toList()))
                .toList();
        return plan.withProgram(plan.program().withDevices(devices));
    }
}
