package sparen.app.web;

import java.time.Clock;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;
import sparen.quantity.InvalidQuantity;

/**
 * When something was measured or done at a site: now, or when the browser says in which it waited for a network. That it came now is in the
 * audit log all the same.
 */
@Component
public class WhenMade {
    /** An instant (ISO 8601, UTC); one that is still to come is now. */
    public static final String HEADER = "Sparen-Made-At";

    private final Clock clock;

    WhenMade(Clock clock) {
        this.clock = clock;
    }

    /**
     * To the millisecond.
     *
     * @throws InvalidQuantity when the request says something that is no instant
     */
    public Instant instant() {
        Instant now = clock.instant().truncatedTo(ChronoUnit.MILLIS);
        return said().map(made -> made.isAfter(now) ? now : made).orElse(now);
    }

    private static Optional<Instant> said() {
        return Optional.ofNullable(RequestContextHolder.getRequestAttributes())
                .filter(ServletRequestAttributes.class::isInstance)
                .map(request ->
                        ((ServletRequestAttributes) request).getRequest().getHeader(HEADER))
                .map(WhenMade::read);
    }

    private static Instant read(String text) {
        try {
            return Instant.parse(text).truncatedTo(ChronoUnit.MILLIS);
        } catch (DateTimeException none) {
            throw new InvalidQuantity(HEADER, "\"" + text + "\" is no instant such as 2026-10-05T10:00:00Z");
        }
    }
}
