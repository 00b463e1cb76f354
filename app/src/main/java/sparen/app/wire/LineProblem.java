package sparen.app.wire;

import java.io.IOException;
import java.util.Map;
import org.springframework.http.HttpStatus;
import sparen.app.web.Refusal;

/** A device does not answer, or says no; the message tells a person what and where. */
public class LineProblem extends IOException {
    private static final long serialVersionUID = 1L;

    /** @param message what, where and what to do */
    public LineProblem(String message) {
        super(message);
    }

    /**
     * @param message what, where and what to do
     * @param cause what it came from
     */
    public LineProblem(String message, Throwable cause) {
        super(message, cause);
    }

    /** The same as an answer to who asked. */
    public Refusal refusal() {
        return new Refusal(HttpStatus.FAILED_DEPENDENCY, "device-silent", getMessage(), Map.of());
    }

    /** Something that is asked of a device. */
    @FunctionalInterface
    public interface Asking<T> {
        T ask() throws LineProblem;
    }

    /**
     * What a device answers.
     *
     * @throws Refusal when it does not
     */
    public static <T> T asked(Asking<T> asking) {
        try {
            return asking.ask();
        } catch (LineProblem problem) {
            throw problem.refusal();
        }
    }
}
