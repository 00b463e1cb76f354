package sparen.program;

import java.util.List;
import java.util.Optional;
import sparen.quantity.Bounds;

/**
 * All that is programmed at a site.
 *
 * @param charging setpoints, one a charger
 * @param outputs 0 to 100
 * @param ac how the AC side is set; absent where there is none, or for {@link AcProgram#PLAIN}
 */
public record Program(List<ChargeProgram> charging, List<Output> outputs, Optional<AcProgram> ac) {
    public Program {
        charging = List.copyOf(Bounds.present("charging", charging));
        outputs = List.copyOf(Bounds.present("outputs", outputs));
        ac = Bounds.orEmpty(ac);
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
}
