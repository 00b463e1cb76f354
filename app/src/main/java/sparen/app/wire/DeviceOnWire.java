package sparen.app.wire;

import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import sparen.app.web.Refusal;
import sparen.device.FittedDevice;
import sparen.device.LiveRegister;
import sparen.device.LiveRegister.What;
import sparen.device.Register;
import sparen.device.Wire;
import sparen.handover.WiredEntry;
import sparen.program.Plan;

/** A device of a plan with the entries that lie on its wire. */
public record DeviceOnWire(Plan plan, FittedDevice device, Wire wire, List<WiredEntry> entries) {
    /**
     * The device of a plan.
     *
     * @throws Refusal when there is none, or it has no wire
     */
    public static DeviceOnWire of(Plan plan, String id) {
        FittedDevice device = plan.program().devices().stream()
                .filter(one -> one.id().equals(id))
                .findFirst()
                .orElseThrow(() -> Refusal.notFound("A device \"" + id + "\" in the newest revision"));
        Wire wire = device.profile()
                .wire()
                .orElseThrow(
                        () -> Refusal.notFound("A wire of \"" + device.profile().name() + "\""));
        return new DeviceOnWire(plan, device, wire, WiredEntry.of(plan, device));
    }

    /** What stands at some entries, by their places. */
    public Map<String, String> read(Line line, List<WiredEntry> some) throws LineProblem {
        Map<Integer, List<Integer>> raw =
                line.read(some.stream().map(WiredEntry::register).toList());
        Map<String, String> holds = new LinkedHashMap<>();
        some.forEach(
                one -> holds.put(one.place(), one.text(raw.get(one.register().address()))));
        return holds;
    }

    /**
     * What it measures.
     *
     * @param numbers by what they are
     * @param closed whether each contact is closed, by the id of its output
     */
    public record Measured(Map<What, Double> numbers, Map<String, Boolean> closed) {}

    /** What it measures right now. */
    public Measured measure(Line line) throws LineProblem {
        List<String> outputs = device.outputs();
        List<Register> registers = wire.live().stream()
                .flatMap(live -> live.what() == What.CONTACT_CLOSED
                        ? outputs.stream().map(output -> live.at(outputs.indexOf(output)))
                        : Stream.of(live.register()))
                .toList();
        Map<Integer, List<Integer>> raw = line.read(registers);
        Map<What, Double> numbers = new EnumMap<>(What.class);
        Map<String, Boolean> closed = new TreeMap<>();
        for (LiveRegister live : wire.live()) {
            if (live.what() == What.CONTACT_CLOSED) {
                outputs.forEach(output -> closed.put(
                        output,
                        raw.get(live.at(outputs.indexOf(output)).address()).get(0) != 0));
            } else {
                numbers.put(
                        live.what(),
                        live.register().number(raw.get(live.register().address()), wire.order()));
            }
        }
        return new Measured(numbers, closed);
    }
}
