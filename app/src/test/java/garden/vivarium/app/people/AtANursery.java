package garden.vivarium.app.people;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Batches;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.batch.Moves;
import garden.vivarium.app.batch.NewBatch;
import garden.vivarium.app.bench.Benches;
import garden.vivarium.app.bench.Sheets;
import garden.vivarium.app.evidence.Evidence;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.OnDatabase;
import garden.vivarium.app.stock.Protection;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockCounts;
import garden.vivarium.app.stock.StockKind;
import garden.vivarium.app.stock.StockPlantForm;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.timing.Climate;
import garden.vivarium.core.timing.Hemisphere;
import java.time.LocalDate;
import java.util.UUID;
import java.util.function.Supplier;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;

/** A test at a nursery of its own, in the north, with a fuchsia to take pieces from. */
@OnDatabase
public abstract class AtANursery {

    protected static final LocalDate TODAY = LocalDate.parse(OnDatabase.TODAY);

    @Autowired
    protected CurrentNursery current;

    @Autowired
    protected People people;

    @Autowired
    protected Stock stock;

    @Autowired
    protected StockCounts counts;

    @Autowired
    protected Batches batches;

    @Autowired
    protected Moves moves;

    @Autowired
    protected BatchBook book;

    @Autowired
    protected Benches benches;

    @Autowired
    protected Sheets sheets;

    @Autowired
    protected Evidence evidence;

    @Autowired
    protected Guide guide;

    protected UUID nursery;
    protected StockPlantView fuchsia;

    @BeforeEach
    void open() {
        nursery = Nurseries.make(people).id();
        fuchsia = in(() -> Growing.stockPlant(stock, "Fuchsia ‘Skerry Lantern’"));
    }

    protected <T> T in(Supplier<T> work) {
        return current.workingFor(nursery, work);
    }

    protected void run(Runnable work) {
        in(() -> {
            work.run();
            return null;
        });
    }

    protected <T> T elsewhere(Supplier<T> work) {
        return current.workingFor(Nurseries.make(people, Hemisphere.NORTH).id(), work);
    }

    /** Adds a stock plant of a group, growing on a heated bench. */
    protected StockPlantView plant(String name, String group, int pieces) {
        return plant(name, group, pieces, StockKind.PLANT, StockState.GROWING, Climate.HEATED);
    }

    protected StockPlantView plant(
            String name, String group, int pieces, StockKind kind, StockState state, Climate climate) {
        return in(() -> stock.add(new StockPlantForm(
                new StockPlantForm.Name(name, null, group, false, null, false),
                new StockPlantForm.Rights(Protection.FREE, null),
                kind,
                new StockPlantForm.Came("raised here", null, null, null),
                new StockPlantForm.Stands("Bench, " + Messages.name(climate), climate),
                new StockPlantForm.Condition(pieces, state, null),
                null)));
    }

    /** A batch by plugs of so many pieces, stuck so many days ago. */
    protected BatchView running(int pieces, int age) {
        LocalDate day = TODAY.minusDays(age);
        return in(() -> batches.make(
                Growing.newBatch(guide.protocol("tip-in-plugs").orElseThrow(), fuchsia, pieces, day, day)));
    }

    /** A batch by plugs of which so many became ready and the rest were lost, with a hunch of 25. */
    protected void finished(int pieces, int ready, int age) {
        LocalDate day = TODAY.minusDays(age);
        BatchView batch =
                in(() -> batches.make(NewBatch.by(guide.protocol("tip-in-plugs").orElseThrow())
                        .of(fuchsia.plant(), fuchsia.id(), fuchsia.place().id())
                        .taken(day, pieces)
                        .stuck(day, pieces)
                        .guessed(25, 20)
                        .made()));
        run(() -> batches.look(batch.code(), Growing.count(day.plusDays(30), ready, pieces - ready)));
        run(() -> moves.move(batch.code(), day.plusDays(31), ready, ready));
        BatchView moved = in(() -> batches.find(batch.code()));
        run(() -> book.pottings(moved.id())
                .forEach(p -> moves.settle(moved.code(), p.id(), day.plusDays(50), p.youngPlants())));
    }
}
