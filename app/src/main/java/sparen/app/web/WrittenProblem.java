package sparen.app.web;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;

/** Problem details (RFC 9457) where nothing of the framework writes them yet. */
final class WrittenProblem {
    private WrittenProblem() {}

    /**
     * Answers with a problem.
     *
     * @param kind short name of its type
     * @param detail in plain words, without quotes
     */
    static void write(HttpServletResponse response, HttpStatus status, String kind, String detail) throws IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding(StandardCharsets.UTF_8);
        response.getWriter()
                .write("{\"type\":\"urn:sparen:problem:" + kind + "\",\"title\":\"" + status.getReasonPhrase()
                        + "\",\"status\":" + status.value() + ",\"detail\":\"" + detail + "\"}");
    }
}
