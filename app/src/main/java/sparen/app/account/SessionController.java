package sparen.app.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
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
import sparen.app.web.Refusal;
import sparen.quantity.Bounds;

/** Signing in and out. */
@RestController
@RequestMapping("/api/session")
class SessionController {
    private static final int LONGEST_PASSWORD = 72;

    private final AuthenticationManager manager;
    private final SecurityContextRepository contexts;
    private final Accounts accounts;
    private final SignInThrottle throttle;

    SessionController(
            AuthenticationManager manager,
            SecurityContextRepository contexts,
            Accounts accounts,
            SignInThrottle throttle) {
        this.manager = manager;
        this.contexts = contexts;
        this.accounts = accounts;
        this.throttle = throttle;
    }

    /** Name and password. */
    record Credentials(String name, String password) {
        Credentials {
            Bounds.name("name", name);
            Bounds.present("password", password);
            Bounds.within("password", password.length(), "characters", 1, LONGEST_PASSWORD);
        }
    }

    /** Who is signed in. */
    record SignedIn(String name, String fullName, Role role) {}

    @GetMapping
    SignedIn current(Authentication authentication) {
        return signedIn(authentication.getName());
    }

    @PostMapping
    SignedIn signIn(@RequestBody Credentials credentials, HttpServletRequest request, HttpServletResponse response) {
        String address = request.getRemoteAddr();
        throttle.attempt(credentials.name(), address);
        Authentication authentication = authenticate(credentials);
        throttle.succeeded(credentials.name(), address);
        if (request.getSession(false) != null) {
            request.changeSessionId();
        }
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(authentication);
        contexts.saveContext(context, request, response);
        return signedIn(authentication.getName());
    }

    private Authentication authenticate(Credentials credentials) {
        try {
            return manager.authenticate(
                    UsernamePasswordAuthenticationToken.unauthenticated(credentials.name(), credentials.password()));
        } catch (AuthenticationException wrong) {
            throw new Refusal(
                    HttpStatus.UNAUTHORIZED, "wrong-credentials", "Name or password is wrong. Check both.", Map.of());
        }
    }

    @DeleteMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(HttpServletRequest request, HttpServletResponse response, Authentication authentication) {
        new SecurityContextLogoutHandler().logout(request, response, authentication);
    }

    private SignedIn signedIn(String name) {
        Account account = accounts.find(name);
        return new SignedIn(account.name(), account.fullName(), account.role());
    }
}
