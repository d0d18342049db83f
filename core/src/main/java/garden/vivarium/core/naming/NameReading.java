package garden.vivarium.core.naming;

import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * What a typed name may mean.
 *
 * @param <T> what bears names
 */
public sealed interface NameReading<T> {

    /** What it is taken for without asking; empty where it must be asked. */
    default Optional<T> taken() {
        return Optional.empty();
    }

    /** All that it may mean, the best first. */
    List<T> meanings();

    /** Whether each meaning accounts for every word, and the words say which plants they mean. */
    default boolean isWhole() {
        return taken().isPresent();
    }

    /** Whether every word is written as it is known; else one was read as a slip of the pen. */
    default boolean isAsWritten() {
        return true;
    }

    /**
     * Every word is accounted for, and only by one.
     *
     * @param meaning what is meant
     * @param asWritten whether each word is written as it is known; else one was read as a slip of the pen
     */
    record Taken<T>(T meaning, boolean asWritten) implements NameReading<T> {
        @Override
        public boolean isAsWritten() {
            return asWritten;
        }

        @Override
        public Optional<T> taken() {
            return Optional.of(meaning);
        }

        @Override
        public List<T> meanings() {
            return List.of(meaning);
        }
    }

    /**
     * Several have the name, or a word is left over.
     *
     * @param meanings what may be meant, the best first; one at least
     * @param leftOver words, in the form in which names are compared, that the best does not account for
     * @param isCommon whether it is a word that so many plants have in their names that it decides nothing
     * @param named those of the meanings that could be taken once more is known: of a common word those that are called by it alone
     */
    record Asked<T>(List<T> meanings, List<String> leftOver, boolean isCommon, List<T> named)
            implements NameReading<T> {
        public Asked {
            named = List.copyOf(named);
            meanings = List.copyOf(meanings);
            leftOver = List.copyOf(leftOver);
        }

        @Override
        public boolean isWhole() {
            return leftOver.isEmpty() && !isCommon;
        }
    }

    /**
     * Nothing has the name.
     *
     * @param meanings whose names look most like it; often none
     */
    record Unknown<T>(List<T> meanings) implements NameReading<T> {
        public Unknown {
            meanings = List.copyOf(meanings);
        }
    }

    /**
     * The same where more is known of what is meant: where that leaves one meaning, it is taken, though not as it is written where
     * a word is left over.
     */
    default NameReading<T> among(Predicate<T> chosen) {
        if (!(this instanceof Asked<T> asked)) {
            return this;
        }
        List<T> left = asked.named().stream().filter(chosen).toList();
        return left.size() == 1 ? new Taken<>(left.get(0), asked.leftOver().isEmpty()) : this;
    }
}
