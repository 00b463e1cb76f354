package sparen.program;

import java.util.List;
import java.util.Map;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;
import sparen.site.ChargeController;
import sparen.site.Load;
import sparen.site.Site;

/**
 * A site and its program: what is saved as one revision.
 *
 * @param site what stands there
 * @param program what is programmed
 * @param origins where numbers come from, by the path of the number with ids for list entries, such as {@code
 *     site/loads/transmitter/consumption/watts}
 */
public record Plan(Site site, Program program, Map<String, Origin> origins) {
    public Plan {
        Bounds.present("site", site);
        Bounds.present("program", program);
        origins = origins == null ? Map.of() : Map.copyOf(origins);
        List<String> controllers =
                site.controllers().stream().map(ChargeController::id).toList();
        List<String> programmed =
                program.charging().stream().map(ChargeProgram::controller).toList();
        for (String controller : programmed) {
            Bounds.known("program.charging.controller", controller, controllers);
        }
        for (String controller : controllers) {
            if (!programmed.contains(controller)) {
                throw new InvalidQuantity(
                        "program.charging", "the controller \"" + controller + "\" has no charging setpoints");
            }
        }
        List<String> loads = site.loads().stream().map(Load::id).toList();
        for (Output output : program.outputs()) {
            for (String load : output.loads()) {
                Bounds.known("program.outputs.loads", load, loads);
            }
            output.automatic().ifPresent(rule -> rule.compile(site));
            output.protection().ifPresent(rule -> rule.compile(site));
        }
    }
}
