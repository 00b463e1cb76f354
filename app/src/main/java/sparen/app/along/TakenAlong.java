package sparen.app.along;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import sparen.app.account.Secrets;
import sparen.app.audit.AuditLog;
import sparen.app.audit.Deed;
import sparen.app.web.Refusal;
import sparen.quantity.Bounds;

/** Browsers that took sites along: each proves itself by a secret, so that one whose account was withdrawn can be told from a stranger. */
@Service
class TakenAlong {
    private static final int MOST_OF_ACCOUNT = 50;
    private static final int MOST_LEFT = 500;
    private static final Duration FORGOTTEN_AFTER = Duration.ofDays(400);
    private static final int LONGEST_SECRET = 100;

    private final AlongMapper mapper;
    private final AuditLog audit;
    private final Clock clock;

    TakenAlong(AlongMapper mapper, AuditLog audit, Clock clock) {
        this.mapper = mapper;
        this.audit = audit;
        this.clock = clock;
    }

    /** What an account is that took something along. */
    enum Standing {
        /** It may sign in. */
        KNOWN,
        /** It may not any more: what it has is to be wiped. */
        WITHDRAWN,
        /** Nobody knows the secret: there is nothing to be told. */
        UNKNOWN
    }

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MILLIS);
    }

    /** A secret for a browser of an account. */
    @Transactional
    public String make(String account) {
        String secret = Secrets.make();
        mapper.add(UUID.randomUUID(), account, Secrets.hash(secret), now());
        mapper.forget(account, now().minus(FORGOTTEN_AFTER), MOST_OF_ACCOUNT);
        audit.note(Deed.TAKEN_ALONG, "");
        return secret;
    }

    private static String bounded(String secret) {
        Bounds.present("secret", secret);
        Bounds.within("secret", secret.length(), "characters", 1, LONGEST_SECRET);
        return secret;
    }

    Standing contact(String secret) {
        return mapper.find(Secrets.hash(bounded(secret)))
                .map(held -> {
                    mapper.contact(held.id(), now());
                    return held.active() ? Standing.KNOWN : Standing.WITHDRAWN;
                })
                .orElse(Standing.UNKNOWN);
    }

    /** Keeps what was never sent of an account that was withdrawn; twice the same is kept once. */
    @Transactional
    public void leave(String secret, UUID id, String says, String work) {
        AlongMapper.Held held = mapper.find(Secrets.hash(bounded(secret)))
                .filter(one -> !one.active())
                .orElseThrow(() -> new Refusal(
                        HttpStatus.FORBIDDEN,
                        "not-withdrawn",
                        "Work is left only of an account that was withdrawn; another one signs in and sends it.",
                        Map.of()));
        Bounds.within("work", mapper.countLeft(held.id()), "pieces left", 0, MOST_LEFT - 1.0);
        if (mapper.leave(held.id(), new AlongMapper.Row(id, held.account(), now(), says, work)) == 1) {
            audit.note(Deed.WORK_LEFT, held.account(), "", says);
        }
    }

    List<AlongMapper.Row> left() {
        return mapper.left();
    }

    AlongMapper.Row one(UUID id) {
        return mapper.one(id).orElseThrow(() -> Refusal.notFound("This piece of work"));
    }

    @Transactional
    public void remove(UUID id) {
        AlongMapper.Row row = one(id);
        mapper.remove(id);
        audit.note(Deed.WORK_LEFT_REMOVED, row.account() + ": " + row.says());
    }
}
