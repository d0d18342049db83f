package garden.vivarium.app.divide;

import garden.vivarium.app.batch.BatchRestored;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.BatchWithdrawn;
import garden.vivarium.app.batch.Batches;
import garden.vivarium.app.batch.NewBatch;
import garden.vivarium.app.batch.OldBatches;
import garden.vivarium.app.evidence.Evidence;
import garden.vivarium.app.guide.Protocols;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.platform.Words;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockCounts;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.divide.Choices;
import garden.vivarium.core.divide.Division;
import garden.vivarium.core.divide.Form;
import garden.vivarium.core.divide.Tie;
import garden.vivarium.core.divide.Worth;
import garden.vivarium.core.evidence.NurseryRecord;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.timing.Climate;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Judges how a plant can be divided, and divides it. */
@Service
class Divisions {

    private static final int SEASONS_IN_THE_POT = 2;

    /** The best piece stays as the stock plant. */
    static final String BEST = "best";
    /** No piece stays: all are young plants. */
    static final String NONE = "none";

    private final Stock stock;
    private final StockCounts counts;
    private final Protocols protocols;
    private final Evidence evidence;
    private final Guide guide;
    private final Batches batches;
    private final OldBatches pieces;
    private final DrawingRepository drawings;
    private final CurrentNursery nursery;
    private final Words words;
    private final Today today;

    Divisions(
            Stock stock,
            StockCounts counts,
            Protocols protocols,
            Evidence evidence,
            Guide guide,
            Batches batches,
            OldBatches pieces,
            DrawingRepository drawings,
            CurrentNursery nursery,
            Words words,
            Today today) {
        this.stock = stock;
        this.counts = counts;
        this.protocols = protocols;
        this.evidence = evidence;
        this.guide = guide;
        this.batches = batches;
        this.pieces = pieces;
        this.drawings = drawings;
        this.nursery = nursery;
        this.words = words;
        this.today = today;
    }

    /**
     * What is asked of a division.
     *
     * @param form what the plant is made of
     * @param sure the least chance of a sure piece, in per cent
     * @param away how many are for others where the best is kept
     * @param stepCm from one growth to the next
     * @param cuts ties that somebody would cut themselves; mostly none
     */
    record Asked(Drawn drawn, Form form, int sure, int away, double stepCm, List<Tie> cuts) {}

    /** The plant that is to be divided. */
    @Transactional(readOnly = true)
    StockPlantView plant(UUID id) {
        return stock.find(id).orElseThrow(() -> new NotFound(Messages.text("Divisions.no.stock.plant")));
    }

    /** Ways of dividing a plant of its group, those that are potted at once first. */
    @Transactional(readOnly = true)
    List<Protocol> ways(StockPlantView plant) {
        return protocols.suiting(plant.plant().group()).stream()
                .filter(p -> guide.method(p.method()).orElseThrow().family().equals("division")
                        || p.method().equals("bulb"))
                .toList();
    }

    /** What was divided of it before, the last first. */
    @Transactional(readOnly = true)
    List<DivideSheet.Done> done(UUID plant) {
        return drawings.findByStockPlantIdAndWithdrawnFalseOrderByMadeAtDesc(plant).stream()
                .map(d -> new DivideSheet.Done(d.batchCode(), d.dividedOn(), d.drawn(), d.cuts(), d.personName()))
                .toList();
    }

    /** Judges every division of the plant as it was drawn. */
    @Transactional(readOnly = true)
    DivideSheet judge(StockPlantView plant, Asked asked) {
        Worth worth = worth(plant, asked.form());
        List<Choices.Choice> choices =
                new ArrayList<>(Choices.of(asked.drawn().plant(), worth, asked.sure() / 100.0, asked.away()));
        if (!asked.cuts().isEmpty()) {
            choices.add(
                    0,
                    Choices.own(asked.drawn().plant(), worth, asked.cuts())
                            .orElseThrow(() -> new InvalidField("cuts", Messages.text("Divisions.own.cuts"))));
        }
        List<DivideSheet.Card> cards = new ArrayList<>();
        for (Choices.Choice choice : choices) {
            cards.add(card(cards.size(), choice, asked));
        }
        return new DivideSheet(
                worth,
                worth.failing(),
                Choices.against(asked.drawn().plant(), worth, state(plant), when(plant)),
                cards);
    }

