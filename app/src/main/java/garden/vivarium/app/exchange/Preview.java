package garden.vivarium.app.exchange;

import java.util.List;
import java.util.UUID;

/**
 * What a file would do.
 *
 * @param upload the file's name until it is kept; null where it has faults
 * @param kind history or pieces
 * @param fileName as the grower has it
 * @param makes batches it would make
 * @param grows batches that it would add looks to
 * @param held batches of which it says nothing new
 * @param faults every bad line; with one, nothing is kept
 */
public record Preview(
        UUID upload,
        String kind,
        String fileName,
        List<PreviewRow> makes,
        List<PreviewRow> grows,
        List<PreviewRow> held,
        List<InvalidLine> faults) {

    /** A batch of the preview. */
    public record PreviewRow(
            String name,
            String plant,
            String way,
            String stuckOn,
            int stuck,
            int looks,
            String stands,
            boolean newPlant) {}

    /** The same file, waiting under a name. */
    Preview waitingAs(UUID name) {
        return new Preview(name, kind, fileName, makes, grows, held, faults);
    }

    public boolean isGood() {
        return faults.isEmpty();
    }

    public boolean isNew() {
        return !makes.isEmpty() || !grows.isEmpty();
    }
}
