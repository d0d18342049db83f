package garden.vivarium.app.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.batch.NewBatch;
import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.stock.StockKind;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.plan.Prospect;
import garden.vivarium.core.plan.Supply;
import garden.vivarium.core.timing.Climate;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** How many young plants a batch will have given by a day, as it goes through its life. */
class ToComeTest extends AtANursery {

    private static final LocalDate LATE = TODAY.plusDays(300);

    @Autowired
    private ToCome toCome;

    @Test
    void aBatchGivesWhatWasExpectedThenWhatWasSeenThenWhatSettled() {
        BatchView batch = running("tip-in-plugs", 40, 30);
        Supply hoped = only().by(LATE).alone();
        assertThat(hoped.mean()).isBetween(30.0, 38.0);
        assertThat(hoped.most()).isLessThanOrEqualTo(40);

        run(() -> batches.look(batch.code(), Growing.count(TODAY.minusDays(2), 36, 4)));
        Supply seen = only().by(LATE).alone();
        assertThat(seen.most()).isEqualTo(36);
        assertThat(seen.mean()).as("some of 36 will not settle").isBetween(30.0, 36.0);

        run(() -> moves.move(batch.code(), TODAY.minusDays(1), 36, 36));
        assertThat(only().by(LATE).alone().mean()).isCloseTo(seen.mean(), within(1e-6));

        run(() -> book.pottings(batch.id()).forEach(p -> moves.settle(batch.code(), p.id(), TODAY, 33)));
        assertThat(only().by(LATE).alone().atLeast(33)).isEqualTo(1);
        assertThat(only().by(LATE).alone().most()).isEqualTo(33);
    }

    @Test
    void nothingSettlesBeforeItsDays() {
        BatchView batch = running("tip-in-plugs", 20, 30);
        run(() -> batches.look(batch.code(), Growing.count(TODAY.minusDays(1), 20, 0)));
        int settles = guide.protocol("tip-in-plugs")
                .orElseThrow()
                .figures()
                .establishment()
                .days();

        assertThat(only().by(TODAY.plusDays(settles - 1L)).alone().mean()).isZero();
        assertThat(only().by(TODAY.plusDays(settles)).alone().mean()).isGreaterThan(15);
        assertThat(only().by(TODAY.minusDays(40)).alone().mean())
                .as("a day that has passed is today")
                .isZero();
    }

    @Test
    void woundsThatDryAreReckonedAsAPlan() {
        StockPlantView pads = plant("Opuntia ‘Fender’", "cactus", 30);
        Protocol pad = guide.suiting(pads.plant().group()).stream()
                .filter(p -> p.wound().callus().isPresent())
                .findFirst()
                .orElseThrow();
        run(() -> batches.make(Growing.newBatch(pad, pads, 12, TODAY.minusDays(1), null)));

        Supply supply =
                sourcesOf(pads.plant().name()).get(0).by(TODAY.plusDays(500)).alone();
        assertThat(supply.mean()).isBetween(4.0, 12.0 * pad.figures().output().mean());
        assertThat(sourcesOf(pads.plant().name())
                        .get(0)
                        .by(TODAY.plusDays(2))
                        .alone()
                        .mean())
                .isZero();
    }

    @Test
    void severalToAPotMakeFewerPots() {
        run(() -> batches.make(NewBatch.by(guide.protocol("tip-in-plugs").orElseThrow())
                .of(fuchsia.plant(), fuchsia.id(), fuchsia.place().id())
                .taken(TODAY.minusDays(3), 30)
                .stuck(TODAY.minusDays(3), 30)
                .perPot(3)
                .made()));

        assertThat(only().by(LATE).alone().most()).isLessThanOrEqualTo(10);
        assertThat(only().by(LATE).alone().mean()).isGreaterThan(5);
    }

    @Test
    void whatSleepsIsReckonedAsIfItWokeToday() {
        StockPlantView lilies =
                plant("Narcissus ‘Fogbell’", "bulb", 60, StockKind.LOT, StockState.DORMANT, Climate.COLD);
        Protocol bulb = guide.protocol("bulb-in-pot").orElseThrow();
        assertThat(bulb.clockStage()).isPresent();
        run(() -> batches.make(Growing.newBatch(bulb, lilies, 20, TODAY.minusDays(20), TODAY.minusDays(20))));

        ToCome.Source source = sourcesOf(lilies.plant().name()).get(0);
        assertThat(source.batch().isAsleep()).isTrue();
        assertThat(source.expected().stuck()).isEqualTo(TODAY);
        assertThat(source.by(LATE.plusDays(200)).alone().mean()).isGreaterThan(12);
    }

