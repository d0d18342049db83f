package garden.vivarium.app.exchange;

import garden.vivarium.core.guide.WordFinder.Found;
import java.util.Optional;

/** What is known of the words of files: those of the guide and the nursery, and what was approved in earlier files. */
interface WordBook {

    /** What a word of a sort may mean. */
    Optional<Found> find(Column.Sort sort, String typed);

    /** Whether it looks like a word of the sort. */
    boolean fits(Column.Sort sort, String typed);

    /** What was said once that it means. */
    Optional<String> learned(Column.Sort sort, String typed);
}
