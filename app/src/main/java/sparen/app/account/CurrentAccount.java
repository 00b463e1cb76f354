package sparen.app.account;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;
import sparen.app.audit.AuditLog;
import sparen.app.right.Role;

/**
 * Reads anew with every request what who asks may do: by a token, or by the session of a browser. A session ends where the account's
 * epoch has gone on, and after a week whatever is done in it.
 */
class CurrentAccount extends OncePerRequestFilter {
    /** The account's epoch when a session began. */
    static final String EPOCH = "epoch";

    private static final String BEARER = "Bearer ";
    private static final Duration LONGEST_SESSION = Duration.ofDays(7);

    private final Accounts accounts;
    private final ApiTokens tokens;
    private final Clock clock;

    CurrentAccount(Accounts accounts, ApiTokens tokens, Clock clock) {
        this.accounts = accounts;
        this.tokens = tokens;
        this.clock = clock;
    }

    /** Whether a request comes with a token, and thus from no page of another's making. */
    static boolean hasToken(HttpServletRequest request) {
        String header = request.getHeader("Authorization");
        return header != null && header.startsWith(BEARER);
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        String path = request.getRequestURI();
        return !path.startsWith("/api/") && !path.startsWith("/v3/") && !path.startsWith("/actuator/");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Optional<Authentication> who = hasToken(request) ? byToken(request) : bySession(request);
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        who.ifPresent(context::setAuthentication);
        SecurityContextHolder.setContext(context);
        chain.doFilter(request, response);
    }

    private Optional<Authentication> byToken(HttpServletRequest request) {
        String secret = request.getHeader("Authorization").substring(BEARER.length());
        return tokens.find(secret).flatMap(held -> accounts.current(held.account())
                .map(account -> authentication(account, new AuditLog.Via(held.name(), held.changes()))));
    }

    private Optional<Authentication> bySession(HttpServletRequest request) {
        Authentication kept = SecurityContextHolder.getContext().getAuthentication();
        HttpSession session = request.getSession(false);
        if (kept == null || session == null) {
            return Optional.empty();
        }
        boolean isOld = clock.millis() - session.getCreationTime() > LONGEST_SESSION.toMillis();
        Optional<Account> account = accounts.current(kept.getName())
                .filter(one -> !isOld && Integer.valueOf(one.epoch()).equals(session.getAttribute(EPOCH)));
        if (account.isEmpty()) {
            session.invalidate();
        }
        return account.map(one -> authentication(one, null));
    }

    private static Authentication authentication(Account account, AuditLog.Via via) {
        Role role = account.role();
        UsernamePasswordAuthenticationToken who = UsernamePasswordAuthenticationToken.authenticated(
                account.name(), null, List.of(new SimpleGrantedAuthority(role.authority())));
        who.setDetails(via);
        return who;
    }
}
