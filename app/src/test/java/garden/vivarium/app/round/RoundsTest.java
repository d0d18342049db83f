package garden.vivarium.app.round;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Batches;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.batch.Moves;
import garden.vivarium.app.batch.NewBatch;
import garden.vivarium.app.batch.PottedIn;
import garden.vivarium.app.bench.Task;
import garden.vivarium.app.care.CareBook;
import garden.vivarium.app.needs.Stores;
import garden.vivarium.app.people.Nurseries;
import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.OnDatabase;
import garden.vivarium.app.platform.Words;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.guide.CareAct;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.looks.LossCause;
import garden.vivarium.core.timing.Climate;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import java.util.function.Supplier;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** The round's one key does each kind of task whole, and asks for nothing twice. */
@OnDatabase
class RoundsTest {

    private static final LocalDate TODAY = LocalDate.parse(OnDatabase.TODAY);

    @Autowired
    private CurrentNursery current;

    @Autowired
    private Words words;

    @Autowired
    private People people;

    @Autowired
    private Stock stock;

    @Autowired
    private Batches batches;

    @Autowired
    private Moves moves;

    @Autowired
    private Rounds rounds;

    @Autowired
    private RoundWork work;

    @Autowired
    private PutOffs putOffs;

    @Autowired
    private Reminders reminders;

    @Autowired
    private CareBook care;

    @Autowired
    private Stores stores;

    @Autowired
    private BatchBook book;

    @Autowired
    private Guide guide;

    private UUID nursery;
    private StockPlantView parent;

    @BeforeEach
    void aNursery() {
        nursery = Nurseries.make(people).id();
        parent = in(() -> Growing.stockPlant(stock, "Fuchsia ‘Skerry Lantern’"));
    }

    @Test
    void lookedMovedAndSettledOneAfterTheOther() {
        BatchView batch = in(() -> Growing.stuck(batches, guide, parent, 12, TODAY.minusDays(40)));
        assertThat(due()).containsExactly(Task.Kind.LOOK);
        assertThat(done(Task.Kind.LOOK, batch)).endsWith("looked, nothing changed.");
        assertThat(in(() -> batches.find(batch.code())).lastKnowingLook()).isEqualTo(TODAY);

        in(() -> batches.look(batch.code(), Growing.count(TODAY, 11, 1)));
        assertThat(done(Task.Kind.MOVE, batch)).endsWith("11 pieces potted.");
        assertThat(due()).isEmpty();
        assertThatThrownBy(() -> done(Task.Kind.MOVE, batch))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("no longer asks for that");
    }

    @Test
    void whatHasCallusedIsStuckWhole() {
        BatchView batch = in(() ->
                batches.make(Growing.newBatch(guide, "offset-in-gritty-mix", parent, 9, TODAY.minusDays(3), null)));
        assertThat(done(Task.Kind.STICK, batch)).endsWith("9 pieces stuck.");
        assertThat(in(() -> batches.find(batch.code())).stuckOn()).isEqualTo(TODAY);
    }

    @Test
    void whatHasSettledAndWhatIsHopelessGoToo() {
        BatchView batch = in(() -> Growing.stuck(batches, guide, parent, 12, TODAY.minusDays(90)));
        in(() -> batches.look(batch.code(), Growing.count(TODAY.minusDays(20), 8, 0)));
        in(() -> moves.move(batch.code(), TODAY.minusDays(15), 8, 8));
        assertThat(due()).containsExactlyInAnyOrder(Task.Kind.SETTLE, Task.Kind.GIVE_UP);

        assertThat(done(Task.Kind.SETTLE, batch)).endsWith("8 of 8 settled.");
        assertThat(done(Task.Kind.GIVE_UP, batch)).endsWith("written off as stalled.");
        BatchView now = in(() -> batches.find(batch.code()));
        assertThat(now.settled()).isEqualTo(8);
        assertThat(now.counts().lost()).isEqualTo(4);
        assertThat(now.closedOn()).isNotNull();
        assertThat(in(rounds::today).openBatches()).isZero();
    }

