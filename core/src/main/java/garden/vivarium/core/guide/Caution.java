package garden.vivarium.core.guide;

import java.util.List;

/**
 * What to mind where the act is.
 *
 * @param key its name in the protocols
 * @param word what it is about, in a word
 * @param unless keys of graver ones that say the same; beside one of those it need not be said
 * @param text the caution, once and plainly
 */
public record Caution(String key, String word, List<String> unless, String text) {

    public Caution {
        unless = List.copyOf(unless);
    }
}
