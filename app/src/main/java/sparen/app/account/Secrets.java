package sparen.app.account;

import java.security.SecureRandom;
import java.util.Base64;
import org.apache.commons.codec.digest.DigestUtils;

/** Long random secrets: told once, kept only as a hash. They need no salt, as nobody can guess them. */
public final class Secrets {
    private static final int BYTES = 32;
    private static final SecureRandom RANDOM = new SecureRandom();

    private Secrets() {}

    /** A new one. */
    public static String make() {
        byte[] secret = new byte[BYTES];
        RANDOM.nextBytes(secret);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(secret);
    }

    /** What is kept of one. */
    public static String hash(String secret) {
        return DigestUtils.sha256Hex(secret);
    }
}