    @Test
    void aMoveAsksHowManyAndIsUndone() {
        BatchView batch = in(() -> Growing.stuck(batches, guide, parent, 12, TODAY.minusDays(40)));
        in(() -> batches.look(batch.code(), Growing.count(TODAY, 11, 1)));
        RoundWork.Done done = press(Task.Kind.MOVE, batch, 5, 2);
        assertThat(done.said()).endsWith("5 pieces potted, 2 pots.");
        assertThat(in(() -> batches.find(batch.code())).moved()).isEqualTo(5);

        undo(done);
        BatchView now = in(() -> batches.find(batch.code()));
        assertThat(now.moved()).isZero();
        assertThat(now.youngPlants()).isZero();
        assertThat(now.readyToMove()).isEqualTo(11);
        assertThatThrownBy(() -> press(Task.Kind.MOVE, batch, 12, 12)).hasMessageContaining("12");
        assertThatThrownBy(() -> undo(done)).hasMessageContaining("cannot be undone any more");
    }

    @Test
    void eachPressIsUndone() {
        BatchView looked = in(() -> Growing.stuck(batches, guide, parent, 12, TODAY.minusDays(40)));
        RoundWork.Done look = press(Task.Kind.LOOK, looked, null, null);
        undo(look);
        assertThat(in(() -> batches.find(looked.code())).lastKnowingLook()).isNull();

        in(() -> batches.look(looked.code(), Growing.count(TODAY.minusDays(20), 8, 0)));
        in(() -> moves.move(looked.code(), TODAY.minusDays(15), 8, 8));
        RoundWork.Done settled = press(Task.Kind.SETTLE, looked, 6, null);
        assertThat(settled.said()).endsWith("6 of 8 settled.");
        undo(settled);
        assertThat(in(() -> batches.find(looked.code())).settled()).isZero();
        assertThat(due()).contains(Task.Kind.SETTLE);

        BatchView drying = in(() ->
                batches.make(Growing.newBatch(guide, "offset-in-gritty-mix", parent, 9, TODAY.minusDays(3), null)));
        undo(press(Task.Kind.STICK, drying, 8, null));
        assertThat(in(() -> batches.find(drying.code())).isStuck()).isFalse();
    }

    @Test
    void aStageThatWokeABatchIsUndoneUntilItWasLookedAt() {
        BatchView asleep = in(() -> batches.make(
                Growing.newBatch(guide, "bulb-in-pot", parent, 6, TODAY.minusDays(60), TODAY.minusDays(60))));
        assertThat(asleep.isAsleep()).isTrue();
        RoundWork.Done woke = press(Task.Kind.ASK, asleep, null, null);
        assertThat(in(() -> batches.find(asleep.code())).isAsleep()).isFalse();
        undo(woke);
        assertThat(in(() -> batches.find(asleep.code())).isAsleep()).isTrue();
    }

    @Test
    void likeThingsAreDoneTogetherOrNotAtAll() {
        BatchView one = in(() -> Growing.stuck(batches, guide, parent, 12, TODAY.minusDays(40)));
        BatchView other = in(() -> Growing.stuck(batches, guide, parent, 10, TODAY.minusDays(40)));
        Round.Group looks = in(rounds::today).stops().get(0).groups().stream()
                .filter(g -> g.sort() == Sort.LOOK)
                .findFirst()
                .orElseThrow();
        assertThat(looks.isAlike()).isTrue();
        List<String> all = looks.items().stream().map(Item::key).toList();
        RoundWork.Done done = in(() -> work.doesAll(all, TODAY));
        assertThat(done.said()).startsWith("Done for 2 batches");
        assertThat(due()).isEmpty();
        undo(done);
        assertThat(due()).containsExactly(Task.Kind.LOOK, Task.Kind.LOOK);

        in(() -> batches.lookUnchanged(other.code(), TODAY));
        assertThatThrownBy(() -> in(() -> work.doesAll(all, TODAY))).hasMessageContaining("no longer asks for that");
        assertThat(in(() -> batches.find(one.code())).lastKnowingLook())
                .as("none of them, since one could not be")
                .isNull();
    }

