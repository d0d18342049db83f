package garden.vivarium.core.naming;

import java.util.List;

/**
 * Something that bears names.
 *
 * @param meaning the thing itself
 * @param group key of its group, by which "tree" or "orchid" may be said of it
 * @param names all that it is called
 * @param latin those of its names that are botanical: a species may follow a genus
 */
public record Called<T>(T meaning, String group, List<String> names, List<String> latin) {
    public Called {
        names = List.copyOf(names);
        latin = List.copyOf(latin);
    }
}
