package sparen.app.site;

import java.time.LocalDate;
import java.util.Optional;

/**
 * A site without its plan.
 *
 * @param id its name in addresses
 * @param name what the crew calls it
 * @param state what has become of it
 * @param benchTest when it was last tested on the bench; absent for never
 * @param upkeep when somebody has to go there next; absent where nobody has said
 */
public record Site(
        String id, String name, SiteState state, Optional<LocalDate> benchTest, Optional<LocalDate> upkeep) {}
