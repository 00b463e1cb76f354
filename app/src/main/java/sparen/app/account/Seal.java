package sparen.app.account;

import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.HexFormat;
import java.util.Map;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpStatus;
import org.springframework.security.crypto.encrypt.BytesEncryptor;
import org.springframework.security.crypto.encrypt.Encryptors;
import org.springframework.stereotype.Component;
import sparen.app.web.Refusal;

/**
 * Seals secrets that have to be read again before they are kept (AES-256-GCM), with a key that lies in a file and in no database: who
 * reads the database or a backup of it can make no codes.
 */
@Component
class Seal {
    private static final Logger LOG = LoggerFactory.getLogger(Seal.class);
    private static final String MARK = "sealed:";
    /** The key is by chance itself and used for nothing else: what it is stretched with may be known. */
    private static final String SALT = HexFormat.of().formatHex("second factor".getBytes(StandardCharsets.US_ASCII));

    private final Optional<BytesEncryptor> encryptor;

    Seal(@Value("${sparen.second-factor.key:}") String key) {
        encryptor = key.isBlank() ? Optional.empty() : Optional.of(Encryptors.stronger(key, SALT));
    }

    boolean hasKey() {
        return encryptor.isPresent();
    }

    static boolean isSealed(String kept) {
        return kept.startsWith(MARK);
    }

    /**
     * What is kept of a secret.
     *
     * @throws Refusal without a key
     */
    String close(String secret) {
        byte[] sealed = encryptor.orElseThrow(Seal::noKey).encrypt(secret.getBytes(StandardCharsets.US_ASCII));
        return MARK + Base64.getEncoder().encodeToString(sealed);
    }

    /**
     * The secret that was sealed; one that was kept before there were seals as it is.
     *
     * @throws Refusal without the key that it was sealed with
     */
    String open(String kept) {
        if (!isSealed(kept)) {
            return kept;
        }
        byte[] sealed = Base64.getDecoder().decode(kept.substring(MARK.length()));
        try {
            return new String(encryptor.orElseThrow(Seal::noKey).decrypt(sealed), StandardCharsets.US_ASCII);
        } catch (IllegalStateException otherKey) {
            LOG.warn("a second factor was sealed with another key", otherKey);
            throw noKey();
        }
    }

    private static Refusal noKey() {
        return new Refusal(
                HttpStatus.SERVICE_UNAVAILABLE,
                "no-key",
                "The key of second factors is not here (sparen.second-factor.key, docs/operating.md). A recovery code lets you in; an "
                        + "administrator can take the second factor away.",
                Map.of());
    }
}
