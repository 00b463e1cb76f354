package sparen.app.web;

import java.util.Map;
import org.springframework.http.HttpStatus;

/** A request refused for a reason that the person at the screen can act on. */
public class Refusal extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final HttpStatus status;
    private final String kind;
    private final transient Map<String, Object> properties;

    /**
     * @param status of the answer
     * @param kind short name of the problem type
     * @param message what, where and what to do
     * @param properties further members of the problem details
     */
    public Refusal(HttpStatus status, String kind, String message, Map<String, Object> properties) {
        super(message);
        this.status = status;
        this.kind = kind;
        this.properties = Map.copyOf(properties);
    }

    /** Nothing there by this name. */
    public static Refusal notFound(String what) {
        return new Refusal(HttpStatus.NOT_FOUND, "not-found", what + " is not there.", Map.of());
    }

    /** Of the answer. */
    public HttpStatus status() {
        return status;
    }

    String kind() {
        return kind;
    }

    Map<String, Object> properties() {
        return properties;
    }
}
