package sparen.app.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.session.Session;
import org.springframework.session.SessionRepository;
import org.springframework.stereotype.Service;
import sparen.app.audit.AuditLog;
import sparen.app.audit.Deed;
import sparen.app.web.Refusal;

/** Where somebody is signed in. */
@Service
class Sessions {
    private static final String ADDRESS = "address";
    private static final String PHONE = "phone";

    private static final int MOST = 200;

    private final SessionRepository<? extends Session> repository;
    private final SessionMapper mapper;
    private final Accounts accounts;
    private final AuditLog audit;
    private final Clock clock;

    Sessions(
            SessionRepository<? extends Session> repository,
            SessionMapper mapper,
            Accounts accounts,
            AuditLog audit,
            Clock clock) {
        this.clock = clock;
        this.mapper = mapper;
        this.repository = repository;
        this.accounts = accounts;
        this.audit = audit;
    }

    /**
     * A session that goes on.
     *
     * @param id what it is called here; not what its browser shows to be let in
     * @param address from where it began
     * @param phone whether its browser says that it is one of a phone
     * @param here whether it is the one that asks
     */
    record OpenSession(String id, Instant begunAt, Instant lastUsedAt, String address, boolean phone, boolean here) {}

    /** Notes with a session that begins whose it is and from where. */
    static void begin(Account account, HttpServletRequest request) {
        HttpSession session = request.getSession(true);
        session.setAttribute(CurrentAccount.EPOCH, account.epoch());
        session.setAttribute(ADDRESS, request.getRemoteAddr());
        String browser = request.getHeader("User-Agent");
        session.setAttribute(PHONE, browser != null && browser.contains("Mobi"));
    }

    /** All of an account that go on, the latest used first. */
    List<OpenSession> of(String account, HttpServletRequest request) {
        String mine = request.getSession().getId();
        return open(account)
                .map(session -> new OpenSession(
                        Secrets.hash(session.getId()),
                        session.getCreationTime(),
                        session.getLastAccessedTime(),
                        session.getAttributeOrDefault(ADDRESS, ""),
                        session.getAttributeOrDefault(PHONE, false),
                        session.getId().equals(mine)))
                .toList();
    }

    /**
     * Ends one.
     *
     * @throws Refusal when there is none, or no longer
     */
    void end(String account, String id) {
        String found = open(account)
                .map(Session::getId)
                .filter(session -> Secrets.hash(session).equals(id))
                .findFirst()
                .orElseThrow(() -> Refusal.notFound("The session"));
        repository.deleteById(found);
        audit.note(Deed.SIGNED_OUT, "elsewhere");
    }

    /** One by one: the library's search by name takes a session for several where the database gives its attributes in another order. */
    private Stream<Session> open(String account) {
        Integer epoch = accounts.find(account).epoch();
        return mapper.of(account, clock.millis(), MOST).stream()
                .map(repository::findById)
                .filter(session -> session != null && epoch.equals(session.getAttribute(CurrentAccount.EPOCH)))
                .map(Session.class::cast);
    }
}
