package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.site.Radio;

/** A device with radio that still has the password it came with is open to anybody near. */
final class FactoryPassword implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.site().radios().stream().filter(Radio::factoryPassword).map(radio -> finding(
                        Hazard.LOSS_OF_CONTROL,
                        Severity.CAUTION,
                        radio.id(),
                        radio.name() + " can be reached by radio and still has its factory password: anybody near"
                                + " can change its settings.")
                .about("site/radios/" + radio.id() + "/factoryPassword"));
    }
}
