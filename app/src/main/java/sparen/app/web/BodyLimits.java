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
import java.time.Duration;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Semaphore;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * No request may be longer than what it is for needs: read no further, whatever it says of its own length. And none may take for ever:
 * one that trickles in is given up, and however many trickle in from one address, threads are left for the others.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class BodyLimits extends OncePerRequestFilter {
    /** A name and a password (bytes). */
    private static final long SIGN_IN = 8_000;

    private static final Set<String> DOORS =
            Set.of("/api/session", "/api/one-time-links/look", "/api/one-time-links/use", "/api/along/contact");
    /** A plan with all its devices, and what is asked of it (bytes). */
    private static final long PLAN = 4_000_000;
    /** A table of measurements, some 2 million lines (bytes). */
    private static final long TABLE = 64_000_000;

    /** A table over a slow line takes some minutes (64 MB at 2 Mbit/s); judgement, no source. */
    private static final Duration LONGEST = Duration.ofMinutes(5);
    /** How many bodies are read at once from one address, and in all; of 400 threads. */
    private static final int MOST_FROM_ADDRESS = 40;

    private static final int MOST = 120;

    private final Semaphore reading = new Semaphore(MOST);
    private final Map<String, Integer> from = new ConcurrentHashMap<>();

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long most = most(request);
        if (request.getContentLengthLong() > most) {
            WrittenProblem.write(response, HttpStatus.CONTENT_TOO_LARGE, "too-large", says(most));
        } else {
            Limited limited = new Limited(request, most);
            try {
                chain.doFilter(limited, response);
            } finally {
                limited.done();
            }
        }
    }

    /** Takes a place among those that read. */
    private void begin(String address) throws TooMany {
        boolean isTooMany = from.merge(address, 1, Integer::sum) > MOST_FROM_ADDRESS;
        if (isTooMany || !reading.tryAcquire()) {
            leave(address);
            throw new TooMany();
        }
    }

    private void end(String address) {
        leave(address);
        reading.release();
    }

    private void leave(String address) {
        from.computeIfPresent(address, (same, count) -> count > 1 ? count - 1 : null);
    }

    /** More bodies are on their way than can be read. */
    static final class TooMany extends IOException {
        private static final long serialVersionUID = 1L;

        TooMany() {
            super("Too many requests are on their way in. Try again in a moment.");
        }
    }

    /** The body did not come in time. */
    static final class TooSlow extends IOException {
        private static final long serialVersionUID = 1L;

        TooSlow() {
            super("The request did not come in within " + LONGEST.toMinutes() + " minutes.");
        }
    }

    private static long most(HttpServletRequest request) {
        String type = request.getContentType();
        if (DOORS.contains(request.getRequestURI())) {
            return SIGN_IN;
        }
        boolean isLong = type != null && (type.startsWith("text/csv") || type.startsWith("application/zip"));
        return isLong ? TABLE : PLAN;
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

    private final class Limited extends HttpServletRequestWrapper {
        private final long most;
        private Counted counted;
        private boolean isDone;

        Limited(HttpServletRequest request, long most) {
            super(request);
            this.most = most;
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            if (counted == null) {
                begin(getRemoteAddr());
                counted = new Counted(super.getInputStream(), most, getContentLengthLong(), this::done);
            }
            return counted;
        }

        /** All was read, or nobody reads any more. */
        private void done() {
            if (counted != null && !isDone) {
                isDone = true;
                end(getRemoteAddr());
            }
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
        private final long begun = System.nanoTime();
        private final long expected;
        private final Runnable done;
        private long read;

        Counted(ServletInputStream body, long most, long expected, Runnable done) {
            this.body = body;
            this.most = most;
            this.expected = expected;
            this.done = done;
        }

        @Override
        public int read() throws IOException {
            int one = body.read();
            count(one < 0 ? -1 : 1);
            return one;
        }

        @Override
        public int read(byte[] into, int from, int length) throws IOException {
            int some = body.read(into, from, length);
            count(some);
            return some;
        }

        private void count(int bytes) throws IOException {
            if (System.nanoTime() - begun > LONGEST.toNanos()) {
                throw new TooSlow();
            }
            read += Math.max(bytes, 0);
            if (read > most) {
                throw new TooLong(most);
            }
            if (bytes < 0 || read == expected) {
                done.run();
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
