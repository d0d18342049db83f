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

    private final Labels labels;

    BatchLabels(Labels labels) {
        this.labels = labels;
    }

    /** Makes ready one label for each of some batches. */
    @Transactional
    public UUID ready(List<BatchView> batches) {
        return labels.keep(
                        USUAL,
                        null,
                        batches.stream()
                                .map(b -> new LabelPrint.Item(LabelPrint.Kind.BATCH, b.id(), 1))
                                .toList(),
                        false,
                        LabelPrint.Next.NOTHING,
                        null)
                .getId();
    }

    /**
     * Makes ready a label for each piece of a batch.
     *
     * @param copies 1 and up
     * @return of the print, whose sheet stands at {@code /labels/(id).pdf}
     */
    @Transactional
    public UUID ready(BatchView batch, int copies) {
        return labels.keep(
                        USUAL,
                        null,
                        List.of(new LabelPrint.Item(LabelPrint.Kind.BATCH, batch.id(), copies)),
                        false,
                        LabelPrint.Next.NOTHING,
                        null)
                .getId();
    }
}
