package garden.vivarium.app.exchange;

import garden.vivarium.app.batch.BatchCorrections;
import garden.vivarium.app.batch.OldBatches;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.stock.Stock;
import java.util.List;
import java.util.UUID;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/** Takes back what a file made: its batches are withdrawn, its looks taken back, its plants and places removed. */
@Component
class ImportsBack {

    private final ImportedRepository imported;
    private final OldBatches batches;
    private final BatchCorrections corrections;
    private final Stock stock;
    private final TransactionTemplate whole;
    private final TransactionTemplate apart;

    ImportsBack(
            ImportedRepository imported,
            OldBatches batches,
            BatchCorrections corrections,
            Stock stock,
            PlatformTransactionManager transactions) {
        this.imported = imported;
        this.batches = batches;
        this.corrections = corrections;
        this.stock = stock;
        this.whole = new TransactionTemplate(transactions);
        this.apart = new TransactionTemplate(transactions);
        this.apart.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
    }

    /**
     * Takes it all back. Stock plants and places that something has been done with since stay.
     *
     * @return how many stayed
     */
    int takeBack(UUID file, String name, Records.Progress progress) {
        List<Imported> made = imported.findByImportId(file);
        whole.executeWithoutResult(t -> {
            int done = 0;
            for (Imported one : made) {
                progress.at(done++, made.size());
                if (one.made() == RecordKind.Made.BATCH) {
                    batches.codeOf(one.subjectId())
                            .ifPresent(
                                    code -> corrections.withdraw(code, Messages.text("ImportsBack.why", "name", name)));
                } else if (one.made() == RecordKind.Made.LOOK) {
                    batches.takeBackLook(one.subjectId());
                }
            }
        });
        int stayed = 0;
        for (Imported one : made) {
            if (one.made() == RecordKind.Made.STOCK_PLANT) {
                stayed += removed(() -> stock.remove(one.subjectId())) ? 0 : 1;
            } else if (one.made() == RecordKind.Made.PLACE) {
                stayed += removed(() -> stock.removePlace(one.subjectId())) ? 0 : 1;
            }
        }
        return stayed;
    }

    private boolean removed(Runnable work) {
        try {
            apart.executeWithoutResult(t -> work.run());
            return true;
        } catch (DataIntegrityViolationException inUse) {
            return false;
        }
    }
}
