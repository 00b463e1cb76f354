package sparen.app.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.authentication.logout.SecurityContextLogoutHandler;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.audit.AuditLog;
import sparen.app.audit.Deed;
import sparen.app.crew.Crews;
import sparen.app.right.Allowed;
import sparen.app.right.Anyone;
import sparen.app.right.Role;
import sparen.app.web.Refusal;
import sparen.quantity.Bounds;

/** Signing in and out. */
@RestController
@RequestMapping("/api/session")
class SessionController {
    private final AuthenticationManager manager;
    private final SecurityContextRepository contexts;
    private final Accounts accounts;
    private final OrganisationMapper organisation;
    private final Crews crews;
    private final SecondFactor secondFactor;
    private final SignInThrottle throttle;
    private final AuditLog audit;

    SessionController(
            AuthenticationManager manager,
            SecurityContextRepository contexts,
            Accounts accounts,
            OrganisationMapper organisation,
            Crews crews,
            SecondFactor secondFactor,
            SignInThrottle throttle,
            AuditLog audit) {
        this.manager = manager;
        this.contexts = contexts;
        this.accounts = accounts;
        this.organisation = organisation;
        this.crews = crews;
        this.secondFactor = secondFactor;
        this.throttle = throttle;
        this.audit = audit;
    }

    /**
     * Name and password.
     *
     * @param code of the second factor, or a recovery code; absent until it is asked for
     */
    record Credentials(String name, String password, Optional<String> code) {
        Credentials {
            Bounds.name("name", name);
            Passwords.bounded("password", password);
            code = Bounds.orEmpty(code);
            code.ifPresent(given -> SecondFactor.check("code", given));
        }
    }

    /**
     * Who is signed in.
     *
     * @param organisation what it is called
     * @param writesToDevices whether they may write to devices
     * @param hasSecondFactor whether one is asked of them
     * @param recoveryCodesLeft how many codes that stand in for it were not used yet
     * @param secondFactorWanted whether they have to set one up before anything else
     * @param offlineDays how long sites that were taken along open without a network (d)
     * @param onlySees ids of the sites that they see and may not change by their crews
     */
    record SignedIn(
            String name,
            String fullName,
            Role role,
            String organisation,
            boolean writesToDevices,
            boolean hasSecondFactor,
            int recoveryCodesLeft,
            boolean secondFactorWanted,
            int offlineDays,
            List<String> onlySees) {}

    /** Who is signed in. */
    @GetMapping
    @Allowed(value = Role.OBSERVER, beforeSecondFactor = true)
    SignedIn current(Authentication who) {
        Account account = accounts.find(who.getName());
        OrganisationMapper.Organisation ours = organisation.get();
        boolean hasSecondFactor = account.secondFactor() != null;
        return new SignedIn(
                account.name(),
                account.fullName(),
                account.role(),
                ours.name(),
                account.writesToDevices(),
                hasSecondFactor,
                hasSecondFactor ? secondFactor.recoveryCodesLeft(account.name()) : 0,
                ours.secondFactorRequired() && !hasSecondFactor,
                ours.offlineDays(),
                crews.onlySeenBy(who).stream().sorted().toList());
    }

    /** Signs in; where a second factor is wanted, it is asked for. */
    @PostMapping
    @Anyone
    SignedIn signIn(@RequestBody Credentials credentials, HttpServletRequest request, HttpServletResponse response) {
        String address = request.getRemoteAddr();
        throttle.attempt(credentials.name(), address);
        Authentication who = authenticate(credentials);
        Account account = accounts.find(who.getName());
        if (account.secondFactor() != null) {
            second(account, credentials.code());
        }
        throttle.succeeded(credentials.name(), address);
        Optional.ofNullable(request.getSession(false)).ifPresent(HttpSession::invalidate);
        Sessions.begin(account, request);
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(who);
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        audit.note(Deed.SIGNED_IN, "");
        return current(who);
    }

    /** The password was right: what is still missing may be said. It counts as a failure until the code is right too. */
    private void second(Account account, Optional<String> code) {
        if (code.isEmpty()) {
            throw new Refusal(
                    HttpStatus.UNAUTHORIZED, "code-wanted", "Enter the 6 digits of your authenticator.", Map.of());
        }
        if (!secondFactor.accepts(account.name(), account.secondFactor(), code.get())) {
            audit.note(Deed.SIGN_IN_REFUSED, account.name(), "", "wrong code");
            throw new Refusal(
                    HttpStatus.UNAUTHORIZED,
                    "wrong-code",
                    "That is not the code of now, or it was used already. Wait for the next one.",
                    Map.of());
        }
    }

    private Authentication authenticate(Credentials credentials) {
        try {
            return manager.authenticate(
                    UsernamePasswordAuthenticationToken.unauthenticated(credentials.name(), credentials.password()));
        } catch (AuthenticationException wrong) {
            audit.note(Deed.SIGN_IN_REFUSED, credentials.name(), "", "");
            throw new Refusal(
                    HttpStatus.UNAUTHORIZED, "wrong-credentials", "Name or password is wrong. Check both.", Map.of());
        }
    }

    /** Signs out. */
    @DeleteMapping
    @Allowed(value = Role.OBSERVER, bySession = true, beforeSecondFactor = true)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(HttpServletRequest request, HttpServletResponse response, Authentication who) {
        audit.note(Deed.SIGNED_OUT, "");
        new SecurityContextLogoutHandler().logout(request, response, who);
    }
}
