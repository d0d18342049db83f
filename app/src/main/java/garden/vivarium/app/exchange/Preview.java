package garden.vivarium.app.exchange;

import java.util.List;

/**
 * What a file would do: the first of each, and how many there are.
 *
 * @param makes what it would make
 * @param grows batches that it would add looks to
 * @param held what is held already, and of which it says nothing new
 * @param counts how many there are of each, as many as are shown or more
 */
public record Preview(List<PreviewRow> makes, List<PreviewRow> grows, List<PreviewRow> held, Counts counts) {

    private static final int SHOWN = 60;

    /** How many of each. */
    public record Counts(int makes, int grows, int held) {}

    /** A batch, stock plant or place of the preview; what does not apply is empty. */
    public record PreviewRow(
            String name,
            String plant,
            String way,
            String stuckOn,
            int stuck,
            int looks,
            String stands,
            boolean newPlant) {}

    /**
     * Lines of the preview that are alike.
     *
     * @param is which part
     * @param lines the first of them
     * @param count of all
     */
    record Part(String is, List<PreviewRow> lines, int count) {}

    /** All three. */
    public List<Part> parts() {
        return List.of(
                new Part("makes", makes, counts.makes()),
                new Part("grows", grows, counts.grows()),
                new Part("held", held, counts.held()));
    }

    static Preview of(List<PreviewRow> makes, List<PreviewRow> grows, List<PreviewRow> held) {
        return new Preview(
                first(makes), first(grows), first(held), new Counts(makes.size(), grows.size(), held.size()));
    }

    private static List<PreviewRow> first(List<PreviewRow> rows) {
        return List.copyOf(rows.subList(0, Math.min(SHOWN, rows.size())));
    }

    public boolean isNew() {
        return counts.makes() + counts.grows() > 0;
    }
}
