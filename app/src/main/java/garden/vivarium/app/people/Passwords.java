package garden.vivarium.app.people;

import com.nulabinc.zxcvbn.Zxcvbn;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import java.util.List;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/**
 * Which passwords are taken: twelve characters and more, and none that guessers try early, by lists of common passwords, names and
 * words that ship with the application.
 */
@Component
class Passwords {

    /** The shortest that is taken. */
    static final int SHORTEST = 12;

    /** Fewer guesses than this a stolen list of hashes gives away in an afternoon; ten to the power of it. */
    private static final double FEWEST_GUESSES = 8;

    /** What is longer is not looked at further: no list has it. */
    private static final int LOOKED_AT = 60;

    private final PasswordEncoder hashes;
    private final Zxcvbn guessing = new Zxcvbn();

    Passwords(PasswordEncoder hashes) {
        this.hashes = hashes;
    }

    /**
     * The hash of one that is taken.
     *
     * @param own words that a guesser would try first: names of the person and the nursery
     * @throws InvalidField of the field, if it is too short or too easily guessed
     */
    String taken(String field, String password, List<String> own) {
        if (password.length() < SHORTEST) {
            throw new InvalidField(
                    field,
                    Messages.text(
                            "People.password.has.characters.use",
                            "length",
                            password.length(),
                            "shortestPassword",
                            SHORTEST));
        }
        String looked = password.substring(0, Math.min(LOOKED_AT, password.length()));
        if (guessing.measure(looked, own).getGuessesLog10() < FEWEST_GUESSES) {
            throw new InvalidField(field, Messages.text("People.password.is.common"));
        }
        return hashes.encode(password);
    }

    boolean matches(String typed, String hash) {
        return hashes.matches(typed, hash);
    }
}
