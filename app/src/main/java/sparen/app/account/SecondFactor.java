package sparen.app.account;

import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.security.InvalidKeyException;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import sparen.quantity.InvalidQuantity;

/**
 * Codes that change with time (RFC 6238: SHA-1, 6 digits, 30 s), each taken once; and a few written down, for when what shows them is lost.
 */
@Service
class SecondFactor {
    private static final Logger LOG = LoggerFactory.getLogger(SecondFactor.class);
    private static final int SECRET_BYTES = 20;
    private static final int RECOVERY_CODES = 10;
    /** 60 bits: nobody guesses one, so its hash needs no salt. */
    private static final int RECOVERY_LETTERS = 12;

    private static final Pattern CODE = Pattern.compile("\\d{6}");
    private static final Pattern RECOVERY_CODE = Pattern.compile("[a-z2-7]{4}(-[a-z2-7]{4}){2}");
    private static final SecureRandom RANDOM = new SecureRandom();

    private final TimeBasedOneTimePasswordGenerator generator = new TimeBasedOneTimePasswordGenerator();
    private final AccountMapper mapper;
    private final Seal seal;
    private final Clock clock;

    SecondFactor(AccountMapper mapper, Seal seal, Clock clock) {
        this.mapper = mapper;
        this.seal = seal;
        this.clock = clock;
    }

    /** Seals what was kept before there were seals. */
    @EventListener(ApplicationReadyEvent.class)
    void sealAll() {
        List<Account> open = mapper.list().stream()
                .filter(account -> account.secondFactor() != null && !Seal.isSealed(account.secondFactor()))
                .toList();
        if (!open.isEmpty() && !seal.hasKey()) {
            LOG.warn("secrets of second factors lie open in the database: there is no sparen.second-factor.key");
            return;
        }
        open.forEach(account ->
                mapper.sealSecondFactor(account.name(), account.secondFactor(), seal.close(account.secondFactor())));
    }

    /** A new secret, base 32. */
    private static String secret() {
        byte[] secret = new byte[SECRET_BYTES];
        RANDOM.nextBytes(secret);
        return new Base32().encodeToString(secret);
    }

    /**
     * A new one, as it is kept.
     *
     * @throws sparen.app.web.Refusal without a key
     */
    String make() {
        return seal.close(secret());
    }

    /** The secret itself, base 32, to be told to its owner once. */
    String told(String kept) {
        return seal.open(kept);
    }

    /** What an authenticator reads (the key URI format in common use; no standard). */
    static String address(String organisation, String account, String secret) {
        return "otpauth://totp/" + encoded("Sparen " + organisation) + ":" + encoded(account) + "?secret=" + secret
                + "&issuer=" + encoded("Sparen " + organisation);
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8).replace("+", "%20");
    }

    /** Takes a code for an account: of this step of time, the one before or the one after, or written down, and none that was used. */
    boolean accepts(String account, String kept, String code) {
        if (RECOVERY_CODE.matcher(code).matches()) {
            return mapper.useRecoveryCode(account, Secrets.hash(code)) == 1;
        }
        String secret = seal.open(kept);
        long now = clock.instant().getEpochSecond() / generator.getTimeStep().toSeconds();
        for (long step = now - 1; step <= now + 1; step++) {
            if (code(secret, step).equals(code)) {
                return mapper.useStep(account, step) == 1;
            }
        }
        return false;
    }

    /** New codes to be written down; those of before hold no longer. */
    @Transactional
    public List<String> recoveryCodes(String account) {
        mapper.forgetRecoveryCodes(account);
        List<String> codes = Stream.generate(SecondFactor::recoveryCode)
                .distinct()
                .limit(RECOVERY_CODES)
                .toList();
        codes.forEach(code -> mapper.addRecoveryCode(account, Secrets.hash(code)));
        return codes;
    }

    int recoveryCodesLeft(String account) {
        return mapper.countRecoveryCodes(account);
    }

    private static String recoveryCode() {
        String letters = secret().substring(0, RECOVERY_LETTERS).toLowerCase(Locale.ROOT);
        return letters.substring(0, 4) + "-" + letters.substring(4, 8) + "-" + letters.substring(8);
    }

    private String code(String secret, long step) {
        try {
            return generator.generateOneTimePasswordString(
                    new SecretKeySpec(new Base32().decode(secret), generator.getAlgorithm()),
                    Instant.ofEpochSecond(step * generator.getTimeStep().toSeconds()),
                    Locale.ROOT);
        } catch (InvalidKeyException impossible) {
            throw new IllegalStateException("a secret of ours is a key", impossible);
        }
    }

    /** Refuses what is no code. */
    static void check(String field, String code) {
        if (!CODE.matcher(code).matches() && !RECOVERY_CODE.matcher(code).matches()) {
            throw new InvalidQuantity(
                    field,
                    "has to be the 6 digits that the authenticator shows now, or a recovery code of three times four letters");
        }
    }
}
