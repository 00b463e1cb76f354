package sparen.app.account;

import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.security.InvalidKeyException;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.util.Locale;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;
import org.springframework.stereotype.Service;
import sparen.quantity.InvalidQuantity;

/** Codes that change with time (RFC 6238: SHA-1, 6 digits, 30 s), each taken once. */
@Service
class SecondFactor {
    private static final int SECRET_BYTES = 20;
    private static final SecureRandom RANDOM = new SecureRandom();

    private final TimeBasedOneTimePasswordGenerator generator = new TimeBasedOneTimePasswordGenerator();
    private final AccountMapper mapper;
    private final Clock clock;

    SecondFactor(AccountMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /** A new secret, base 32. */
    static String secret() {
        byte[] secret = new byte[SECRET_BYTES];
        RANDOM.nextBytes(secret);
        return new Base32().encodeToString(secret);
    }

    /** What an authenticator reads (the key URI format in common use; no standard). */
    static String address(String organisation, String account, String secret) {
        return "otpauth://totp/" + encoded("Sparen " + organisation) + ":" + encoded(account) + "?secret=" + secret
                + "&issuer=" + encoded("Sparen " + organisation);
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8).replace("+", "%20");
    }

    /** Takes a code for an account: of this step of time, the one before or the one after, and none that was used. */
    boolean accepts(String account, String secret, String code) {
        long now = clock.instant().getEpochSecond() / generator.getTimeStep().toSeconds();
        for (long step = now - 1; step <= now + 1; step++) {
            if (code(secret, step).equals(code)) {
                return mapper.useStep(account, step) == 1;
            }
        }
        return false;
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
        if (!code.matches("\\d{6}")) {
            throw new InvalidQuantity(field, "has to be the 6 digits that the authenticator shows now");
        }
    }
}
