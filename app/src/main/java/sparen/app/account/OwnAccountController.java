package sparen.app.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.account.ApiTokens.ApiToken;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.web.Refusal;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

/** What everybody does with an account of their own, at a screen. */
@RestController
@RequestMapping("/api/account")
class OwnAccountController {
    private static final String PENDING = "pending-second-factor";

    private final Accounts accounts;
    private final ApiTokens tokens;
    private final SecondFactor secondFactor;
    private final Sessions sessions;
    private final SignInThrottle throttle;
    private final OrganisationMapper organisation;

    OwnAccountController(
            Accounts accounts,
            ApiTokens tokens,
            SecondFactor secondFactor,
            Sessions sessions,
            SignInThrottle throttle,
            OrganisationMapper organisation) {
        this.accounts = accounts;
        this.tokens = tokens;
        this.secondFactor = secondFactor;
        this.sessions = sessions;
        this.throttle = throttle;
        this.organisation = organisation;
    }

    /** The password that holds, and the one that is to. */
    record NewPassword(String current, String next) {
        NewPassword {
            Passwords.bounded("current", current);
            Bounds.present("next", next);
        }
    }

    /** The password that holds, to be sure who asks. */
    record Sure(String password) {
        Sure {
            Passwords.bounded("password", password);
        }
    }

    /** What an authenticator shows now. */
    record ShownCode(String code) {
        ShownCode {
            SecondFactor.check("code", Bounds.present("code", code));
        }
    }

    /**
     * A second factor that is to be set up.
     *
     * @param secret to be typed into the authenticator
     * @param address the same for one that reads addresses
     */
    record PendingSecondFactor(String secret, String address) {}

    /** Codes that stand in for the authenticator, each once; told this once. */
    record RecoveryCodes(List<String> codes) {}

    /** Sets another password; all other sessions end, this one goes on. */
    @PostMapping("/password")
    @Allowed(value = Role.OBSERVER, bySession = true, beforeSecondFactor = true)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void setPassword(@RequestBody NewPassword wanted, Authentication who, HttpServletRequest request) {
        mustBe("current", wanted.current(), who, request);
        accounts.setPassword(who.getName(), "next", wanted.next());
        goOn(who, request);
    }

    /** Ends all sessions of the account, this one too. */
    @PostMapping("/sign-out-everywhere")
    @Allowed(value = Role.OBSERVER, bySession = true, beforeSecondFactor = true)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOutEverywhere(Authentication who) {
        accounts.endSessions(who.getName());
    }

    /** Where the account is signed in, the latest used first. */
    @GetMapping("/sessions")
    @Allowed(value = Role.OBSERVER, bySession = true)
    List<Sessions.OpenSession> sessions(Authentication who, HttpServletRequest request) {
        return sessions.of(who.getName(), request);
    }

    /** Ends one of one's own sessions. */
    @DeleteMapping("/sessions/{id}")
    @Allowed(value = Role.OBSERVER, bySession = true)
    List<Sessions.OpenSession> endSession(@PathVariable String id, Authentication who, HttpServletRequest request) {
        sessions.end(who.getName(), id);
        return sessions.of(who.getName(), request);
    }

    /** Begins to set up a second factor; it holds from when a code of it is confirmed. */
    @PostMapping("/second-factor")
    @Allowed(value = Role.OBSERVER, bySession = true, beforeSecondFactor = true)
    PendingSecondFactor beginSecondFactor(Authentication who, HttpSession session) {
        String pending = secondFactor.make();
        session.setAttribute(PENDING, pending);
        String secret = secondFactor.told(pending);
        return new PendingSecondFactor(
                secret, SecondFactor.address(organisation.get().name(), who.getName(), secret));
    }

    /** Turns the second factor on with a code that it shows, and gives the recovery codes, once. */
    @PostMapping("/second-factor/confirm")
    @Allowed(value = Role.OBSERVER, bySession = true, beforeSecondFactor = true)
    RecoveryCodes confirmSecondFactor(@RequestBody ShownCode wanted, Authentication who, HttpSession session) {
        if (!(session.getAttribute(PENDING) instanceof String pending)) {
            throw new Refusal(HttpStatus.CONFLICT, "not-begun", "Begin to set up the second factor first.", Map.of());
        }
        if (!secondFactor.accepts(who.getName(), pending, wanted.code())) {
            throw new InvalidQuantity("code", "is not what the authenticator shows now; is its clock right?");
        }
        accounts.setSecondFactor(who.getName(), pending);
        session.removeAttribute(PENDING);
        return new RecoveryCodes(secondFactor.recoveryCodes(who.getName()));
    }

    /** New recovery codes; those of before hold no longer. */
    @PostMapping("/second-factor/recovery-codes")
    @Allowed(value = Role.OBSERVER, bySession = true)
    RecoveryCodes newRecoveryCodes(@RequestBody Sure sure, Authentication who, HttpServletRequest request) {
        mustBe("password", sure.password(), who, request);
        if (accounts.find(who.getName()).secondFactor() == null) {
            throw new Refusal(HttpStatus.CONFLICT, "no-second-factor", "Set up a second factor first.", Map.of());
        }
        return new RecoveryCodes(secondFactor.recoveryCodes(who.getName()));
    }

    /** Turns the second factor off. */
    @PostMapping("/second-factor/remove")
    @Allowed(value = Role.OBSERVER, bySession = true)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeSecondFactor(@RequestBody Sure sure, Authentication who, HttpServletRequest request) {
        mustBe("password", sure.password(), who, request);
        accounts.removeSecondFactor(who.getName());
        goOn(who, request);
    }

    /** One's tokens for scripts, without what they are. */
    @GetMapping("/tokens")
    @Allowed(value = Role.OBSERVER, bySession = true)
    List<ApiToken> tokens(Authentication who) {
        return tokens.list(who.getName());
    }

    /** Makes a token for scripts and shows it, once. */
    @PostMapping("/tokens")
    @Allowed(value = Role.OBSERVER, bySession = true)
    @ResponseStatus(HttpStatus.CREATED)
    ApiTokens.MadeToken makeToken(@RequestBody ApiTokens.NewToken wanted, Authentication who) {
        return tokens.make(who.getName(), wanted);
    }

    /** Withdraws a token for scripts. */
    @DeleteMapping("/tokens/{id}")
    @Allowed(value = Role.OBSERVER, bySession = true)
    List<ApiToken> withdrawToken(@PathVariable UUID id, Authentication who) {
        tokens.withdraw(who.getName(), id);
        return tokens.list(who.getName());
    }

    /** Guessing here is slowed down as at the door. */
    private void mustBe(String field, String password, Authentication who, HttpServletRequest request) {
        throttle.attempt(who.getName(), request.getRemoteAddr());
        if (!accounts.isPassword(accounts.find(who.getName()), password)) {
            throw new InvalidQuantity(field, "is not your password");
        }
        throttle.succeeded(who.getName(), request.getRemoteAddr());
    }

    /** All sessions have ended but this one, which gets another name. */
    private void goOn(Authentication who, HttpServletRequest request) {
        request.changeSessionId();
        request.getSession()
                .setAttribute(CurrentAccount.EPOCH, accounts.find(who.getName()).epoch());
    }
}
