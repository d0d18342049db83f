package garden.vivarium.app.diagnosis;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.bench.BatchSheet;
import garden.vivarium.app.bench.Sheets;
import garden.vivarium.app.care.Subject;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.guide.Circumstance;
import garden.vivarium.core.treatment.Handling;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Finds out the circumstances of a batch or a stock plant on which something is seen. */
@Component
class Patients {

    private static final double MOST_OF_THEM = 0.9;
    private static final Set<String> DRY_MEDIA =
            Set.of("coarse grit", "pumice", "gritty mix", "sand", "laid on the surface", "bark");

    private final Sheets sheets;
    private final Stock stock;
    private final Today today;

    Patients(Sheets sheets, Stock stock, Today today) {
        this.sheets = sheets;
        this.stock = stock;
        this.today = today;
    }

    /**
     * The batch of the code or the stock plant of the id.
     *
     * @throws NotFound if neither is here
     */
    @Transactional(readOnly = true)
    public Patient of(String batch, UUID stockPlant) {
        return batch != null ? ofBatch(sheets.of(batch)) : ofStock(stockPlant);
    }

    private Patient ofStock(UUID id) {
        if (id == null) {
            throw new NotFound(Messages.text("Patients.say.on.what.it.is"));
        }
        StockPlantView plant =
                stock.find(id).orElseThrow(() -> new NotFound(Messages.text("Patients.no.such.stock.plant")));
        return new Patient(
                new Subject(
                        Subject.Kind.STOCK,
                        plant.id(),
                        plant.code(),
                        plant.place().id()),
                plant.plant().name(),
                EnumSet.of(Circumstance.STOCK),
                List.of(Messages.text(
                        "Patients.stock.plant",
                        "state",
                        plant.state().words(),
                        "climate",
                        Messages.name(plant.place().climate()))));
    }

    private Patient ofBatch(BatchSheet sheet) {
        BatchView b = sheet.batch();
        Set<Circumstance> so = EnumSet.noneOf(Circumstance.class);
        List<String> facts = new ArrayList<>();
        if (b.medium().contains("water") || b.medium().contains("reserve")) {
            so.add(Circumstance.WATER);
        }
        String cover =
                sheet.way().protocol().map(p -> p.keeping().air().cover()).orElse("");
        boolean open = cover.startsWith("none")
                || cover.isEmpty()
                || b.way().treatment().has(Handling.OPEN);
        so.add(open || DRY_MEDIA.contains(b.medium()) ? Circumstance.DRY : Circumstance.CLOSED);
        facts.add(Messages.text("Patients.cover", "medium", b.medium(), "then", cover.isEmpty() ? "not said" : cover));
        if (b.way().treatment().isDried()) {
            so.add(Circumstance.FLESHY);
            facts.add("Its wounds were dried first.");
        }
        if (b.season().slower() > 1) {
            so.add(Circumstance.OUT_OF_SEASON);
            facts.add("Stuck out of season.");
        }
        if (b.isStuck() && !b.isAsleep()) {
            int day = b.age(today.date());
            double there = sheet.outlook().in(b.season()).ready().by(day);
            so.add(there < MOST_OF_THEM ? Circumstance.EARLY : Circumstance.LATE);
            facts.add(Messages.text(
                    "Patients.day.those.will.ready",
                    "day",
                    day,
                    "there",
                    100 * there,
                    "everReady",
                    sheet.toCome()
                            .map(c -> " " + Messages.text("Patients.by.how.it.has.gone", "ever", c.everReady()))
                            .orElse("")));
        } else {
            so.add(Circumstance.EARLY);
            facts.add(Messages.text(b.isAsleep() ? "Patients.sleeps" : "Patients.wounds.dry"));
        }
        return new Patient(new Subject(Subject.Kind.BATCH, b.id(), b.code(), b.placeId()), b.plant(), so, facts);
    }
}
