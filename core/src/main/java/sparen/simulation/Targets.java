package sparen.simulation;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import sparen.output.OutputAtWork;
import sparen.power.EngineGenerator;
import sparen.program.Output;
import sparen.site.Load;

/** What the contacts of all outputs act on: loads, and other devices by their enable, supply or start signal. */
final class Targets {
    /** For each load the output whose contact it is behind, −1 for none. */
    final int[] outputOfLoad;

    private final Circuit circuit;
    private final List<Device> devices = new ArrayList<>();

    private record Device(int output, Acts acts) {}

    private interface Acts {
        void take(boolean closed);
    }

    Targets(Circuit circuit, OutputAtWork[] outputs) {
        this.circuit = circuit;
        outputOfLoad = new int[circuit.loads.length];
        Arrays.fill(outputOfLoad, -1);
        List<String> loads = circuit.site.loads().stream().map(Load::id).toList();
        for (int i = 0; i < outputs.length; i++) {
            for (String id : outputs[i].output().loads()) {
                int load = loads.indexOf(id);
                if (load >= 0) {
                    outputOfLoad[load] = i;
                } else {
                    devices.add(new Device(i, acting(outputs[i].output(), id)));
                }
            }
        }
    }

    private Acts acting(Output output, String id) {
        for (ControllerAtWork controller : circuit.controllers) {
            if (controller.controller.id().equals(id)) {
                return switch (output.side().orElse(Output.Side.ENABLE)) {
                    case ENABLE, CHARGE -> controller.regulator::enable;
                    case ARRAY -> closed -> circuit.connectArray(controller, closed);
                    case BATTERY -> closed -> circuit.connectController(controller, closed);
                };
            }
        }
        for (ConverterAtWork converter : circuit.converters) {
            if (converter.converter.id().equals(id)) {
                return closed -> converter.enabled = closed;
            }
        }
        for (DcSourceAtWork source : circuit.dcSources) {
            if (source.id().equals(id)) {
                return source::enable;
            }
        }
        if (circuit.ac.side.inverter().id().equals(id)) {
            return output.side().orElse(Output.Side.ENABLE) == Output.Side.CHARGE
                    ? circuit.ac.side::enableCharger
                    : circuit.ac.side::enable;
        }
        for (EngineGenerator generator : circuit.ac.sources.generators) {
            if (generator.generator().id().equals(id)) {
                return generator::call;
            }
        }
        throw new IllegalArgumentException("an output cannot act on \"" + id + "\"");
    }

    /** Carries the contacts' positions to what they act on. */
    void connect(OutputAtWork[] outputs) {
        for (int i = 0; i < outputOfLoad.length; i++) {
            circuit.connected[i] = outputOfLoad[i] < 0 || outputs[outputOfLoad[i]].isClosed();
        }
        for (Device device : devices) {
            device.acts().take(outputs[device.output()].isClosed());
        }
        double coils = 0;
        for (OutputAtWork output : outputs) {
            coils += output.coilWatts();
        }
        circuit.setCoilWatts(coils);
        circuit.touchLoads();
    }
}