    @Test
    void whatToTakeAlongIsSaidAndHowLongItTakes() {
        BatchView batch = in(() -> Growing.stuck(batches, guide, parent, 12, TODAY.minusDays(40)));
        in(() -> batches.look(batch.code(), Growing.count(TODAY, 12, 0)));
        Round.Stop stop = in(rounds::today).stops().get(0);
        assertThat(stop.carry()).anyMatch(c -> c.startsWith("12 × 7 cm")).anyMatch(c -> c.equals("1 label"));
        assertThat(stop.minutes()).isBetween(5, 30);
    }

    @Test
    void standingWaterIsAskedForUntilItWasChanged() {
        BatchView jar = in(() -> Growing.stuck(batches, guide, parent, 12, TODAY.minusDays(4)));
        Item.CareTask water = cares().get(0);
        assertThat(water.act()).isEqualTo(CareAct.WATER_CHANGED);
        assertThat(water.why()).contains("nobody wrote down that it was done", "every 4 days or so");

        RoundWork.Done done = in(() -> work.doesAll(List.of(water.key()), TODAY));
        assertThat(done.said()).isEqualTo("Done for 1 batch: " + jar.code() + ".");
        assertThat(cares()).isEmpty();
        undo(done);
        assertThat(cares()).hasSize(1);
        in(() -> care.log(
                CareAct.WATER_CHANGED, "rain water", List.of(RoundWork.subject(jar)), TODAY.minusDays(1), null));
        assertThat(cares()).isEmpty();
        assertThat(in(() -> care.lastOf(jar.id())))
                .containsExactly(new CareBook.Last("water changed: rain water", TODAY.minusDays(1)));
    }

    @Test
    void youngPlantsAreGivenTheirFirstFeedOnItsDay() {
        BatchView batch = in(() -> Growing.stuck(batches, guide, parent, 12, TODAY.minusDays(60)));
        in(() -> batches.look(batch.code(), Growing.count(TODAY.minusDays(30), 12, 0)));
        in(() -> moves.move(batch.code(), TODAY.minusDays(22), 12, 12));
        UUID move = in(() -> book.pottings(batch.id())).get(0).id();
        in(() -> moves.settle(batch.code(), move, TODAY.minusDays(5), 12));

        assertThat(in(() -> batches.find(batch.code())).closedOn())
                .as("settled, and fed all the same")
                .isNotNull();
        Item.CareTask feed = cares().get(0);
        assertThat(feed.act()).isEqualTo(CareAct.FED);
        assertThat(feed.why()).contains("12 young plants were potted");
        in(() -> moves.lose(batch.code(), move, 2, LossCause.ROT));
        assertThat(cares().get(0).why()).contains("10 young plants were potted");
        in(() -> work.cares(CareAct.FED, batch.code(), feed.about(), TODAY));
        assertThat(cares()).isEmpty();
    }

    @Test
    void afterTheFirstFeedTheNextComesWithItsStrengthAndItsCan() {
        in(() -> stores.keep("can, 9 L", 1.0, null, null, null));
        BatchView batch = in(() -> Growing.stuck(batches, guide, parent, 60, TODAY.minusDays(80)));
        in(() -> batches.look(batch.code(), Growing.count(TODAY.minusDays(60), 60, 0)));
        PottedIn pots = new PottedIn(90, 1, "coir", null, null, TODAY.minusDays(20), null);
        in(() -> moves.potUp(batch.code(), TODAY.minusDays(50), List.of(new Moves.Filled(60, 1, pots))));
        UUID move = in(() -> book.pottings(batch.id())).get(0).id();
        in(() -> moves.settle(batch.code(), move, TODAY.minusDays(30), 60));
        in(() -> work.cares(CareAct.FED, batch.code(), move, TODAY.minusDays(13)));
        assertThat(cares()).as("fed 13 days ago").isEmpty();
        in(() -> work.cares(CareAct.FED, batch.code(), move, TODAY.minusDays(1)));
        run(() -> care.of(batch.id()).forEach(c -> care.unlog(c.id())));
        in(() -> work.cares(CareAct.FED, batch.code(), move, TODAY.minusDays(14)));
        Item.CareTask feed = cares().get(0);
        // 60 × 0.15 × 0.376 L = 3.4 L, two fifths of a 9 L can: half of one by quarters.
        assertThat(feed.what())
                .isEqualTo("Feed 60 young plants, half the strength on the label: about 3.4 litres, 0.5 of a 9 L can");
        assertThat(feed.why()).contains("every 14 days");
    }

