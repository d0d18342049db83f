package garden.vivarium.app.story;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Batches;
import garden.vivarium.app.batch.Departures;
import garden.vivarium.app.batch.Fate;
import garden.vivarium.app.batch.NewBatch;
import garden.vivarium.app.batch.SentState;
import garden.vivarium.app.guide.Protocols;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Words;
import garden.vivarium.app.stock.PlantView;
import garden.vivarium.app.stock.Protection;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantForm;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.stock.MayCut;
import garden.vivarium.core.timing.Climate;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What comes of a batch: a young plant kept as a stock plant, or pieces cut again into a new batch. */
@Service
class Offspring {

    private static final int LONGEST_PLACE = 80;
    private static final int MOST_SECTIONS = 6;
    /** What is still to be minded where it does not forbid. */
    private static final Set<MayCut.Matter> TOLD =
            EnumSet.of(MayCut.Matter.PROTECTION, MayCut.Matter.ORIGIN, MayCut.Matter.QUARANTINE, MayCut.Matter.NAME);

    private final Batches batches;
    private final Departures departures;
    private final Stock stock;
    private final Protocols protocols;
    private final Words words;

    Offspring(Batches batches, Departures departures, Stock stock, Protocols protocols, Words words) {
        this.batches = batches;
        this.departures = departures;
        this.stock = stock;
        this.protocols = protocols;
        this.words = words;
    }

    /**
     * Keeps a young plant of a batch as a stock plant.
     *
     * @param piece the piece that it came of, or null where nobody knows
     * @throws InvalidField naming the field, if it cannot be
     */
    @Transactional
    StockPlantView keep(String code, String place, Integer piece) {
        BatchView batch = batches.find(code);
        refuseBlank("place", place);
        if (piece != null && (piece < 1 || piece > batch.stuck())) {
            throw new InvalidField(
                    "piece", Messages.text("Offspring.has.pieces", "code", code, "stuck", batch.stuck()));
        }
        return stock.add(
                new StockPlantForm(
                        batch.plant(),
                        plant(batch).group(),
                        Protection.FREE,
                        "young plant of " + code,
                        new StockPlantForm.Stands(place.strip(), Climate.HEATED),
                        new StockPlantForm.Condition(null, StockState.GROWING, null),
                        null),
                batch.id(),
                piece);
    }

    /**
     * Pieces of young plants, cut again.
     *
     * @param made the new batch
     * @param minding what speaks against it without forbidding it
     */
    record Recut(BatchView made, List<MayCut.Finding> minding) {}

    /**
     * Cuts young plants of a batch again.
     *
     * @throws InvalidField naming the field, if it cannot be
     */
    @Transactional
    Recut recut(String code, String way, int pieces, LocalDate cutOn, String where) {
        BatchView batch = batches.find(code);
        Protocol protocol =
                protocols.current(way).orElseThrow(() -> new NotFound(Messages.text("Offspring.no.such.way")));
        refuseBlank("where", where);
        if (batch.isStuck() && cutOn.isBefore(batch.stuckOn())) {
            throw new InvalidField(
                    "cutOn", Messages.text("Offspring.was.stuck.give.later", "code", code, "stuckOn", batch.stuckOn()));
        }
        List<MayCut.Finding> findings = mayCut(batch, cutOn);
        findings.stream()
                .filter(f -> f.weight() == MayCut.Weight.REFUSED && f.matter() != MayCut.Matter.GONE)
                .findFirst()
                .ifPresent(f -> {
                    throw new InvalidField("way", words.of(f));
                });
        NewBatch.Draft cut = NewBatch.by(protocol)
                .of(
                        plant(batch),
                        batch.origin().stockPlantId(),
                        stock.placeNamed(where.strip(), Climate.HEATED).id())
                .cutAgainFrom(batch.id())
                .taken(cutOn, pieces);
        BatchView made = batches.make((protocol.wound().callus().isPresent() ? cut : cut.stuck(cutOn, pieces)).made());
        return new Recut(
                made, findings.stream().filter(f -> TOLD.contains(f.matter())).toList());
    }

    /**
     * Cuts pieces of a batch apart, a long one with two rooted nodes or a stout one, into so many each; they close in it as rooted, or
     * unjudged, and start anew in a batch that names it.
     *
     * @param rooted whether they are rooted
     * @param each how many each becomes, 2 to 6
     * @throws InvalidField naming the field, if it cannot be
     */
    @Transactional
    BatchView section(String code, boolean rooted, int pieces, int each, String way, LocalDate day, String where) {
        Protocol protocol =
                protocols.current(way).orElseThrow(() -> new NotFound(Messages.text("Offspring.no.such.way")));
        refuseBlank("where", where);
        if (each < 2 || each > MOST_SECTIONS) {
            throw new InvalidField("each", Messages.text("Offspring.sections", "most", MOST_SECTIONS));
        }
        BatchView batch = departures.send(
                code,
                new Departures.Departure(
                        day, pieces, rooted ? SentState.READY : SentState.UNROOTED, "", Fate.CUT_AGAIN));
        NewBatch.Draft cut = NewBatch.by(protocol)
                .of(
                        plant(batch),
                        batch.origin().stockPlantId(),
                        stock.placeNamed(where.strip(), Climate.HEATED).id())
                .cutAgainFrom(batch.id())
                .taken(day, pieces * each);
        boolean dries = protocol.wound().callus().isPresent();
        return batches.make((dries ? cut : cut.stuck(day, pieces * each)).made());
    }

    /** What speaks against cutting young plants again: what holds for the stock plant that they came from. */
    private List<MayCut.Finding> mayCut(BatchView batch, LocalDate day) {
        return batch.origin().stockPlantId() == null
                ? List.of()
                : stock.find(batch.origin().stockPlantId())
                        .map(s -> s.mayCut(day, null))
                        .orElse(List.of());
    }

    private PlantView plant(BatchView batch) {
        return stock.plantNamed(batch.plant(), batch.group());
    }

    private static void refuseBlank(String field, String value) {
        if (value == null || value.isBlank() || value.length() > LONGEST_PLACE) {
            throw new InvalidField(
                    field, Messages.text("Offspring.say.where.stands.characters", "longestPlace", LONGEST_PLACE));
        }
    }
}
