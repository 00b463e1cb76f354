package sparen.app.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Service;
import sparen.app.audit.AuditLog;
import sparen.app.audit.Deed;
import sparen.app.web.Refusal;

/** Where somebody is signed in. */
@Service
class Sessions {
    private static final String ADDRESS = "address";
    private static final String PHONE = "phone";

    private final FindByIndexNameSessionRepository<? extends Session> repository;
    private final Accounts accounts;
    private final AuditLog audit;

    Sessions(FindByIndexNameSessionRepository<? extends Session> repository, Accounts accounts, AuditLog audit) {
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
        return open(account).values().stream()
                .map(session -> new OpenSession(
                        Secrets.hash(session.getId()),
                        session.getCreationTime(),
                        session.getLastAccessedTime(),
                        session.getAttributeOrDefault(ADDRESS, ""),
                        session.getAttributeOrDefault(PHONE, false),
                        session.getId().equals(mine)))
                .sorted(Comparator.comparing(OpenSession::lastUsedAt).reversed())
                .toList();
    }

    /**
     * Ends one.
     *
     * @throws Refusal when there is none, or no longer
     */
    void end(String account, String id) {
        String found = open(account).keySet().stream()
                .filter(session -> Secrets.hash(session).equals(id))
                .findFirst()
                .orElseThrow(() -> Refusal.notFound("The session"));
        repository.deleteById(found);
        audit.note(Deed.SIGNED_OUT, "elsewhere");
    }

    private Map<String, ? extends Session> open(String account) {
        Integer epoch = accounts.find(account).epoch();
        Map<String, ? extends Session> all = repository.findByPrincipalName(account);
        all.values()
                .removeIf(session -> session.isExpired() || !epoch.equals(session.getAttribute(CurrentAccount.EPOCH)));
        return all;
    }
}