    @Test
    void whatIsPutOffComesBackOnItsDay() {
        in(() -> Growing.stuck(batches, guide, parent, 12, TODAY.minusDays(40)));
        String look = in(rounds::today).stops().get(0).groups().stream()
                .flatMap(g -> g.items().stream())
                .filter(Item::isTask)
                .findFirst()
                .orElseThrow()
                .key();
        run(() -> putOffs.to(look, TODAY.plusDays(2), "the room is too cold"));
        assertThat(due()).isEmpty();
        assertThat(in(rounds::today).later()).singleElement().satisfies(l -> {
            assertThat(words.of(l.item().line())).contains("Skerry Lantern", "Look at 12");
            assertThat(l.off().until()).isEqualTo(TODAY.plusDays(2));
            assertThat(l.off().word()).isEqualTo("the room is too cold");
        });
        assertThat(in(() -> putOffs.later(TODAY.plusDays(2)))).isEmpty();
        run(() -> putOffs.backToday(List.of(look)));
        assertThat(due()).containsExactly(Task.Kind.LOOK);
        assertThatThrownBy(() -> run(() -> putOffs.to(look, TODAY, null))).hasMessageContaining("after today");
    }

    @Test
    void ownRemindersComeOnTheirDayOrWhenItHappens() {
        BatchView batch = in(() -> Growing.stuck(batches, guide, parent, 12, TODAY.minusDays(1)));
        run(() -> reminders.add("Order 9 cm pots", TODAY, null, null, null));
        run(() -> reminders.add("Ring about the sages", TODAY.plusDays(3), null, null, null));
        run(() -> reminders.add("Tell Tern", null, batch.code(), Reminder.Event.READY, null));
        assertThat(remembered()).containsExactly("Order 9 cm pots");
        run(() -> reminders.add("Sweep the path", TODAY, null, null, null));
        String sweep = in(rounds::today).stops().stream()
                .flatMap(s -> s.groups().stream())
                .flatMap(g -> g.items().stream())
                .filter(i -> i instanceof Item.OtherTask o && o.what().equals("Sweep the path"))
                .findFirst()
                .orElseThrow()
                .key();
        run(() -> putOffs.to(sweep, TODAY.plusDays(1), null));
        assertThat(remembered()).as("the other stays").containsExactly("Order 9 cm pots");
        in(() -> batches.look(batch.code(), Growing.count(TODAY, 3, 0)));
        assertThat(remembered()).containsExactlyInAnyOrder("Order 9 cm pots", "Tell Tern");
        assertThatThrownBy(() -> run(() -> reminders.add("When?", null, batch.code(), null, null)))
                .hasMessageContaining("Give a day");
        assertThatThrownBy(() -> run(() -> reminders.add("Whom?", null, "99w01-Z", Reminder.Event.OVER, null)))
                .hasMessageContaining("99w01-Z");
    }

    @Test
    void reminderToComeIsChangedOrDropped() {
        BatchView batch = in(() -> Growing.stuck(batches, guide, parent, 12, TODAY.minusDays(1)));
        run(() -> reminders.add("Ring about the sages", TODAY.plusDays(3), null, null, null));
        run(() -> reminders.add("Tell Tern", null, batch.code(), Reminder.Event.READY, null));
        List<Reminders.Waiting> waiting = in(() -> reminders.waiting(TODAY));
        assertThat(waiting)
                .extracting(Reminders.Waiting::what, Reminders.Waiting::on, Reminders.Waiting::code)
                .containsExactly(
                        tuple("Ring about the sages", TODAY.plusDays(3), ""), tuple("Tell Tern", null, batch.code()));
        assertThatThrownBy(() -> run(() -> reminders.change(waiting.get(0).id(), "Ring", null)))
                .hasMessageContaining("Give a day");
        run(() -> reminders.change(waiting.get(0).id(), "Ring about the thymes", TODAY));
        assertThat(remembered()).containsExactly("Ring about the thymes");
        run(() -> reminders.drop(waiting.get(1).id()));
        assertThat(in(() -> reminders.waiting(TODAY))).isEmpty();
    }

