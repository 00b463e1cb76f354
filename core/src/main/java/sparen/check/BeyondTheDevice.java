package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.quantity.Fields;
import sparen.quantity.Unit;
import sparen.setting.DeviceSettings;
import sparen.setting.Setting;

/** A number or rule that the device which is to carry it cannot hold. */
final class BeyondTheDevice implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return DeviceSettings.of(plan.asWanted()).stream()
                .filter(one -> one.problem().isPresent())
                .map(one -> found(plan, one));
    }

    private Finding found(PlanFacts plan, Setting one) {
        String device = plan.program().devices().stream()
                .filter(fitted -> fitted.id().equals(one.device()))
                .map(fitted -> fitted.name())
                .findFirst()
                .orElseThrow();
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