    /** What pieces are worth by custom, and by divisions of this plant and its like that took here. */
    private Worth worth(StockPlantView plant, Form form) {
        NurseryRecord record = evidence.record();
        return ways(plant).stream()
                .findFirst()
                .map(p -> Way.of(
                        plant.plant().grown(),
                        p.method(),
                        p.medium(),
                        p.technique().treatment(),
                        Way.Own.of(p.key(), p.version())))
                .filter(w -> !record.strike(w).shares().isEmpty())
                .map(w -> form.worth()
                        .byRecord(record.strike(w).mean(), record.guide(w).rate()))
                .orElse(form.worth());
    }

    private static Choices.State state(StockPlantView plant) {
        return switch (plant.state()) {
            case IN_BUD, IN_FLOWER -> Choices.State.IN_FLOWER;
            case DORMANT -> Choices.State.ASLEEP;
            case SICK, DYING -> Choices.State.WEAK;
            default -> Choices.State.GROWING;
        };
    }

    private Choices.When when(StockPlantView plant) {
        return guide.kind(plant.plant().kind())
                .map(k -> k.habits().divided())
                .map(d -> switch (d) {
                    case ASLEEP -> Choices.When.ASLEEP;
                    case GROWING -> Choices.When.GROWING;
                    case EITHER -> Choices.When.EITHER;
                })
                .orElse(Choices.When.EITHER);
    }

    private static DivideSheet.Card card(int number, Choices.Choice choice, Asked asked) {
        Division division = choice.division();
        List<DivideSheet.PieceCard> cards = new ArrayList<>();
        for (Division.Piece piece : division.pieces()) {
            int at = cards.size();
            cards.add(new DivideSheet.PieceCard(
                    letter(at),
                    piece,
                    at == division.kept(),
                    asked.form().potCm(piece.living(), SEASONS_IN_THE_POT, asked.stepCm()),
                    2 * piece.rooted() < piece.living()));
        }
        return new DivideSheet.Card(
                number,
                title(choice.purposes(), asked.away()),
                division,
                cards,
                division.cuts().stream()
                        .map(c -> Messages.text("Divisions.cut", "a", c.a(), "b", c.b()))
                        .toList());
    }

    private static String title(List<Choices.Purpose> purposes, int away) {
        String title = purposes.stream()
                .map(p -> Messages.text("divide.purpose", "purpose", p.name(), "away", away))
                .collect(Collectors.joining("; "));
        return Character.toUpperCase(title.charAt(0)) + title.substring(1);
    }

    private static String letter(int at) {
        return at < 26 ? String.valueOf((char) ('A' + at)) : "A" + (char) ('A' + at - 26);
    }

    /**
     * What is to be done.
     *
     * @param card which of the divisions
     * @param day on which it was divided
     * @param place where the pieces stand; blank for where the plant does
     * @param stays the letter of the piece that stays as the stock plant, {@link #BEST} for the best of them, {@link #NONE} for none
     * @param reason why it is divided though something speaks against cutting it, or null
     */
    record Order(int card, String protocol, LocalDate day, String place, String stays, String reason) {}

    /** What speaks against cutting it is as for any other cut: a word of reason stands for a licence or the purpose. */
    private void refuse(StockPlantView plant, Order order) {
        plant.refusal(order.day(), order.reason()).ifPresent(f -> {
            throw new InvalidField("reason", words.of(f));
        });
    }