    @Test
    void whatWasDoneYesterdayIsPressedForYesterday() {
        BatchView batch = in(() -> Growing.stuck(batches, guide, parent, 12, TODAY.minusDays(40)));
        LocalDate yesterday = TODAY.minusDays(1);
        String water = cares().get(0).key();
        in(() -> work.doesAll(List.of(Task.Kind.LOOK + " " + batch.code(), water), yesterday));
        assertThat(in(() -> batches.find(batch.code())).lastKnowingLook()).isEqualTo(yesterday);
        assertThat(in(() -> care.lastOf(batch.id())))
                .extracting(CareBook.Last::on)
                .containsExactly(yesterday);
        assertThatThrownBy(() -> in(() -> work.doesAll(List.of(water), TODAY.plusDays(1))))
                .isInstanceOf(InvalidField.class);
    }

    @Test
    void coverIsOpenedOnceMostAreRooted() {
        BatchView batch = in(() -> batches.make(
                Growing.newBatch(guide, "tip-in-plugs", parent, 10, TODAY.minusDays(30), TODAY.minusDays(30))));
        in(() -> batches.look(batch.code(), Growing.count(TODAY.minusDays(9), 6, 0)));
        assertThat(airing()).as("six of ten").isEmpty();
        in(() -> batches.look(batch.code(), Growing.count(TODAY.minusDays(8), 8, 0)));
        Item.CareTask first = airing().get(0);
        assertThat(first.what()).startsWith("Wedge the cover open").contains("10 pieces stand here");
        assertThat(first.why()).contains("8 of 10 are rooted");
        in(() -> work.doesAll(List.of(first.key()), TODAY.minusDays(5)));
        assertThat(airing().get(0).what()).startsWith("Half open the cover");
        in(() -> work.doesAll(List.of(airing().get(0).key()), TODAY));
        assertThat(airing()).as("the last step waits some days").isEmpty();
    }

    @Test
    void careThatIsAskedForAgainStandsInTheRoundUntilNobodyWantsIt() {
        BatchView batch = in(() -> Growing.stuck(batches, guide, parent, 12, TODAY.minusDays(1)));
        in(() -> care.again(
                CareAct.FED,
                "half strength",
                List.of(RoundWork.subject(batch)),
                TODAY.minusDays(14),
                new CareBook.Again(14, 3)));
        Item.OtherTask feed = (Item.OtherTask) others("Again").get(0);
        assertThat(feed.what()).isEqualTo("fed: half strength");
        assertThat(feed.why()).contains("one of a row that somebody asked for");
        UUID due = in(() -> care.due(TODAY)).get(0).id();
        in(() -> care.done(due, TODAY.minusDays(1)));
        assertThat(others("Again")).isEmpty();
        assertThat(in(() -> care.lastOf(batch.id())))
                .containsExactly(new CareBook.Last("fed: half strength", TODAY.minusDays(1)));
        UUID next = in(() -> care.due(TODAY.plusDays(14))).get(0).id();
        in(() -> care.noMore(next));
        assertThat(in(() -> care.due(TODAY.plusYears(1)))).isEmpty();
        assertThat(in(() -> care.of(batch.id()))).hasSize(1);
        for (CareBook.Again silly :
                List.of(new CareBook.Again(0, 1), new CareBook.Again(1, 0), new CareBook.Again(30, 50))) {
            assertThatThrownBy(() ->
                            in(() -> care.again(CareAct.FED, null, List.of(RoundWork.subject(batch)), TODAY, silly)))
                    .hasMessageContaining("every how many days");
        }
        assertThatThrownBy(() -> in(() -> care.log(CareAct.OTHER, " ", List.of(RoundWork.subject(batch)), TODAY, null)))
                .hasMessageContaining("Say what was done");
    }

