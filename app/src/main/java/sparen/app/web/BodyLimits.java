package sparen.app.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.util.Set;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** No request may be longer than what it is for needs: read no further, whatever it says of its own length. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class BodyLimits extends OncePerRequestFilter {
    /** A name and a password (bytes). */
    private static final long SIGN_IN = 8_000;

    private static final Set<String> DOORS =
            Set.of("/api/session", "/api/one-time-links/look", "/api/one-time-links/use");
    /** A plan with all its devices, and what is asked of it (bytes). */
    private static final long PLAN = 4_000_000;
    /** A table of measurements, some 2 million lines (bytes). */
    private static final long TABLE = 64_000_000;

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long most = most(request);
        if (request.getContentLengthLong() > most) {
            WrittenProblem.write(response, HttpStatus.CONTENT_TOO_LARGE, "too-large", says(most));
        } else {
            chain.doFilter(new Limited(request, most), response);
        }
    }

    private static long most(HttpServletRequest request) {
        String type = request.getContentType();
        if (DOORS.contains(request.getRequestURI())) {
            return SIGN_IN;
        }
        return type != null && type.startsWith("text/csv") ? TABLE : PLAN;
    }

    private static String says(long most) {
        return "The request is longer than the " + most + " bytes that are taken here.";
    }

    /** The body was longer than it said. */
    static final class TooLong extends IOException {
        private static final long serialVersionUID = 1L;

        TooLong(long most) {
            super(says(most));
        }
    }

    private static final class Limited extends HttpServletRequestWrapper {
        private final long most;
        private ServletInputStream counted;

        Limited(HttpServletRequest request, long most) {
            super(request);
            this.most = most;
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            if (counted == null) {
                counted = new Counted(super.getInputStream(), most);
            }
            return counted;
        }

        @Override
        public BufferedReader getReader() throws IOException {
            String encoding = getCharacterEncoding() == null ? "UTF-8" : getCharacterEncoding();
            return new BufferedReader(new InputStreamReader(getInputStream(), encoding));
        }
    }

    private static final class Counted extends ServletInputStream {
        private final ServletInputStream body;
        private final long most;
        private long read;

        Counted(ServletInputStream body, long most) {
            this.body = body;
            this.most = most;
        }

        @Override
        public int read() throws IOException {
            int one = body.read();
            count(one < 0 ? 0 : 1);
            return one;
        }

        @Override
        public int read(byte[] into, int from, int length) throws IOException {
            int some = body.read(into, from, length);
            count(Math.max(some, 0));
            return some;
        }

        private void count(int bytes) throws TooLong {
            read += bytes;
            if (read > most) {
                throw new TooLong(most);
            }
        }

        @Override
        public boolean isFinished() {
            return body.isFinished();
        }

        @Override
        public boolean isReady() {
            return body.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            body.setReadListener(listener);
        }

        @Override
        public void close() throws IOException {
            body.close();
        }
    }
}