    /**
     * Divides a plant: the pieces become a batch with what is known of each, and the plant bears so much less.
     *
     * @throws InvalidField if nothing is cut, or the day cannot be
     */
    @Transactional
    BatchView divide(UUID id, Asked asked, Order order) {
        StockPlantView plant = plant(id);
        today.refuseFuture("dividedOn", order.day());
        refuse(plant, order);
        DivideSheet sheet = judge(plant, asked);
        if (order.card() < 0
                || order.card() >= sheet.cards().size()
                || sheet.cards().get(order.card()).division().isUndivided()) {
            throw new InvalidField("card", Messages.text("Divisions.whole"));
        }
        Protocol protocol = ways(plant).stream()
                .filter(p -> p.key().equals(order.protocol()))
                .findFirst()
                .orElseThrow(() -> new InvalidField("protocol", Messages.text("Divisions.way")));
        DivideSheet.Card card = sheet.cards().get(order.card());
        Optional<DivideSheet.PieceCard> stays = staying(card, order.stays());
        List<DivideSheet.PieceCard> set = card.pieces().stream()
                .filter(p -> !stays.equals(Optional.of(p)))
                .toList();
        UUID place = order.place() == null || order.place().isBlank()
                ? plant.place().id()
                : stock.placeNamed(order.place().strip(), Climate.HEATED).id();
        NewBatch.Draft draft =
                NewBatch.by(protocol).of(plant.plant(), plant.id(), place).taken(order.day(), set.size());
        boolean dries = protocol.wound().callus().isPresent();
        BatchView batch = batches.make((dries ? draft : draft.stuck(order.day(), set.size())).made());
        for (int i = 0; i < set.size(); i++) {
            Division.Piece piece = set.get(i).piece();
            pieces.describePiece(
                    batch.code(),
                    i + 1,
                    Messages.text(
                            "Divisions.piece",
                            "living",
                            piece.living(),
                            "rooted",
                            piece.rooted(),
                            "lead",
                            piece.lead(),
                            "one",
                            asked.form().one(),
                            "many",
                            asked.form().many()),
                    null,
                    piece.living());
        }
        counts.cutFor(
                new StockCounts.ForBatch(id, protocol.method(), order.day(), batch.id()),
                set.stream().mapToInt(p -> p.piece().living()).sum());
        keep(id, asked, card, batch, order.day());
        return batch;
    }

    private static Optional<DivideSheet.PieceCard> staying(DivideSheet.Card card, String stays) {
        if (stays.equals(NONE)) {
            return Optional.empty();
        }
        Optional<DivideSheet.PieceCard> piece = card.pieces().stream()
                .filter(p -> stays.equals(BEST) ? p.kept() : p.letter().equalsIgnoreCase(stays))
                .findFirst();
        if (piece.isEmpty()) {
            throw new InvalidField(
                    "stays",
                    Messages.text(
                            "Divisions.stays",
                            "piece",
                            stays,
                            "pieces",
                            card.pieces().size()));
        }
        return piece;
    }

    /** A division whose batch never was, never was. */
    @EventListener
    void on(BatchWithdrawn gone) {
        drawings.findByBatchId(gone.batch().id()).forEach(d -> d.withdrawn(true));
    }

    /** It was after all. */
    @EventListener
    void on(BatchRestored back) {
        drawings.findByBatchId(back.batch().id()).forEach(d -> d.withdrawn(false));
    }

    private void keep(UUID id, Asked asked, DivideSheet.Card card, BatchView batch, LocalDate day) {
        Drawing drawing = new Drawing(
                id,
                asked.drawn().text(),
                card.division().cuts().stream().map(c -> c.a() + "-" + c.b()).collect(Collectors.joining(",")));
        drawing.became(batch.id(), batch.code(), day);
        drawing.by(nursery.person().map(SignedIn::name).orElse("Vivarium"), today.now());
        drawings.save(drawing);
    }
}
