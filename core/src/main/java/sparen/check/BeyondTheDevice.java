package sparen.check;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.Plan;
import sparen.quantity.Fields;
import sparen.quantity.Unit;
import sparen.setting.DeviceSettings;
import sparen.setting.Setting;

/** A number or rule that the device which is to carry it cannot hold. A coded switch is one decision, and one finding. */
final class BeyondTheDevice implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        List<Setting> beyond = DeviceSettings.of(plan.asWanted()).stream()
                .filter(one -> one.problem().isPresent())
                .toList();
        Map<List<String>, List<Setting>> positions = beyond.stream()
                .filter(Setting::coded)
                .collect(Collectors.groupingBy(
                        one -> List.of(one.device(), one.at()), LinkedHashMap::new, Collectors.toList()));
        return Stream.concat(
                positions.values().stream().map(together -> position(plan, together)),
                beyond.stream().filter(one -> !one.coded()).map(one -> found(plan, one)));
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
        return finding.cure("all as position " + first.enter() + " sets it", changed -> {
            Plan next = changed;
            for (Setting one : together) {
                next = Fields.withAt(next, one.path(), one.effective());
            }
            return next;
        });
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
        if (one.effective() == one.wanted()) {
            return finding;
        }
        Unit unit = Unit.ofPath(one.path());
        return finding.number("wanted", one.wanted(), unit.symbol())
                .number("it does", one.effective(), unit.symbol())
                .cure(
                        one.label() + " to what it can: " + unit.format(one.effective()),
                        changed -> Fields.withAt(changed, one.path(), one.effective()));
    }
}
