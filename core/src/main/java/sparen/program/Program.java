package sparen.program;

import java.util.List;
import java.util.Optional;
import sparen.device.DeviceLink;
import sparen.device.FittedDevice;
import sparen.quantity.Bounds;

/**
 * All that is programmed at a site.
 *
 * @param charging setpoints, one a charger
 * @param outputs 0 to 100
 * @param ac how the AC side is set; absent where there is none, or for {@link AcProgram#PLAIN}
 * @param temporary settings changed for a test that have to be put back, 0 to 100
 * @param unsent ids of devices to which their settings have not been sent, or in which they have not been saved, 0 to 200
 * @param dismissed findings that are left as they are, with reasons, 0 to 500
 * @param drifted ids of devices that were read back and hold other numbers, 0 to 200
 * @param devices that carry the program, 0 to 50; a setting of what none carries is taken as it is written
 * @param links data lines between them, 0 to 100
 */
public record Program(
        List<ChargeProgram> charging,
        List<Output> outputs,
        Optional<AcProgram> ac,
        List<TemporaryValue> temporary,
        List<String> unsent,
        List<Dismissal> dismissed,
        List<FittedDevice> devices,
        List<String> drifted,
        List<DeviceLink> links)
        implements ProgramWith {
    public Program {
        charging = List.copyOf(Bounds.present("charging", charging));
        outputs = List.copyOf(Bounds.present("outputs", outputs));
        ac = Bounds.orEmpty(ac);
        temporary = Bounds.orNone(temporary);
        Bounds.within("temporary", temporary.size(), "values", 0, 100);
        unsent = Bounds.orNone(unsent);
        Bounds.within("unsent", unsent.size(), "devices", 0, 200);
        Bounds.unique("unsent", unsent);
        dismissed = Bounds.orNone(dismissed);
        Bounds.within("dismissed", dismissed.size(), "findings", 0, 500);
        drifted = Bounds.orNone(drifted);
        Bounds.within("drifted", drifted.size(), "devices", 0, 200);
        Bounds.unique("drifted", drifted);
        devices = Bounds.orNone(devices);
        Bounds.within("devices", devices.size(), "devices", 0, 50);
        Bounds.unique("devices", devices.stream().map(FittedDevice::id).toList());
        links = Bounds.orNone(links);
        Bounds.within("links", links.size(), "links", 0, 100);
        Bounds.unique("links", links.stream().map(DeviceLink::id).toList());
        List<String> fitted = devices.stream().map(FittedDevice::id).toList();
        links.stream()
                .flatMap(link -> link.ends().stream())
                .forEach(end -> Bounds.known("links.ends.fitted", end.fitted(), fitted));
        Bounds.unique(
                "devices.outputs",
                devices.stream().flatMap(device -> device.outputs().stream()).toList());
        Bounds.within("outputs", outputs.size(), "outputs", 0, 100);
        Bounds.unique(
                "charging", charging.stream().map(ChargeProgram::controller).toList());
        Bounds.unique("outputs", outputs.stream().map(Output::id).toList());
        Bounds.unique(
                "outputs.loads",
                outputs.stream().flatMap(output -> output.loads().stream()).toList());
    }

    /** A program without an AC side. */
    public Program(List<ChargeProgram> charging, List<Output> outputs) {
        this(charging, outputs, Optional.empty());
    }

    /** A program with nothing that has to be put back. */
    public Program(List<ChargeProgram> charging, List<Output> outputs, Optional<AcProgram> ac) {
        this(charging, outputs, ac, List.of(), List.of(), List.of(), List.of(), List.of(), List.of());
    }
}
