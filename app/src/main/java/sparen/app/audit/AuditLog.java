package sparen.app.audit;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Service;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/** Takes down what is done, in the transaction it is done in: what was rolled back was not done. */
@Service
public class AuditLog {
    /** Who acts where nobody has asked. */
    private static final String ITSELF = "sparen";

    private static final int LONGEST = 300;

    private final AuditMapper mapper;
    private final Clock clock;

    AuditLog(AuditMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /** What was done by who is signed in, at no site. */
    public void note(Deed deed, String detail) {
        note(deed, "", detail);
    }

    /** What was done by who is signed in. */
    public void note(Deed deed, String site, String detail) {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        note(deed, who == null ? ITSELF : who.getName(), site, detail);
    }

    /** What was done by somebody who is not signed in yet, or not any more. */
    public void note(Deed deed, String account, String site, String detail) {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        String via = who != null && who.getDetails() instanceof Via token ? token.name() : "";
        mapper.add(clock.instant(), cut(account), via, address(), deed, cut(site), cut(detail));
    }

    /**
     * A token that something is done with.
     *
     * @param name what its owner calls it
     * @param changes whether more than reading can be done with it
     */
    public record Via(String name, boolean changes) {}

    private static String address() {
        HttpServletRequest request = RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes web
                ? web.getRequest()
                : null;
        return request == null ? "" : request.getRemoteAddr();
    }

    private static String cut(String text) {
        return text.length() <= LONGEST ? text : text.substring(0, LONGEST - 1) + "…";
    }
}