    @Test
    void batchesThatEndedLongAgoHaveLeft() {
        BatchView batch = running("tip-in-plugs", 10, 320);
        run(() -> batches.look(batch.code(), Growing.count(TODAY.minusDays(280), 10, 0)));
        run(() -> moves.move(batch.code(), TODAY.minusDays(270), 10, 10));
        run(() -> book.pottings(batch.id()).forEach(p -> moves.settle(batch.code(), p.id(), TODAY.minusDays(250), 10)));

        assertThat(in(() -> toCome.sources())).isEmpty();
        assertThat(elsewhere(() -> toCome.sources())).isEmpty();
    }

    @Test
    void twoBatchesOfOneWayAreNotAddedUpAsIfEachHadItsOwnLuck() {
        running("tip-in-plugs", 30, 20);
        running("tip-in-plugs", 30, 20);
        List<ToCome.Source> both = sourcesOf(fuchsia.plant().name());
        List<Prospect> prospects = both.stream().map(s -> s.by(LATE)).toList();
        Supply together = Prospect.together(prospects);
        Supply independent = prospects.get(0).alone().and(prospects.get(1).alone());

        assertThat(together.mean()).isCloseTo(independent.mean(), within(0.6));
        assertThat(together.surely(0.9)).isLessThan(independent.surely(0.9));
    }

    @Test
    void theSheetSaysWhatIsStillToCome() {
        BatchView batch = running("tip-in-plugs", 40, 26);
        assertThat(in(() -> sheets.of(batch.code())).toCome())
                .as("nobody has looked yet")
                .isEmpty();
        run(() -> batches.look(batch.code(), Growing.count(TODAY.minusDays(2), 12, 3)));
        StillToCome toCome = in(() -> sheets.of(batch.code())).toCome().orElseThrow();

        assertThat(toCome.waiting()).isEqualTo(25);
        assertThat(toCome.everReady()).isBetween(40L, 95L);
        assertThat(toCome.inTheEnd())
                .isEqualTo(
                        "about %d more, nine times in ten %d or more".formatted(toCome.onAverage(), toCome.surely()));
        assertThat(toCome.bySoon()).isLessThanOrEqualTo(toCome.onAverage());
        assertThat(toCome.tells()).isBetween(1L, 40L);
        assertThat(new StillToCome(4, 2, 0, 0, TODAY, 0, 0, 1).byThen()).isEqualTo("hardly any more");
        assertThat(new StillToCome(4, 20, 1, 0, TODAY, 0, 0, 1).inTheEnd()).isEqualTo("about 1 more, perhaps none");
    }

    @Test
    void settlingIsLearnedFromWhatWasAsked() {
        Protocol plugs = guide.protocol("tip-in-plugs").orElseThrow();
        double guides = plugs.figures().establishment().rate();
        for (int i = 0; i < 5; i++) {
            BatchView batch = running("tip-in-plugs", 30, 90 + i);
            run(() -> batches.look(batch.code(), Growing.count(TODAY.minusDays(50), 24, 6)));
            run(() -> moves.move(batch.code(), TODAY.minusDays(49), 24, 24));
            run(() -> book.pottings(batch.id())
                    .forEach(p -> moves.settle(batch.code(), p.id(), TODAY.minusDays(30), 12)));
        }
        double learned = in(() -> evidence.outlook(plugs, fuchsia.plant().grown()))
                .settle()
                .orElseThrow()
                .share()
                .mean();

        assertThat(learned).isLessThan(guides - 0.25).isGreaterThan(0.45);
    }

    private ToCome.Source only() {
        List<ToCome.Source> all = sourcesOf(fuchsia.plant().name());
        assertThat(all).hasSize(1);
        return all.get(0);
    }

    private List<ToCome.Source> sourcesOf(String plant) {
        return in(() -> toCome.sources(List.of(plant)));
    }

    private BatchView running(String protocol, int pieces, int age) {
        LocalDate day = TODAY.minusDays(age);
        return in(() ->
                batches.make(Growing.newBatch(guide.protocol(protocol).orElseThrow(), fuchsia, pieces, day, day)));
    }
}
