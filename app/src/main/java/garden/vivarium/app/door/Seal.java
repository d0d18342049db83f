package garden.vivarium.app.door;

import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.security.crypto.encrypt.BytesEncryptor;
import org.springframework.security.crypto.encrypt.Encryptors;
import org.springframework.stereotype.Component;

/**
 * Shuts secrets that must be read again before they go into the database (AES-256 in Galois/Counter Mode), by a key that lies
 * elsewhere: whoever reads the database alone, or a copy of it, does not read them. Without a key they are kept as they are.
 */
@Component
class Seal {

    private static final String SHUT = "sealed:";
    /** The key is random; nothing is won by another salt for each installation. */
    private static final String SALT = "7669766172697561";

    private final BytesEncryptor encryptor;

    Seal(@Value("${vivarium.key:}") String key) {
        this.encryptor = key.isBlank() ? null : Encryptors.stronger(key.strip(), SALT);
    }

    /** As it goes into the database. */
    String shut(String secret) {
        return encryptor == null
                ? secret
                : SHUT + Base64.getEncoder().encodeToString(encryptor.encrypt(secret.getBytes(StandardCharsets.UTF_8)));
    }

    /** As it was; what was kept before there was a key is read as it is. Empty where it was shut by another key, or changed since. */
    Optional<String> open(String kept) {
        if (!kept.startsWith(SHUT)) {
            return Optional.of(kept);
        }
        try {
            return Optional.ofNullable(encryptor)
                    .map(e -> new String(
                            e.decrypt(Base64.getDecoder().decode(kept.substring(SHUT.length()))),
                            StandardCharsets.UTF_8));
        } catch (IllegalStateException | IllegalArgumentException e) {
            return Optional.empty();
        }
    }
}
