package sparen.program;

import java.util.List;
import sparen.quantity.Bounds;

/**
 * All that is programmed at a site.
 *
 * @param charging setpoints, one a controller
 * @param outputs 0 to 100
 */
public record Program(List<ChargeProgram> charging, List<Output> outputs) {
    public Program {
        charging = List.copyOf(Bounds.present("charging", charging));
        outputs = List.copyOf(Bounds.present("outputs", outputs));
        Bounds.within("outputs", outputs.size(), "outputs", 0, 100);
        Bounds.unique(
                "charging", charging.stream().map(ChargeProgram::controller).toList());
        Bounds.unique("outputs", outputs.stream().map(Output::id).toList());
        Bounds.unique(
                "outputs.loads",
                outputs.stream().flatMap(output -> output.loads().stream()).toList());
    }
}
