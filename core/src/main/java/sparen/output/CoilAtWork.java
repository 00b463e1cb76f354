package sparen.output;

import java.util.Optional;
import sparen.logic.Signal;
import sparen.program.Contact;
import sparen.result.Change;
import sparen.result.Fact;

/** The coil of a contact in one run: it lets go on a sagging bus, and needs more to pull in again than to hold. */
final class CoilAtWork {
    private final double pullInVolts;
    private final double dropOutVolts;
    private boolean pulledIn = true;

    CoilAtWork(Optional<Contact> contact) {
        dropOutVolts = contact.flatMap(Contact::dropOutVolts).orElse(0.0);
        pullInVolts = Math.max(contact.flatMap(Contact::pullInVolts).orElse(0.0), dropOutVolts);
    }

    boolean isPulledIn() {
        return pulledIn;
    }

    /** Whether the bus voltage can move it. */
    boolean watchesBus() {
        return dropOutVolts > 0;
    }

    /** Looks at the bus (V); what it did, if anything. */
    Optional<Fact> settle(double volts) {
        if (dropOutVolts > 0 && pulledIn && volts < dropOutVolts) {
            pulledIn = false;
            return Optional.of(Fact.of(Change.COIL_LET_GO, dropOutVolts, volts));
        }
        if (!pulledIn && volts >= pullInVolts) {
            pulledIn = true;
            return Optional.of(Fact.of(Change.COIL_PULLED_IN, pullInVolts, volts));
        }
        return Optional.empty();
    }

    /** Narrows the bus voltage's interval to where it keeps its state. */
    void narrow(double[] low, double[] high) {
        if (dropOutVolts > 0 && pulledIn) {
            low[Signal.BUS_VOLTS] = Math.max(low[Signal.BUS_VOLTS], dropOutVolts);
        } else if (!pulledIn) {
            high[Signal.BUS_VOLTS] = Math.min(high[Signal.BUS_VOLTS], Math.nextDown(pullInVolts));
        }
    }
}
