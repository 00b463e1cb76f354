package sparen.setting;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import sparen.device.Code;
import sparen.device.FittedDevice;
import sparen.program.Plan;
import sparen.quantity.Fields;
import sparen.quantity.Unit;

/** A switch each position of which sets several numbers of a rule at once. */
final class CodedSwitch {
    private CodedSwitch() {}

    /** A rule's numbers as the position makes them that is nearest by its voltages, then by all else. */
    static List<Setting> settings(Plan plan, FittedDevice device, String at, String kind, String path, Record holder) {
        Code nearest = device.profile().codes().stream()
                .min(Comparator.comparingDouble(code -> apart(code, kind, holder)))
                .orElseThrow();
        Entries entries = new Entries(plan, device);
        List<Setting> settings = new ArrayList<>();
        for (String component : Fields.names(holder)) {
            if (Fields.at(holder, component) instanceof Double wanted) {
                Setting missing = entries.missing(at, path, component, wanted);
                Double effective = nearest.values().get(kind + "." + component);
                settings.add(effective == null ? missing : by(nearest, missing, effective));
            }
        }
        return settings;
    }

    private static Setting by(Code position, Setting missing, double effective) {
        Unit unit = Unit.ofPath(missing.path());
        String problem = "no position sets " + missing.label() + " " + unit.format(missing.wanted())
                + "; the nearest sets " + unit.format(effective);
        return missing.withKind(Setting.Kind.POSITION)
                .withEnter(position.code())
                .withEffective(effective)
                .withProblem(effective == missing.wanted() ? Optional.empty() : Optional.of(problem));
    }

    private static double apart(Code code, String kind, Record holder) {
        double sum = 0;
        for (Map.Entry<String, Double> value : code.values().entrySet()) {
            String field = value.getKey().substring(value.getKey().indexOf('.') + 1);
            if (value.getKey().startsWith(kind + ".") && Fields.at(holder, field) instanceof Double wanted) {
                double weight = field.toLowerCase(Locale.ROOT).endsWith("volts") ? 1 : 1e-6;
                sum += weight * Math.abs(wanted - value.getValue());
            }
        }
        return sum;
    }
}
