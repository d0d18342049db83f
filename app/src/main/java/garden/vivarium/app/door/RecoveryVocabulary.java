package garden.vivarium.app.door;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.random.RandomGenerator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;

/** 256 plain words, eight bits each, that recovery words are drawn from. */
@Component
class RecoveryVocabulary {

    private final List<String> words;

    RecoveryVocabulary() {
        try {
            words = new ClassPathResource("door/recovery-words.txt")
                    .getContentAsString(StandardCharsets.UTF_8)
                    .lines()
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** So many words by lot, with blanks between. */
    String draw(int howMany, RandomGenerator random) {
        return IntStream.range(0, howMany)
                .mapToObj(i -> words.get(random.nextInt(words.size())))
                .collect(Collectors.joining(" "));
    }
}
