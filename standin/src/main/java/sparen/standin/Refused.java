package sparen.standin;

import com.digitalpetri.modbus.ExceptionCode;

/** A device says no, with a code of its protocol. */
final class Refused extends Exception {
    private static final long serialVersionUID = 1L;

    private final ExceptionCode code;

    Refused(ExceptionCode code) {
        super(code.name());
        this.code = code;
    }

    ExceptionCode code() {
        return code;
    }
}
