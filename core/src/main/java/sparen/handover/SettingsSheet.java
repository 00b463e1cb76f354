package sparen.handover;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.DoubleSummaryStatistics;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import sparen.device.FittedDevice;
import sparen.gauge.Gauge;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Sentence;
import sparen.program.Surroundings;
import sparen.quantity.Bounds;
import sparen.setting.DeviceSettings;
import sparen.setting.Setting;

/**
 * What is pressed into a device, in the order of its menu, with what it makes of it, as it goes on paper.
 *
 * @param lines entries of its menu
 * @param sentences what its outputs do, one each rule
 * @param levels of its outputs and chargers, voltages before the rest, the highest first
 * @param wiring what hangs on its outputs
 */
public record SettingsSheet(List<Line> lines, List<String> sentences, List<LevelMark> levels, List<Wired> wiring) {
    /**
     * An entry.
     *
     * @param begins what the crew calls the part whose entries begin here; absent where they go on
     * @param menu number or path of its menu; absent where it has none
     * @param label what the device calls it
     * @param factory what stands there as it comes, with unit; absent where nobody knows
     * @param enter what is entered, with unit; a dash where it cannot be
     * @param remark what has to be known to enter it; may be empty
     * @param caution why the device cannot hold what is planned; absent where it can
     */
    public record Line(
            Optional<String> begins,
            Optional<String> menu,
            String label,
            Optional<String> factory,
            String enter,
            String remark,
            Optional<String> caution) {}

    /**
     * A level.
     *
     * @param at number and unit
     * @param what whose and which
     * @param acts when it acts
     * @param share where it stands between the lowest of its unit on the sheet and the highest (fraction)
     */
    public record LevelMark(String at, String what, Gauge.Acts acts, double share) {}

    /**
     * A contact of the device.
     *
     * @param output what the crew calls it
     * @param closedAtRest whether it is closed with its coil idle
     * @param loads names of what it switches; none for a signal
     */
    public record Wired(String output, boolean closedAtRest, List<String> loads) {}

    /** The sheet of a device of a plan. */
    public static SettingsSheet of(Plan plan, FittedDevice device) {
        Map<String, String> names = names(plan);
        List<Setting> settings =
                List.copyOf(DeviceComparison.settings(plan, device).values());
        List<Setting> all = DeviceSettings.of(plan);
        List<Line> lines = new ArrayList<>();
        String part = device.id();
        for (Setting setting : settings) {
            boolean begins = !setting.at().equals(part) && !setting.at().equals(device.id());
            lines.add(line(setting, begins ? Optional.ofNullable(names.get(setting.at())) : Optional.empty(), all));
            part = begins ? setting.at() : part;
        }
        List<Output> outputs = plan.program().outputs().stream()
                .filter(output -> device.outputs().contains(output.id()))
                .toList();
        List<String> parts = settings.stream().map(Setting::at).toList();
        return new SettingsSheet(
                lines,
                outputs.stream().flatMap(output -> sentences(plan, output)).toList(),
                levels(Gauge.of(plan, Map.of()).pegs().stream()
                        .filter(peg -> parts.contains(peg.at()))
                        .sorted(Comparator.comparing(Gauge.Peg::unit)
                                .reversed()
                                .thenComparing(
                                        Comparator.comparing(Gauge.Peg::value).reversed()))
                        .toList()),
                outputs.stream().map(output -> wiring(plan, output)).toList());
    }

    private static List<LevelMark> levels(List<Gauge.Peg> pegs) {
        Map<String, DoubleSummaryStatistics> spans = pegs.stream()
                .collect(Collectors.groupingBy(Gauge.Peg::unit, Collectors.summarizingDouble(Gauge.Peg::value)));
        return pegs.stream()
                .map(peg -> {
                    DoubleSummaryStatistics span = spans.get(peg.unit());
                    double wide = span.getMax() - span.getMin();
                    return new LevelMark(
                            Bounds.number(peg.value()) + " " + peg.unit(),
                            peg.name() + ", " + peg.term(),
                            peg.acts(),
                            wide > 0 ? (peg.value() - span.getMin()) / wide : 0);
                })
                .toList();
    }

    private static Map<String, String> names(Plan plan) {
        Map<String, String> names = new HashMap<>();
        plan.program().outputs().forEach(one -> names.put(one.id(), one.name()));
        plan.site().chargers().forEach(id -> names.put(id, plan.site().chargerName(id)));
        plan.site().inverter().ifPresent(one -> names.put(one.id(), one.name()));
        plan.site().monitors().forEach(one -> names.put(one.id(), one.name()));
        return names;
    }

    private static Line line(Setting setting, Optional<String> begins, List<Setting> all) {
        String sets = setting.kind() != Setting.Kind.POSITION
                ? ""
                : "sets "
                        + all.stream()
                                .filter(one -> one.device().equals(setting.device())
                                        && one.place().equals(setting.place()))
                                .map(one -> one.label() + " " + Bounds.number(one.effective()) + " " + one.planUnit())
                                .collect(Collectors.joining(", "));
        String remark = Stream.of(
                        sets,
                        setting.forced().map(by -> "made so by " + by).orElse(""),
                        setting.hidden() ? "hidden until another entry shows it" : "",
                        setting.needs().map(needs -> "needs " + needs).orElse(""),
                        setting.assumed() ? "bounds assumed until measured" : "")
                .filter(says -> !says.isBlank())
                .collect(Collectors.joining("; "));
        return new Line(
                begins,
                setting.menu(),
                setting.kind() == Setting.Kind.POSITION ? "position" : setting.label(),
                setting.factory().map(value -> inUnit(value, setting.unit())),
                setting.enter().isEmpty() ? "–" : inUnit(setting.enter(), setting.unit()),
                remark,
                setting.problem());
    }

    /** A unit that is itself a number, such as 0.1 h, is said as a factor. */
    private static String inUnit(String value, String unit) {
        boolean isFactor = !unit.isEmpty() && Character.isDigit(unit.charAt(0));
        return (value + " " + (isFactor ? "× " : "") + unit).strip();
    }

    private static Stream<String> sentences(Plan plan, Output output) {
        Surroundings around = Surroundings.of(plan).at(output);
        return Stream.of(output.automatic(), output.protection())
                .flatMap(Optional::stream)
                .map(rule -> output.name() + ": "
                        + rule.sentence(around).parts().stream()
                                .map(Sentence.Part::plain)
                                .collect(Collectors.joining()));
    }

    private static Wired wiring(Plan plan, Output output) {
        return new Wired(
                output.name(),
                output.rest().filter(Output.Position.CLOSED::equals).isPresent(),
                LoadsAtRisk.switchedBy(plan, output.id(), load -> true));
    }

    /** What is entered where in a device, a line an entry: of which a checksum can be made. */
    public static String entered(Plan plan, FittedDevice device) {
        return DeviceComparison.settings(plan, device).values().stream()
                .map(setting -> setting.place() + "=" + setting.enter() + "\n")
                .collect(Collectors.joining("", device.id() + "\n", ""));
    }
}
