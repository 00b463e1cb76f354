package sparen.app.account;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import sparen.app.audit.AuditLog;
import sparen.app.audit.Deed;
import sparen.app.right.Role;
import sparen.app.web.Refusal;

/** Links that a password can be set with, once, for three days; what is in them is told once and never kept. */
@Service
public class OneTimeLinks {
    private static final Duration HOLDS = Duration.ofDays(3);

    private final OneTimeLinkMapper mapper;
    private final Accounts accounts;
    private final AuditLog audit;
    private final Clock clock;

    OneTimeLinks(OneTimeLinkMapper mapper, Accounts accounts, AuditLog audit, Clock clock) {
        this.mapper = mapper;
        this.accounts = accounts;
        this.audit = audit;
        this.clock = clock;
    }

    /**
     * A link.
     *
     * @param path in addresses of this application; what stands behind the number sign is in no log
     * @param expiresAt until when it holds
     */
    public record NewLink(String path, Instant expiresAt) {}

    /** For the account to set a password; an earlier one holds no longer. */
    @Transactional
    public NewLink make(String account) {
        accounts.find(account);
        audit.note(Deed.LINK_MADE, account);
        return put(account);
    }

    /** For the first administrator; empty where there is one. */
    @Transactional
    public Optional<NewLink> makeFirst() {
        return accounts.hasAdministrator() ? Optional.empty() : Optional.of(put(null));
    }

    private NewLink put(String account) {
        String secret = Secrets.make();
        Instant until = clock.instant().plus(HOLDS);
        mapper.forget(account, clock.instant());
        mapper.add(Secrets.hash(secret), account, until);
        return new NewLink("/#/welcome/" + secret, until);
    }

    /** Whose it is; empty for the first administrator's. */
    Optional<Account> look(String secret) {
        return Optional.ofNullable(find(secret).account()).map(accounts::find);
    }

    private OneTimeLinkMapper.Row find(String secret) {
        return mapper.find(Secrets.hash(secret), clock.instant()).orElseThrow(OneTimeLinks::gone);
    }

    /**
     * Sets the password of whose it is; the first administrator's makes that account.
     *
     * @param first what the first administrator is called; not looked at for others
     * @return the name to sign in with
     */
    @Transactional
    public String use(String secret, String password, Optional<FirstAdministrator> first) {
        OneTimeLinkMapper.Row link = find(secret);
        String name = link.account();
        if (name == null) {
            FirstAdministrator wanted = first.orElseThrow(OneTimeLinks::gone);
            if (accounts.hasAdministrator()) {
                throw gone();
            }
            name = wanted.name();
            Passwords.check("password", password, List.of(name, wanted.fullName(), "sparen"));
            accounts.make(name, new Accounts.Standing(wanted.fullName(), Role.ADMINISTRATOR, true, true));
        }
        accounts.setPassword(name, "password", password);
        if (mapper.use(link.hash()) == 0) {
            throw gone();
        }
        return name;
    }

    /** What the first administrator is called. */
    record FirstAdministrator(String name, String fullName) {
        FirstAdministrator {
            Accounts.checkName(name);
        }
    }

    private static Refusal gone() {
        return new Refusal(
                HttpStatus.NOT_FOUND,
                "link-gone",
                "This link was used already, is too old, or was replaced. Ask for a new one.",
                Map.of());
    }
}
