package sparen.setting;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import sparen.device.FittedDevice;
import sparen.device.MenuChoice;
import sparen.program.Plan;
import sparen.program.Rule;
import sparen.program.rule.RuleKind;
import sparen.program.rule.Rules;
import sparen.quantity.Fields;
import sparen.site.Inverter;

/** The settings of the devices that a plan is fitted with. */
public final class DeviceSettings {
    private DeviceSettings() {}

    /** All settings, device by device, each in the order of its menu. */
    public static List<Setting> of(Plan plan) {
        return plan.program().devices().stream()
                .flatMap(device -> DeviceMenu.of(plan, device).stream())
                .toList();
    }

    /** The plan as the devices hold it: each number they round or force is what they make of it, equal inverters work as one. */
    public static Plan asSet(Plan plan) {
        return asSet(plan, of(plan));
    }

    /** The same from its settings. */
    public static Plan asSet(Plan plan, List<Setting> settings) {
        Plan set = plan;
        for (Setting one : settings) {
            if (one.actsOtherwise()) {
                set = asSet(set, one);
            }
        }
        // A device holds the numbers of one unit: they are put together last.
        boolean isStacked = set.site().inverter().flatMap(Inverter::units).isPresent();
        return isStacked
                ? set.withSite(set.site().withInverter(set.site().inverter().map(Inverter::together)))
                : set;
    }

    /** The plan with one setting as its device holds it. */
    public static Plan asSet(Plan plan, Setting one) {
        Object effective = one.kind() == Setting.Kind.WORD
                ? constant(Fields.at(plan, one.path()), one.effectiveWord().orElseThrow())
                : one.effective();
        return Fields.withAt(plan, one.path(), effective);
    }

    /**
     * A changed plan with each number that was changed on a step of its device, never short of what was wanted: up where it went up, down
     * where it went down. What the device cannot hold stays as it is.
     */
    public static Plan onSteps(Plan before, Plan changed) {
        Plan stepped = changed;
        for (Setting one : of(changed)) {
            Object was = Fields.at(before, one.path());
            boolean isRounded = one.problem().isEmpty() && one.step() > 0 && one.effective() != one.wanted();
            if (isRounded && was instanceof Double old && old != one.wanted()) {
                boolean isShort = (one.effective() - one.wanted()) * (one.wanted() - old) < 0;
                double next = one.effective() + Math.signum(one.wanted() - old) * one.step();
                stepped = Fields.withAt(stepped, one.path(), isShort ? Math.rint(next * 1e6) / 1e6 : one.effective());
            }
        }
        return stepped;
    }

    /**
     * The plan with what stands in a device in place of what it wants there. What the plan does not have, such as a rule that is chosen in
     * the device and not in the plan, stays out.
     *
     * @param read what stands at some of its entries, by {@link Setting#place()}, as the device has it
     * @throws sparen.quantity.InvalidQuantity when no plan can have that
     */
    public static Plan asRead(Plan plan, FittedDevice device, Map<String, String> read) {
        return ReadBack.of(plan, device, read);
    }

    /** A word of a plan as the constant it stands for, of the same sort as another. */
    private static Object constant(Object like, String word) {
        if (like instanceof List<?> several) {
            return word.equals(MenuChoice.ABSENT)
                    ? List.of()
                    : Stream.of(word.split(" "))
                            .map(one -> constant(several.get(0), one))
                            .toList();
        }
        if (like instanceof Integer) {
            return Integer.valueOf(word);
        }
        return like instanceof Enum<?> constant
                ? Enum.valueOf(constant.getDeclaringClass(), word)
                : Boolean.valueOf(word);
    }

    /** The registration of a rule's kind. */
    public static RuleKind kind(Rule rule) {
        return Rules.ALL.stream()
                .filter(one -> one.type() == rule.getClass())
                .findFirst()
                .orElseThrow();
    }
}
