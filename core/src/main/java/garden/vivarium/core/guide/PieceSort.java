package garden.vivarium.core.guide;

import garden.vivarium.core.Text;
import java.util.Map;
import java.util.Optional;

/**
 * A sort of piece that stock plants bear and that is counted by itself: shoot tips, leaves, crowns and so on. Each method draws
 * on one.
 *
 * @param key the short name kept with counts
 * @param words as growers read it, for several
 * @param one the same for one
 * @param large how many a large, well-grown plant bears; of one that nobody has counted no plan asks for more
 * @param own its own rhythm of harvest; empty where the rhythm of the plant's group holds
 * @param called what it is called in plants of a group, by the group's key, where that is otherwise: a kalanchoe has no pads
 */
public record PieceSort(
        String key, String words, String one, int large, Optional<PlantGroup.Rhythm> own, Map<String, InGroup> called) {

    /** What it is called in plants of a group, for several and for one. */
    public record InGroup(String words, String one) {}

    public PieceSort {
        called = Map.copyOf(called);
    }

    /** The same as plants of a group have it. */
    public PieceSort in(String group) {
        InGroup other = called.get(group);
        return other == null ? this : new PieceSort(key, other.words(), other.one(), large, own, called);
    }

    /** How it bears being taken from a plant of the group. */
    public PlantGroup.Rhythm rhythm(PlantGroup group) {
        return own.orElse(group.rhythm());
    }

    /** "214 shoot tips", "1 shoot tip". */
    public String count(int number) {
        return Text.of("%,d %s", number, number == 1 ? one : words);
    }
}