    private List<Item.CareTask> airing() {
        return cares().stream().filter(c -> c.act() == CareAct.AIRED).toList();
    }

    @Test
    void twoTreatmentsOfOnePlantArePutOffEachByItself() {
        BatchView batch = in(() -> Growing.stuck(batches, guide, parent, 12, TODAY.minusDays(1)));
        for (String what : List.of("wipe", "soap")) {
            run(() -> care.course(RoundWork.subject(batch), what, "mites", List.of(TODAY), TODAY.plusDays(7)));
        }
        List<Item> treatments = others("Treat");
        assertThat(treatments).hasSize(2);
        run(() -> putOffs.to(treatments.get(0).key(), TODAY.plusDays(1), null));
        assertThat(others("Treat")).containsExactly(treatments.get(1));
    }

    private List<Item> others(String verb) {
        return in(rounds::today).stops().stream()
                .flatMap(s -> s.groups().stream())
                .flatMap(g -> g.items().stream())
                .filter(i -> i instanceof Item.OtherTask o && o.verb().code().equals(verb))
                .toList();
    }

    private List<Item.CareTask> cares() {
        return in(rounds::today).stops().stream()
                .flatMap(s -> s.groups().stream())
                .flatMap(g -> g.items().stream())
                .filter(Item::isCare)
                .map(Item.CareTask.class::cast)
                .toList();
    }

    private List<String> remembered() {
        return in(rounds::today).stops().stream()
                .flatMap(s -> s.groups().stream())
                .flatMap(g -> g.items().stream())
                .filter(i -> i instanceof Item.OtherTask o && o.verb() == Verb.REMEMBER)
                .map(i -> ((Item.OtherTask) i).what())
                .toList();
    }

    private void run(Runnable work) {
        in(() -> {
            work.run();
            return null;
        });
    }

    @Test
    void stopsFollowOneAnotherInWalkingOrder() {
        in(() -> stock.placeNamed("Alcove", Climate.HEATED));
        StockPlantView first = in(() -> Growing.stockPlant(stock, "Sage ‘Lighter Grey’"));
        in(() -> Growing.stuck(batches, guide, first, 12, TODAY.minusDays(40)));
        in(() -> batches.make(atAlcove(first)));

        assertThat(in(rounds::today).stops())
                .extracting(s -> s.place().name())
                .as("the bench was there before the alcove")
                .containsExactly("Bench", "Alcove");
    }

    @Test
    void whatComesWithinTheWeekIsSaidWithItsDay() {
        in(() -> Growing.stuck(batches, guide, parent, 12, TODAY.minusDays(1)));

        Round round = in(rounds::today);
        assertThat(round.due()).isZero();
        assertThat(round.coming())
                .singleElement()
                .satisfies(i -> assertThat(i.task().due()).isEqualTo(TODAY.plusDays(4)));
    }

    private NewBatch atAlcove(StockPlantView of) {
        UUID alcove = stock.places().stream()
                .filter(p -> p.name().equals("Alcove"))
                .findFirst()
                .orElseThrow()
                .id();
        return Growing.newBatchAt(guide, "tip-in-water", of, alcove, 12, TODAY.minusDays(40));
    }

    private List<Task.Kind> due() {
        return in(rounds::today).stops().stream()
                .flatMap(s -> s.groups().stream())
                .flatMap(g -> g.items().stream())
                .filter(Item::isTask)
                .map(i -> ((Item.BatchTask) i).task().kind())
                .toList();
    }

    private String done(Task.Kind kind, BatchView batch) {
        return press(kind, batch, null, null).said();
    }

    private RoundWork.Done press(Task.Kind kind, BatchView batch, Integer pieces, Integer plants) {
        return in(() -> work.does(new RoundWork.Pressed(kind, batch.code(), null, false, pieces, plants, TODAY)));
    }

    private void undo(RoundWork.Done done) {
        in(() -> {
            work.takeBack(done.marks());
            return null;
        });
    }

    private <T> T in(Supplier<T> work) {
        return current.workingFor(nursery, work);
    }
}
