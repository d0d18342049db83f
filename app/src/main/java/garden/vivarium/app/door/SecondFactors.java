package garden.vivarium.app.door;

import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import java.nio.charset.StandardCharsets;
import java.security.InvalidKeyException;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * The second thing that some show at the door: a code of six digits that an authenticator reckons from a shared secret and the time
 * (RFC 6238, SHA-1, 30 seconds), good once and for half a minute before and after; or one of some sets of recovery words.
 */
@Component
class SecondFactors {

    private static final int SECRET_BYTES = 20;
    private static final int WORD_SETS = 6;
    private static final int WORDS = 5;

    private final JdbcClient database;
    private final PasswordEncoder hashes;
    private final RecoveryVocabulary vocabulary;
    private final Clock clock;
    private final Seal seal;
    private final SecureRandom random = new SecureRandom();
    private final TimeBasedOneTimePasswordGenerator codes = new TimeBasedOneTimePasswordGenerator();

    SecondFactors(JdbcClient database, PasswordEncoder hashes, RecoveryVocabulary vocabulary, Clock clock, Seal seal) {
        this.database = database;
        this.hashes = hashes;
        this.vocabulary = vocabulary;
        this.clock = clock;
        this.seal = seal;
    }

    /** A secret, empty where the key is gone by which it was sealed: then no code is right, and recovery words still are. */
    private record Held(Optional<String> secret, boolean on, long lastStep) {}

    private Optional<Held> held(UUID person) {
        return database.sql("select secret, on_since is not null, last_step from second_factor where person_id = ?")
                .param(person.toString())
                .query((row, i) -> new Held(seal.open(row.getString(1)), row.getBoolean(2), row.getLong(3)))
                .optional();
    }

    /** Whether the person shows one. */
    boolean isOn(UUID person) {
        return held(person).filter(Held::on).isPresent();
    }

    /** How many sets of recovery words are left. */
    int wordsLeft(UUID person) {
        return database.sql("select count(*) from recovery_words where person_id = ? and used_at is null")
                .param(person.toString())
                .query(Integer.class)
                .single();
    }

    /** A secret to be shared with an authenticator; the same until it is on. In base 32, as authenticators take it. */
    @Transactional
    public String begin(UUID person) {
        Optional<Held> begun = held(person);
        if (begun.isPresent()) {
            if (begun.get().on()) {
                throw new InvalidField("code", Messages.text("SecondFactors.on.already"));
            }
            if (begun.get().secret().isPresent()) {
                return begun.get().secret().get();
            }
            turnOff(person);
        }
        byte[] bytes = new byte[SECRET_BYTES];
        random.nextBytes(bytes);
        String secret = new Base32().encodeToString(bytes);
        database.sql("insert into second_factor (person_id, secret) values (?, ?)")
                .params(person.toString(), seal.shut(secret))
                .update();
        return secret;
    }

    /**
     * It is on from now on, since a code was right.
     *
     * @return sets of recovery words, each good once; shown now and never again
     * @throws InvalidField if the code is not right
     */
    @Transactional
    public List<String> turnOn(UUID person, String code) {
        begin(person);
        if (!accepts(person, code)) {
            throw new InvalidField("code", Messages.text("SecondFactors.code.wrong"));
        }
        database.sql("update second_factor set on_since = ? where person_id = ?")
                .params(now(), person.toString())
                .update();
        database.sql("delete from recovery_words where person_id = ?")
                .param(person.toString())
                .update();
        List<String> sets = new ArrayList<>();
        for (int i = 0; i < WORD_SETS; i++) {
            String words = vocabulary.draw(WORDS, random);
            sets.add(words);
            database.sql("insert into recovery_words (id, person_id, hash) values (?, ?, ?)")
                    .params(UUID.randomUUID().toString(), person.toString(), hashes.encode(words))
                    .update();
        }
        return sets;
    }

    /** It is asked no more. */
    @Transactional
    public void turnOff(UUID person) {
        database.sql("delete from second_factor where person_id = ?")
                .param(person.toString())
                .update();
        database.sql("delete from recovery_words where person_id = ?")
                .param(person.toString())
                .update();
    }

    /** Whether a code is right now, and was not used before. Used up where it is. */
    @Transactional
    public boolean accepts(UUID person, String typed) {
        String code = typed.replaceAll("\\s", "");
        Optional<Held> held = held(person);
        if (held.flatMap(Held::secret).isEmpty() || !code.matches("\\d{6}")) {
            return false;
        }
        long step = codes.getTimeStep().toMillis();
        long now = clock.millis() / step;
        for (long at = now - 1; at <= now + 1; at++) {
            if (same(code(held.get().secret().get(), Instant.ofEpochMilli(at * step)), code)) {
                // Of two at the same moment one finds the step used.
                return database.sql("update second_factor set last_step = ? where person_id = ? and last_step < ?")
                                .params(at, person.toString(), at)
                                .update()
                        == 1;
            }
        }
        return false;
    }

    /** Whether these are recovery words that were not used before. Used up where they are. */
    public boolean recovers(UUID person, String typed) {
        String words = String.join(" ", typed.strip().toLowerCase(Locale.ROOT).split("[\\s,-]+"));
        record Kept(String id, String hash) {}
        List<Kept> left = database.sql("select id, hash from recovery_words where person_id = ? and used_at is null")
                .param(person.toString())
                .query((row, i) -> new Kept(row.getString(1), row.getString(2)))
                .list();
        return left.stream()
                .filter(k -> hashes.matches(words, k.hash()))
                .anyMatch(k -> database.sql("update recovery_words set used_at = ? where id = ? and used_at is null")
                                .params(now(), k.id())
                                .update()
                        == 1);
    }

    /** The code of a secret at an instant. */
    String code(String secret, Instant at) {
        try {
            return codes.generateOneTimePasswordString(
                    new SecretKeySpec(new Base32().decode(secret), codes.getAlgorithm()), at);
        } catch (InvalidKeyException e) {
            throw new IllegalStateException("the secret is no key", e);
        }
    }

    private static boolean same(String one, String other) {
        return MessageDigest.isEqual(
                one.getBytes(StandardCharsets.US_ASCII), other.getBytes(StandardCharsets.US_ASCII));
    }

    private LocalDateTime now() {
        return LocalDateTime.ofInstant(clock.instant(), ZoneOffset.UTC);
    }
}
