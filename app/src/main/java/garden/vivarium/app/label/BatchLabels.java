package garden.vivarium.app.label;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.core.measure.LabelSheet;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Labels for whoever makes a batch: they go on the usual sheet, where the last ended. */
@Service
public class BatchLabels {

    /** The sheet that is offered first. */
    static final LabelSheet USUAL = LabelSheet.named("a4-21").orElseThrow();

    private static final LabelSheet SMALL = LabelSheet.named("a4-65").orElseThrow();

    private final Labels labels;

    BatchLabels(Labels labels) {
        this.labels = labels;
    }

    /** Makes ready one label for each of some batches. */
    @Transactional
    public UUID ready(List<BatchView> batches) {
        return keep(
                USUAL,
                batches.stream()
                        .map(b -> new LabelPrint.Item(LabelPrint.Kind.BATCH, b.id(), 1))
                        .toList());
    }

    /**
     * A cell of a trial's tray.
     *
     * @param batch of the tray
     * @param arm which way stands there, from 0
     * @param way in words
     * @param row from 1
     * @param column from 1
     */
    public record CellOfTrial(UUID batch, int arm, String way, int row, int column) {}

    /** Makes ready a small label for each cell of a trial, with the shape of its way. */
    @Transactional
    public UUID ofCells(List<CellOfTrial> cells) {
        return keep(
                SMALL,
                cells.stream()
                        .map(c -> new LabelPrint.Item(
                                LabelPrint.Kind.BATCH,
                                c.batch(),
                                1,
                                new LabelPrint.Cell(c.arm(), c.way(), c.row(), c.column())))
                        .toList());
    }

    /**
     * Makes ready a label for each piece of a batch.
     *
     * @param copies 1 and up
     * @return of the print, whose sheet stands at {@code /labels/(id).pdf}
     */
    @Transactional
    public UUID ready(BatchView batch, int copies) {
        return keep(USUAL, List.of(new LabelPrint.Item(LabelPrint.Kind.BATCH, batch.id(), copies)));
    }

    /** On from where the last sheet of that size ended. */
    private UUID keep(LabelSheet sheet, List<LabelPrint.Item> items) {
        return labels.keep(sheet, null, items, false, LabelPrint.Next.NOTHING, null)
                .getId();
    }
}
