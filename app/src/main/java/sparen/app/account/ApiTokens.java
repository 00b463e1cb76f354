package sparen.app.account;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import sparen.app.audit.AuditLog;
import sparen.app.audit.Deed;
import sparen.app.web.Refusal;
import sparen.quantity.Bounds;

/** Tokens for scripts: each of somebody, named, told once, kept as a hash, and gone after a while. */
@Service
class ApiTokens {
    /** What every token begins with, so that one is known for what it is wherever it turns up. */
    static final String PREFIX = "sparen_";

    private static final int MOST = 50;
    private static final int LONGEST_DAYS = 366;
    private static final Duration NOTED_EVERY = Duration.ofMinutes(1);

    private final ApiTokenMapper mapper;
    private final AuditLog audit;
    private final Clock clock;

    ApiTokens(ApiTokenMapper mapper, AuditLog audit, Clock clock) {
        this.mapper = mapper;
        this.audit = audit;
        this.clock = clock;
    }

    /**
     * A token without its secret.
     *
     * @param id its name in addresses
     * @param name what its owner calls it
     * @param changes whether more than reading can be done with it
     * @param lastUsedAt to the minute; absent before its first use
     */
    record ApiToken(
            UUID id, String name, boolean changes, Instant madeAt, Instant expiresAt, Optional<Instant> lastUsedAt) {
        private static ApiToken of(ApiTokenMapper.Row row) {
            return new ApiToken(
                    row.id(),
                    row.name(),
                    row.changes(),
                    row.madeAt(),
                    row.expiresAt(),
                    Optional.ofNullable(row.lastUsedAt()));
        }
    }

    /**
     * A token to be made.
     *
     * @param name what its owner calls it
     * @param changes whether more than reading can be done with it
     * @param days how long it holds (d), 1 to 366
     */
    record NewToken(String name, boolean changes, int days) {
        NewToken {
            Bounds.name("name", name);
            Bounds.within("days", days, "d", 1, LONGEST_DAYS);
        }
    }

    /** A token with its secret, which is told this once. */
    record MadeToken(ApiToken token, String secret) {}

    List<ApiToken> list(String account) {
        return mapper.list(account).stream().map(ApiToken::of).toList();
    }

    @Transactional
    public MadeToken make(String account, NewToken wanted) {
        Bounds.within("tokens", mapper.list(account).size() + 1, "tokens", 1, MOST);
        String secret = PREFIX + Secrets.make();
        Instant now = clock.instant();
        ApiTokenMapper.Row token = new ApiTokenMapper.Row(
                UUID.randomUUID(),
                wanted.name(),
                wanted.changes(),
                now,
                now.plus(Duration.ofDays(wanted.days())),
                null);
        try {
            mapper.add(account, Secrets.hash(secret), token);
        } catch (DuplicateKeyException taken) {
            throw new Refusal(
                    HttpStatus.CONFLICT, "name-taken", "You have a token \"" + wanted.name() + "\" already.", Map.of());
        }
        audit.note(
                Deed.TOKEN_MADE,
                wanted.name() + ", " + (wanted.changes() ? "reads and changes" : "reads") + ", " + wanted.days()
                        + " d");
        return new MadeToken(ApiToken.of(token), secret);
    }

    @Transactional
    public void withdraw(String account, UUID id) {
        String name = mapper.list(account).stream()
                .filter(one -> one.id().equals(id))
                .map(ApiTokenMapper.Row::name)
                .findFirst()
                .orElseThrow(() -> Refusal.notFound("The token"));
        mapper.withdraw(account, id);
        audit.note(Deed.TOKEN_WITHDRAWN, name);
    }

    Optional<ApiTokenMapper.Held> find(String secret) {
        if (!secret.startsWith(PREFIX)) {
            return Optional.empty();
        }
        String hash = Secrets.hash(secret);
        Instant now = clock.instant();
        Optional<ApiTokenMapper.Held> held = mapper.find(hash, now);
        held.ifPresent(token -> mapper.used(hash, now, now.minus(NOTED_EVERY)));
        return held;
    }
}
