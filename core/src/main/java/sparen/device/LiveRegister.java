package sparen.device;

import sparen.quantity.Bounds;

/**
 * Something a device tells of the moment.
 *
 * @param what it is
 * @param register where it lies; of a contact, at the device's first output, the next one's further on
 */
public record LiveRegister(What what, Register register) {
    /** What can be told, and in what. */
    public enum What {
        /** At the battery, in V. */
        BATTERY_VOLTS,
        /** Into the battery above 0, out of it below, in A. */
        BATTERY_AMPERES,
        /** In %. */
        CHARGE_PERCENT,
        /** Of all arrays, in W. */
        ARRAY_WATTS,
        /** Of all loads, in W. */
        LOAD_WATTS,
        /** 1 while the contact is closed, 0 while it is open. */
        CONTACT_CLOSED
    }

    public LiveRegister {
        Bounds.present("what", what);
        Bounds.present("register", register);
    }

    /** Where it lies for one of the device's outputs, 0 for the first. */
    public Register at(int output) {
        return register.further(output * register.words());
    }
}
